import { type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import type { Field, FieldOrRows, Values } from '../../ui/fields';
import { RecordForm } from '../../ui/RecordForm';
import { Slip } from '../../ui/Slip';
import { trialBody } from './trialBody';
import { options, REPEATS } from '../../ui/words';

/** Starts a trial with a method, or changes one. What a repeat is for is said before the first run. */
export function TrialSlip({
  id,
  trial,
  sheet,
  onClose,
}: {
  id: string;
  trial: Schemas['TrialView'] | null;
  sheet: Schemas['TrySheet'];
  onClose: () => void;
}) {
  const signed = (who: unknown, note: unknown, at = '') =>
    String(who ?? '').trim() === '' ? null : { by: String(who), note: String(note ?? ''), at };
  const agreed = sheet.methods.find((m) => m.id === trial?.method)?.safety.agreedBy ?? [];
  const roles = agreed.length > 0 ? agreed : [''];
  const standing = (role: string) => trial?.signOffs.find((s) => role === '' || s.as === role);
  const isLaidOut = trial?.layout != null && trial.layout.kind !== 'free' && trial.layout.kind !== 'setting';
  const channels = [
    ...new Set(
      sheet.methods
        .filter((m) => trial === null || m.id === trial.method)
        .flatMap((m) => m.channels.filter((c) => c.formula === '').map((c) => c.key)),
    ),
  ];
  const fields: FieldOrRows[] = [
    ...(trial === null
      ? [
          {
            name: 'method',
            label: 'Method',
            kind: 'select' as const,
            options: sheet.methods.map((m) => ({ value: m.id, label: m.name })),
          },
        ]
      : []),
    { name: 'name', label: 'Name' },
    { name: 'question', label: 'What should it answer?', kind: 'area' },
    // Where the runs are laid out, the plan says how many.
    ...(isLaidOut
      ? []
      : [
          {
            name: 'plannedRuns',
            label: 'Planned runs',
            kind: 'number' as const,
            half: true,
            hint: 'Until then its answers read “so far”. 0: nobody says how many, until it is done.',
          },
        ]),
    { name: 'repeats', label: 'Repeats are', kind: 'select', half: true, options: options(REPEATS) },
    {
      name: 'untilWidth',
      label: 'Or until a mean is known to ±',
      half: true,
      hint: 'As in 2 N. The planned runs are its first stage then; they tell how many more it takes.',
    },
    {
      name: 'untilChannel',
      label: 'The mean of',
      kind: 'select',
      half: true,
      options: [{ value: '', label: 'the only channel' }, ...channels.map((c) => ({ value: c, label: c }))],
    },
    {
      name: 'waitsFor',
      label: 'Waits for',
      kind: 'lines',
      hint: 'Weather, a season, a part, a person, a permit; one a line. Empty: it can be tried now.',
    },
    {
      name: 'favourites',
      label: 'Who favours what, before the first result',
      kind: 'rows',
      add: 'Say who favours what',
      empty: { name: '', text: '' },
      fields: [
        { name: 'name', label: 'Who', half: true, people: true },
        { name: 'text', label: 'Favours', half: true },
      ],
    },
    ...(trial !== null
      ? [
          {
            name: 'state',
            label: 'State',
            kind: 'select' as const,
            options: [
              { value: 'planned', label: 'planned' },
              { value: 'running', label: 'running' },
              { value: 'done', label: 'done' },
            ],
          },
        ]
      : []),
    ...roles.flatMap((role, i): Field[] => [
      {
        name: `signedBy${i}`,
        label: role === '' ? 'Signed off by' : `Signed off: ${role}`,
        half: true,
        people: true,
        ...(role === '' ? { hint: 'Needed where the method puts a person at risk.' } : {}),
      },
      { name: `signedNote${i}`, label: 'Note', half: true },
    ]),
    ...(trial !== null && trial.signOffs.length > 0
      ? [
          {
            name: 'signedAgain',
            label: 'Agreed to again, as method and build are now',
            kind: 'check' as const,
            hint: 'A sign-off ends where either is changed.',
          },
        ]
      : []),
    {
      name: 'overrideBy',
      label: 'Started without stop criteria by',
      half: true,
      people: true,
      hint: 'Only where the method does not say when to stop.',
    },
    { name: 'overrideNote', label: 'Reason', half: true },
  ];
  const record: Values =
    trial === null
      ? { method: sheet.methods[0]?.id ?? '', plannedRuns: 3, repeats: 'estimate' }
      : {
          ...trial,
          ...Object.fromEntries(
            roles.flatMap((role, i) => [
              [`signedBy${i}`, standing(role)?.by],
              [`signedNote${i}`, standing(role)?.note],
            ]),
          ),
          overrideBy: trial.override?.by,
          overrideNote: trial.override?.note,
        };
  return (
    <Slip open onClose={onClose} title={trial === null ? 'New trial' : trial.name}>
      <RecordForm
        fields={fields}
        record={record}
        draft={trial === null ? `trial:${sheet.revision.id}:new` : `trial:${trial.id}`}
        label={trial === null ? 'Make trial' : 'Save'}
        save={({ signedAgain, overrideBy, overrideNote, ...values }, version) =>
          putRecord('trials', id, {
            // What this form does not ask, such as how the runs are laid out, stays as it is.
            ...(trial === null ? {} : trialBody(trial, {})),
            ...Object.fromEntries(Object.entries(values).filter(([name]) => !name.startsWith('signed'))),
            untilChannel: values['untilChannel'] ?? '',
            revision: sheet.revision.id,
            signOffs: roles
              .map((role, i) => {
                const at = signedAgain === true ? '' : (standing(role)?.at ?? '');
                const one = signed(values[`signedBy${i}`], values[`signedNote${i}`], at);
                return one === null ? null : { ...one, as: role };
              })
              .filter((one) => one !== null),
            override: signed(overrideBy, overrideNote),
            version,
          })
        }
        onSaved={onClose}
      />
    </Slip>
  );
}
