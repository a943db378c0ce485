import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';

/** What was worked out before the run was read, and how it came out. */
export function WorkedBefore({ sheet, device }: { sheet: Schemas['RunSheet']; device: string }) {
  const metric = (channel: string) => sheet.asked.channels.find((c) => c.key === channel)?.metric ?? channel;
  return sheet.worked.map((w) => (
    <p key={w.id} className="mb-2 border-l-2 border-brass pl-3 text-sm">
      Worked out for {metric(w.channel)}: <strong>{w.answer}</strong> (
      <Link className="text-blue underline" to={`/d/${device}/workings?build=${sheet.revision.letter}`}>
        {w.title}
      </Link>
      ).{w.came !== '' && <> {prose(w.came)}</>}
    </p>
  ));
}
