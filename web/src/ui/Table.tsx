import type { Key, ReactNode } from 'react';

import { Button } from './Button';

export type Column<T> = {
  /** What stands above; empty where the column speaks for itself. */
  head: string;
  cell: (row: T) => ReactNode;
  right?: boolean;
  /** Never broken into two lines. */
  whole?: boolean;
  look?: string | ((row: T) => string);
};

/** The one table: a region that scrolls sideways by itself, heads above, rules between, and at the end of a row its edit. */
export function Table<T>({
  label,
  columns,
  rows,
  keyOf,
  look,
  foot,
  edit,
  wide = false,
}: {
  label: string;
  columns: Column<T>[];
  rows: T[];
  keyOf: (row: T) => Key;
  look?: (row: T) => string;
  foot?: ReactNode;
  /** What editing a row does; null where it cannot be. Without it there is no such column. */
  edit?: ((row: T) => { name: string; open: () => void } | null) | undefined;
  wide?: boolean;
}) {
  const pad = wide ? 'cell' : 'cell pr-8';
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className={`text-sm ${wide ? 'w-full' : ''}`}>
        <thead>
          <tr className="text-xs text-soft">
            {columns.map((column, i) => (
              <th
                key={i}
                scope="col"
                className={`${pad} font-normal whitespace-nowrap ${column.right ? 'text-right' : ''}`}
              >
                {column.head}
              </th>
            ))}
            {edit !== undefined && (
              <th scope="col" className="cell">
                <span className="sr-only">Edit</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={keyOf(row)} className={`border-t border-rule ${look?.(row) ?? ''}`}>
              {columns.map((column, i) => (
                <td
                  key={i}
                  className={`${pad} ${column.right ? 'text-right' : ''} ${column.whole ? 'whitespace-nowrap' : ''} ${typeof column.look === 'function' ? column.look(row) : (column.look ?? '')}`}
                >
                  {column.cell(row)}
                </td>
              ))}
              {edit !== undefined && <EditCell row={row} edit={edit} />}
            </tr>
          ))}
        </tbody>
        {foot}
      </table>
    </div>
  );
}

function EditCell<T>({ row, edit }: { row: T; edit: (row: T) => { name: string; open: () => void } | null }) {
  const editing = edit(row);
  return (
    <td className="py-0">
      {editing !== null && (
        <Button look="quiet" aria-label={`Edit ${editing.name}`} onClick={editing.open}>
          Edit
        </Button>
      )}
    </td>
  );
}
