import { useId, useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { refreshed } from '../../api/stale';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { endsOf } from '../../ui/ends';
import { ANSWER, options, OUTCOME, CONSEQUENCE } from '../../ui/words';
import { dropTyped, NotKept, takeAlong, typedBeside, unread } from './onSheet';
import { runBody } from './runBody';

type RunOutcome = Schemas['RunOutcome'];

type Draft = {
  outcome: RunOutcome | null;
  just: boolean;
  ended: Schemas['Ended'] | null;
  answers: Record<string, Schemas['Answer']>;
  reason: string;
  mode: string;
  place: string;
  consequence: Schemas['Consequence'];
  question: string;
  failure: string;
};

const BUTTONS: { outcome: RunOutcome; words: string; just?: boolean }[] = [
  { outcome: 'held', words: 'Held' },
  { outcome: 'held', words: 'Held, only just', just: true },
  { outcome: 'failed', words: 'Failed' },
  { outcome: 'stoppedEarly', words: 'Stopped early' },
  { outcome: 'lost', words: 'Lost in handling' },
  { outcome: 'void', words: 'Void' },
];

/** Where a setting stands that is being found: it ends the run in one touch. */
const STANDS: [Schemas['SettingResult'], string][] = [
  ['low', 'Too low'],
  ['good', 'Good'],
  ['high', 'Too high'],
];

const ASKS: Record<RunOutcome, string> = {
  held: '',
  failed: 'What failed, in a few words?',
  stoppedEarly: 'Why was it stopped?',
  lost: 'How was it lost?',
  void: 'Why does it not count? It keeps its number.',
};

/** How the run ended; a failure is logged in the same go. */
export function Outcome({
  sheet,
  write,
  first = null,
}: {
  sheet: Schemas['RunSheet'];
  write: boolean;
  /** How it ended, where that was said before this form was looked at. */
  first?: RunOutcome | null;
}) {
  const { run } = sheet;
  const [amending, setAmending] = useState(false);
  if (run.outcome === null || amending) {
    if (!write) return <p className="text-soft">Not finished.</p>;
    return <NewOutcome sheet={sheet} first={first} amending={amending} onDone={() => setAmending(false)} />;
  }
  return (
    <>
      <p className={`text-2xl font-semibold ${run.outcome === 'failed' ? 'text-oxide' : ''}`}>{OUTCOME[run.outcome]}</p>
      {run.stands !== null && (
        <p>
          {sheet.trial.layout?.setting}: {STANDS.find(([stands]) => stands === run.stands)?.[1]}
        </p>
      )}
      {run.outcomeReason !== '' && <p>{run.outcomeReason}</p>}
      <Answered sheet={sheet} />
      {run.amendments.map((a) => (
        <p key={a.at} className="text-sm text-soft">
          Was {OUTCOME[a.text as RunOutcome] ?? a.text}; amended by {a.by}: {a.reason}
        </p>
      ))}
      {write && (
        <Button look="quiet" onClick={() => setAmending(true)}>
          Amend outcome
        </Button>
      )}
    </>
  );
}

function NewOutcome({
  sheet,
  first,
  amending,
  onDone,
}: {
  sheet: Schemas['RunSheet'];
  first: RunOutcome | null;
  amending: boolean;
  onDone: () => void;
}) {
  const { run } = sheet;
  const { questions, waits } = sheet.asked;
  const id = useId();
  const write = useWrite();
  const { busy } = write;
  const [left, setLeft] = useState<NotKept | null>(null);
  const problem = left === null ? write.problem : '';
  const missing = amending ? [] : unread(sheet);
  const [draft, setDraft, dropDraft] = useDraft<Draft>(`outcome:${run.id}`, {
    outcome: first,
    just: false,
    ended: null,
    answers: {},
    reason: '',
    mode: '',
    place: '',
    consequence: 'major',
    question: questions.length === 1 ? questions[0]!.key : '',
    failure: uuid(),
  });
  const asks =
    draft.outcome === null
      ? ''
      : amending
        ? 'Why is the outcome amended? Both stay.'
        : draft.just
          ? 'What nearly happened?'
          : ASKS[draft.outcome];
  const says =
    !amending && (draft.outcome === 'held' || draft.outcome === 'failed' || draft.outcome === 'stoppedEarly');
  const asksAnswers = says && questions.length > 1;
  const ends = says ? endsOf(draft.outcome, waits) : [];
  const waitsForMore = asks !== '' || asksAnswers || ends.length > 0;

  /** What is sent of the questions: of one it is the outcome itself, unless it held only just. */
  function answers(): Schemas['Answered'][] {
    if (draft.just)
      return questions.map((q) => ({
        question: q.key,
        answer: draft.answers[q.key] ?? 'onlyJust',
        note: draft.reason,
      }));
    if (!asksAnswers) return [];
    return questions.map((q) => ({ question: q.key, answer: answerTo(q.key), note: draft.reason }));
  }

  const answerTo = (key: string): Schemas['Answer'] =>
    draft.answers[key] ?? (draft.outcome === 'held' ? (draft.just ? 'onlyJust' : 'held') : 'notLooked');

  /** @param without whether it ends although a value on the sheet could not be kept */
  async function keep(outcome: RunOutcome, without = false, stands: Schemas['SettingResult'] | null = run.stands) {
    setLeft(null);
    const kept = await write.run(async () => {
      const along = amending ? {} : await (without ? typedBeside(sheet) : takeAlong(sheet)).catch(leave);
      // In one write with the outcome: what is refused leaves no failure behind.
      const failures =
        outcome === 'failed' && draft.mode.trim() !== ''
          ? [
              {
                id: draft.failure,
                mode: draft.mode,
                place: draft.place,
                consequence: draft.consequence,
                question: draft.question,
                note: draft.reason,
              },
            ]
          : [];
      if (amending) {
        const body = { outcome, reason: draft.reason, version: run.version, failures };
        await must(api.POST('/api/runs/{id}/amend', { params: { path: { id: run.id } }, body }));
      } else {
        await putRecord(
          'runs',
          run.id,
          runBody(run, {
            ...along,
            outcome,
            outcomeReason: draft.just ? '' : draft.reason,
            ended: ends.length > 0 ? (draft.ended ?? ends[0]!.ended) : null,
            answers: answers(),
            stands,
            failures,
          }),
        );
      }
    });
    if (kept) {
      dropDraft();
      if (!amending) dropTyped(run.id);
      onDone();
    }
  }

  function leave(error: unknown): never {
    if (error instanceof NotKept) {
      setLeft(error);
      // Values before it may be kept by now.
      void refreshed();
    }
    throw error;
  }

  function submit(event: FormEvent) {
    event.preventDefault();
    if (draft.outcome !== null) void keep(draft.outcome);
  }
  // Which way is more is said again where it is decided whether that was too much.
  const adjusting = sheet.asked.adjusting.find((a) => a.name === sheet.trial.layout?.setting)?.text;

  return (
    <form onSubmit={submit} noValidate className="space-y-3">
      {!amending && adjusting !== undefined && <p className="text-soft">{adjusting}</p>}
      {!amending && sheet.trial.layout?.kind === 'setting' && (
        <div
          role="group"
          aria-label={`Where does ${sheet.trial.layout.setting} stand?`}
          className="grid grid-cols-3 gap-2"
        >
          {STANDS.map(([stands, words]) => (
            <Button key={stands} large disabled={busy} onClick={() => void keep('held', false, stands)}>
              {words}
            </Button>
          ))}
        </div>
      )}
      <div role="group" aria-label="How did it end?" className="grid grid-cols-2 gap-2 [&>:last-child]:col-span-2">
        {BUTTONS.filter((b) => b.just !== true || (questions.length > 0 && !amending)).map((b) => (
          <Button
            key={b.words}
            large
            look={
              draft.outcome === b.outcome && draft.just === (b.just === true)
                ? 'primary'
                : b.outcome === 'failed'
                  ? 'grave'
                  : 'plain'
            }
            aria-pressed={draft.outcome === b.outcome && draft.just === (b.just === true)}
            disabled={busy}
            onClick={() => {
              setDraft({ ...draft, outcome: b.outcome, just: b.just === true, ended: null });
              // Where nothing else is to be said, one touch ends it.
              if (b.outcome === 'held' && b.just !== true && !amending && questions.length < 2 && !waits)
                void keep('held');
            }}
          >
            {b.words}
          </Button>
        ))}
      </div>
      {missing.length > 0 && left === null && (
        <p className="text-sm text-soft">
          Not kept yet: {missing.map((c) => c.metric).join(', ')}. What is typed goes along.
        </p>
      )}
      {left !== null && (
        <div role="alert" className="border-l-4 border-brass bg-brasswash p-3">
          <p className="font-semibold">
            {left.metric} {left.text} is not kept: {left.why}
          </p>
          <p className="mt-1 text-sm">Answer it above, or end the run without it.</p>
          <Button
            large
            className="mt-2"
            disabled={busy || draft.outcome === null}
            onClick={() => draft.outcome !== null && void keep(draft.outcome, true)}
          >
            End without {left.metric}
          </Button>
        </div>
      )}
      {waitsForMore && (
        <>
          {ends.length > 0 && (
            <fieldset className="border border-rule p-3">
              <legend className="stamp px-1 text-sm">How did it come to its end?</legend>
              {ends.map((e, i) => (
                <label key={e.ended} className="flex min-h-12 items-center gap-2">
                  <input
                    type="radio"
                    name={`${id}-ended`}
                    className="size-5 accent-blue"
                    checked={(draft.ended ?? ends[0]!.ended) === e.ended}
                    onChange={() => setDraft({ ...draft, ended: e.ended })}
                    autoFocus={i === 0}
                  />
                  {e.words}
                </label>
              ))}
            </fieldset>
          )}
          {asksAnswers && (
            <fieldset className="border border-rule p-3">
              <legend className="stamp px-1 text-sm">What was asked of it</legend>
              {questions.map((q) => (
                <label key={q.key} className="mb-2 block">
                  <span className="mb-1 block text-sm font-semibold">{q.text === '' ? q.metric : q.text}</span>
                  <select
                    className="field min-h-12"
                    value={answerTo(q.key)}
                    onChange={(e) =>
                      setDraft({
                        ...draft,
                        answers: { ...draft.answers, [q.key]: e.target.value as Schemas['Answer'] },
                      })
                    }
                  >
                    {options(ANSWER).map((o) => (
                      <option key={o.value} value={o.value}>
                        {o.label}
                      </option>
                    ))}
                  </select>
                </label>
              ))}
            </fieldset>
          )}
          {asks !== '' && (
            <div>
              <label htmlFor={`${id}-reason`} className="mb-1 block font-semibold">
                {asks}
              </label>
              <input
                id={`${id}-reason`}
                className="field min-h-14"
                value={draft.reason}
                onChange={(e) => setDraft({ ...draft, reason: e.target.value })}
              />
            </div>
          )}
          {draft.outcome === 'failed' && (
            <fieldset className="grid grid-cols-2 gap-3 border border-rule p-3">
              <legend className="stamp px-1 text-sm">Log the failure too</legend>
              <div className="col-span-2">
                <label htmlFor={`${id}-mode`} className="mb-1 block text-sm font-semibold">
                  Mode
                </label>
                <input
                  id={`${id}-mode`}
                  list={`${id}-modes`}
                  className="field min-h-12"
                  value={draft.mode}
                  onChange={(e) => setDraft({ ...draft, mode: e.target.value })}
                />
                <datalist id={`${id}-modes`}>
                  {sheet.modes.map((m) => (
                    <option key={m} value={m} />
                  ))}
                </datalist>
              </div>
              {questions.length > 0 && (
                <div className="col-span-2">
                  <label htmlFor={`${id}-question`} className="mb-1 block text-sm font-semibold">
                    Which question does it belong to?
                  </label>
                  <select
                    id={`${id}-question`}
                    className="field min-h-12"
                    value={draft.question}
                    onChange={(e) => setDraft({ ...draft, question: e.target.value })}
                  >
                    <option value="">none of them: it stands alone</option>
                    {questions.map((q) => (
                      <option key={q.key} value={q.key}>
                        {q.text === '' ? q.metric : q.text}
                      </option>
                    ))}
                  </select>
                </div>
              )}
              <div>
                <label htmlFor={`${id}-place`} className="mb-1 block text-sm font-semibold">
                  Place on the device
                </label>
                <input
                  id={`${id}-place`}
                  list={`${id}-places`}
                  className="field min-h-12"
                  value={draft.place}
                  onChange={(e) => setDraft({ ...draft, place: e.target.value })}
                />
                <datalist id={`${id}-places`}>
                  {sheet.places.map((m) => (
                    <option key={m} value={m} />
                  ))}
                </datalist>
              </div>
              <div>
                <label htmlFor={`${id}-consequence`} className="mb-1 block text-sm font-semibold">
                  What it would lead to
                </label>
                <select
                  id={`${id}-consequence`}
                  className="field min-h-12"
                  value={draft.consequence}
                  onChange={(e) => setDraft({ ...draft, consequence: e.target.value as Schemas['Consequence'] })}
                >
                  {Object.entries(CONSEQUENCE).map(([value, words]) => (
                    <option key={value} value={value}>
                      {words}
                    </option>
                  ))}
                </select>
              </div>
            </fieldset>
          )}
          <div className="flex gap-2">
            <Button type="submit" look="primary" large disabled={busy}>
              {busy ? 'Saving …' : `Keep: ${OUTCOME[draft.outcome!]}`}
            </Button>
            {amending && (
              <Button large look="quiet" onClick={onDone}>
                Leave it
              </Button>
            )}
          </div>
        </>
      )}
      {problem !== '' && (
        <p role="alert" className="border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {problem}
        </p>
      )}
    </form>
  );
}

function Answered({ sheet }: { sheet: Schemas['RunSheet'] }) {
  const { run, asked } = sheet;
  if (run.answers.length === 0) return null;
  return (
    <ul className="text-sm">
      {run.answers.map((a) => {
        const question = asked.questions.find((q) => q.key === a.question);
        return (
          <li key={a.question}>
            {question?.text || question?.metric || a.question}: <strong>{ANSWER[a.answer]}</strong>
            {a.note !== '' && `, ${a.note}`}
          </li>
        );
      })}
    </ul>
  );
}
