import type { Schemas } from '../api/client';
import type { Field, FieldOrRows } from '../ui/fields';
import { CONDITION_AIM, FACTOR_KIND, FACTOR_ROLE, HARDER, options, SETTING_SCALE, USED_UP } from '../ui/words';

type Sheet = Schemas['MethodSheet'];

/** A heading of the instruction whose lines are rows of the method, each opened by itself. */
export type RowSection = {
  name: keyof Schemas['MethodInput'] & keyof Schemas['MethodView'];
  title: string;
  add: string;
  /** What will stand here, where nothing does. */
  empty: string;
  blank: Record<string, unknown>;
  fields: (sheet: Sheet) => FieldOrRows[];
};

const half = { half: true } as const;

export const READS: RowSection = {
  name: 'channels',
  title: 'Read',
  add: 'Read something',
  empty: 'What is read off, with which instrument, and what is worked out from it.',
  blank: { whenStopped: 'equal' },
  fields: (sheet) => [
    { name: 'metric', label: 'What?', hint: 'As the requirement calls it.', suggest: sheet.metrics },
    { name: 'key', label: 'Short name', ...half, hint: 'One word, such as pull.' },
    { name: 'unit', label: 'Unit that the instrument shows', ...half, hint: '1 for a plain number or words.' },
    {
      name: 'formula',
      label: 'Worked out as',
      hint: 'Empty for what is read off. Else from short names of channels and of the fixture: pull * arm / width.',
    },
    { name: 'instrument', label: 'Instrument', ...half, suggest: sheet.instruments },
    { name: 'resolution', label: 'Its smallest step', kind: 'number', ...half },
    { name: 'low', label: 'Least plausible', ...half, hint: 'In any unit that fits: 50 lbf.' },
    { name: 'high', label: 'Greatest plausible', ...half },
    {
      name: 'lasts',
      label: 'The event lasts',
      ...half,
      hint: 'As in 0.3 s. It tells whether the instrument is quick enough.',
    },
    {
      name: 'difference',
      label: 'Difference looked for',
      kind: 'number',
      ...half,
      hint: 'It tells whether it is fine enough.',
    },
    { name: 'tared', label: 'Set to nought before each run', kind: 'check' },
    {
      name: 'whenStopped',
      label: 'If the run is stopped early, the value is',
      kind: 'select',
      options: [
        { value: 'equal', label: 'still the value' },
        { value: 'atLeast', label: 'at least that' },
        { value: 'atMost', label: 'at most that' },
      ],
    },
    {
      name: 'measures',
      label: 'Checked against other readings as',
      kind: 'select',
      options: [{ value: '', label: 'nothing' }, ...sheet.measurable.map((m) => ({ value: m.id, label: m.label }))],
      hint: 'Voltage against current and resistance, speed against radius and turns: what contradicts is said at once.',
    },
    {
      name: 'calibration',
      label: 'Calibration on the fixture',
      kind: 'rows',
      add: 'Add a point',
      empty: {},
      fields: [
        { name: 'shown', label: 'It showed', kind: 'number', ...half },
        { name: 'really', label: 'It really was', kind: 'number', ...half },
      ],
    },
  ],
};

export const ASKS: RowSection = {
  name: 'questions',
  title: 'Answer',
  add: 'Ask a question',
  empty: 'What each run answers with held, only just or failed.',
  blank: {},
  fields: (sheet) => [
    {
      name: 'metric',
      label: 'A run that holds shows',
      hint: 'As a requirement calls it: survives drop.',
      suggest: sheet.metrics,
    },
    { name: 'text', label: 'It has held when' },
  ],
};

export const VARIES: RowSection = {
  name: 'factors',
  title: 'Vary',
  add: 'Vary something',
  empty: 'What is varied on purpose, and what pairs the runs.',
  blank: { role: 'factor', kind: 'words', harder: 'none' },
  fields: () => [
    { name: 'name', label: 'What?', hint: 'drop height, seed; to pair runs: grower, article, operator, day.' },
    { name: 'role', label: 'What is it to the runs?', kind: 'select', options: options(FACTOR_ROLE) },
    { name: 'kind', label: 'Its levels are', kind: 'select', options: options(FACTOR_KIND), ...half },
    { name: 'harder', label: 'Which end is harder?', kind: 'select', options: options(HARDER), ...half },
    { name: 'unit', label: 'Unit', ...half },
    { name: 'step', label: 'Equal to the nearest', kind: 'number', ...half },
    { name: 'levels', label: 'Levels to choose from', kind: 'lines', hint: 'One a line; ordered words lowest first.' },
    {
      name: 'climbs',
      label: 'A harder level waits until the one below has held on the same build',
      kind: 'check',
      hint: 'First without a person, then with one: an order that is kept.',
    },
  ],
};

export const HOLDS: RowSection = {
  name: 'conditions',
  title: 'Write down',
  add: 'Write down a condition',
  empty: 'Conditions of the surroundings that must stand beside each run.',
  blank: { aim: 'nominal' },
  fields: () => [
    { name: 'name', label: 'Which condition?' },
    { name: 'aim', label: 'It is meant to be', kind: 'select', options: options(CONDITION_AIM), ...half },
    { name: 'intended', label: 'Namely', ...half, hint: 'Empty: whatever it is.' },
    { name: 'unit', label: 'Unit', ...half, hint: 'Empty for words.' },
    { name: 'tolerance', label: 'Counts as equal within', kind: 'number', ...half },
    { name: 'states', label: 'Words to choose from', kind: 'lines' },
  ],
};

export const SETS: RowSection = {
  name: 'settings',
  title: 'Set',
  add: 'Set something',
  empty: 'What is adjusted on the article, and read off before each run.',
  blank: { scale: 'linear' },
  fields: () => [
    { name: 'name', label: 'Which setting?' },
    { name: 'intended', label: 'It should be', kind: 'number', ...half },
    { name: 'unit', label: 'Unit', ...half },
    { name: 'tolerance', label: 'Within', kind: 'number', ...half },
    { name: 'step', label: 'Goes by steps of', kind: 'number', ...half },
    { name: 'low', label: 'From', kind: 'number', ...half },
    { name: 'high', label: 'To', kind: 'number', ...half },
    { name: 'scale', label: 'The middle of two is', kind: 'select', options: options(SETTING_SCALE), ...half },
    { name: 'lock', label: 'Locked by', ...half },
    { name: 'more', label: 'More of it', hint: 'closes the throat; makes it run faster.' },
    { name: 'way', label: 'Which way is more?', ...half, hint: 'clockwise, seen from the handle.' },
    { name: 'readOff', label: 'Where is it read off?', ...half },
    { name: 'tool', label: 'Takes which tool?', ...half },
  ],
};

export const FIXTURE: RowSection = {
  name: 'constants',
  title: 'On the fixture',
  add: 'Add a quantity of the fixture',
  empty: 'Lever ratios, lengths and tares that formulas take.',
  blank: { unit: '1' },
  fields: () => [
    { name: 'name', label: 'What is it?', hint: 'Length of the arm, ratio of the lever, empty basket.' },
    { name: 'key', label: 'Short name', ...half, hint: 'As formulas name it: arm.' },
    { name: 'value', label: 'It is', kind: 'number', ...half },
    { name: 'unit', label: 'Unit', ...half, hint: '1 for a plain number.' },
    { name: 'u', label: '± (standard uncertainty)', kind: 'number', ...half },
  ],
};

export const BEFORE: RowSection = {
  name: 'before',
  title: 'First',
  add: 'Something must have held before',
  empty: 'What must have held on the same build before: one piece before the whole, slow before fast.',
  blank: {},
  fields: (sheet) => [
    {
      name: 'method',
      label: 'Which method?',
      kind: 'select',
      options: [{ value: '', label: 'this one' }, ...sheet.methods.map((m) => ({ value: m, label: m }))],
    },
    { name: 'levels', label: 'At which levels, or harder?', kind: 'lines', hint: 'One a line: drop height: 40 cm.' },
    { name: 'why', label: 'In a few words', hint: 'unloaded before loaded.' },
  ],
};

export const READY: RowSection = {
  name: 'ready',
  title: 'Wait until',
  add: 'Wait for something',
  empty: 'What has to cool, cure or settle before a run begins.',
  blank: {},
  fields: () => [
    { name: 'what', label: 'Until what?', hint: 'driver cooled; glue cured.' },
    { name: 'minutes', label: 'Minutes after the run before', kind: 'number', hint: 'Empty: until somebody says so.' },
  ],
};

export const LOOKS: RowSection = {
  name: 'looks',
  title: 'Look at',
  add: 'Look at something',
  empty: 'What is looked at during a run, and when.',
  blank: {},
  fields: () => [
    { name: 'what', label: 'At what?' },
    { name: 'every', label: 'Every … minutes', kind: 'number', ...half },
    { name: 'after', label: 'Once, after … minutes', kind: 'number', ...half },
    { name: 'at', label: 'Or at a milestone', hint: 'at the end of each bed.' },
  ],
};

export const USES_UP: RowSection = {
  name: 'usesUp',
  title: 'A run uses up',
  add: 'It uses something up',
  empty: 'Articles, loads, material, money, visits: plans add them up.',
  blank: { kind: 'material', amount: 1 },
  fields: () => [
    { name: 'what', label: 'What?' },
    { name: 'kind', label: 'It is', kind: 'select', options: options(USED_UP), ...half },
    { name: 'amount', label: 'How much?', kind: 'number', ...half },
    { name: 'unit', label: 'Unit', ...half, hint: 'g, EUR; empty for a number of them.' },
  ],
};

/** In the order in which an instruction is followed. */
export const ROWS = [FIXTURE, BEFORE, SETS, READY, VARIES, HOLDS, READS, LOOKS, ASKS, USES_UP];

/** What is said of the method as a whole; each opens a few fields. */
export const PURPOSE: Field[] = [
  { name: 'name', label: 'Name' },
  { name: 'purpose', label: 'What does it find out?', kind: 'area' },
];

export const RIG: Field[] = [
  { name: 'rig', label: 'Rig or fixture' },
  { name: 'tools', label: 'Tools to have at hand', kind: 'lines', hint: 'One a line.' },
  {
    name: 'reference',
    label: 'Reference article, tried first and last',
    hint: 'Its serial. What it reads otherwise at the end is drift of the rig.',
  },
  { name: 'wears', label: 'A run leaves its mark on the article', kind: 'check' },
];

export const MINUTES: Field[] = [
  { name: 'setUpMinutes', label: 'Minutes to set up', kind: 'number', ...half },
  { name: 'minutes', label: 'Minutes a run', kind: 'number', ...half },
  { name: 'resetMinutes', label: 'Minutes to reset', kind: 'number', ...half },
  { name: 'changeMinutes', label: 'Minutes to change a level', kind: 'number', ...half },
];

export const ENDS: Field[] = [
  {
    name: 'endPoint',
    label: 'When does a run end?',
    kind: 'area',
    hint: 'Set before the run: breaks, 400 N reached, six hours over.',
  },
  { name: 'heldWhen', label: 'When has it held?', kind: 'area' },
  { name: 'modes', label: 'Failures to look for on each run', kind: 'lines', hint: 'One a line.' },
];

export const carries = (sheet: Sheet): FieldOrRows[] => [
  {
    name: 'use',
    label: 'Which use does it rehearse?',
    kind: 'select',
    options: [{ value: '', label: 'none of them' }, ...sheet.uses.map((u) => ({ value: u.id, label: u.label }))],
    hint: 'What the device bears in each use is written down in the brief.',
  },
  {
    name: 'carries',
    label: 'What does it carry of it?',
    kind: 'rows',
    add: 'Add a quantity',
    empty: {},
    fields: [
      { name: 'what', label: 'What?', ...half, hint: 'mass, moment, speed, rate, payload' },
      { name: 'text', label: 'How much?', ...half, hint: '60 kg' },
    ],
  },
  { name: 'notRepresented', label: 'What does it NOT represent, in words?', kind: 'area' },
  {
    name: 'steps',
    label: 'Which steps of use does a run go through?',
    kind: 'picks',
    options: sheet.steps.map((s) => ({ value: s.id, label: s.label })),
    hint: 'The steps are written down in the brief.',
  },
  { name: 'inUse', label: 'It is tried as it will be used, in the field or by whom it is for', kind: 'check' },
  { name: 'represents', label: 'As good as these methods', kind: 'lines', hint: 'Names of methods, one a line.' },
];

export const MIND: Field[] = [
  { name: 'hazards', label: 'Hazards', kind: 'lines', hint: 'One a line: stored energy, flying parts, heat …' },
  {
    name: 'cautions',
    label: 'Usual cautions',
    kind: 'lines',
    hint: 'One a line: eye protection, keep-out distance, spotter …',
  },
  {
    name: 'abort',
    label: 'When to stop at once',
    kind: 'area',
    hint: 'Without this, a run can only be started by a named person with a reason.',
  },
  {
    name: 'needsSignOff',
    label: 'A person is at risk, or a permit or a licensed practitioner is needed: ask for a sign-off',
    kind: 'check',
  },
  {
    name: 'agreedBy',
    label: 'Who must agree, in this order?',
    kind: 'lines',
    hint: 'One a line: the landowner, then the safety officer. Empty: one name will do.',
  },
];
