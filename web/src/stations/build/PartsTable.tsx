import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';
import { Table } from '../../ui/Table';
import type { Form } from './Build';

type Row = Schemas['PartRow'];

export function PartsTable({
  sheet,
  write,
  edit,
}: {
  sheet: Schemas['BuildSheet'];
  write: boolean;
  edit: (form: Form) => void;
}) {
  const open = ({ part }: Row) => edit({ kind: 'part', editing: { id: part.id, record: { ...part } } });
  return (
    <Table<Row>
      label="Parts and cost"
      rows={sheet.parts}
      keyOf={(r) => r.part.id}
      look={(r) => (r.mark === 'gone' ? 'text-soft line-through' : '')}
      columns={[
        { head: 'Part', cell: (r) => prose(r.part.name), look: (r) => (r.mark === 'same' ? '' : 'font-semibold') },
        { head: 'Material', cell: (r) => prose(r.part.material) },
        { head: 'Of it', right: true, cell: (r) => r.part.quantity },
        { head: `One, ${sheet.currency}`, right: true, cell: (r) => r.each },
        { head: `Sum, ${sheet.currency}`, right: true, cell: (r) => r.sum },
        {
          head: sheet.parent === null ? '' : `Against ${sheet.parent.letter}`,
          look: 'min-w-52 text-soft no-underline',
          cell: (r) => (r.mark === 'new' ? 'new' : r.differs),
        },
      ]}
      edit={write ? (r) => (r.mark === 'gone' ? null : { name: r.part.name, open: () => open(r) }) : undefined}
      foot={
        <tfoot>
          <tr className="border-t-2 border-ink font-semibold">
            <td className="cell pr-8" colSpan={4}>
              All parts
            </td>
            <td className="cell pr-8 text-right">{sheet.cost}</td>
            <td className="cell pr-8">{sheet.costAgainst}</td>
            {write && <td />}
          </tr>
        </tfoot>
      }
    />
  );
}
