/** A mark on an axis: where it stands in the figure, and what is written at it. */
export type Tick = { at: number; label: string };

/** Marks of a linear scale, about so many, with a true minus. */
export function marks(scale: { (value: number): number; ticks: (count: number) => number[] }, count = 5): Tick[] {
  return scale.ticks(count).map((t) => ({ at: scale(t), label: String(t).replace('-', '−') }));
}

/** The words of a scale at their places; none: marks of numbers. */
export function wordsOrMarks(
  scale: { (value: number): number; ticks: (count: number) => number[] },
  words: string[],
): Tick[] {
  return words.length === 0 ? marks(scale) : words.map((label, i) => ({ at: scale(i + 1), label }));
}

/** Half of what a letter of a label is wide, and the room that figures leave beside their axis. */
const HALF_LETTER = 3.3;
const ROOM = 14;

/** A label that would run out of the figure ends at its mark instead. */
function anchor(at: number, label: string, to: number): 'middle' | 'end' {
  return at + label.length * HALF_LETTER > to + ROOM ? 'end' : 'middle';
}

/** Marks whose label would run into the one before it stand without. */
function legible(ticks: Tick[], to: number): (Tick & { shown: boolean })[] {
  let end = -Infinity;
  return ticks
    .slice()
    .sort((a, b) => a.at - b.at)
    .map((tick) => {
      const width = tick.label.length * HALF_LETTER * 2;
      const left = anchor(tick.at, tick.label, to) === 'end' ? tick.at - width : tick.at - width / 2;
      const shown = left > end;
      if (shown) end = left + width;
      return { ...tick, shown };
    });
}

/**
 * The one axis of all figures: a line along the bottom with marks and their labels. With `top`, the marks are rules
 * through the figure up to there instead.
 */
export function Axis({
  from,
  to,
  y,
  ticks,
  top,
  title,
}: {
  from: number;
  to: number;
  y: number;
  ticks: Tick[];
  top?: number;
  title?: string;
}) {
  return (
    <g>
      {top === undefined && <line x1={from} x2={to} y1={y} y2={y} stroke="var(--color-soft)" strokeWidth="0.8" />}
      {legible(ticks, to).map(({ at, label, shown }) => (
        <g key={`${at} ${label}`}>
          <line
            x1={at}
            x2={at}
            y1={top ?? y}
            y2={top === undefined ? y + 5 : y}
            stroke={top === undefined ? 'var(--color-soft)' : 'var(--color-rule)'}
          />
          <text
            x={at}
            y={y + (top === undefined ? 19 : 16)}
            textAnchor={anchor(at, label, to)}
            fontSize="12"
            fill="var(--color-soft)"
          >
            {shown && label}
          </text>
        </g>
      ))}
      {title !== undefined && (
        <text x={(from + to) / 2} y={y + 36} textAnchor="middle" fontSize="13" fill="var(--color-soft)">
          {title}
        </text>
      )}
    </g>
  );
}

/** A limit that a requirement sets, as a broken line. */
export function LimitLine({ at, top, bottom }: { at: number; top: number; bottom: number }) {
  return (
    <line x1={at} x2={at} y1={top} y2={bottom} stroke="var(--color-blue)" strokeWidth="1.4" strokeDasharray="6 3" />
  );
}
