import { scaleTime } from '@visx/scale';

import type { Schemas } from '../api/client';
import { Sideways } from '../ui/Sideways';
import { dayAndHour } from '../ui/time';
import { Axis } from './Axis';

const WIDTH = 960;
const LEFT = 226;
const ROW = 30;

/** Trials as strips along time, each run a mark: what it came to is told by its shape. */
export function TrialStrips({ rows }: { rows: Schemas['TrialRow'][] }) {
  const timed = rows.filter((r) => r.from !== null).sort((a, b) => (a.from! < b.from! ? -1 : 1));
  if (timed.length === 0) return null;
  const times = timed.flatMap((r) => r.runs.map((run) => +new Date(run.startedAt)));
  const pad = Math.max(43_200_000, (Math.max(...times) - Math.min(...times)) * 0.03);
  const x = scaleTime({ domain: [Math.min(...times) - pad, Math.max(...times) + pad], range: [LEFT, WIDTH - 14] });
  const height = timed.length * ROW + 34;
  return (
    <figure>
      <Sideways label="Trials along time">
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          className="w-full min-w-[40rem]"
          role="img"
          aria-label={`${timed.length} trials along time; the table below holds the same`}
        >
          <Axis
            from={LEFT}
            to={WIDTH - 14}
            y={height - 26}
            top={4}
            ticks={x.ticks(6).map((t) => ({ at: x(t), label: dayAndHour(t, x.ticks(6)) }))}
          />
          {timed.map((row, i) => {
            const y = i * ROW + 20;
            const spread = spreadOut(row.runs.map((r) => x(new Date(r.startedAt))));
            return (
              <g key={row.trial.id}>
                <text x={LEFT - 10} y={y + 4} textAnchor="end" fontSize="14" fill="var(--color-ink)">
                  {row.trial.name.length > 28 ? `${row.trial.name.slice(0, 27)}…` : row.trial.name}
                </text>
                <line
                  x1={Math.min(...spread) - 5}
                  x2={Math.max(...spread) + 5}
                  y1={y + 8}
                  y2={y + 8}
                  stroke="var(--color-ink)"
                  strokeWidth="0.8"
                />
                {row.runs.map((run, k) => (
                  <RunMark key={run.id} x={spread[k]!} y={y} outcome={run.outcome} />
                ))}
              </g>
            );
          })}
        </svg>
      </Sideways>
      <figcaption className="flex flex-wrap gap-x-5 text-xs text-soft">
        {(['held', 'failed', 'stoppedEarly', 'lost', 'void', null] as const).map((o) => (
          <span key={String(o)} className="flex items-center gap-1">
            <svg width="14" height="16" viewBox="0 0 14 16" aria-hidden="true">
              <RunMark x={7} y={7} outcome={o} />
            </svg>
            {o === null
              ? 'not finished'
              : {
                  held: 'held',
                  failed: 'failed',
                  stoppedEarly: 'stopped early',
                  lost: 'lost in handling',
                  void: 'void',
                }[o]}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

/** Runs of one morning would lie on top of each other: they keep their order and get five units each. */
function spreadOut(xs: number[]): number[] {
  let last = -Infinity;
  return xs.map((x) => {
    last = Math.max(x, last + 6);
    return Math.min(last, WIDTH - 8);
  });
}

function RunMark({ x, y, outcome }: { x: number; y: number; outcome: Schemas['RunOutcome'] | null }) {
  const ink = 'var(--color-ink)';
  switch (outcome) {
    case 'held':
      return <line x1={x} x2={x} y1={y - 6} y2={y + 6} stroke={ink} strokeWidth="2.6" />;
    case 'failed':
      return (
        <path
          d={`M${x - 4} ${y - 5} L${x + 4} ${y + 5} M${x + 4} ${y - 5} L${x - 4} ${y + 5}`}
          stroke="var(--color-oxide)"
          strokeWidth="2.4"
        />
      );
    case 'stoppedEarly':
      return (
        <path
          d={`M${x} ${y + 6} V${y - 5} M${x - 3.5} ${y - 1} L${x} ${y - 6} L${x + 3.5} ${y - 1}`}
          fill="none"
          stroke={ink}
          strokeWidth="1.6"
        />
      );
    case 'lost':
      return <circle cx={x} cy={y} r="4" fill="none" stroke={ink} strokeWidth="1.4" />;
    case 'void':
      return <line x1={x - 4} x2={x + 4} y1={y} y2={y} stroke="var(--color-soft)" strokeWidth="1.6" />;
    default:
      return (
        <line x1={x} x2={x} y1={y - 6} y2={y + 6} stroke="var(--color-brass)" strokeWidth="2.2" strokeDasharray="2 2" />
      );
  }
}
