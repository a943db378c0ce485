import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { briefQuery } from '../api/queries';
import { uuid } from '../api/uuid';
import { stationPath, useBegin, useFrame } from '../ui/place';
import { armOf } from '../ui/records/arms';
import { REVISION_FIELDS } from '../ui/records/revisionFields';
import { Button } from '../ui/Button';
import type { Field, FieldOrRows } from '../ui/fields';
import { prose } from '../ui/prose';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Empty, Part, Sheet } from '../ui/Sheet';
import { Table } from '../ui/Table';
import { Waiting } from '../ui/Waiting';
import { ARTICLE_STATE, CHANGE_CLASS, KIND, options, SOURCE } from '../ui/words';
import { AroundTheBrief } from './AroundTheBrief';
import { DEVICE_FIELDS } from './deviceFields';
import { WishLine } from './WishLine';
import { placeOf, wordOf } from './limits';
import { conditionsOf, isRange, rangesOf, type Range } from './ranges';

function requirementFields(sheet: Schemas['BriefSheet']): FieldOrRows[] {
  return [
    { name: 'statement', label: 'What must it do?', hint: 'In words, as you would tell a user.' },
    {
      name: 'metric',
      label: 'Metric',
      suggest: sheet.metrics,
      hint: 'The same word as the channel of the method that measures it.',
    },
    {
      name: 'direction',
      label: 'Counts as met',
      kind: 'select',
      half: true,
      options: [
        { value: 'atLeast', label: 'at least' },
        { value: 'atMost', label: 'at most' },
      ],
    },
    sheet.measured.some((m) => m.scale === 'ordered')
      ? { name: 'limit', label: 'Limit, or a word of the scale', half: true }
      : { name: 'limit', label: 'Limit', kind: 'number', half: true },
    { name: 'unit', label: 'Unit', half: true },
    { name: 'kind', label: 'Shown by', kind: 'select', half: true, options: options(KIND) },
    { name: 'coverage', label: 'For “every article”: share of articles', kind: 'number', half: true },
    { name: 'must', label: 'It must (else: it should)', kind: 'check', half: true },
    {
      name: 'conditions',
      label: 'At which levels and conditions? Each must be covered',
      kind: 'picks',
      options: sheet.places.map((p) => ({ value: p.id, label: p.label })),
      hint: 'From what the methods vary and record.',
    },
    {
      name: 'ranges',
      label: 'Only from or up to',
      kind: 'rows',
      add: 'Add an end',
      empty: { name: sheet.sizes[0]?.id ?? '', relation: '>=' },
      fields: [
        {
          name: 'name',
          label: 'What',
          kind: 'select',
          options: [...new Set([...sheet.sizes.map((s) => s.id), ...sheet.requirements.flatMap(named)])].map((n) => ({
            value: n,
            label: n,
          })),
          hint: sheet.sizes.length === 0 ? 'No method has a factor or a condition with a size yet.' : undefined,
        },
        {
          name: 'relation',
          label: 'From or up to',
          kind: 'select',
          half: true,
          options: [
            { value: '>=', label: 'from' },
            { value: '<=', label: 'up to' },
          ],
        },
        { name: 'end', label: 'With its unit', half: true, hint: 'Only runs that lie there count.' },
      ],
    },
    {
      name: 'enough',
      label: 'On which articles?',
      kind: 'picks',
      options: Object.entries(ARTICLE_STATE).map(([value, label]) => ({ value, label })),
      hint: 'None picked: every one but a mock-up or a model.',
    },
    {
      name: 'methods',
      label: 'By which methods?',
      kind: 'picks',
      options: sheet.methods.map((m) => ({ value: m, label: m })),
      hint: 'None picked: all of them.',
    },
    ...(sheet.uses.length === 0
      ? []
      : [
          {
            name: 'uses',
            label: 'Which uses ask for it?',
            kind: 'picks' as const,
            options: sheet.uses.map((u) => ({ value: u.use.id, label: u.use.name })),
            hint: 'None picked: every one.',
          },
        ]),
    { name: 'askedBy', label: 'Who asked for it?', people: true },
    {
      name: 'members',
      label: 'Of a family that stays, it must hold on',
      kind: 'select',
      options: [
        { value: 'each', label: 'each member' },
        { value: 'worst', label: 'the worst one' },
        { value: 'chosen', label: 'the chosen one' },
      ],
    },
    ...(sheet.moduleRequirements.length === 0
      ? []
      : [
          {
            name: 'byModule',
            label: 'It is shown by a module',
            kind: 'select' as const,
            options: [
              { value: '', label: 'no, by runs of this device' },
              ...sheet.moduleRequirements.map((m) => ({ value: m.id, label: m.label })),
            ],
          },
        ]),
    { name: 'source', label: 'Its value comes from', kind: 'select', options: options(SOURCE) },
    {
      name: 'dependsOn',
      label: 'Depends on which classes of change?',
      kind: 'lines',
      hint: `One a line, of ${Object.values(CHANGE_CLASS).join(', ')}. Empty: all but the cosmetic.`,
    },
  ];
}

/** What shows it: runs of this device, its drawing, or a module. */
function shownBy(r: Schemas['RequirementView']): string {
  if (r.byModuleName !== '') return `by the module ${r.byModuleName}`;
  return r.source === 'runs' ? KIND[r.kind] : SOURCE[r.source];
}

/** What its ranges speak of, though no method may have it any more. */
function named(requirement: Schemas['RequirementView']): string[] {
  return rangesOf(requirement.conditions).map((r) => r.name);
}

const METRIC_FIELDS: Field<Schemas['MetricInput']>[] = [
  { name: 'name', label: 'Name', hint: 'Requirements, channels, changes and effects all follow.' },
  {
    name: 'scale',
    label: 'Its values are',
    kind: 'select',
    options: [
      { value: 'numeric', label: 'numbers with a unit' },
      { value: 'count', label: 'counts' },
      { value: 'share', label: 'shares' },
      { value: 'check', label: 'held or failed' },
      { value: 'ordered', label: 'words in an order' },
      { value: 'plain', label: 'plain numbers' },
    ],
  },
  {
    name: 'naturalLow',
    label: 'Least that there can be',
    kind: 'number',
    half: true,
    hint: 'In its SI unit; 0 where nothing is less.',
  },
  { name: 'naturalHigh', label: 'Most that there can be', kind: 'number', half: true },
  {
    name: 'effects',
    label: 'Effects on it',
    kind: 'select',
    options: [
      { value: '', label: 'as the values say' },
      { value: 'add', label: 'add up' },
      { value: 'ratio', label: 'multiply' },
    ],
  },
  { name: 'computed', label: 'It comes from a calculation: never among the runs', kind: 'check' },
  { name: 'words', label: 'Words of an ordered scale, lowest first', kind: 'lines' },
];

const EMPTY = {
  direction: 'atLeast',
  kind: 'mean',
  must: true,
  coverage: 0.9,
  conditions: [],
  ranges: [],
  dependsOn: [],
  enough: [],
  methods: [],
  uses: [],
  members: 'each',
  source: 'runs',
};

type Form = { kind: 'device' | 'requirement' | 'revision' | 'metric'; editing: Exclude<Editing, null> } | null;

/** The device's brief: what it is for, its limits and its requirements; and the way to its first build. */
export default function Brief() {
  const frame = useFrame();
  const query = useQuery(briefQuery(frame.device.id));
  return (
    <Waiting query={query} title="Brief">
      {(sheet) => <BriefSheet sheet={sheet} />}
    </Waiting>
  );
}

function BriefSheet({ sheet }: { sheet: Schemas['BriefSheet'] }) {
  const frame = useFrame();
  const navigate = useNavigate();
  const [form, setForm] = useState<Form>(null);
  const write = frame.write;
  const device = sheet.device;
  const newest = frame.spine[0]?.revision;
  const begin = useCallback(
    () =>
      setForm({
        kind: 'requirement',
        editing: {
          id: uuid(),
          record: EMPTY,
        },
      }),
    [],
  );
  useBegin(write ? begin : null);
  const beginBuild = () =>
    setForm({
      kind: 'revision',
      editing: {
        id: uuid(),
        record: { letter: newest === undefined ? 'A' : '', state: 'building', parent: newest?.id ?? null, arms: [] },
      },
    });
  const editing = (kind: Exclude<Form, null>['kind']) => (form?.kind === kind ? form.editing : null);
  const close = () => setForm(null);

  return (
    <>
      <Sheet
        title={`Brief of ${device.name}`}
        sentence={sheet.sentence}
        actions={
          write && (
            <>
              <Button onClick={() => setForm({ kind: 'device', editing: { id: device.id, record: { ...device } } })}>
                Edit brief
              </Button>
              <Button look={newest === undefined ? 'primary' : 'plain'} onClick={beginBuild}>
                {newest === undefined ? 'First build' : 'New build by hand'}
              </Button>
              <Button look={newest === undefined ? 'plain' : 'primary'} onClick={begin}>
                Add requirement
              </Button>
            </>
          )
        }
      >
        {device.brief !== '' && <p className="mt-3 max-w-prose">{prose(device.brief)}</p>}
        {device.users !== '' && <p className="mt-1 max-w-prose text-soft">{prose(device.users)}</p>}
        {[sheet.origin, ...sheet.carriers].filter(Boolean).map((said) => (
          <p key={said} className="mt-1 max-w-prose text-soft">
            {prose(said)}
          </p>
        ))}
        <p className="mt-2 text-sm text-soft">{sheet.limits}</p>
        <Part title="Requirements">
          {write && (
            <WishLine
              device={device.id}
              place={sheet.requirements.length}
              correct={(said) =>
                setForm({
                  kind: 'requirement',
                  editing: {
                    id: uuid(),
                    record: { ...EMPTY, ...said, ranges: rangesOf((said['conditions'] as string[] | undefined) ?? []) },
                  },
                })
              }
            />
          )}
          {sheet.requirements.length === 0 ? (
            <Empty action={write && <Button onClick={begin}>Add requirement</Button>}>
              None yet, and none is needed to begin: try something, and a result becomes a requirement by one touch. Or
              say it above in a sentence. From then on each build shows how far it is met, and how many runs are still
              missing.
            </Empty>
          ) : (
            <Table
              wide
              headless
              least="min-w-[40rem]"
              label="Requirements"
              rows={sheet.requirements}
              keyOf={(r) => r.id}
              columns={[
                {
                  head: 'Requirement',
                  look: 'font-semibold',
                  cell: (r) => (
                    <>
                      {r.statement}
                      {!r.must && <span className="font-normal text-soft"> (should)</span>}
                    </>
                  ),
                },
                { head: 'Limit', cell: (r) => prose(`${r.metric} ${r.limitText}`) },
                {
                  head: 'Kind',
                  look: 'text-soft',
                  cell: (r) => shownBy(r) + (r.conditions.length > 0 ? `; with ${r.conditionTexts.join(', ')}` : ''),
                },
              ]}
              edit={
                write
                  ? (r) => () =>
                      setForm({
                        kind: 'requirement',
                        editing: {
                          id: r.id,
                          record: { ...r, limit: wordOf(r, sheet.measured), ranges: rangesOf(r.conditions) },
                        },
                      })
                  : undefined
              }
            />
          )}
        </Part>
        <AroundTheBrief sheet={sheet} />
        {newest !== undefined && (
          <p className="mt-6">
            <Link className="font-semibold text-blue underline" to={stationPath(device.id, newest.letter, 'build')}>
              To build {newest.letter}
            </Link>
          </p>
        )}
        {sheet.measured.length > 0 && (
          <Part title="Metrics" aside="a new name is taken over everywhere">
            <ul className="flex flex-wrap gap-x-5 gap-y-1 text-sm">
              {sheet.measured.map((m) => (
                <li key={m.id}>
                  {write ? (
                    <button
                      type="button"
                      className="min-h-6 cursor-pointer text-blue underline"
                      aria-label={`Rename ${m.name}`}
                      onClick={() => setForm({ kind: 'metric', editing: { id: m.id, record: { ...m } } })}
                    >
                      {m.name}
                    </button>
                  ) : (
                    m.name
                  )}
                </li>
              ))}
            </ul>
          </Part>
        )}
      </Sheet>
      <RecordSlip
        title="Brief"
        kind={`brief:${device.id}`}
        editing={editing('device')}
        fields={DEVICE_FIELDS}
        onClose={close}
        save={(id, values, version) => putRecord('devices', id, { ...values, workspace: device.workspace, version })}
      />
      <RecordSlip
        title="Requirement"
        kind={`requirement:${device.id}`}
        editing={editing('requirement')}
        fields={requirementFields(sheet)}
        onClose={close}
        save={(id, values, version) =>
          putRecord('requirements', id, {
            byModule: form?.editing.record['byModule'] ?? null,
            ...values,
            conditions: [
              ...(values['conditions'] as string[]).filter((c) => !isRange(c)),
              ...conditionsOf(values['ranges'] as Range[], Object.fromEntries(sheet.sizes.map((s) => [s.id, s.now]))),
            ],
            limit: placeOf(values['limit'], values['metric'], sheet.measured) ?? 0,
            coverage: values['coverage'] ?? 0.9,
            device: device.id,
            place: form?.editing.record['place'] ?? sheet.requirements.length,
            version,
          })
        }
      />
      <RecordSlip
        title={newest === undefined ? 'First build' : 'New build'}
        kind={`revision:${device.id}`}
        editing={editing('revision')}
        fields={[
          ...REVISION_FIELDS,
          ...(newest === undefined
            ? []
            : [
                {
                  name: 'parent',
                  label: 'Comes from',
                  kind: 'select' as const,
                  options: [
                    { value: '', label: 'none' },
                    ...frame.spine.map((t) => ({ value: t.revision.id, label: t.revision.letter })),
                  ],
                },
              ]),
        ]}
        onClose={close}
        label="Make build"
        save={async (id, values, version) => {
          await putRecord('revisions', id, {
            parent: null,
            ...values,
            arms: (values['arms'] as string[]).map(armOf),
            device: device.id,
            version,
          });
          await navigate(stationPath(device.id, String(values['letter']).trim(), 'build'));
        }}
      />
      <RecordSlip
        title="Metric"
        kind={`metric:${device.id}`}
        editing={editing('metric')}
        fields={METRIC_FIELDS}
        onClose={close}
        save={(id, values, version) =>
          putRecord('metrics', id, {
            ...form?.editing.record,
            ...values,
            effects: values['effects'] ?? '',
            device: device.id,
            version,
          })
        }
      />
    </>
  );
}
