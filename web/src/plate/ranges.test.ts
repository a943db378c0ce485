import { expect, test } from 'vitest';

import { conditionsOf, isRange, rangesOf } from './ranges';

test('what has a size is told from what has words', () => {
  expect(['drop height>=0.75 m', 'wind ≤ 5 m/s', 'soil=moist', 'soil = 3-4'].map(isRange)).toEqual([
    true,
    true,
    false,
    false,
  ]);
});

test('there and back it is the same range', () => {
  const conditions = ['drop height>=0.75 m', 'wind<=5 m/s'];
  expect(rangesOf([...conditions, 'soil=moist'])).toEqual([
    { name: 'drop height', relation: '>=', end: '0.75 m' },
    { name: 'wind', relation: '<=', end: '5 m/s' },
  ]);
  expect(conditionsOf(rangesOf(conditions), {})).toEqual(conditions);
  expect(conditionsOf(rangesOf(['wind ≥ 2 m/s']), {})).toEqual(['wind>=2 m/s']);
});

test('a bare number is in the unit of its factor, and nothing typed is nothing', () => {
  const units = { 'drop height': 'm' };
  expect(
    conditionsOf(
      [
        { name: 'drop height', relation: '>=', end: ' 0,75 ' },
        { name: 'drop height', relation: '<=', end: '90 cm' },
        { name: 'pace', relation: '<=', end: '3' },
        { name: '', relation: '>=', end: '' },
        { name: 'drop height', relation: '>=', end: ' ' },
      ],
      units,
    ),
  ).toEqual(['drop height>=0,75 m', 'drop height<=90 cm', 'pace<=3']);
});
