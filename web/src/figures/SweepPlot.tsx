import { scaleLinear } from '@visx/scale';

import { Axis, marks } from './Axis';

const WIDTH = 420;
const HEIGHT = 220;
const LEFT = 64;
const RIGHT = WIDTH - 16;
const BOTTOM = HEIGHT - 44;

/** An answer over one of its inputs: where it stands, and where it crosses what is wanted. */
export function SweepPlot({
  points,
  stands,
  limit,
  axis,
  answer,
}: {
  points: number[][];
  stands: number | null;
  /** What is wanted, in the unit of the answer. */
  limit: number | null;
  /** The input with its unit. */
  axis: string;
  /** The answer with its unit. */
  answer: string;
}) {
  const [xs, ys] = [points.map((p) => p[0] ?? 0), points.map((p) => p[1] ?? 0)];
  const x = scaleLinear({ domain: [Math.min(...xs), Math.max(...xs)], range: [LEFT, RIGHT] });
  const all = limit === null ? ys : [...ys, limit];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const y = scaleLinear({
    domain: low === high ? [low - 1, high + 1] : [low, high],
    range: [BOTTOM - 6, 12],
    nice: true,
  });
  const crossings = limit === null ? [] : crossed(points, limit);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-lg"
      role="img"
      aria-label={`${answer} over ${axis}`}
    >
      {marks(y, 4).map(({ at, label }) => (
        <g key={label}>
          <line x1={LEFT} x2={RIGHT} y1={at} y2={at} stroke="var(--color-rule)" />
          <text x={LEFT - 8} y={at + 4} textAnchor="end" fontSize="12" fill="var(--color-soft)">
            {label}
          </text>
        </g>
      ))}
      {limit !== null && (
        <line x1={LEFT} x2={RIGHT} y1={y(limit)} y2={y(limit)} stroke="var(--color-oxide)" strokeDasharray="6 4" />
      )}
      <polyline
        points={points.map((p) => `${x(p[0] ?? 0)},${y(p[1] ?? 0)}`).join(' ')}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2"
      />
      {stands !== null && <line x1={x(stands)} x2={x(stands)} y1={12} y2={BOTTOM} stroke="var(--color-blue)" />}
      {crossings.map((at) => (
        <circle
          key={at}
          cx={x(at)}
          cy={y(limit ?? 0)}
          r="5"
          fill="var(--color-sheet)"
          stroke="var(--color-oxide)"
          strokeWidth="2"
        />
      ))}
      <Axis from={LEFT} to={RIGHT} y={BOTTOM} ticks={marks(x, 5)} title={axis} />
    </svg>
  );
}

/** Where a line through points comes to a value. */
export function crossed(points: number[][], value: number): number[] {
  const out: number[] = [];
  for (let i = 1; i < points.length; ++i) {
    const [[x0, y0], [x1, y1]] = [points[i - 1] as [number, number], points[i] as [number, number]];
    if (y0 !== y1 && (y0 - value) * (y1 - value) <= 0) out.push(x0 + ((value - y0) / (y1 - y0)) * (x1 - x0));
  }
  return out;
}
