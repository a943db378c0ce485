import { scaleLinear } from '@visx/scale';

import type { Schemas } from '../api/client';
import { Axis, LimitLine, wordsOrMarks } from './Axis';

const WIDTH = 560;
const LEFT = 130;
const ROW = 30;

/** Two builds level by level: the other hollow, this one filled, with a line from one to the other. */
export function LevelPlot({
  row,
  here,
  other,
  limit,
}: {
  row: Schemas['ComparisonRow'];
  here: string;
  other: string;
  limit: number | null;
}) {
  const numbers = row.cells.flatMap((c) => [c.value, c.otherValue]);
  const scale = row.words.length === 0 ? [] : [1, row.words.length];
  const all = limit === null ? [...numbers, ...scale] : [...numbers, ...scale, limit];
  if (numbers.length === 0) return null;
  const pad = (Math.max(...all) - Math.min(...all) || Math.abs(all[0]!) || 1) * 0.1;
  const x = scaleLinear({
    domain: [Math.min(...all) - pad, Math.max(...all) + pad],
    range: [LEFT, WIDTH - 16],
    nice: true,
  });
  const bottom = row.cells.length * ROW + 22;
  const first = row.cells[0]!;
  const says = row.cells.map((c) => `${c.cell}: ${other} ${c.other}, ${here} ${c.here}`).join('; ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${bottom + 40}`}
      className="w-full max-w-[35rem]"
      role="img"
      aria-label={`${row.metric} level by level, ${says}`}
    >
      {limit !== null && <LimitLine at={x(limit)} top={16} bottom={bottom} />}
      {[
        { letter: other, at: first.otherValue },
        { letter: here, at: first.value },
      ].map(({ letter, at }) => (
        <text
          key={letter}
          x={x(at)}
          y={13}
          textAnchor="middle"
          fontSize="15"
          fontFamily="var(--font-stamp)"
          fontWeight="600"
          fill="var(--color-ink)"
        >
          {letter}
        </text>
      ))}
      {row.cells.map((c, i) => {
        const y = i * ROW + 32;
        return (
          <g key={c.cell}>
            <text x={LEFT - 12} y={y + 4} textAnchor="end" fontSize="12" fill="var(--color-ink)">
              {c.cell.length > 18 ? `${c.cell.slice(0, 17)}…` : c.cell}
            </text>
            <line
              x1={x(c.otherValue)}
              x2={x(c.value)}
              y1={y}
              y2={y}
              stroke={c.opposed ? 'var(--color-oxide)' : 'var(--color-ink)'}
              strokeWidth="1.5"
            />
            <rect
              x={x(c.otherValue) - 4.5}
              y={y - 4.5}
              width="9"
              height="9"
              fill="var(--color-sheet)"
              stroke="var(--color-ink)"
              strokeWidth="1.5"
            />
            <rect x={x(c.value) - 4.5} y={y - 4.5} width="9" height="9" fill="var(--color-ink)" />
          </g>
        );
      })}
      <Axis
        from={LEFT}
        to={WIDTH - 16}
        y={bottom}
        ticks={wordsOrMarks(x, row.words)}
        title={row.words.length > 0 ? row.metric : `${row.metric}, ${row.unit}`}
      />
    </svg>
  );
}
