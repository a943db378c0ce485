import type { Schemas } from '../api/client';
import { useFrame } from '../ui/place';
import { RecordPart } from '../ui/RecordPart';

/** The workshop's own sums: a formula with its units, used like the others. */
export function OwnSums({ sheet }: { sheet: Schemas['WorkingsSheet'] }) {
  const { write } = useFrame();
  return (
    <RecordPart
      title="The workshop’s own"
      aside="of the workspace"
      empty="A sum that you do again and again, typed once as a formula with its units: its answers then have their uncertainty, are drawn and solved, and can be kept like the others."
      add="Add a sum of your own"
      kind="sums"
      owner={sheet.workspace}
      rows={sheet.own}
      recordOf={(r) => r}
      columns={[
        { head: 'Sum', look: 'font-semibold', cell: (r) => r.name },
        { head: 'Formula', cell: (r) => `${r.formula}${r.unit === '' ? '' : `, in ${r.unit}`}` },
        {
          head: 'Of',
          look: 'text-sm text-soft',
          cell: (r) =>
            r.variables
              .map((v) => `${v.name}${v.words === '' ? '' : ` ${v.words}`}${v.unit === '' ? '' : ` (${v.unit})`}`)
              .join('; '),
        },
      ]}
      fields={[
        { name: 'name', label: 'What does it work out?' },
        { name: 'formula', label: 'Formula', hint: 'pi*d^2/4*h*rho, or sqrt(2*g*h): with * for every product' },
        { name: 'unit', label: 'Unit of the answer', half: true, hint: 'Empty for a plain number.' },
        {
          name: 'variables',
          label: 'What goes in',
          kind: 'rows',
          add: 'Another value',
          empty: { name: '', words: '', unit: '' },
          fields: [
            { name: 'name', label: 'In the formula', half: true },
            { name: 'unit', label: 'Unit', half: true },
            { name: 'words', label: 'What is it?' },
          ],
        },
        { name: 'note', label: 'What does it leave out?' },
      ]}
      blank={{ variables: [{ name: '', words: '', unit: '' }] }}
      body={() => ({ workspace: sheet.workspace })}
      write={write}
    />
  );
}
