import type { Schemas } from '../../api/client';

/** A plan as it stands in the form: what is typed stays text until it is sent. */
export type TypedLayout = {
  kind: Schemas['PlanKind'];
  levels: Record<string, string>;
  arms: string[];
  repeats: string;
  order: Schemas['Order'];
  seed: number;
  leftOut: Schemas['LeftOutInput'][];
  setting: string;
  minutes: number;
};

export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** From the plan that there is, or from what the method varies and the build has. */
export function typedLayout(
  layout: Schemas['LayoutView'] | null,
  factors: Schemas['Factor'][],
  arms: string[],
): TypedLayout {
  const levels = Object.fromEntries(
    factors.map((f) => [
      f.name,
      (layout === null ? f.levels : (layout.levels.find((l) => l.name === f.name)?.levels ?? [])).join('\n'),
    ]),
  );
  if (layout !== null) return { ...layout, levels, repeats: String(layout.repeats) };
  const climbing = factors.length === 1 && factors[0]!.harder !== 'none';
  return {
    kind: climbing ? 'ladder' : arms.length === 2 && factors.length === 0 ? 'pairs' : 'matrix',
    levels,
    arms,
    repeats: '3',
    order: climbing ? 'asGiven' : 'blocks',
    seed: 1,
    leftOut: [],
    setting: '',
    minutes: 0,
  };
}
