import { CHANGE_CLASS, DEVIATION, options, VERDICT, WHEREABOUTS } from '../../ui/words';
import type { Schemas } from '../../api/client';
import type { Field, FieldOrRows, Values } from '../../ui/fields';
import { effectRows } from '../../ui/records/effects';

export function changeFields(sheet: Schemas['BuildSheet']): FieldOrRows[] {
  return [
    { name: 'what', label: 'What changes?' },
    { name: 'why', label: 'Why?', kind: 'area' },
    { name: 'class', label: 'Class', kind: 'select', options: options(CHANGE_CLASS) },
    effectRows(sheet.metrics),
    {
      name: 'alters',
      label: 'What of the build did it alter?',
      kind: 'picks',
      options: sheet.alterable.map((a) => ({ value: a.id, label: a.now === '' ? a.label : `${a.label} (${a.now})` })),
      hint: 'It explains these differences; a fix is carried only by what still has them.',
    },
    {
      name: 'against',
      label: 'Which failures is it meant to end?',
      kind: 'picks',
      options: sheet.failures.map((f) => ({ value: f.id, label: f.label })),
    },
  ];
}

export const VERDICT_FIELDS: Field[] = [
  {
    name: 'verdict',
    label: 'What came of it?',
    kind: 'select',
    options: [{ value: '', label: 'as the runs say' }, ...options(VERDICT)],
  },
  { name: 'verdictNote', label: 'In a few words', kind: 'area' },
];

export const PARAMETER_FIELDS: Field[] = [
  { name: 'name', label: 'Name' },
  {
    name: 'text',
    label: 'Value with unit',
    hint: 'As in 1.60 mm, 12 ± 0.1 V or 1/8 in; or a word, such as wave. Of one that is worked out: the unit it is wanted in.',
  },
  {
    name: 'formula',
    label: 'Or worked out as',
    hint: 'From others of this build by their names: big pulley / small pulley. It follows them.',
  },
  { name: 'reliedOn', label: 'Whose fit hangs on it?', half: true, people: true },
  { name: 'checkedBy', label: 'Checked on this build by', half: true, people: true },
];

const SORT: Record<Schemas['PartSort'], string> = { part: 'a part', joint: 'a joint', code: 'a piece of code' };

export const STANDING: Record<Schemas['PartStanding'], string> = {
  stays: 'stays',
  forNow: 'for now',
  forTrying: 'only for trying',
};

export function partFields(sheet: Pick<Schemas['BuildSheet'], 'modules' | 'currency'>): Field[] {
  return [
    { name: 'name', label: 'Part' },
    { name: 'material', label: 'Material' },
    { name: 'quantity', label: 'How many', kind: 'number', half: true },
    {
      name: 'cost',
      label: 'Cost of one',
      kind: 'number',
      half: true,
      hint: sheet.currency === '' ? undefined : `In ${sheet.currency}.`,
    },
    { name: 'mass', label: 'Mass of one, g', kind: 'number', half: true },
    { name: 'sort', label: 'It is', kind: 'select', half: true, options: options(SORT) },
    {
      name: 'standing',
      label: 'Does it stay?',
      kind: 'select',
      half: true,
      options: options(STANDING),
      hint: 'What does not stay counts in no cost and no mass, and whatever rests on it says so.',
    },
    ...(sheet.modules.length === 0
      ? []
      : [
          {
            name: 'module',
            label: 'It is a module: which build?',
            kind: 'select' as const,
            half: true,
            options: [{ value: '', label: 'none' }, ...sheet.modules.map((m) => ({ value: m.id, label: m.label }))],
          },
        ]),
    { name: 'reliedOn', label: 'Whose fit hangs on it?', half: true, people: true },
    { name: 'checkedBy', label: 'Checked on this build by', half: true, people: true },
    { name: 'note', label: 'Note' },
  ];
}

/** What was not picked is a text that says nothing. */
export function articleOf(values: Values): Values {
  const uses = (values['uses'] as Values[] | undefined) ?? [];
  return {
    ...values,
    scale: values['scale'] ?? '',
    arm: values['arm'] ?? '',
    uses: uses.map((use) => ({ ...use, method: use['method'] ?? '' })),
  };
}

export function articleFields(
  sheet: Pick<Schemas['BuildSheet'], 'methods' | 'modes'>,
  arms: Schemas['Arm'][],
  builds: { id: string; letter: string }[],
): FieldOrRows[] {
  return [
    { name: 'serial', label: 'Serial', half: true },
    {
      name: 'revision',
      label: 'Of build',
      kind: 'select',
      half: true,
      options: builds.map((b) => ({ value: b.id, label: b.letter })),
      hint: 'Another build: it is reworked, and its past goes along.',
    },
    ...(arms.length === 0
      ? []
      : [
          {
            name: 'arm',
            label: 'Variant',
            kind: 'select' as const,
            options: [{ value: '', label: 'none' }, ...arms.map((a) => ({ value: a.name, label: a.name }))],
          },
        ]),
    {
      name: 'lots',
      label: 'Material lots',
      kind: 'lines',
      hint: 'One a line: plate sheet: P-31. Another lot is a change that nobody decided.',
    },
    {
      name: 'state',
      label: 'State',
      kind: 'select',
      half: true,
      options: [
        { value: 'mockup', label: 'mock-up' },
        { value: 'model', label: 'scale model' },
        { value: 'bare', label: 'bare' },
        { value: 'finished', label: 'finished' },
        { value: 'payload', label: 'payload aboard' },
      ],
    },
    { name: 'scale', label: 'Scale of a model', half: true, hint: 'As in 1:5.' },
    {
      name: 'standsFor',
      label: 'A mock-up stands for',
      kind: 'picks',
      options: ['shape', 'feel', 'handling', 'function', 'look'].map((v) => ({ value: v, label: v })),
    },
    {
      name: 'deviants',
      label: 'Built otherwise than drawn, one by one',
      kind: 'rows',
      add: 'Add a deviation',
      empty: { kind: 'workmanship' },
      fields: [
        { name: 'kind', label: 'In', kind: 'select', options: options(DEVIATION) },
        { name: 'name', label: 'What', half: true },
        { name: 'value', label: 'As it is', half: true },
      ],
    },
    { name: 'deviations', label: 'Built otherwise, in words', kind: 'area' },
    { name: 'whereabouts', label: 'It is', kind: 'select', half: true, options: options(WHEREABOUTS) },
    { name: 'keeper', label: 'Keeper', half: true, people: true },
    {
      name: 'uses',
      label: 'Use outside trials',
      kind: 'rows',
      add: 'Add a line',
      empty: {},
      fields: [
        { name: 'day', label: 'Day', half: true, hint: '2026-03-02' },
        { name: 'howLong', label: 'How long or how often', half: true, hint: '12 h or 30 beds' },
        { name: 'what', label: 'For what', half: true },
        { name: 'wrong', label: 'What went wrong, or nothing', half: true },
        {
          name: 'without',
          label: 'What would have shown, and did not',
          kind: 'picks',
          options: sheet.modes.map((m) => ({ value: m, label: m })),
          hint: 'It bounds how often that can happen. It is no trial, and closes nothing.',
        },
        {
          name: 'method',
          label: 'It was like a run of',
          kind: 'select',
          options: [{ value: '', label: 'not said' }, ...sheet.methods.map((m) => ({ value: m, label: m }))],
        },
        {
          name: 'levels',
          label: 'At which levels',
          kind: 'lines',
          hint: 'One a line: drop height: 10 cm. Without them nobody can say whether it was as hard as a trial.',
        },
      ],
    },
  ];
}
