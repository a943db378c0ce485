/** A build's stamped tag: a label with a cut corner and a hole. */
export function Tag({ letter, current = false, size = 34 }: { letter: string; current?: boolean; size?: number }) {
  const width = size * (letter.length > 2 ? 1.7 : 1.25);
  const fill = current ? 'var(--color-ink)' : 'var(--color-sheet)';
  const ink = current ? 'var(--color-sheet)' : 'var(--color-ink)';
  return (
    <svg width={width} height={size} viewBox={`0 0 ${width} ${size}`} aria-hidden="true" className="shrink-0">
      <path
        d={`M1 1 H${width - 9} L${width - 1} 9 V${size - 1} H1 Z`}
        fill={fill}
        stroke="var(--color-ink)"
        strokeWidth="1.5"
      />
      <circle cx="6.5" cy={size / 2} r="2" fill={ink} />
      <text
        x={width / 2 + 3}
        y={size / 2 + size * 0.23}
        textAnchor="middle"
        fill={ink}
        fontFamily="var(--font-stamp)"
        fontWeight="600"
        fontSize={size * 0.66}
      >
        {letter}
      </text>
    </svg>
  );
}
