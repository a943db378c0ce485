import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { findQuery } from '../../api/queries';
import { uuid } from '../../api/uuid';
import { useBegin, usePlace } from '../../ui/place';
import { ModeTally } from '../../figures/ModeTally';
import { Button } from '../../ui/Button';
import type { Field, FieldOrRows } from '../../ui/fields';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { More, useMore } from '../../ui/More';
import { Empty, Part, Sheet } from '../../ui/Sheet';
import { Waiting } from '../../ui/Waiting';
import { CAUSE_KIND, CAUSE_STANDING, CONSEQUENCE, options } from '../../ui/words';
import { candidateFields } from '../../ui/records/candidateFields';
import { saveCandidate } from '../../ui/records/saveCandidate';
import { NewObservation } from '../../ui/records/NewObservation';
import { AddPhoto } from '../../ui/records/AddPhoto';
import { ContactSheet } from '../../ui/records/ContactSheet';
import { FailureList } from './FailureList';
import { ModesSlip } from './ModesSlip';
import { Unrecorded } from './Unrecorded';

function failureFields(methods: Schemas['MethodView'][], hasRun: boolean): FieldOrRows[] {
  return [
    {
      name: 'mode',
      label: 'Mode',
      hint: 'The same words for the same thing: that is how it is found again on later builds.',
    },
    { name: 'place', label: 'Place on the device' },
    { name: 'consequence', label: 'What would it lead to?', kind: 'select', half: true, options: options(CONSEQUENCE) },
    { name: 'stage', label: 'When in the run?', half: true },
    ...(hasRun
      ? []
      : [
          {
            name: 'method',
            label: 'As in a run of which method?',
            kind: 'select' as const,
            options: [{ value: '', label: 'not said' }, ...methods.map((m) => ({ value: m.id, label: m.name }))],
            hint: 'A failure without a run is closed by nothing until its method and levels are said.',
          },
          {
            name: 'levels',
            label: 'At which levels?',
            kind: 'rows' as const,
            add: 'Add a level',
            empty: {},
            fields: [
              {
                name: 'name',
                label: 'Factor',
                half: true,
                suggest: [...new Set(methods.flatMap((m) => m.factors.map((f) => f.name)))],
              },
              { name: 'text', label: 'Level', half: true },
            ],
          },
        ]),
    {
      name: 'question',
      label: 'Belongs to the question',
      suggest: [...new Set(methods.flatMap((m) => m.questions.map((q) => q.key)))],
      hint: 'Its short name; empty where it stands alone.',
    },
    { name: 'note', label: 'What happened?', kind: 'area' },
    { name: 'feared', label: 'Feared, not seen yet', kind: 'check' },
    { name: 'guard', label: 'What guards against it?', hint: 'Of one that is feared.' },
  ];
}

const CAUSE_FIELDS: Field[] = [
  { name: 'text', label: 'What is suspected?' },
  {
    name: 'kind',
    label: 'Where does it lie?',
    kind: 'select',
    options: options(CAUSE_KIND),
    hint: 'Look at set-up, method and use before the design is blamed.',
  },
  { name: 'standing', label: 'How does it stand?', kind: 'select', options: options(CAUSE_STANDING) },
  { name: 'findings', label: 'Findings for and against', kind: 'area' },
];

const CLOSING_FIELDS: Field[] = [
  {
    name: 'why',
    label: 'Why may it count as closed?',
    kind: 'area',
    hint: 'It stands beside the holds, with your name. When the failure comes back it is open again.',
  },
];

export type FindForm = { kind: 'failure' | 'cause' | 'closing' | 'candidate'; editing: Exclude<Editing, null> } | null;

/** The Find station: what went wrong on this build, over all builds, and why. */
export default function Find() {
  const { tag } = usePlace();
  const query = useQuery(findQuery(tag.revision.id));
  return (
    <Waiting query={query} title="Find">
      {(sheet) => <FindSheet key={sheet.revision.id} sheet={sheet} />}
    </Waiting>
  );
}

function FindSheet({ sheet }: { sheet: Schemas['FindSheet'] }) {
  const { frame, write } = usePlace();
  const [form, setForm] = useState<FindForm>(null);
  const begin = useCallback(
    () => setForm({ kind: 'failure', editing: { id: uuid(), record: { consequence: 'major', levels: [] } } }),
    [],
  );
  useBegin(write ? begin : null);
  const [modes, setModes] = useState(false);
  const revision = sheet.revision.id;
  const failures = useMore(sheet.failures, sheet.moreFailures, (after) =>
    must(api.GET('/api/revisions/{id}/failures', { params: { path: { id: revision }, query: { after } } })),
  );
  const photos = useMore(sheet.photos, sheet.morePhotos, (after) =>
    must(api.GET('/api/revisions/{id}/photos', { params: { path: { id: revision }, query: { after } } })),
  );
  const seen = useMore(sheet.observations, sheet.moreObservations, (after) =>
    must(api.GET('/api/revisions/{id}/observations', { params: { path: { id: revision }, query: { after } } })),
  );
  const editing = (kind: Exclude<FindForm, null>['kind']) => (form?.kind === kind ? form.editing : null);
  const close = () => setForm(null);
  return (
    <>
      <Sheet
        title={`Find ${sheet.revision.letter}`}
        sentence={sheet.sentence}
        actions={
          write && (
            <Button look="primary" onClick={begin}>
              Log failure
            </Button>
          )
        }
      >
        {sheet.modes.length > 0 && (
          <Part
            title="Where they gather"
            aside="all builds together"
            actions={
              write && (
                <Button look="quiet" onClick={() => setModes(true)}>
                  Merge or split
                </Button>
              )
            }
          >
            <ModeTally rows={sheet.modes} device={frame.device.id} current={revision} />
          </Part>
        )}
        <Part title="Failures" aside={`of ${sheet.revision.letter}`}>
          {sheet.unrecorded.length > 0 && <Unrecorded rows={sheet.unrecorded} write={write} edit={setForm} />}
          {failures.rows.length > 0 && (
            <FailureList rows={failures.rows} revision={revision} write={write} edit={setForm} />
          )}
          {failures.rows.length + sheet.unrecorded.length === 0 && (
            <Empty>
              Nothing that failed on this build was logged. With the first failure this works out where failures gather,
              which fix holds, and how often it could still happen.
            </Empty>
          )}
          <More of={failures} total={sheet.allFailures} words="failures" />
        </Part>
        <Part title="Photos and files" actions={write && <AddPhoto revision={revision} />}>
          {sheet.photos.length === 0 ? (
            <Empty>
              A photo of the broken place is worth the minute. Position data is taken out when it is uploaded.
            </Empty>
          ) : (
            <ContactSheet photos={photos.rows} />
          )}
          <More of={photos} total={sheet.allPhotos} words="photos" />
        </Part>
        <Part title="Observations">
          <ul className="mb-3 space-y-1">
            {seen.rows.map((o) => (
              <li key={o.id}>
                {o.text}{' '}
                <span className="text-xs text-soft">
                  {o.saidBy === '' ? o.by : `said by ${o.saidBy}, kept by ${o.by}`}
                </span>
              </li>
            ))}
          </ul>
          <More of={seen} total={sheet.allObservations} words="observations" />
          {write && <NewObservation revision={revision} run={null} />}
        </Part>
      </Sheet>
      {modes && <ModesSlip device={frame.device.id} modes={sheet.modes} onClose={() => setModes(false)} />}
      <RecordSlip
        title="Failure"
        kind={`failure:${revision}`}
        editing={editing('failure')}
        fields={failureFields(sheet.methods, typeof form?.editing.record['run'] === 'string')}
        onClose={close}
        save={(id, values, version) =>
          putRecord('failures', id, {
            run: form?.editing.record['run'],
            article: form?.editing.record['article'],
            method: form?.editing.record['method'] ?? null,
            levels: form?.editing.record['levels'] ?? [],
            consequenceOf: form?.editing.record['consequenceOf'] ?? null,
            ...values,
            revision,
            version,
          })
        }
      />
      <RecordSlip
        title="Suspected cause"
        kind={`cause:${String(form?.editing.record['failure'])}`}
        editing={editing('cause')}
        fields={CAUSE_FIELDS}
        onClose={close}
        save={(id, values, version) =>
          putRecord('causes', id, { ...values, failure: form?.editing.record['failure'], version })
        }
      />
      <RecordSlip
        title="Closed in words"
        kind={`closing:${String(form?.editing.record['failure'])}`}
        editing={editing('closing')}
        label="Count it as closed"
        fields={CLOSING_FIELDS}
        onClose={close}
        save={(id, values, version) =>
          putRecord('closings', id, { ...values, failure: form?.editing.record['failure'], version })
        }
      />
      <RecordSlip
        title="Candidate against this failure"
        kind={`candidate:${String(form?.editing.record['failure'])}`}
        editing={editing('candidate')}
        fields={candidateFields([], [], [], [])}
        onClose={close}
        wide
        label="Propose it"
        save={(id, values, version) =>
          saveCandidate(id, { ...form?.editing.record, ...values, revision, source: 'failure' }, version)
        }
      />
    </>
  );
}
