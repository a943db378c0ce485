import { CHANGE_CLASS, options } from '../words';
import type { Field, FieldOrRows } from '../fields';

export function candidateFields(metrics: string[], failures: { id: string; label: string }[]): FieldOrRows[] {
  const about: Field[] =
    failures.length === 0
      ? []
      : [
          {
            name: 'failure',
            label: 'Against which failure?',
            kind: 'select',
            options: [{ value: '', label: 'none' }, ...failures.map((f) => ({ value: f.id, label: f.label }))],
          },
        ];
  return [
    {
      name: 'what',
      label: 'What would change?',
      hint: 'With the present value and the proposed one: 4 mm instead of 3 mm.',
    },
    { name: 'why', label: 'Why?', kind: 'area' },
    { name: 'class', label: 'Class', kind: 'select', half: true, options: options(CHANGE_CLASS) },
    {
      name: 'source',
      label: 'Comes from',
      kind: 'select',
      half: true,
      options: [
        { value: 'team', label: 'the team' },
        { value: 'failure', label: 'a failure' },
        { value: 'outside', label: 'outside' },
      ],
    },
    { name: 'cost', label: 'Cost', kind: 'number', half: true },
    { name: 'hours', label: 'Hours', kind: 'number', half: true },
    { name: 'askedBy', label: 'Who asked for it?' },
    ...about,
    {
      name: 'effects',
      label: 'Expected effect, as a range',
      kind: 'rows',
      add: 'Add an effect',
      empty: {},
      fields: [
        { name: 'metric', label: 'Metric', suggest: metrics },
        { name: 'unit', label: 'Unit', half: true },
        { name: 'low', label: 'Lowest', kind: 'number', half: true },
        { name: 'likely', label: 'Likely', kind: 'number', half: true },
        { name: 'high', label: 'Highest', kind: 'number', half: true },
      ],
    },
  ];
}
