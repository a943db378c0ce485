import type { Schemas } from '../api/client';
import { useFrame } from '../ui/place';
import { RecordPart } from '../ui/RecordPart';

/** The team's instruments: what each shows, how finely and how fast, and whether its check is due. */
export function Instruments({ sheet }: { sheet: Schemas['MethodsSheet'] }) {
  const { write } = useFrame();
  return (
    <RecordPart
      title="Instruments"
      aside="of the workspace"
      empty="With its step, lag and rate written down once, every method says by itself whether an instrument can see what it is read for."
      add="Add an instrument"
      kind="instruments"
      owner={sheet.workspace}
      rows={sheet.instruments}
      recordOf={(r) => r.instrument}
      columns={[
        { head: 'Instrument', look: 'font-semibold', cell: (r) => r.instrument.name },
        {
          head: 'What it is',
          cell: (r) => (
            <>
              {r.is}
              {r.instrument.note !== '' && <span className="block text-sm text-soft">{r.instrument.note}</span>}
            </>
          ),
        },
        {
          head: 'Checked',
          cell: (r) => <span className={r.isDue ? 'font-semibold text-brass' : 'text-soft'}>{r.checked}</span>,
        },
        {
          head: 'Read by',
          look: 'text-sm text-soft',
          cell: (r) => (r.readBy.length === 0 ? 'no method' : r.readBy.join('; ')),
        },
      ]}
      fields={[
        {
          name: 'name',
          label: 'What do you call it?',
          hint: 'As methods name it. Methods written before still mean it.',
        },
        { name: 'unit', label: 'Unit that it shows', half: true },
        { name: 'leftIn', label: 'Left showing', half: true, hint: 'The unit that its button was left in.' },
        { name: 'resolution', label: 'Its smallest step', kind: 'number', half: true },
        { name: 'rate', label: 'Reads how often?', half: true, hint: '50 Hz: readings a second' },
        {
          name: 'lag',
          label: 'Its lag (time constant)',
          half: true,
          hint: '20 ms. It shows 63 % of a step after that.',
        },
        { name: 'power', label: 'Runs on', half: true, hint: 'two AA cells, mains' },
        { name: 'low', label: 'From', kind: 'number', half: true },
        { name: 'high', label: 'To', kind: 'number', half: true },
        { name: 'checkedOn', label: 'Last checked on', half: true, hint: '2026-11-26' },
        { name: 'checkMonths', label: 'A check holds … months', kind: 'number', half: true },
        { name: 'checkedBy', label: 'Checked by', half: true, people: true },
        { name: 'note', label: 'Note' },
      ]}
      blank={{}}
      body={() => ({ workspace: sheet.workspace })}
      write={write}
    />
  );
}
