import { Link } from 'react-router';

import type { Schemas } from '../api/client';
import { stationPath, useFrame } from '../ui/place';
import { RecordPart } from '../ui/RecordPart';
import { options } from '../ui/words';

type Sheet = Schemas['BriefSheet'];
type Part = { sheet: Sheet; write: boolean };

/** What stands around the requirements: uses, steps of use, what is believed, and who is there. */
export function AroundTheBrief({ sheet }: { sheet: Sheet }) {
  const { write } = useFrame();
  return (
    <>
      <Uses sheet={sheet} write={write} />
      <StepsOfUse sheet={sheet} write={write} />
      <Assumptions sheet={sheet} write={write} />
      <WhoIsAround sheet={sheet} write={write} />
    </>
  );
}

const STEP: Record<Schemas['StepKind'], string> = {
  getReady: 'get ready',
  fit: 'fit',
  begin: 'begin',
  work: 'work',
  adjust: 'adjust',
  stop: 'stop',
  empty: 'empty or reset',
  clean: 'clean',
  carry: 'carry',
  store: 'store',
  mend: 'mend',
  other: 'something else',
};

const PERSON: Record<Schemas['Relation'], string> = {
  team: 'team',
  tester: 'tester',
  customer: 'customer',
  user: 'user',
  safety: 'safety officer',
  supplier: 'supplier',
  onlooker: 'onlooker',
};

const FIT: Record<Schemas['UseFit'], string> = {
  fits: 'fits',
  withChanges: 'fits with changes',
  doesNot: 'does not fit',
  notKnown: 'not known',
};

function Uses({ sheet, write }: Part) {
  return (
    <RecordPart
      title="Uses"
      aside={sheet.judged === '' ? undefined : `judged on build ${sheet.judged}`}
      empty="One use is assumed. With several, each has requirements of its own, and this says for each whether the newest build fits, fits with what is proposed, or does not."
      add="Add a use"
      kind="uses"
      owner={sheet.device.id}
      rows={sheet.uses}
      recordOf={(r) => r.use}
      columns={[
        {
          head: 'Use',
          look: 'font-semibold',
          cell: ({ use }) => (
            <span className={use.dropped === '' ? '' : 'line-through'}>
              {use.name}
              <span className="block text-xs font-normal text-soft">
                {[use.who, use.where].filter(Boolean).join(' · ')}
              </span>
            </span>
          ),
        },
        { head: 'Verdict', whole: true, cell: (r) => (r.use.dropped === '' ? FIT[r.fit] : 'dropped') },
        {
          head: 'Why',
          look: 'text-soft',
          cell: (r) => (r.use.dropped === '' ? r.verdict : r.use.dropped),
        },
      ]}
      fields={[
        { name: 'name', label: 'What is it used for?', hint: 'Sowing beds; sowing trays.' },
        { name: 'who', label: 'By whom?', half: true, people: true },
        { name: 'where', label: 'Where?', half: true },
        {
          name: 'loads',
          label: 'What it bears in it',
          kind: 'rows',
          add: 'Add a quantity',
          empty: {},
          fields: [
            { name: 'what', label: 'What?', half: true, hint: 'mass, moment, speed, rate, payload' },
            { name: 'text', label: 'How much?', half: true, hint: '78 kg' },
          ],
        },
        {
          name: 'dropped',
          label: 'If it is given up: why, and what would bring it back?',
          kind: 'area',
          hint: 'Empty: it goes on. A dropped use is judged no more, the device goes on.',
        },
      ]}
      blank={{}}
      body={() => ({ device: sheet.device.id })}
      write={write}
    />
  );
}

function StepsOfUse({ sheet, write }: Part) {
  const next = Math.max(-1, ...sheet.steps.map((s) => s.step.place)) + 1;
  return (
    <RecordPart
      title="Steps of use"
      said={sheet.stepsSaid}
      empty="Write down how it is used, from getting it ready to putting it away. Methods say which of it their runs go through, and what nobody ever tried is said here, on Build, on Next and before a trial in use."
      add="Add a step"
      kind="steps"
      owner={sheet.device.id}
      rows={sheet.steps}
      recordOf={(r) => r.step}
      columns={[
        { head: 'For', whole: true, look: 'text-soft', cell: (r) => STEP[r.step.kind] },
        { head: 'Step', opens: true, look: 'font-semibold', cell: (r) => r.step.name },
        {
          head: 'Who and where',
          look: 'text-soft',
          cell: (r) => [r.step.who, r.step.where, r.use].filter(Boolean).join(' · '),
        },
        {
          head: 'Tried',
          look: (r) => (r.never ? 'font-semibold text-oxide' : 'text-soft'),
          cell: (r) => r.tried,
        },
      ]}
      fields={[
        { name: 'name', label: 'What is done?', hint: 'Fill the hopper with gloves on.' },
        { name: 'kind', label: 'What for?', kind: 'select', options: options(STEP) },
        { name: 'who', label: 'Who does it?', half: true, people: true },
        { name: 'where', label: 'Where?', half: true },
        ...(sheet.uses.length === 0
          ? []
          : [
              {
                name: 'use',
                label: 'Of which use?',
                kind: 'select' as const,
                options: [
                  { value: '', label: 'every one' },
                  ...sheet.uses.map((u) => ({ value: u.use.id, label: u.use.name })),
                ],
              },
            ]),
        { name: 'place', label: 'Place in the order', kind: 'number', half: true },
      ]}
      blank={{ kind: 'work', place: next }}
      body={() => ({ device: sheet.device.id })}
      write={write}
    />
  );
}

function Assumptions({ sheet, write }: Part) {
  const pick = (of: Schemas['Pick'][]) => [
    { value: '', label: 'none' },
    ...of.map((f) => ({ value: f.id, label: f.label })),
  ];
  return (
    <RecordPart
      title="Assumptions"
      said={sheet.assumptionsSaid}
      empty="What is believed and not yet checked. A finding for it upholds it, one against it overturns it; until then every decision says what it rests on."
      add="Add an assumption"
      kind="assumptions"
      owner={sheet.device.id}
      rows={sheet.assumptions}
      recordOf={(r) => r.assumption}
      columns={[
        {
          head: 'Believed',
          look: 'font-semibold',
          cell: ({ assumption: a }) => (
            <>
              {a.text}
              <span className="block text-xs font-normal text-soft">
                {[a.hangs && `on it hangs: ${a.hangs}`, a.check && `would be shown by: ${a.check}`, a.by]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </>
          ),
        },
        {
          head: 'Stands',
          whole: true,
          look: (r) => (r.standing === 'overturned' ? 'font-semibold text-oxide' : ''),
          cell: (r) => r.stands,
        },
        {
          head: 'Because',
          look: 'text-soft',
          cell: (r) => r.because.map((b) => <Finding key={b.said} finding={b} device={sheet.device.id} />),
        },
      ]}
      fields={[
        { name: 'text', label: 'What is believed?', hint: 'Growers walk slower than 4 km/h.' },
        { name: 'hangs', label: 'What hangs on it?' },
        { name: 'check', label: 'What would show it?' },
        { name: 'by', label: 'Who believes it?', people: true },
        {
          name: 'findings',
          label: 'Findings that bear on it',
          kind: 'rows',
          add: 'Add a finding',
          empty: { says: 'for' },
          fields: [
            {
              name: 'says',
              label: 'It speaks',
              kind: 'select',
              options: [
                { value: 'for', label: 'for it' },
                { value: 'against', label: 'against it' },
                { value: 'unclear', label: 'neither way' },
              ],
            },
            { name: 'run', label: 'A run', kind: 'select', half: true, options: pick(sheet.runs) },
            { name: 'failure', label: 'A failure', kind: 'select', half: true, options: pick(sheet.failures) },
            { name: 'note', label: 'What was found' },
          ],
        },
      ]}
      blank={{ findings: [] }}
      body={() => ({ device: sheet.device.id })}
      write={write}
    />
  );
}

/** In words, and where it was found on a build the way down to it. */
function Finding({ finding, device }: { finding: Schemas['Because']; device: string }) {
  if (finding.letter === '') return <span className="block">{finding.said}</span>;
  const to =
    finding.run === null
      ? stationPath(device, finding.letter, 'find')
      : `${stationPath(device, finding.letter, 'try')}/run/${finding.run}`;
  return (
    <Link className="block text-blue underline" to={to}>
      {finding.said}
    </Link>
  );
}

function WhoIsAround({ sheet, write }: Part) {
  return (
    <RecordPart
      title="Who is around"
      empty="Names of the team, testers, customers, a safety officer, onlookers. Whoever asks for something, signs it off or keeps an article is picked from them, and this says what each of them did."
      add="Add somebody"
      kind="persons"
      owner={sheet.device.id}
      rows={sheet.persons}
      recordOf={(r) => r.person}
      columns={[
        { head: 'Name', look: 'font-semibold', whole: true, cell: (r) => r.person.name },
        { head: 'Is', whole: true, look: 'text-soft', cell: (r) => PERSON[r.person.relation] },
        { head: 'Did', cell: (r) => r.did },
        { head: 'Note', look: 'text-soft', cell: (r) => r.person.note },
      ]}
      fields={[
        { name: 'name', label: 'Name' },
        { name: 'relation', label: 'What are they to the device?', kind: 'select', options: options(PERSON) },
        { name: 'note', label: 'Note', hint: 'What they know, how they are reached.' },
      ]}
      blank={{ relation: 'tester' }}
      body={() => ({ device: sheet.device.id })}
      write={write}
    />
  );
}
