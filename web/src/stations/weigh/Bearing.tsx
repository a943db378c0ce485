import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord, withdrawRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { prose } from '../../ui/prose';

/** What differs and bears on a metric, of which one touch says that it does not; and what was said so, which can be taken back. */
export function Bearing({
  bearing,
  metric,
  write: mayWrite,
}: {
  bearing: Schemas['BearingView'];
  metric: string;
  write: boolean;
}) {
  const write = useWrite();
  // Pressed again after an answer that was lost, it is the same one.
  const [ids] = useState(() => new Map<string, string>());
  const idOf = (what: string) => {
    const id = ids.get(what) ?? uuid();
    ids.set(what, id);
    return id;
  };
  if (bearing.said.length === 0 && (bearing.bear.length === 0 || !mayWrite)) return null;
  return (
    <div className="mt-2 text-sm">
      {bearing.said.length > 0 && (
        <ul>
          {bearing.said.map((s) => (
            <li key={s.id}>
              {prose(s.sentence)}{' '}
              {mayWrite && (
                <Button
                  look="quiet"
                  disabled={write.busy}
                  onClick={() => void write.run(() => withdrawRecord('unrelated', s.id, 'It bears on it after all.'))}
                >
                  Take that back
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {mayWrite && bearing.bear.length > 0 && (
        <details>
          <summary className="min-h-6 cursor-pointer text-blue underline">
            {bearing.bear.length === 1 ? 'One difference bears' : `${bearing.bear.length} differences bear`} on it until
            somebody says otherwise
          </summary>
          <ul>
            {bearing.bear.map((b) => (
              <li key={b.what} className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule">
                <span>{b.name}</span>
                <Button
                  look="quiet"
                  disabled={write.busy}
                  aria-label={b.touch}
                  onClick={() =>
                    void write.run(() =>
                      putRecord('unrelated', idOf(b.what), { revision: b.revision, metric, difference: b.what }),
                    )
                  }
                >
                  Bears on nothing of it
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Problem says={write.problem} />
    </div>
  );
}
