import { scaleLinear } from '@visx/scale';

import type { Schemas } from '../api/client';
import { Axis, marks } from './Axis';

const WIDTH = 560;
const LEFT = 150;
const RIGHT = 84;
const ROW = 24;

/** Several sides on one axis against the mean of all; a bar beside them joins those that cannot be told apart. */
export function SidesPlot({ row }: { row: Schemas['SidesRow'] }) {
  const known = row.sides.filter((s) => s.effect !== null);
  if (known.length === 0) return null;
  const effects = known.map((s) => s.effect!);
  const pad = (Math.max(...effects) - Math.min(...effects) || Math.abs(effects[0]!) || 1) * 0.1;
  const x = scaleLinear({
    domain: [Math.min(0, ...effects) - pad, Math.max(0, ...effects) + pad],
    range: [LEFT, WIDTH - RIGHT],
    nice: true,
  });
  const bottom = known.length * ROW + 8;
  const letters = [...new Set(known.flatMap((s) => [...s.groups]))].sort();
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${bottom + 40}`}
      className="w-full max-w-[35rem]"
      role="img"
      aria-label={`${row.metric} ${row.title}: ${known.map((s) => `${s.side} ${s.text}${s.groups === '' ? '' : `, group ${s.groups}`}`).join('; ')}`}
    >
      <line x1={x(0)} x2={x(0)} y1={2} y2={bottom} stroke="var(--color-rule)" />
      {known.map((s, i) => {
        const y = i * ROW + 16;
        return (
          <g key={s.side}>
            <text x={LEFT - 10} y={y + 4} textAnchor="end" fontSize="12" fill="var(--color-ink)">
              {s.side.length > 20 ? `${s.side.slice(0, 19)}…` : s.side}
            </text>
            <line x1={x(0)} x2={x(s.effect!)} y1={y} y2={y} stroke="var(--color-ink)" strokeWidth="1.5" />
            <circle cx={x(s.effect!)} cy={y} r="4" fill="var(--color-ink)" />
          </g>
        );
      })}
      {letters.map((letter, g) => {
        const in_ = known.map((s, i) => ({ s, i })).filter(({ s }) => s.groups.includes(letter));
        const at = WIDTH - RIGHT + 16 + g * 12;
        return (
          <line
            key={letter}
            x1={at}
            x2={at}
            y1={in_[0]!.i * ROW + 8}
            y2={in_.at(-1)!.i * ROW + 24}
            stroke="var(--color-brass)"
            strokeWidth="3"
          />
        );
      })}
      <Axis
        from={LEFT}
        to={WIDTH - RIGHT}
        y={bottom}
        ticks={marks(x)}
        title={`${row.metric} against the mean of all, ${row.unit}`}
      />
    </svg>
  );
}
