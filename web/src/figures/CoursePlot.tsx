import { scaleLinear } from '@visx/scale';

import { Axis, marks } from './Axis';

const WIDTH = 560;
const HEIGHT = 220;
const LEFT = 56;
const BOTTOM = HEIGHT - 44;
/** From here on minutes are easier to read than seconds. */
const LONG = 300;

/** How something went along time, with the moments that were read off it. */
export function CoursePlot({
  name,
  unit,
  t,
  y,
  moments,
}: {
  name: string;
  unit: string;
  t: number[];
  y: number[];
  moments: number[];
}) {
  const last = t.at(-1) ?? 0;
  const [per, word] = last > LONG ? [60, 'min'] : [1, 's'];
  const x = scaleLinear({ domain: [(t[0] ?? 0) / per, last / per], range: [LEFT, WIDTH - 16] });
  const [low, high] = [Math.min(...y), Math.max(...y)];
  const up = scaleLinear({
    domain: low === high ? [low - 1, high + 1] : [low, high],
    range: [BOTTOM - 8, 12],
    nice: true,
  });
  const line = t.map((at, i) => `${x(at / per)},${up(y[i] ?? 0)}`).join(' ');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-xl" role="img" aria-label={`${name} along time`}>
      {marks(up, 4).map(({ at, label }) => (
        <g key={label}>
          <line x1={LEFT} x2={WIDTH - 16} y1={at} y2={at} stroke="var(--color-rule)" />
          <text x={LEFT - 8} y={at + 4} textAnchor="end" fontSize="12" fill="var(--color-soft)">
            {label}
          </text>
        </g>
      ))}
      {moments.map((at) => (
        <line
          key={at}
          x1={x(at / per)}
          x2={x(at / per)}
          y1={12}
          y2={BOTTOM}
          stroke="var(--color-blue)"
          strokeDasharray="4 3"
        />
      ))}
      <polyline points={line} fill="none" stroke="var(--color-ink)" strokeWidth="1.6" />
      <Axis
        from={LEFT}
        to={WIDTH - 16}
        y={BOTTOM}
        ticks={marks(x)}
        title={`time, ${word}; ${name}${unit === '1' ? '' : `, ${unit}`}`}
      />
    </svg>
  );
}
