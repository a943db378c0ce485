import type { Schemas } from '../api/client';

export type TextureName = Schemas['Texture'];

export const TEXTURE_WORDS: Record<TextureName, string> = {
  outline: 'no result yet',
  sparse: 'thin',
  dense: 'leaning',
  solid: 'shown',
  dotted: 'carried over',
  dottedBroken: 'carried over, against',
  denseBroken: 'doubtful',
  broken: 'shown not to meet',
};

/** The hatches, once for the whole page. */
export function TextureDefinitions() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true" focusable="false">
      <defs>
        <pattern id="hatch-sparse" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="5" stroke="var(--color-ink)" strokeWidth="1.3" />
        </pattern>
        <pattern id="hatch-dense" width="2.6" height="2.6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="2.6" stroke="var(--color-ink)" strokeWidth="1.5" />
        </pattern>
      </defs>
    </svg>
  );
}

const FILL: Record<TextureName, string> = {
  outline: 'none',
  sparse: 'url(#hatch-sparse)',
  dense: 'url(#hatch-dense)',
  solid: 'var(--color-ink)',
  dotted: 'none',
  dottedBroken: 'none',
  denseBroken: 'url(#hatch-dense)',
  broken: 'var(--color-ink)',
};

/** Evidence as it is drawn everywhere: by texture, never by colour alone. */
export function Texture({ name, width = 26, height = 13 }: { name: TextureName; width?: number; height?: number }) {
  const isBroken = name === 'broken' || name === 'denseBroken' || name === 'dottedBroken';
  const middle = width / 2;
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true" className="shrink-0">
      <rect
        x="0.75"
        y="0.75"
        width={width - 1.5}
        height={height - 1.5}
        fill={FILL[name]}
        stroke="var(--color-ink)"
        strokeWidth={name.startsWith('dotted') ? 1.5 : 1.1}
        strokeDasharray={name.startsWith('dotted') ? '1.5 2.2' : undefined}
      />
      {isBroken && (
        <polygon
          points={`${middle - 4},${height} ${middle + 0.5},0 ${middle + 4},0 ${middle - 0.5},${height}`}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          strokeWidth="0.8"
        />
      )}
    </svg>
  );
}

export function TextureKey() {
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 text-xs text-soft" aria-label="What the textures mean">
      {(Object.keys(TEXTURE_WORDS) as TextureName[]).map((name) => (
        <li key={name} className="flex items-center gap-1.5">
          <Texture name={name} width={20} height={11} /> {TEXTURE_WORDS[name]}
        </li>
      ))}
    </ul>
  );
}
