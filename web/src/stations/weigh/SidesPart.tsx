import type { Schemas } from '../../api/client';
import { SidesPlot } from '../../figures/SidesPlot';
import { prose } from '../../ui/prose';
import { Table } from '../../ui/Table';
import { Bearing } from './Bearing';

/** Sides within one build: the sentence, the figure, and how often each was run. */
export function SidesPart({ row, write }: { row: Schemas['SidesRow']; write: boolean }) {
  // Without a figure the table is all there is to see.
  const isTable = row.sides.every((s) => s.effect === null);
  return (
    <section
      className="grid gap-x-8 gap-y-2 py-5 lg:grid-cols-[1fr_minmax(0,35rem)]"
      aria-label={`${row.metric} ${row.title}`}
    >
      <div className="min-w-0">
        <h3 className="stamp text-sm text-soft">
          {row.metric} {row.title}
        </h3>
        <p className="mt-1 font-serif text-lg leading-snug">{prose(row.sentence)}</p>
        {row.apart && <p className="mt-1 text-sm text-soft">Some sides have no run alike with the others.</p>}
        <Bearing bearing={row.bearing} metric={row.metric} write={write} />
        <details className="mt-2 text-sm" open={isTable}>
          <summary className="min-h-6 cursor-pointer text-blue underline">
            All {row.sides.length} with their runs
          </summary>
          <Table
            label={`${row.metric} ${row.title}`}
            rows={row.sides}
            keyOf={(s) => s.side}
            columns={[
              { head: 'Side', names: true, cell: (s) => s.side },
              { head: isTable ? 'Came to' : 'Against the mean', cell: (s) => s.text },
              { head: 'Runs', cell: (s) => s.n },
              { head: 'Group', cell: (s) => s.groups },
            ]}
          />
        </details>
      </div>
      <SidesPlot row={row} />
    </section>
  );
}
