import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';

import { type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { methodsQuery } from '../api/queries';
import { uuid } from '../api/uuid';
import { useBegin, useFrame } from '../ui/place';
import { Button } from '../ui/Button';
import type { FieldOrRows } from '../ui/fields';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Empty, Part, Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { FACTOR_KIND, FACTOR_ROLE, HARDER, options } from '../ui/words';

const fields = (steps: Schemas['Pick'][]): FieldOrRows[] => [
  { name: 'name', label: 'Name' },
  { name: 'purpose', label: 'What does it find out?', kind: 'area' },
  { name: 'rig', label: 'Rig or fixture', half: true },
  { name: 'minutes', label: 'Minutes a run', kind: 'number', half: true },
  {
    name: 'channels',
    label: 'Channels: what is read',
    kind: 'rows',
    add: 'Add a channel',
    empty: { whenStopped: 'equal' },
    fields: [
      { name: 'metric', label: 'Metric', hint: 'As the requirement calls it.' },
      { name: 'key', label: 'Short name', half: true, hint: 'One word, such as pull.' },
      { name: 'unit', label: 'Unit that the instrument shows', half: true, hint: '1 for a plain number or words.' },
      { name: 'instrument', label: 'Instrument', half: true },
      { name: 'resolution', label: 'Its smallest step', kind: 'number', half: true },
      { name: 'low', label: 'Least plausible', half: true, hint: 'In any unit that fits: 50 lbf.' },
      { name: 'high', label: 'Greatest plausible', half: true },
      {
        name: 'formula',
        label: 'Worked out as',
        hint: 'Empty for a channel that is read. Else from the short names of the others: pull * arm / width.',
      },
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
    ],
  },
  {
    name: 'conditions',
    label: 'Conditions that must be recorded',
    kind: 'rows',
    add: 'Add a condition',
    empty: {},
    fields: [
      { name: 'name', label: 'Name' },
      { name: 'unit', label: 'Unit', half: true, hint: 'Empty for words.' },
      { name: 'tolerance', label: 'Counts as equal within', kind: 'number', half: true },
      { name: 'states', label: 'Words to choose from', kind: 'lines' },
    ],
  },
  {
    name: 'settings',
    label: 'Settings that are read before each run',
    kind: 'rows',
    add: 'Add a setting',
    empty: {},
    fields: [
      { name: 'name', label: 'Name' },
      { name: 'unit', label: 'Unit', half: true },
      { name: 'intended', label: 'Should be', kind: 'number', half: true },
      { name: 'tolerance', label: 'Within', kind: 'number', half: true },
    ],
  },
  {
    name: 'factors',
    label: 'Factors: what is varied on purpose',
    kind: 'rows',
    add: 'Add a factor or a block',
    empty: { role: 'factor', kind: 'words', harder: 'none' },
    fields: [
      { name: 'name', label: 'Name', hint: 'drop height, seed; as a block: grower, article, operator, day.' },
      { name: 'role', label: 'What is it to the runs?', kind: 'select', options: options(FACTOR_ROLE) },
      { name: 'kind', label: 'Its levels are', kind: 'select', options: options(FACTOR_KIND), half: true },
      { name: 'harder', label: 'Which end is harder?', kind: 'select', options: options(HARDER), half: true },
      { name: 'unit', label: 'Unit', half: true },
      { name: 'step', label: 'Equal to the nearest', kind: 'number', half: true },
      {
        name: 'levels',
        label: 'Levels to choose from',
        kind: 'lines',
        hint: 'One a line; ordered words lowest first.',
      },
    ],
  },
  {
    name: 'questions',
    label: 'Questions: what each run answers',
    kind: 'rows',
    add: 'Add a question',
    empty: {},
    fields: [
      {
        name: 'metric',
        label: 'A run that holds shows',
        hint: 'As a requirement calls it: survives drop, latch opens.',
      },
      { name: 'text', label: 'It has held when' },
    ],
  },
  { name: 'modes', label: 'Failures to look for on each run', kind: 'lines', hint: 'One a line.' },
  {
    name: 'steps',
    label: 'Which steps of use does a run go through?',
    kind: 'picks',
    options: steps.map((s) => ({ value: s.id, label: s.label })),
    hint: 'The steps are written down in the brief.',
  },
  { name: 'inUse', label: 'It is tried as it will be used, in the field or by whom it is for', kind: 'check' },
  { name: 'represents', label: 'As good as these methods', kind: 'lines', hint: 'Names of methods, one a line.' },
  { name: 'wears', label: 'A run leaves its mark on the article', kind: 'check' },
  { name: 'heldWhen', label: 'When has it held?', half: true },
  { name: 'endPoint', label: 'When does a run end?', half: true },
  { name: 'notRepresented', label: 'What does it NOT represent?', half: true },
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
];

/** Methods: how each kind of trial is done. */
export default function Methods() {
  const frame = useFrame();
  const query = useQuery(methodsQuery(frame.device.id));
  return (
    <Waiting query={query} title="Methods and instruments">
      {(sheet) => <MethodList sheet={sheet} />}
    </Waiting>
  );
}

function MethodList({ sheet }: { sheet: Schemas['MethodsSheet'] }) {
  const frame = useFrame();
  const [editing, setEditing] = useState<Editing>(null);
  const begin = useCallback(
    () => setEditing({ id: uuid(), record: { minutes: 10, wears: true, channels: [{ whenStopped: 'equal' }] } }),
    [],
  );
  useBegin(frame.write ? begin : null);
  return (
    <>
      <Sheet
        title="Methods and instruments"
        sentence={sheet.sentence}
        actions={
          frame.write && (
            <Button look="primary" onClick={begin}>
              New method
            </Button>
          )
        }
      >
        {sheet.methods.length === 0 && (
          <Empty>
            None yet. What you try makes its method by itself: its numbers become what is read and what it is tried at.
            A method says what is read, in which unit, what must be written down beside it, and when to stop; it is what
            makes two builds comparable.
          </Empty>
        )}
        {sheet.methods.map((row) => (
          <MethodPart
            key={row.method.id}
            row={row}
            edit={
              frame.write
                ? () => setEditing({ id: row.method.id, record: { ...row.method, ...row.method.safety } })
                : null
            }
          />
        ))}
      </Sheet>
      <RecordSlip
        title="Method"
        kind={`method:${frame.device.id}`}
        editing={editing}
        fields={fields(sheet.steps)}
        wide
        onClose={() => setEditing(null)}
        save={(id, { hazards, cautions, abort, needsSignOff, ...values }, version) =>
          putRecord('methods', id, {
            ...values,
            minutes: values['minutes'] ?? 10,
            device: frame.device.id,
            safety: { hazards, cautions, abort, needsSignOff },
            version,
          })
        }
      />
    </>
  );
}

function MethodPart({ row, edit }: { row: Schemas['MethodRow']; edit: (() => void) | null }) {
  const m = row.method;
  return (
    <Part
      title={m.name}
      aside={row.aside}
      actions={
        edit !== null && (
          <Button look="quiet" aria-label={`Edit ${m.name}`} onClick={edit}>
            Edit
          </Button>
        )
      }
    >
      {m.purpose !== '' && <p>{m.purpose}</p>}
      <dl className="mt-1 grid gap-x-4 text-sm sm:grid-cols-[10rem_1fr]">
        <Line name="Reads" text={row.reads} />
        <Line name="Asks" text={row.asks} />
        <Line name="Varies" text={row.varies} />
        <Line name="Records" text={[row.records]} />
        <Line name="Set to" text={[row.settings]} />
        <Line name="Goes through" text={[row.through]} />
        <Line name="Held when" text={[m.heldWhen]} />
        <Line name="Does not represent" text={[m.notRepresented]} />
        <Line name="Mind" text={[row.mind]} grave />
      </dl>
    </Part>
  );
}

function Line({ name, text, grave = false }: { name: string; text: string[]; grave?: boolean }) {
  const said = text.filter((t) => t !== '');
  if (said.length === 0) return null;
  return (
    <>
      <dt className={grave ? 'text-oxide' : 'text-soft'}>{name}</dt>
      <dd>
        {said.map((t) => (
          <span key={t} className="block">
            {t}
          </span>
        ))}
      </dd>
    </>
  );
}
