import { scaleLinear } from '@visx/scale';

import type { Schemas } from '../api/client';
import { Axis, LimitLine, wordsOrMarks } from './Axis';

const WIDTH = 560;
const LEFT = 44;
const ROW = 34;

type Side = { letter: string; estimate: Schemas['Estimate'] | null; values: number[]; strong: boolean };

/** Two builds on one axis: every run a dot, the mean with its interval, and the limit of the requirement. */
export function IntervalPlot({
  metric,
  unit,
  sides,
  limit,
  natural,
  words = [],
}: {
  metric: string;
  unit: string;
  sides: Side[];
  limit: { value: number; direction: Schemas['Direction'] } | null;
  /** What there can be at all: no axis goes beyond it. */
  natural?: { least: number | null; most: number | null };
  /** Of the scale, the lowest first: all of it is drawn, and they stand on the axis. */
  words?: string[];
}) {
  const numbers = sides
    .flatMap((s) => [...s.values, s.estimate?.low ?? s.estimate?.value ?? NaN, s.estimate?.high ?? NaN])
    .filter(Number.isFinite);
  if (limit !== null) numbers.push(limit.value);
  if (words.length > 0) numbers.push(1, words.length);
  if (numbers.length === 0) return null;
  const pad = (Math.max(...numbers) - Math.min(...numbers) || Math.abs(numbers[0]!) || 1) * 0.07;
  const x = scaleLinear({
    domain: [Math.min(...numbers) - pad, Math.max(...numbers) + pad],
    range: [LEFT, WIDTH - 16],
    nice: true,
  });
  const [from = 0, to = 1] = x.domain();
  x.domain(
    words.length > 0
      ? [0.6, words.length + 0.4]
      : [Math.max(from, natural?.least ?? -Infinity), Math.min(to, natural?.most ?? Infinity)],
  );
  const bottom = sides.length * ROW + 12;
  const says = sides.map((s) => `${s.letter}: ${s.estimate?.text ?? 'no value'}, ${s.values.length} runs`).join('; ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${bottom + 40}`}
      className="w-full max-w-[35rem]"
      role="img"
      aria-label={`${metric}, ${says}`}
    >
      {limit !== null && (
        <g>
          <LimitLine at={x(limit.value)} top={2} bottom={bottom} />
          <text
            x={x(limit.value)}
            y={bottom - 3}
            dx={limit.direction === 'atLeast' ? 4 : -4}
            textAnchor={limit.direction === 'atLeast' ? 'start' : 'end'}
            fontSize="12"
            fill="var(--color-blue)"
          >
            {limit.direction === 'atLeast' ? 'at least' : 'at most'}
          </text>
        </g>
      )}
      {sides.map((side, i) => {
        const y = i * ROW + 20;
        const e = side.estimate;
        return (
          <g key={side.letter}>
            <text
              x={LEFT - 12}
              y={y + 5}
              textAnchor="end"
              fontSize="17"
              fontFamily="var(--font-stamp)"
              fontWeight="600"
              fill="var(--color-ink)"
            >
              {side.letter}
            </text>
            {side.values.map((v, k) => (
              <circle
                key={k}
                cx={x(v)}
                cy={y + 9 - (k % 3) * 3}
                r="2.4"
                fill="none"
                stroke="var(--color-soft)"
                strokeWidth="1"
              />
            ))}
            {e !== null && e.low !== null && e.high !== null && (
              <g stroke="var(--color-ink)" strokeWidth={side.strong ? 2.4 : 1.4}>
                <line x1={x(e.low)} x2={x(e.high)} y1={y - 4} y2={y - 4} />
                <End at={x(e.low)} y={y} cut={e.cut.includes('low')} />
                <End at={x(e.high)} y={y} cut={e.cut.includes('high')} />
              </g>
            )}
            {e !== null && (
              <rect
                x={x(e.value) - 4.5}
                y={y - 8.5}
                width="9"
                height="9"
                fill={side.strong ? 'var(--color-ink)' : 'var(--color-sheet)'}
                stroke="var(--color-ink)"
                strokeWidth="1.5"
              />
            )}
          </g>
        );
      })}
      <Axis
        from={LEFT}
        to={WIDTH - 16}
        y={bottom}
        ticks={wordsOrMarks(x, words)}
        title={words.length > 0 ? metric : `${metric}, ${unit}`}
      />
    </svg>
  );
}

/** An end of an interval; one that was cut off at what there can be is a wall. */
function End({ at, y, cut }: { at: number; y: number; cut: boolean }) {
  return cut ? (
    <line x1={at} x2={at} y1={y - 13} y2={y + 5} strokeWidth="5" data-cut />
  ) : (
    <line x1={at} x2={at} y1={y - 9} y2={y + 1} />
  );
}
