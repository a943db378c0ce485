import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Form } from './Build';

export function PartsTable({
  sheet,
  write,
  edit,
}: {
  sheet: Schemas['BuildSheet'];
  write: boolean;
  edit: (form: Form) => void;
}) {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Parts and cost">
      <table className="text-sm">
        <thead>
          <tr className="text-xs text-soft">
            <th className="cell pr-8 font-normal">Part</th>
            <th className="cell pr-8 font-normal">Material</th>
            <th className="cell pr-8 text-right font-normal">Of it</th>
            <th className="cell pr-8 text-right font-normal">One, {sheet.currency}</th>
            <th className="cell pr-8 text-right font-normal">Sum, {sheet.currency}</th>
            <th className="cell pr-8 font-normal">{sheet.parent === null ? '' : `Against ${sheet.parent.letter}`}</th>
            {write && <th className="cell sr-only">Edit</th>}
          </tr>
        </thead>
        <tbody>
          {sheet.parts.map((row) => (
            <tr
              key={row.part.id}
              className={`border-t border-rule ${row.mark === 'gone' ? 'text-soft line-through' : ''}`}
            >
              <td className={`cell pr-8 ${row.mark === 'same' ? '' : 'font-semibold'}`}>{row.part.name}</td>
              <td className="cell pr-8">{row.part.material}</td>
              <td className="cell pr-8 text-right">{row.part.quantity}</td>
              <td className="cell pr-8 text-right">{row.each}</td>
              <td className="cell pr-8 text-right">{row.sum}</td>
              <td className="cell pr-8 text-soft no-underline">{row.mark === 'new' ? 'new' : row.differs}</td>
              {write && (
                <td className="py-0">
                  {row.mark !== 'gone' && (
                    <Button
                      look="quiet"
                      aria-label={`Edit ${row.part.name}`}
                      onClick={() => edit({ kind: 'part', editing: { id: row.part.id, record: { ...row.part } } })}
                    >
                      Edit
                    </Button>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-ink font-semibold">
            <td className="cell pr-8" colSpan={4}>
              All parts
            </td>
            <td className="cell pr-8 text-right">{sheet.cost}</td>
            <td className="cell pr-8">
              {sheet.costDifference !== null &&
                `${Number(sheet.costDifference) >= 0 ? '+' : '−'}${sheet.costDifference.replace('-', '')} against ${sheet.parentCost ?? ''}`}
            </td>
            {write && <td />}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
