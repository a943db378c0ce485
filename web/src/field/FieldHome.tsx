import { useCallback, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';

import type { Schemas } from '../api/client';
import { heldBuilds, letGo } from '../outbox/held';
import type { Held } from '../outbox/store';
import type { Sent } from '../outbox/sender';
import { useQueue } from '../outbox/useQueue';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Part, Sheet } from '../ui/Sheet';
import { StatePicker } from '../ui/StatePicker';
import { dayAndTime } from '../ui/time';
import { OUTCOME } from '../ui/words';
import { beginRun, forgetSent, keepRun, nextSlot, runsHere, sendBegin, type FieldRun, type Trial } from './fieldRun';
import { Outgoing } from './Outgoing';

const count = (n: number, one: string, many: string) => (n === 1 ? `one ${one}` : `${n} ${many}`);

/** What this device holds for the field, the way into a run without network, and what waits to be sent. */
export function FieldHome({ person, name, sent }: { person: string; name: string; sent: Sent | null }) {
  const queue = useQueue(person);
  const [held, setHeld] = useState<Held[] | null>(null);
  const [runs, setRuns] = useState<FieldRun[]>([]);
  const read = useCallback(() => {
    void forgetSent()
      .then(() => Promise.all([heldBuilds(), runsHere()]))
      .then(([builds, here]) => {
        setHeld(builds);
        setRuns(here);
      });
  }, []);
  useEffect(read, [read, queue.length, sent]);
  const stuck = queue.filter((w) => w.state !== 'waiting').length;
  const says = [
    held === null || held.length === 0
      ? 'Nothing is taken along on this device.'
      : `This device holds ${count(held.length, 'build', 'builds')}.`,
    queue.length === 0
      ? 'Nothing waits to be sent.'
      : `${count(queue.length, 'record waits', 'records wait')} to be sent${stuck > 0 ? `, ${stuck} of them for you` : ''}.`,
  ].join(' ');
  return (
    <main id="sheet" className="mx-auto max-w-3xl p-2 sm:p-8">
      <Sheet title={`In the field · ${name}`} sentence={says}>
        {sent === 'offline' && (
          <p className="mt-2 text-sm text-soft">There is no network. Go on: everything is kept here.</p>
        )}
        {sent === 'signedOut' && (
          <p className="mt-2 border-l-4 border-brass pl-3 font-semibold">
            You are signed out. What waits is kept, and goes on as soon as you are signed in again.{' '}
            <a className="text-blue underline" href="/">
              Sign in
            </a>
          </p>
        )}
        {sent === 'other' && (
          <p className="mt-2 border-l-4 border-brass pl-3 font-semibold">
            Somebody else is signed in here. What waits is {name}’s, and is sent under no other name.
          </p>
        )}
        {held?.length === 0 && (
          <p className="mt-4">
            While there is network, open Try of a build and touch “Take along”. Its open trials, their plans and the
            last good run of each method are then here, wherever you are.
          </p>
        )}
        {(held ?? []).map((one) => (
          <HeldBuild key={one.sheet.revision.id} held={one} runs={runs} name={name} changed={read} />
        ))}
        <Outgoing queue={queue} />
      </Sheet>
    </main>
  );
}

function HeldBuild({ held, runs, name, changed }: { held: Held; runs: FieldRun[]; name: string; changed: () => void }) {
  const { sheet } = held;
  return (
    <Part
      title={`${sheet.deviceName} ${sheet.revision.letter}`}
      aside={`as of ${dayAndTime(held.at)}`}
      actions={
        <Button look="quiet" onClick={() => void letGo(sheet.revision.id).then(changed)}>
          Let it go
        </Button>
      }
    >
      <p>{sheet.sentence}</p>
      {sheet.trials.map((trial) => (
        <HeldTrial key={trial.trial.id} trial={trial} sheet={sheet} runs={runs} name={name} />
      ))}
    </Part>
  );
}

function HeldTrial({
  trial,
  sheet,
  runs,
  name,
}: {
  trial: Trial;
  sheet: Schemas['FieldSheet'];
  runs: FieldRun[];
  name: string;
}) {
  const navigate = useNavigate();
  const [problem, setProblem] = useState('');
  const next = nextSlot(trial, runs);
  const here = runs.filter((r) => r.trial === trial.trial.id);
  const planned = sheet.articles.find((a) => a.id === trial.plan?.article);
  const [article, setArticle] = useState(planned?.id ?? sheet.articles.at(-1)?.id ?? '');
  const [state, setState] = useState('');

  async function begin() {
    const run = beginRun(sheet.revision.id, trial, next, sheet.articles.find((a) => a.id === article) ?? null, state);
    try {
      await keepRun(run);
      await sendBegin(run, trial, name);
      await navigate(`/field/run/${run.id}`);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : '');
    }
  }

  return (
    <section aria-label={trial.trial.name} className="mt-4 border-t border-rule pt-3">
      <h3 className="font-semibold">
        {trial.trial.name} <span className="font-normal text-soft">{trial.asked.name}</span>
      </h3>
      <p className="text-sm">
        {trial.plan?.sentence ?? count(trial.runs + here.length, 'run so far.', 'runs so far.')}
      </p>
      {here.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-2" aria-label="Runs made here">
          {here.map((run, i) => (
            <li key={run.id}>
              <a
                className={`flex min-h-11 items-center border px-3 ${run.outcome === null ? 'border-dashed border-brass font-semibold text-brass' : 'border-rule text-blue'}`}
                href={`/field/run/${run.id}`}
                onClick={(e) => {
                  e.preventDefault();
                  void navigate(`/field/run/${run.id}`);
                }}
              >
                {i + 1} here, {run.outcome === null ? 'not finished' : OUTCOME[run.outcome]}
              </a>
            </li>
          ))}
        </ul>
      )}
      {trial.blocked !== '' ? (
        <p className="mt-2 border-l-4 border-oxide pl-3 font-semibold">{trial.blocked}</p>
      ) : (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          {sheet.articles.length > 0 && (
            <label className="text-sm">
              <span className="mb-1 block font-semibold">Article</span>
              <select className="field min-h-14 w-40" value={article} onChange={(e) => setArticle(e.target.value)}>
                <option value="">none, or a loose part</option>
                {sheet.articles.map((a) => (
                  <option key={a.id} value={a.id}>
                    {a.serial}
                  </option>
                ))}
              </select>
            </label>
          )}
          {article === '' && <StatePicker label="What is it?" state={state} onChange={setState} large />}
          <Button
            large
            look="primary"
            className="grow"
            onClick={() => void begin()}
            aria-label={`Start run of ${trial.trial.name}`}
          >
            Start run{next === null ? '' : ` ${next.number}: ${next.text}`}
          </Button>
        </div>
      )}
      <Problem says={problem} />
    </section>
  );
}
