import { expect, test } from 'vitest';

import { placeOf, wordOf } from './limits';

const METRICS = [
  { name: 'Mark', words: ['faint', 'plain', 'bright'], scale: 'ordered' as const },
  { name: 'pull', words: [], scale: 'numeric' as const },
];

test('a word stands for its place on the scale of its metric, and for none elsewhere', () => {
  expect(['plain', ' Bright', 'dark', '2,5', null].map((limit) => placeOf(limit, 'mark ', METRICS))).toEqual([
    2,
    3,
    'dark',
    2.5,
    null,
  ]);
  expect(placeOf('plain', 'pull', METRICS)).toBe('plain');
});

test('there and back: the word is shown, and a share stays a number', () => {
  const requirement = { limit: 2, metric: 'Mark', kind: 'every' };
  expect(wordOf(requirement, METRICS)).toBe('plain');
  expect(wordOf({ ...requirement, kind: 'rate' }, METRICS)).toBe(2);
  expect(wordOf({ ...requirement, limit: 7 }, METRICS)).toBe(7);
  expect(wordOf({ ...requirement, metric: 'pull' }, METRICS)).toBe(2);
});
