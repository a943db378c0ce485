import { expect, it } from 'vitest';

import { crossed } from '../figures/SweepPlot';
import type { Schemas } from '../api/client';
import { blank, draftOf, entries, found, TYPED } from './workings';

type Sum = Schemas['BenchSum'];

const field = (name: string, words: string, canBeSolved = true): Sum['inputs'][number] => ({
  name,
  words,
  symbol: name[0]!,
  unit: 'mm',
  kind: 'one',
  needed: true,
  default: '',
  choices: [],
  example: '',
  canBeSolved,
  fits: 'length',
});

const sum = (name: string, title: string, asked: string[], what = title, inputs = [field('size', 'Size')]): Sum => ({
  name,
  title,
  what,
  asked,
  inputs,
  outputs: [
    { name: 'answer', words: 'Answer', symbol: 'A', unit: 'mm', formula: 'A = s', isMain: false, fits: 'length' },
  ],
  source: 'here',
  leavesOut: 'all else.',
  caution: '',
  own: null,
});

const SUMS = [
  sum('strip', 'Section of a strip', ['how thick', 'stiffness'], 'What another thickness does.'),
  sum('runtime', 'Run time', ['how long does the battery last'], 'How long a battery lasts.'),
  sum('drop', 'Drop', ['how fast was it when it hit', 'impact'], 'How fast something is when it lands.', [
    field('height', 'Height'),
    field('mass', 'Mass'),
  ]),
];
const names = (words: string) => found(SUMS, words).map((s) => s.name);

it.each([
  ['how thick', ['strip']],
  ['How long does the battery last?', ['runtime']],
  ['how fast was it when it hit', ['drop']],
  ['HEIGHT', ['drop']],
  ['batter', ['runtime']],
  ['poetry', []],
  ['', ['strip', 'runtime', 'drop']],
  ['how is it', ['strip', 'runtime', 'drop']],
])('finds by the words of the job: %s', (words, expected) => {
  expect(names(words)).toEqual(expected);
});

it('puts what says more of the job first', () => {
  expect(names('battery size').slice(0, 1)).toEqual(['runtime']);
});

it('begins with the first answer, over the first field that can be solved', () => {
  const whole = sum('gears', 'Gears', [], 'x', [field('teeth', 'Teeth', false), field('module', 'Module')]);
  expect(blank(whole)).toMatchObject({ output: 'answer', along: 'module', texts: {} });
  expect(blank({ ...whole, inputs: [] })).toMatchObject({ along: '' });
  const wanted = { ...whole.outputs[0]!, name: 'wanted', isMain: true };
  expect(blank({ ...whole, outputs: [...whole.outputs, wanted] }).output).toBe('wanted');
});

it('sends what stands in a field, with where it is from', () => {
  const draft = {
    ...blank(SUMS[0]!),
    texts: { size: ' 5 mm ', other: '  ' },
    sources: { size: { ...TYPED, parameter: 'p1' } },
  };
  expect(entries(draft)).toEqual([
    { name: 'size', text: '5 mm', parameter: 'p1', part: null, reading: null, requirement: null },
  ]);
});

it('puts one that was kept back onto the sheet', () => {
  const inputs = [
    { name: 'size', text: '5 mm', ...TYPED, reading: 'r1' },
    { name: 'mass', text: '2 kg', ...TYPED },
  ];
  const working = { inputs, output: 'answer', unit: 'cm' } as unknown as Schemas['WorkingView'];
  const draft = draftOf(working, SUMS[0]!);
  expect(draft.texts).toEqual({ size: '5 mm', mass: '2 kg' });
  expect(draft.sources).toEqual({ size: { parameter: null, part: null, reading: 'r1', requirement: null } });
  expect([draft.output, draft.unit]).toEqual(['answer', 'cm']);
});

it('crosses what is wanted where the line does, and nowhere else', () => {
  const line = [
    [0, 0],
    [1, 10],
    [2, 20],
    [3, 10],
  ];
  expect(crossed(line, 15)).toEqual([1.5, 2.5]);
  expect(crossed(line, 25)).toEqual([]);
  expect(crossed([[0, 5]], 5)).toEqual([]);
  expect(
    crossed(
      [
        [0, 5],
        [1, 5],
      ],
      5,
    ),
  ).toEqual([]);
});
