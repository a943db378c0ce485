import type { Schemas } from '../../api/client';
import { withdrawRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { day } from '../../ui/time';
import { CAUSE_KIND, CAUSE_STANDING, CONSEQUENCE, STANDING } from '../../ui/words';
import type { FindForm } from './Find';

/** Where a named person may close it sooner than its holds ask. */
const OPEN: Schemas['Standing'][] = ['open', 'unplaced', 'fixUntried', 'holding', 'cameBack'];

/** What is settled is said in ink, what came back in the colour of failures, the rest as still to do. */
function colourOf(standing: Schemas['Standing']): string {
  if (standing === 'cameBack') return 'text-oxide';
  return ['closed', 'byHand', 'putRight'].includes(standing) ? '' : 'text-brass';
}

export function FailureList({
  rows,
  revision,
  write,
  edit,
}: {
  rows: Schemas['FailureRow'][];
  revision: string;
  write: boolean;
  edit: (form: FindForm) => void;
}) {
  const saving = useWrite();
  return (
    <>
      <Problem says={saving.problem} />
      <ul className="divide-y divide-rule">
        {rows.map((row) => {
          const f = row.failure;
          return (
            <li key={f.id} className="grid gap-x-8 gap-y-1 py-3 md:grid-cols-2">
              <div>
                <p>
                  <strong className="text-oxide">{f.mode}</strong> {f.place !== '' && <>· {f.place}</>}
                </p>
                <p className="text-sm text-soft">
                  {[row.level, CONSEQUENCE[f.consequence], f.stage, row.serial, row.runLabel, day(f.at), f.by]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
                {f.note !== '' && <p className="text-sm">{f.note}</p>}
                <p className="text-sm">
                  <span className={`font-semibold ${colourOf(row.standing)}`}>{STANDING[row.standing]}</span> ·{' '}
                  {row.sentence}
                </p>
                {row.outside.map((sentence) => (
                  <p key={sentence} className="text-sm text-soft">
                    {sentence}
                  </p>
                ))}
              </div>
              <div className="text-sm">
                {row.causes.map((c) => (
                  <p key={c.id}>
                    <span className={c.standing === 'ruledOut' ? 'text-soft line-through' : 'font-semibold'}>
                      {c.text}
                    </span>{' '}
                    <span className="text-soft">
                      · {CAUSE_STANDING[c.standing]}, {CAUSE_KIND[c.kind]}
                    </span>
                    {write && (
                      <Button
                        look="quiet"
                        aria-label={`Edit cause ${c.text}`}
                        onClick={() => edit({ kind: 'cause', editing: { id: c.id, record: { ...c } } })}
                      >
                        Edit
                      </Button>
                    )}
                    {c.findings !== '' && <span className="block text-xs text-soft">{c.findings}</span>}
                  </p>
                ))}
                {row.causes.length === 0 && <p className="text-brass">No suspected cause yet.</p>}
                {row.candidates.map((c) => (
                  <p key={c} className="text-soft">
                    Proposed: {c}
                  </p>
                ))}
                {write && (
                  <p className="flex flex-wrap gap-1">
                    <Button
                      look="quiet"
                      aria-label={`Suspect a cause of ${f.mode}`}
                      onClick={() =>
                        edit({
                          kind: 'cause',
                          editing: { id: uuid(), record: { failure: f.id, kind: 'setUp', standing: 'suspected' } },
                        })
                      }
                    >
                      Suspect a cause
                    </Button>
                    <Button
                      look="quiet"
                      aria-label={`Propose a change against ${f.mode}`}
                      onClick={() =>
                        edit({
                          kind: 'candidate',
                          editing: {
                            id: uuid(),
                            record: {
                              failures: [f.id],
                              class: 'shape',
                              source: 'failure',
                              effects: [],
                              alters: [],
                              revision,
                            },
                          },
                        })
                      }
                    >
                      Propose a change
                    </Button>
                    {row.closedByHand !== null ? (
                      <Button
                        look="quiet"
                        disabled={saving.busy}
                        aria-label={`Take back that ${f.mode} is closed`}
                        onClick={() =>
                          void saving.run(() =>
                            withdrawRecord('closings', row.closedByHand ?? '', 'It is not closed after all.'),
                          )
                        }
                      >
                        Not closed after all
                      </Button>
                    ) : (
                      OPEN.includes(row.standing) && (
                        <Button
                          look="quiet"
                          aria-label={`Close ${f.mode} in words`}
                          onClick={() => edit({ kind: 'closing', editing: { id: uuid(), record: { failure: f.id } } })}
                        >
                          Close it in words
                        </Button>
                      )
                    )}
                    <Button
                      look="quiet"
                      aria-label={`Edit failure ${f.mode}`}
                      onClick={() => edit({ kind: 'failure', editing: { id: f.id, record: { ...f } } })}
                    >
                      Edit
                    </Button>
                  </p>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </>
  );
}
