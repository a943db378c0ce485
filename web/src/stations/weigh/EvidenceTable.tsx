import type { Schemas } from '../../api/client';
import type { Opened } from '../../ui/RunsSlip';
import { useNarrow } from '../../ui/useNarrow';
import { Texture, TEXTURE_WORDS } from '../../ui/Texture';
import { KIND } from '../../ui/words';

/** Requirements × builds, each cell in its texture with the number that it stands on. */
export function EvidenceTable({ sheet, open }: { sheet: Schemas['WeighSheet']; open: (opened: Opened) => void }) {
  const narrow = useNarrow();
  // On a phone the build that is looked at comes first, then back in time; on a desk time runs to the right.
  const revisions = narrow
    ? [sheet.revision, ...sheet.revisions.filter((r) => r.id !== sheet.revision.id).reverse()]
    : sheet.revisions;
  const cells = new Map(sheet.cells.map((c) => [`${c.requirement}/${c.revision}`, c]));
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Evidence, requirements by builds">
      <table className="w-full min-w-[44rem] text-sm">
        <thead>
          <tr>
            <th className="cell font-normal text-soft">Requirement</th>
            <th className="cell text-right font-normal text-soft">Limit</th>
            {revisions.map((r) => (
              <th
                key={r.id}
                className={`cell w-20 pr-1 pl-1 text-center ${r.id === sheet.revision.id ? 'bg-wash' : ''}`}
              >
                <span className="stamp text-base">{r.letter}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.requirements.map((r) => (
            <tr key={r.id} className="border-t border-rule">
              <th scope="row" className="cell font-normal">
                {r.statement}
                <span className="block text-xs text-soft">
                  {r.metric} · {KIND[r.kind]}
                  {r.must ? '' : ' · should'}
                </span>
              </th>
              <td className="cell text-right whitespace-nowrap">{r.limitText}</td>
              {revisions.map((v) => {
                const cell = cells.get(`${r.id}/${v.id}`);
                return (
                  <td
                    key={v.id}
                    className={`p-0 text-center align-middle ${v.id === sheet.revision.id ? 'bg-wash' : ''}`}
                  >
                    {cell !== undefined && (
                      <button
                        type="button"
                        className="flex min-h-11 w-full cursor-pointer flex-col items-center justify-center hover:bg-wash"
                        aria-label={`${v.letter}, ${r.metric}: ${TEXTURE_WORDS[cell.texture]}. ${cell.sentence}`}
                        title={cell.sentence}
                        onClick={() =>
                          open({
                            title: `${r.statement}: ${v.letter}`,
                            sentence: cell.sentence,
                            how: cell.how,
                            runs: { revision: cell.source, metric: r.metricId },
                            explain: cell.explain,
                          })
                        }
                      >
                        <Texture name={cell.texture} width={34} height={14} />
                        <span className="text-xs leading-tight text-soft">{cell.number ?? '\u00a0'}</span>
                      </button>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
