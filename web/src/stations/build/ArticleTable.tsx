import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ARTICLE_STATE } from '../../ui/words';
import type { Form } from './Build';

export function ArticleTable({
  rows,
  write,
  edit,
}: {
  rows: Schemas['ArticleRow'][];
  write: boolean;
  edit: (form: Form) => void;
}) {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Articles">
      <table className="text-sm">
        <thead>
          <tr className="text-xs text-soft">
            <th className="cell pr-8 font-normal">Serial</th>
            <th className="cell pr-8 font-normal">Has been through</th>
            <th className="cell pr-8 font-normal">Lots</th>
            <th className="cell pr-8 font-normal">Built otherwise</th>
            {write && <th className="cell sr-only">Edit</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.article.id} className="border-t border-rule">
              <td className="cell pr-8 font-semibold whitespace-nowrap">
                {row.article.serial}
                <span className="block text-xs font-normal text-soft">{ARTICLE_STATE[row.article.state]}</span>
              </td>
              <td className="cell pr-8 whitespace-nowrap">{row.past}</td>
              <td className="cell pr-8">{row.article.lots.join(', ')}</td>
              <td className="cell max-w-72 pr-8">
                {row.article.deviations || <span className="text-soft">as drawn</span>}
              </td>
              {write && (
                <td className="py-0">
                  <Button
                    look="quiet"
                    aria-label={`Edit ${row.article.serial}`}
                    onClick={() =>
                      edit({ kind: 'article', editing: { id: row.article.id, record: { ...row.article } } })
                    }
                  >
                    Edit
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
