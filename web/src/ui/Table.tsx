import type { Key, ReactNode } from 'react';

import { Sideways } from './Sideways';

export type Column<T> = {
  /** What stands above; empty where the column speaks for itself. */
  head: ReactNode;
  /** Tells it from others of the same head. */
  key?: Key;
  cell: (row: T) => ReactNode;
  /** It names the row. */
  names?: boolean;
  /** It opens the row; the first one does where none is said to. */
  opens?: boolean;
  right?: boolean;
  /** Its cells are wholly filled by what they hold. */
  bare?: boolean;
  headLook?: string;
  /** Never broken into two lines. */
  whole?: boolean;
  look?: string | ((row: T) => string);
};

/** Its parts lose their layout, and by their roles keep what they are. */
const STACKED =
  'max-sm:block max-sm:[&_tbody]:block max-sm:[&_tr]:block max-sm:[&_tr]:py-2 max-sm:[&_td]:block max-sm:[&_td]:py-0.5 max-sm:[&_td]:pr-0 max-sm:[&_td]:text-left max-sm:[&_td:empty]:hidden';

/**
 * The one table: a region that scrolls sideways by itself and says so, heads above, rules between; a row is opened by its first cell.
 */
export function Table<T>({
  label,
  columns,
  rows,
  keyOf,
  look,
  foot,
  edit,
  wide = false,
  least = '',
  headless = false,
  stacks = false,
}: {
  label: string;
  columns: Column<T>[];
  rows: T[];
  keyOf: (row: T) => Key;
  look?: (row: T) => string;
  foot?: ReactNode;
  /** What opening a row does; null where it cannot be. Its first cell opens it. */
  edit?: ((row: T) => (() => void) | null) | undefined;
  wide?: boolean;
  /** Narrower than this it scrolls rather than breaks. */
  least?: '' | 'min-w-[40rem]' | 'min-w-[44rem]' | 'min-w-[46rem]';
  /** The heads are only read out: to the eye the rows speak for themselves. */
  headless?: boolean;
  /** On a phone its cells stand below each other: for rows that are read as sentences. */
  stacks?: boolean;
}) {
  const opener = Math.max(
    0,
    columns.findIndex((column) => column.opens),
  );
  const pad = wide ? 'cell' : 'cell pr-8';
  return (
    <Sideways label={label}>
      <table
        role={stacks ? 'table' : undefined}
        className={`text-sm ${wide ? 'w-full' : ''} ${least} ${stacks ? STACKED : ''}`}
      >
        <thead className={headless ? 'sr-only' : stacks ? 'max-sm:sr-only' : ''}>
          <tr className="text-xs text-soft [&>th]:align-baseline">
            {columns.map((column, i) => (
              <th
                key={column.key ?? i}
                scope="col"
                className={`${pad} font-normal whitespace-nowrap ${column.right ? 'text-right' : ''} ${column.headLook ?? ''}`}
              >
                {column.head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={keyOf(row)}
              role={stacks ? 'row' : undefined}
              className={`border-t border-rule ${look?.(row) ?? ''}`}
            >
              {columns.map((column, i) => (
                <Cell
                  key={column.key ?? i}
                  column={column}
                  row={row}
                  pad={pad}
                  open={i === opener ? edit?.(row) : null}
                />
              ))}
            </tr>
          ))}
        </tbody>
        {foot}
      </table>
    </Sideways>
  );
}

function Cell<T>({
  column,
  row,
  pad,
  open,
}: {
  column: Column<T>;
  row: T;
  pad: string;
  open: (() => void) | null | undefined;
}) {
  const look = [
    column.bare ? 'p-0' : pad,
    column.right ? 'text-right' : '',
    column.whole ? 'whitespace-nowrap' : '',
    typeof column.look === 'function' ? column.look(row) : (column.look ?? ''),
  ].join(' ');
  const content = open ? <Opener open={open}>{column.cell(row)}</Opener> : column.cell(row);
  if (column.names)
    return (
      <th scope="row" className={`${look} font-normal`}>
        {content}
      </th>
    );
  return <td className={look}>{content}</td>;
}

/** A table is read: a row is opened by what it is called, and has no button of its own. */
function Opener({ open, children }: { open: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      className="min-h-6 cursor-pointer text-left decoration-dotted underline-offset-4 first-line:underline hover:underline"
      onClick={open}
    >
      <span className="sr-only">Edit </span>
      {children}
    </button>
  );
}
