import type { Schemas } from '../../api/client';
import { Table, type Column } from '../../ui/Table';
import type { Form } from './Build';

type Row = Schemas['ParameterRow'];

export function ParameterTable({
  rows,
  parent,
  write,
  edit,
}: {
  rows: Row[];
  parent: string | null;
  write: boolean;
  edit: (form: Form) => void;
}) {
  const here: Column<Row> = { head: 'This build', right: true, whole: true, cell: (r) => r.here?.measure.text ?? '–' };
  const beside: Column<Row>[] =
    parent === null
      ? [here]
      : [
          { head: parent, right: true, whole: true, cell: (r) => r.parent?.text ?? '–' },
          here,
          { head: 'Difference', right: true, whole: true, cell: (r) => <Difference row={r} /> },
        ];
  return (
    <Table
      label="Parameters"
      rows={rows}
      keyOf={(r) => r.name}
      look={(r) => (r.mark === 'same' ? '' : 'font-semibold')}
      columns={[{ head: 'Parameter', cell: (r) => r.name }, ...beside]}
      edit={write ? ({ here }) => here && { name: here.name, open: () => edit(form(here)) } : undefined}
    />
  );
}

function form(here: NonNullable<Row['here']>): Form {
  return { kind: 'parameter', editing: { id: here.id, record: { ...here, text: here.measure.text } } };
}

function Difference({ row }: { row: Row }) {
  return (
    <>
      {row.mark === 'new' || row.mark === 'gone' ? row.mark : (row.difference ?? '')}
      {row.percent !== null && <span className="ml-2 text-soft">{row.percent}</span>}
    </>
  );
}
