import { useId, useState } from 'react';

import type { Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { SweepPlot } from '../figures/SweepPlot';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { prose } from '../ui/prose';
import { Part } from '../ui/Sheet';
import { WithdrawRecord } from '../ui/WithdrawRecord';
import { SumField } from './SumField';
import type { OpenSum } from './useSum';
import { entries, nameOf, type SumDraft } from './workings';

type Kept = { id: string; version: number; title: string } | null;

/** One sum: what goes in, what comes out, over what it is drawn, and where the answer goes. */
export function Sum({
  sum,
  open,
  sheet,
  build,
  write,
  kept,
  title,
  leave,
}: {
  sum: Schemas['BenchSum'];
  open: OpenSum;
  sheet: Schemas['WorkingsSheet'];
  build: Schemas['RevisionView'];
  write: boolean;
  /** That it is opened from. */
  kept: Kept;
  /** What it is kept under, where nothing else is said. */
  title: string;
  /** @param kept what was kept before one leaves */
  leave: (kept?: string) => void;
}) {
  const { draft, set, put, worked, answer, problemOf } = open;
  return (
    <section aria-label={sum.title} className="mt-5 border-t-2 border-ink pt-4">
      <div className="flex flex-wrap items-start justify-between gap-4">
        <div>
          <h2 className="text-2xl font-semibold">{sum.title}</h2>
          <p className="max-w-prose text-soft">{sum.what}</p>
        </div>
        <Button look="quiet" onClick={() => leave()}>
          All sums
        </Button>
      </div>
      {sum.caution !== '' && <p className="mt-3 border-l-4 border-oxide pl-3 font-semibold">{sum.caution}</p>}
      <div className="lg:grid lg:grid-cols-2 lg:gap-x-10">
        <div className="mt-4 space-y-3">
          {sum.inputs.map((field) => (
            <SumField
              key={field.name}
              field={field}
              text={draft.texts[field.name] ?? ''}
              source={draft.sources[field.name]}
              sources={sheet.sources}
              problem={problemOf(field.name)}
              onChange={(text, source) => put(field.name, text, source)}
            />
          ))}
        </div>
        <div className="mt-4">
          <div role="status" aria-live="polite">
            {worked === undefined || worked.answers.length === 0 ? (
              <p className="border-l-2 border-brass pl-3 text-soft">
                {worked?.problem !== undefined && worked.problem !== ''
                  ? worked.problem
                  : write
                    ? 'The answers stand here as soon as what is needed is there.'
                    : 'Who may only look works nothing out here; what was kept stands below.'}
              </p>
            ) : (
              <Answers
                answers={worked.answers}
                chosen={answer?.name ?? ''}
                choose={(output) => set({ output, unit: '' })}
              />
            )}
          </div>
          <Problem says={open.failed} />
          {answer?.value != null && worked !== undefined && draft.along !== '' && (
            <Solving
              sum={sum}
              sheet={sheet}
              draft={draft}
              set={set}
              put={put}
              worked={worked}
              answer={answer}
              problem={problemOf}
            />
          )}
        </div>
      </div>
      {write && answer?.value != null && (
        <Keeping
          key={kept?.id ?? ''}
          sheet={sheet}
          build={build}
          draft={draft}
          sum={sum}
          answer={answer}
          kept={kept}
          first={title}
          done={(id) => {
            open.drop();
            leave(id);
          }}
        />
      )}
      {write && kept !== null && <WithdrawRecord kind="workings" id={kept.id} onDone={() => leave()} />}
      <dl className="mt-5 grid gap-x-8 gap-y-2 border-t border-rule pt-3 text-sm sm:grid-cols-[auto_1fr]">
        <dt className="font-semibold">Left out</dt>
        <dd className="max-w-prose">{sum.leavesOut}</dd>
        <dt className="font-semibold">From</dt>
        <dd className="max-w-prose">{sum.source}</dd>
      </dl>
    </section>
  );
}

/** All answers, of which one counts: it is drawn, solved for and kept. */
function Answers({
  answers,
  chosen,
  choose,
}: {
  answers: Schemas['AnswerRow'][];
  chosen: string;
  choose: (name: string) => void;
}) {
  const group = useId();
  return (
    <ul className="divide-y divide-rule">
      {answers.map((a) => (
        <li key={a.name} className="py-2">
          <label className="flex min-h-9 cursor-pointer flex-wrap items-baseline justify-between gap-x-4">
            <span>
              <input
                type="radio"
                name={group}
                className="mr-2"
                checked={a.name === chosen}
                disabled={a.value === null}
                onChange={() => choose(a.name)}
              />
              {a.words}
            </span>
            <strong className={a.name === chosen ? 'text-2xl' : 'text-lg'}>{a.text}</strong>
          </label>
          {a.name === chosen && a.formula !== '' && (
            <p className="text-sm text-soft">
              {a.formula}
              {a.putIn !== '' && <span className="block">{a.putIn}</span>}
            </p>
          )}
          {a.name === chosen && a.parts !== '' && <p className="text-sm">{prose(a.parts)}</p>}
        </li>
      ))}
    </ul>
  );
}

/** The answer over an input, and the input for an answer. */
function Solving({
  sum,
  sheet,
  draft,
  set,
  put,
  worked,
  answer,
  problem,
}: {
  sum: Schemas['BenchSum'];
  sheet: Schemas['WorkingsSheet'];
  draft: SumDraft;
  set: (changed: Partial<SumDraft>) => void;
  put: (name: string, text: string) => void;
  worked: Schemas['WorkedSheet'];
  answer: Schemas['AnswerRow'];
  problem: (name: string) => string | undefined;
}) {
  const id = useId();
  const fits = sum.outputs.find((o) => o.name === answer.name)?.fits;
  const limits = sheet.sources.filter((s) => s.kind === 'requirement' && s.fits === fits);
  return (
    <Part title="What gives …?">
      <div className="flex flex-wrap items-end gap-3">
        <label className="text-sm font-semibold">
          <span className="block">Over</span>
          <select className="field mt-1 w-56" value={draft.along} onChange={(e) => set({ along: e.target.value })}>
            {sum.inputs
              .filter((f) => f.canBeSolved)
              .map((f) => (
                <option key={f.name} value={f.name}>
                  {f.words}
                </option>
              ))}
          </select>
        </label>
        <label className="text-sm font-semibold" htmlFor={id}>
          <span className="block">{answer.words} should be</span>
          <input
            id={id}
            className="field mt-1 w-36"
            value={draft.wanted}
            placeholder={answer.unit === '1' ? '2' : `2 ${answer.unit}`}
            onChange={(e) => set({ wanted: e.target.value })}
          />
        </label>
        {limits.length > 0 && (
          <label className="text-sm font-semibold">
            <span className="block">or as required</span>
            <select className="field mt-1 w-44" value="" onChange={(e) => set({ wanted: e.target.value })}>
              <option value="">choose a limit</option>
              {limits.map((l) => (
                <option key={l.id} value={l.text}>
                  {l.text}: {l.words}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <Problem says={problem('wanted') ?? ''} />
      {worked.solved !== '' && (
        <p className="mt-3 font-semibold" role="status">
          {prose(worked.solved)}{' '}
          <Button onClick={() => put(draft.along, worked.solvedAs)}>Put {worked.solvedAs} in</Button>
        </p>
      )}
      {worked.bought !== '' && (
        <p className="mt-2">
          {prose(worked.bought)}{' '}
          <Button onClick={() => put(draft.along, worked.boughtAs)}>Put {worked.boughtAs} in</Button>
        </p>
      )}
      {worked.xs.length > 0 && (
        <div className="mt-3">
          <SweepPlot
            points={worked.xs.map((x, i) => [x, worked.ys[i] ?? 0])}
            stands={worked.stands}
            limit={worked.limit}
            axis={worked.axis}
            answer={answer.unit === '1' ? answer.words : `${answer.words}, ${answer.unit}`}
          />
        </div>
      )}
    </Part>
  );
}

/** Keeping the answer: by itself, or as what somebody expects of a run. */
function Keeping({
  sheet,
  build,
  draft,
  sum,
  answer,
  kept,
  first,
  done,
}: {
  sheet: Schemas['WorkingsSheet'];
  build: Schemas['RevisionView'];
  draft: SumDraft;
  sum: Schemas['BenchSum'];
  answer: Schemas['AnswerRow'];
  kept: Kept;
  first: string;
  done: (id: string) => void;
}) {
  const [title, setTitle] = useState(kept?.title ?? first);
  const [forecast, setForecast] = useState('');
  const [id] = useState(() => kept?.id ?? uuid());
  const { run, busy, problem, violations } = useWrite();
  const [forRun, channel] = forecast.split(' ');
  const before = sheet.kept.find((k) => k.working.id === kept?.id)?.working;
  return (
    <Part title="Keep it">
      <form
        noValidate
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          const of =
            forecast === '' ? { run: before?.run ?? null, channel: before?.channel ?? '' } : { run: forRun, channel };
          void run(() =>
            putRecord('workings', id, {
              ...of,
              revision: before?.revision ?? build.id,
              title,
              sum: nameOf(sum),
              own: sum.own,
              inputs: entries(draft),
              output: answer.name,
              unit: draft.unit,
              note: before?.note ?? '',
              ...(kept === null ? {} : { version: kept.version }),
            }),
          ).then((is) => is && done(id));
        }}
      >
        <label className="min-w-56 flex-1 text-sm font-semibold">
          What is it for?
          <input
            className="field mt-1"
            value={title}
            placeholder={`${answer.words} of ${build.letter}`}
            onChange={(e) => setTitle(e.target.value)}
          />
        </label>
        {sheet.runs.length > 0 && (
          <label className="text-sm font-semibold">
            <span className="block">As a forecast of</span>
            <select className="field mt-1 w-64" value={forecast} onChange={(e) => setForecast(e.target.value)}>
              <option value="">no run</option>
              {sheet.runs.map((r) => (
                <option key={`${r.run} ${r.channel}`} value={`${r.run} ${r.channel}`}>
                  {r.words}
                </option>
              ))}
            </select>
          </label>
        )}
        <Button type="submit" look="primary" large disabled={busy}>
          Keep {answer.text}
        </Button>
      </form>
      <Problem says={[problem, ...Object.values(violations)].filter((s) => s !== '').join(' ')} />
    </Part>
  );
}
