import { CHANGE_CLASS, options, VERDICT } from '../../ui/words';
import type { Field } from '../../ui/fields';

export function changeFields(metrics: string[]): Field[] {
  return [
    { name: 'what', label: 'What changes?' },
    { name: 'why', label: 'Why?', kind: 'area' },
    { name: 'class', label: 'Class', kind: 'select', options: options(CHANGE_CLASS) },
    {
      name: 'metric',
      label: 'Which metric should move?',
      suggest: metrics,
      hint: 'Without one, nobody can check it with numbers.',
    },
    { name: 'expected', label: 'By how much?', kind: 'number', half: true, hint: 'With its sign: −2 is less.' },
    { name: 'unit', label: 'Unit', half: true },
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
  { name: 'text', label: 'Value with unit', hint: 'As in 1.60 mm, 1/8 in or 12 V.' },
];

export const PART_FIELDS: Field[] = [
  { name: 'name', label: 'Part' },
  { name: 'material', label: 'Material' },
  { name: 'quantity', label: 'How many', kind: 'number', half: true },
  { name: 'cost', label: 'Cost of one', kind: 'number', half: true },
  { name: 'note', label: 'Note' },
];

export const ARTICLE_FIELDS: Field[] = [
  { name: 'serial', label: 'Serial' },
  {
    name: 'lots',
    label: 'Material lots',
    kind: 'lines',
    hint: 'One a line: plate sheet: P-31. Another lot is a change that nobody decided.',
  },
  { name: 'deviations', label: 'Built otherwise than drawn?', kind: 'area' },
  {
    name: 'state',
    label: 'State',
    kind: 'select',
    options: [
      { value: 'mockup', label: 'mock-up' },
      { value: 'bare', label: 'bare' },
      { value: 'finished', label: 'finished' },
      { value: 'payload', label: 'payload aboard' },
    ],
  },
];
