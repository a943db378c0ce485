import type { Schemas } from '../../api/client';
import { IntervalPlot } from '../../figures/IntervalPlot';
import { LevelPlot } from '../../figures/LevelPlot';
import { prose } from '../../ui/prose';
import type { Opened } from '../../ui/RunsSlip';
import { Bearing } from './Bearing';
import { Footing } from './Footing';
import { Table } from '../../ui/Table';

/** A mean of one level with what it stands on: articles, where each of them counts once. */
const counted = (mean: string, n: number, per: Schemas['Per'] | null) => (
  <>
    <span className="whitespace-nowrap">{mean}</span>
    <span className="block text-xs text-soft">
      {n} {per === 'article' ? 'article' : 'run'}
      {n === 1 ? '' : 's'}
    </span>
  </>
);

/** One metric on two builds: the sentence, the figure, and what the comparison stands on. */
export function Comparison({
  comparison: c,
  build,
  against,
  here,
  other,
  requirement,
  write,
  open,
}: {
  comparison: Schemas['ComparisonRow'];
  build: string;
  against: string;
  here: string;
  other: string;
  requirement: Schemas['RequirementView'] | undefined;
  write: boolean;
  open: (opened: Opened) => void;
}) {
  const limit =
    requirement === undefined || requirement.unit !== c.unit
      ? null
      : { value: requirement.limit, direction: requirement.direction };
  return (
    <section className="grid gap-x-8 gap-y-2 py-5 lg:grid-cols-[1fr_minmax(0,35rem)]" aria-label={c.metric}>
      <div className="min-w-0">
        <h3 className="stamp text-sm text-soft">
          {c.metric}{' '}
          {c.judged !== '' && <span className={c.judged === 'worse' ? 'text-oxide' : 'text-ink'}>· {c.judged}</span>}
        </h3>
        <p className="mt-1 font-serif text-lg leading-snug">{prose(c.sentence)}</p>
        {c.together !== '' && <p className="mt-1 text-sm">{prose(c.together)}</p>}
        {(c.difference !== null || (c.words.length > 0 && c.footing !== null)) && (
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 text-sm">
            {c.difference !== null && (
              <>
                <dt className="text-soft">Difference</dt>
                <dd>{c.difference.text}</dd>
                <dt className="text-soft">In per cent</dt>
                <dd>{c.change?.text ?? 'none: the other side lies too near nought, or some runs are bounds'}</dd>
              </>
            )}
            {c.footing !== null && (
              <>
                <dt className="text-soft">Footing</dt>
                <dd>
                  <Footing footing={c.footing} />
                </dd>
              </>
            )}
          </dl>
        )}
        {c.cells.length > 0 && (
          <div className="mt-3">
            <Table
              label={`${c.metric} level by level`}
              rows={c.cells}
              keyOf={(r) => r.cell}
              columns={[
                { head: 'Level', names: true, whole: true, cell: (r) => r.cell },
                { head: other, cell: (r) => counted(r.other, r.otherN, r.per) },
                { head: here, cell: (r) => counted(r.here, r.n, r.per) },
                // Words have none.
                ...(c.words.length > 0
                  ? []
                  : [
                      {
                        head: 'Difference',
                        look: (r: Schemas['CellRow']) => (r.opposed ? 'text-oxide' : ''),
                        cell: (r: Schemas['CellRow']) => r.difference,
                      },
                    ]),
              ]}
            />
          </div>
        )}
        {c.pairs.length > 0 && (
          <details className="mt-2 text-sm">
            <summary className="min-h-6 cursor-pointer text-blue underline">
              {c.allPairs > c.pairs.length ? `${c.pairs.length} of ${c.allPairs} pairs` : `All ${c.pairs.length} pairs`}
            </summary>
            <Table
              label={`${c.metric} pair by pair`}
              rows={c.pairs}
              keyOf={(r) => r.pair}
              columns={[
                { head: 'Pair', names: true, whole: true, cell: (r) => r.pair },
                { head: other, whole: true, cell: (r) => r.other },
                { head: here, whole: true, cell: (r) => r.here },
                { head: 'Difference', whole: true, cell: (r) => r.difference },
                { head: 'In per cent', cell: (r) => r.percent },
              ]}
            />
          </details>
        )}
        {c.alone.map((a) => (
          <p key={a} className="mt-1 text-sm text-soft">
            {a}
          </p>
        ))}
        <Bearing bearing={c.bearing} metric={c.metric} write={write} />
        {c.further.length > 0 && (
          <ul className="mt-2 text-sm">
            {c.further.map((f) => (
              <li key={f.sentence}>
                <button
                  type="button"
                  className="min-h-6 cursor-pointer text-left underline decoration-rule underline-offset-2 hover:text-blue"
                  onClick={() =>
                    open({
                      title: c.metric,
                      sentence: f.sentence,
                      how: '',
                      runs: { revision: build, metric: c.metricId, against },
                      explain: f.explain,
                    })
                  }
                >
                  {prose(f.sentence)}
                </button>
              </li>
            ))}
          </ul>
        )}
        <p className="mt-2 flex flex-wrap gap-4 text-sm">
          <button
            type="button"
            className="min-h-6 cursor-pointer text-blue underline"
            onClick={() =>
              open({
                title: `${c.metric}: ${here}`,
                sentence: c.sentence,
                how: c.how,
                runs: { revision: build, metric: c.metricId },
                explain: 'stats.compare',
              })
            }
          >
            {c.hereText}
          </button>
          {c.otherText !== null && (
            <button
              type="button"
              className="min-h-6 cursor-pointer text-blue underline"
              onClick={() =>
                open({
                  title: `${c.metric}: ${other}`,
                  sentence: c.sentence,
                  how: 'The other side of the comparison.',
                  runs: { revision: against, metric: c.metricId },
                })
              }
            >
              {c.otherText}
            </button>
          )}
        </p>
      </div>
      {c.here === null && c.cells.length > 1 ? (
        <LevelPlot row={c} here={here} other={other} limit={limit?.value ?? null} />
      ) : (
        <IntervalPlot
          natural={{ least: c.least, most: c.most }}
          words={c.words}
          metric={c.metric}
          unit={c.unit}
          sides={[
            ...(c.otherText === null
              ? []
              : [{ letter: other, estimate: c.other, values: c.otherValues, strong: false }]),
            { letter: here, estimate: c.here, values: c.values, strong: true },
          ]}
          limit={limit}
        />
      )}
    </section>
  );
}
