import { ALTERS, CHANGE_CLASS, options } from '../words';
import type { Field, FieldOrRows } from '../fields';
import { effectRows } from './effects';

type Pick = { id: string; label: string; now?: string };

export function candidateFields(
  metrics: string[],
  failures: Pick[],
  requirements: Pick[],
  alterable: Pick[],
): FieldOrRows[] {
  const pick = (name: string, label: string, of: Pick[]): Field[] =>
    of.length === 0 ? [] : [{ name, label, kind: 'picks', options: of.map((f) => ({ value: f.id, label: f.label })) }];
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
    { name: 'askedBy', label: 'Who asked for it?', people: true },
    ...pick('failures', 'Which failures does it answer?', failures),
    ...pick('requirements', 'Which requirements does it answer?', requirements),
    {
      name: 'alters',
      label: 'What becomes of the build',
      kind: 'rows',
      add: 'Add what it alters',
      empty: { kind: 'parameter' },
      fields: [
        { name: 'kind', label: 'It alters a', kind: 'select', options: options(ALTERS) },
        { name: 'name', label: 'Name', suggest: alterable.map((a) => a.label) },
        {
          name: 'from',
          label: 'Now',
          half: true,
          suggest: alterable.map((a) => a.now ?? '').filter((t) => t !== ''),
        },
        { name: 'to', label: 'Proposed', half: true, hint: 'Deciding it applies it.' },
      ],
    },
    effectRows(metrics),
  ];
}
