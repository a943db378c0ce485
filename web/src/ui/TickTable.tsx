import { Table, type Column } from './Table';

/** Rows of which some may be left out before all of them are changed together. */
export function TickTable<Row extends { id: string }>({
  label,
  rows,
  without,
  setWithout,
  names,
  columns,
}: {
  label: string;
  rows: Row[];
  /** Identifiers of rows that are left out. */
  without: string[];
  setWithout: (ids: string[]) => void;
  /** What a row is called where only its box is heard. */
  names: (row: Row) => string;
  columns: Column<Row>[];
}) {
  return (
    <Table
      label={label}
      rows={rows}
      keyOf={(r) => r.id}
      columns={[
        {
          head: '',
          cell: (r) => (
            <input
              type="checkbox"
              className="size-6 accent-blue"
              aria-label={names(r)}
              checked={!without.includes(r.id)}
              onChange={(e) => setWithout(e.target.checked ? without.filter((w) => w !== r.id) : [...without, r.id])}
            />
          ),
        },
        ...columns,
      ]}
    />
  );
}
