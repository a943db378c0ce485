import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Opened } from '../../ui/RunsSlip';
import { CHANGE_CLASS, VERDICT } from '../../ui/words';
import type { Form } from './Build';

/** Changes from the parent as what, why, expected, what came of it. */
export function ChangeTable({
  rows,
  build,
  parent,
  parentId,
  write,
  open,
  edit,
}: {
  rows: Schemas['ChangeRow'][];
  build: string;
  parent: string;
  parentId: string | null;
  write: boolean;
  open: (opened: Opened) => void;
  edit: (form: Form) => void;
}) {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={`Changes from ${parent}`}>
      <table className="w-full min-w-[46rem] text-sm">
        <thead>
          <tr className="text-xs text-soft">
            <th className="cell font-normal">What</th>
            <th className="cell font-normal">Why</th>
            <th className="cell font-normal">Expected</th>
            <th className="cell font-normal">What came of it</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const verdict = row.change.verdict ?? row.computed;
            return (
              <tr key={row.change.id} className="border-t border-rule">
                <td className="cell max-w-56 font-semibold">
                  {row.change.what}
                  <span className="block text-xs font-normal text-soft">{CHANGE_CLASS[row.change.class]}</span>
                </td>
                <td className="cell max-w-64">
                  {row.change.why}
                  {row.against !== null && <span className="block text-xs text-soft">against “{row.against}”</span>}
                </td>
                <td className="cell">{row.expected || <span className="text-soft">no number</span>}</td>
                <td className="cell">
                  <span
                    className={
                      verdict === 'worse'
                        ? 'font-semibold text-oxide'
                        : verdict === 'nobodyLooked'
                          ? 'font-semibold text-brass'
                          : 'font-semibold'
                    }
                  >
                    {VERDICT[verdict]}
                  </span>
                  {row.change.verdict !== null && row.change.verdict !== row.computed && row.seen !== null && (
                    <span className="text-xs text-soft"> (the runs say {VERDICT[row.computed]})</span>
                  )}
                  {row.runs > 0 ? (
                    <button
                      type="button"
                      className="block min-h-6 cursor-pointer text-left text-blue underline"
                      onClick={() =>
                        open({
                          title: row.change.what,
                          sentence: `${row.change.metric}: ${row.sentence}`,
                          how: `Difference of the means, this build less ${parent}, with its Welch interval. Runs that ended before the event are bounds and not in it.`,
                          runs: {
                            revision: build,
                            metric: row.metricId,
                            ...(parentId === null ? {} : { against: parentId }),
                          },
                        })
                      }
                    >
                      {row.sentence}
                    </button>
                  ) : (
                    <span className="block text-soft">{row.sentence}</span>
                  )}
                  {row.change.verdictNote !== '' && (
                    <span className="block text-xs text-soft">{row.change.verdictNote}</span>
                  )}
                  {write && (
                    <span className="flex gap-1">
                      <Button
                        look="quiet"
                        onClick={() =>
                          edit({ kind: 'verdict', editing: { id: row.change.id, record: { ...row.change } } })
                        }
                      >
                        Give verdict
                      </Button>
                      <Button
                        look="quiet"
                        onClick={() =>
                          edit({ kind: 'change', editing: { id: row.change.id, record: { ...row.change } } })
                        }
                        aria-label={`Edit ${row.change.what}`}
                      >
                        Edit
                      </Button>
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
