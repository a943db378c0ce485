import type { Schemas } from '../../api/client';
import { NewObservation } from '../../ui/records/NewObservation';
import { Part } from '../../ui/Sheet';
import { CONSEQUENCE } from '../../ui/words';
import { AddPhoto } from '../../ui/records/AddPhoto';
import { ContactSheet } from '../../ui/records/ContactSheet';
import { SeenLine } from '../../ui/records/SeenLine';

/** What was seen on this run: photos, failures, observations. */
export function Seen({ sheet, write }: { sheet: Schemas['RunSheet']; write: boolean }) {
  // What was marked again and again is counted at the clock.
  const counted = new Set(sheet.tallies.flatMap((t) => t.marks));
  return (
    <Part title="Seen">
      {sheet.failures.map((f) => (
        <p key={f.id} className="border-l-2 border-oxide pl-3">
          <strong className="text-oxide">{f.mode}</strong> {f.place === '' ? '' : `· ${f.place}`} ·{' '}
          {CONSEQUENCE[f.consequence]}
          {f.note !== '' && <span className="block text-sm">{f.note}</span>}
        </p>
      ))}
      {sheet.photos.length > 0 && (
        <div className="mt-3">
          <ContactSheet photos={sheet.photos} />
        </div>
      )}
      {sheet.observations
        .filter((o) => !counted.has(o.id))
        .map((o) => (
          <SeenLine key={o.id} seen={o} write={write} />
        ))}
      {write && (
        <div className="mt-3 space-y-3">
          <AddPhoto revision={sheet.revision.id} run={sheet.run.id} large />
          <NewObservation revision={sheet.revision.id} run={sheet.run.id} method={sheet.trial.method} />
        </div>
      )}
    </Part>
  );
}
