import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Form } from './Build';

export function ParameterTable({
  rows,
  parent,
  write,
  edit,
}: {
  rows: Schemas['ParameterRow'][];
  parent: string | null;
  write: boolean;
  edit: (form: Form) => void;
}) {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Parameters">
      <table className="text-sm">
        <thead>
          <tr className="text-xs text-soft">
            <th className="cell pr-8 font-normal">Parameter</th>
            {parent !== null && <th className="cell pr-8 text-right font-normal">{parent}</th>}
            <th className="cell pr-8 text-right font-normal">This build</th>
            {parent !== null && <th className="cell pr-8 text-right font-normal">Difference</th>}
            {write && <th className="cell sr-only">Edit</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className={`border-t border-rule ${row.mark === 'same' ? '' : 'font-semibold'}`}>
              <td className="cell pr-8">{row.name}</td>
              {parent !== null && <td className="cell pr-8 text-right whitespace-nowrap">{row.parent?.text ?? '–'}</td>}
              <td className="cell pr-8 text-right whitespace-nowrap">{row.here?.measure.text ?? '–'}</td>
              {parent !== null && (
                <td className="cell pr-8 text-right whitespace-nowrap">
                  {row.mark === 'new' ? 'new' : row.mark === 'gone' ? 'gone' : (row.difference ?? '')}
                  {row.percent !== null && <span className="ml-2 text-soft">{row.percent}</span>}
                </td>
              )}
              {write && (
                <td className="py-0">
                  {row.here !== null && (
                    <Button
                      look="quiet"
                      aria-label={`Edit ${row.name}`}
                      onClick={() =>
                        edit({
                          kind: 'parameter',
                          editing: { id: row.here!.id, record: { ...row.here!, text: row.here!.measure.text } },
                        })
                      }
                    >
                      Edit
                    </Button>
                  )}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
