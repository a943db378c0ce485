import { scaleLinear } from '@visx/scale';

import type { Schemas } from '../api/client';
import { Axis, LimitLine } from './Axis';

const WIDTH = 400;

/** Where a metric is now and where the chosen candidates would take it, against its limit. Forecast: outline only. */
export function ForecastBar({ forecast: f }: { forecast: Schemas['ForecastView'] }) {
  if (f.now === null || f.low === null || f.high === null || f.likely === null) return null;
  const numbers = [f.now, f.low, f.high, ...(f.limit === null ? [] : [f.limit])];
  const pad = (Math.max(...numbers) - Math.min(...numbers) || Math.abs(f.now) || 1) * 0.14;
  const x = scaleLinear({ domain: [Math.min(...numbers) - pad, Math.max(...numbers) + pad], range: [14, WIDTH - 14] });
  return (
    <svg viewBox={`0 0 ${WIDTH} 56`} className="w-full" role="img" aria-label={f.sentence}>
      <Axis from={10} to={WIDTH - 10} y={34} ticks={[]} />
      {f.limit !== null && (
        <g>
          <LimitLine at={x(f.limit)} top={14} bottom={40} />
          <text x={x(f.limit)} y="12" textAnchor="middle" fontSize="14" fill="var(--color-blue)">
            limit {f.limitText}
          </text>
        </g>
      )}
      <rect
        x={Math.min(x(f.low), x(f.high))}
        y="24"
        width={Math.max(2, Math.abs(x(f.high) - x(f.low)))}
        height="12"
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.3"
      />
      <line x1={x(f.likely)} x2={x(f.likely)} y1="24" y2="36" stroke="var(--color-ink)" strokeWidth="1.3" />
      <rect x={x(f.now) - 4} y="26" width="8" height="8" fill="var(--color-ink)" />
      <text x={x(f.now)} y="53" textAnchor="middle" fontSize="14" fill="var(--color-ink)">
        now {f.nowText}
      </text>
    </svg>
  );
}
