import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';
import { Table } from '../../ui/Table';
import type { Form } from './Build';

const NOT_STAYING: Partial<Record<Schemas['PartStanding'], string>> = {
  forNow: 'for now',
  forTrying: 'only for trying',
};

/** What it is a build of, whether it stays, and whose fit hangs on it stand below its name. */
function Named({ part }: { part: Schemas['PartView'] }) {
  const more = [
    part.moduleName && `module ${part.moduleName}`,
    NOT_STAYING[part.standing],
    part.reliedOn && `${part.reliedOn} relies on it`,
  ];
  return (
    <>
      {prose(part.name)}
      {more.some(Boolean) && (
        <span className="block text-xs font-normal text-soft">{more.filter(Boolean).join(' · ')}</span>
      )}
    </>
  );
}

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
        { head: 'Part', cell: (r) => <Named part={r.part} />, look: (r) => (r.mark === 'same' ? '' : 'font-semibold') },
        { head: 'Material', cell: (r) => prose(r.part.material) },
        { head: 'Mass, g', right: true, cell: (r) => r.part.mass ?? '–' },
        { head: 'Of it', right: true, cell: (r) => r.part.quantity },
        { head: `One, ${sheet.currency}`, right: true, cell: (r) => r.each },
        { head: `Sum, ${sheet.currency}`, right: true, cell: (r) => r.sum },
        {
          head: sheet.parent === null ? '' : `Against ${sheet.parent.letter}`,
          look: 'min-w-52 text-soft no-underline',
          cell: (r) => (r.mark === 'new' ? 'new' : r.differs),
        },
      ]}
      edit={write ? (r) => (r.mark === 'gone' ? null : () => open(r)) : undefined}
      foot={
        <tfoot>
          <tr className="border-t-2 border-ink font-semibold">
            <td className="cell pr-8" colSpan={5}>
              All parts that stay
            </td>
            <td className="cell pr-8 text-right">{sheet.cost}</td>
            <td className="cell pr-8">{sheet.costAgainst}</td>
          </tr>
        </tfoot>
      }
    />
  );
}
