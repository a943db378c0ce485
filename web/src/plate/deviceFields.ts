import type { Field } from '../ui/fields';

export const DEVICE_FIELDS: Field[] = [
  { name: 'name', label: 'Name' },
  { name: 'brief', label: 'What is it for?', kind: 'area' },
  { name: 'users', label: 'Who uses it, and where?', kind: 'area' },
  {
    name: 'gates',
    label: 'Gates',
    kind: 'select',
    options: [
      { value: 'open', label: 'Open loop, no gates: fast' },
      { value: 'formal', label: 'Formal stages with sign-offs: slower, on record' },
    ],
  },
  {
    name: 'confidence',
    label: 'Confidence',
    kind: 'number',
    half: true,
    hint: 'How sure before a requirement counts as shown; 0.95 is usual.',
  },
  { name: 'currency', label: 'Currency', half: true },
  { name: 'costLimit', label: 'Most a next build may cost', kind: 'number', half: true },
  { name: 'hoursLimit', label: 'Most hours for a next build', kind: 'number', half: true },
  {
    name: 'changesLimit',
    label: 'Most changes at once',
    kind: 'number',
    half: true,
    hint: '1: every effect can be told apart. More: faster, and effects run together.',
  },
];
