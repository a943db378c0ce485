import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';
import type { Opened } from '../../ui/RunsSlip';
import { Table, type Column } from '../../ui/Table';
import { Bearing } from './Bearing';
import { Footing } from './Footing';

/** A metric shown by whether runs hold: shares against each other, and the ladder of each build. */
export function OutcomeRow({
  outcome: o,
  write,
  open,
}: {
  outcome: Schemas['OutcomeRow'];
  write: boolean;
  open: (opened: Opened) => void;
}) {
  const sides = [...(o.other === null ? [] : [o.other]), o.here];
  return (
    <section className="grid gap-x-8 gap-y-2 py-5 lg:grid-cols-[1fr_minmax(0,35rem)]" aria-label={o.metric}>
      <div>
        <h3 className="stamp text-sm text-soft">{o.metric}</h3>
        <p className="mt-1 font-serif text-lg leading-snug">{prose(o.sentence)}</p>
        {o.together !== '' && <p className="mt-1 text-sm">{prose(o.together)}</p>}
        {o.difference !== null && (
          <p className="mt-2 text-sm">
            <span className="text-soft">Difference</span> {o.difference}
          </p>
        )}
        {o.footing !== null && (
          <div className="mt-2 text-sm">
            <Footing footing={o.footing} />
          </div>
        )}
        <Bearing bearing={o.bearing} metric={o.metric} write={write} />
        <p className="mt-2 flex flex-wrap gap-4 text-sm">
          {sides.map((s) => (
            <button
              key={s.letter}
              type="button"
              className="min-h-6 cursor-pointer text-blue underline"
              onClick={() =>
                open({
                  title: `${o.metric}: ${s.letter}`,
                  sentence: o.sentence,
                  how: '',
                  runs: { revision: s.build, metric: o.metricId },
                  explain: o.explain,
                })
              }
            >
              {s.letter}: {s.tried} {s.tried === 1 ? 'run' : 'runs'}
            </button>
          ))}
        </p>
      </div>
      {o.rungs.length > 0 && (
        <div className="self-start">
          <Table
            label={`${o.metric} by level`}
            rows={o.rungs}
            keyOf={(r) => r.level}
            columns={[
              { head: 'Level', names: true, cell: (r) => r.level },
              ...(o.other === null ? [] : [tried(`${o.other.letter}, held of tried`, (r) => [r.other, r.failedThere])]),
              tried(`${o.here.letter}, held of tried`, (r) => [r.here, r.failedHere]),
            ]}
          />
        </div>
      )}
    </section>
  );
}

type Rung = Schemas['OutcomeRow']['rungs'][number];

function tried(head: string, of: (rung: Rung) => [string | null, boolean]): Column<Rung> {
  return {
    head,
    look: (rung) => (of(rung)[1] ? 'text-oxide' : ''),
    cell: (rung) => of(rung)[0] ?? <span className="text-soft">not tried</span>,
  };
}
