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
  const here: Column<Row> = {
    head: 'This build',
    right: true,
    whole: true,
    cell: (r) => r.chosen || (r.here?.measure.text ?? '–'),
  };
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
      columns={[{ head: 'Parameter', cell: (r) => <Named row={r} /> }, ...beside]}
      edit={write ? ({ here }) => here && (() => edit(form(here))) : undefined}
    />
  );
}

/** What it is worked out from, and whose fit hangs on it, stand below its name. */
function Named({ row }: { row: Row }) {
  const more = [
    row.here?.formula && `= ${row.here.formula}`,
    row.here?.reliedOn && `${row.here.reliedOn} relies on it`,
  ];
  return (
    <>
      {row.name}
      {row.why !== '' && <span className="block text-xs font-normal text-soft">{row.why}</span>}
      {row.problem !== '' && <span className="block text-xs font-normal text-oxide">{row.problem}</span>}
      {more.some(Boolean) && (
        <span className="block text-xs font-normal text-soft">{more.filter(Boolean).join(' · ')}</span>
      )}
    </>
  );
}

function form(here: NonNullable<Row['here']>): Form {
  return {
    kind: 'parameter',
    editing: { id: here.id, record: { ...here, text: here.formula === '' ? here.measure.text : here.formulaUnit } },
  };
}

function Difference({ row }: { row: Row }) {
  return (
    <>
      {row.mark === 'new' || row.mark === 'gone' ? row.mark : (row.difference ?? '')}
      {row.percent !== null && <span className="ml-2 text-soft">{row.percent}</span>}
    </>
  );
}
