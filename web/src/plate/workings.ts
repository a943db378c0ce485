import type { Schemas } from '../api/client';

type Sum = Schemas['BenchSum'];
/** Where a value is taken from; of the four at most one. */
export type Source = Pick<Schemas['WorkEntry'], 'parameter' | 'part' | 'reading' | 'requirement'>;

export const TYPED: Source = { parameter: null, part: null, reading: null, requirement: null };

/** A sum as it stands on the sheet. */
export type SumDraft = {
  texts: Record<string, string>;
  /** Where a value was taken from, by field. */
  sources: Record<string, Source>;
  output: string;
  unit: string;
  along: string;
  wanted: string;
};

export const blank = (sum: Sum): SumDraft => ({
  texts: {},
  sources: {},
  output: (sum.outputs.find((o) => o.isMain) ?? sum.outputs[0])?.name ?? '',
  unit: '',
  along: sum.inputs.find((i) => i.canBeSolved)?.name ?? '',
  wanted: '',
});

/** By which the server knows it: of one's own it is handed the formula. */
export const nameOf = (sum: Sum): string => (sum.own === null ? sum.name : 'own');

/** What goes to the server: whatever stands in a field, with where it is from. */
export const entries = (draft: SumDraft): Schemas['WorkEntry'][] =>
  Object.entries(draft.texts)
    .filter(([, text]) => text.trim() !== '')
    .map(([name, text]) => ({ name, text: text.trim(), ...TYPED, ...draft.sources[name] }));

/** A sum that was kept, put back onto the sheet. */
export function draftOf(working: Schemas['WorkingView'], sum: Sum): SumDraft {
  const sources: Record<string, Source> = {};
  for (const { name, parameter, part, reading, requirement } of working.inputs) {
    if (parameter ?? part ?? reading ?? requirement) sources[name] = { parameter, part, reading, requirement };
  }
  return {
    ...blank(sum),
    texts: Object.fromEntries(working.inputs.map((i) => [i.name, i.text])),
    sources,
    output: working.output,
    unit: working.unit,
  };
}

/**
 * The sums that are meant by some words of the job, the likeliest first: each word is looked for in the title, in the words
 * that it is asked by, in what it works out and in its fields.
 */
export function found(sums: Sum[], words: string): Sum[] {
  const wanted = words
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w.length > 1 && !SMALL.has(w));
  if (wanted.length === 0) return sums;
  const scored = sums.map((sum) => ({ sum, score: score(sum, wanted) }));
  return scored
    .filter(({ score: s }) => s > 0)
    .sort((a, b) => b.score - a.score || a.sum.title.localeCompare(b.sum.title))
    .map(({ sum }) => sum);
}

/** Words that say nothing of the job. */
const SMALL = new Set([
  'how',
  'the',
  'is',
  'it',
  'does',
  'do',
  'will',
  'a',
  'an',
  'of',
  'to',
  'was',
  'when',
  'what',
  'much',
  'many',
  'which',
  'in',
  'on',
  'for',
  'has',
  'be',
  'can',
]);

function score(sum: Sum, wanted: string[]): number {
  const places: [string, number][] = [
    [sum.asked.join(' '), 4],
    [sum.title, 4],
    [sum.what, 2],
    [[...sum.inputs, ...sum.outputs].map((f) => f.words).join(' '), 1],
  ];
  return wanted.reduce(
    (all, word) =>
      all +
      Math.max(
        0,
        ...places.map(([text, weight]) => (new RegExp(`(^|[^\\p{L}])${word}`, 'iu').test(text) ? weight : 0)),
      ),
    0,
  );
}
