import type { FormEvent } from 'react';
import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { CHANGE_CLASS, CHOICE } from '../../ui/words';
import { saveCandidate } from '../../ui/records/saveCandidate';

type Choice = Schemas['Choice'];

const ASKS: Record<Choice, string> = {
  open: '',
  in: 'Why does it go in?',
  wait: 'What does it wait for?',
  drop: 'Why not, and what would bring it back?',
};
const CHOICES: { choice: Exclude<Choice, 'open'>; words: string }[] = [
  { choice: 'in', words: 'Put into next build' },
  { choice: 'wait', words: 'Let it wait' },
  { choice: 'drop', words: 'Drop' },
];

/** One candidate: what it costs, what it is expected to do, and the answer it got. */
export function CandidateRow({
  candidate: c,
  currency,
  failures,
  write,
  edit,
  workings,
}: {
  candidate: Schemas['CandidateView'];
  currency: string;
  failures: string[];
  write: boolean;
  edit: () => void;
  /** Where what it does is worked out. */
  workings?: string;
}) {
  const writing = useWrite();
  const { problem } = writing;
  const [draft, setDraft, dropDraft] = useDraft<{ choice: Choice | null; reason: string }>(`choice:${c.id}`, {
    choice: null,
    reason: '',
  });

  async function answer(choice: Choice, reason: string) {
    if (await writing.run(() => saveCandidate(c.id, { ...c, choice, reason }, c.version))) {
      dropDraft();
      setDraft({ choice: null, reason: '' });
    }
  }

  function submit(event: FormEvent) {
    event.preventDefault();
    if (draft.choice !== null) void answer(draft.choice, draft.reason);
  }

  return (
    <li
      className={`py-3 pl-3 ${c.choice === 'in' ? 'border-l-4 border-l-blue' : 'border-l-4 border-l-transparent'} ${c.choice === 'drop' ? 'text-soft' : ''}`}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p className={`font-semibold ${c.choice === 'drop' ? 'line-through' : ''}`}>{c.what}</p>
        <p className="text-sm whitespace-nowrap">
          {c.costText} {currency} · {c.hoursText} h
        </p>
      </div>
      <p className="text-sm text-soft">
        {[
          CHANGE_CLASS[c.class],
          c.source === 'outside' ? `asked for by ${c.askedBy || 'somebody outside'}` : '',
          failures.length === 0 ? '' : `against “${failures.join('”, “')}”`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {c.alters.map((a) => (
        <p key={a.kind + a.name} className="text-sm">
          {a.kind === 'firmware' ? 'firmware' : a.name}: {a.from === '' ? 'new' : a.from} →{' '}
          {a.to === '' ? 'taken out' : a.to}
        </p>
      ))}
      {c.expected.map((e) => (
        <p key={e} className="text-sm">
          {e}
        </p>
      ))}
      {c.effects.length === 0 && (
        <p className="text-sm text-soft">No effect in numbers: afterwards only a person can say what came of it.</p>
      )}
      {c.choice !== 'open' && (
        <p className="text-sm">
          <span className={c.choice === 'in' ? 'font-semibold text-blue' : 'font-semibold'}>{CHOICE[c.choice]}</span>:{' '}
          {c.reason}
        </p>
      )}
      {write && (
        <div className="mt-1 flex flex-wrap gap-1">
          {CHOICES.filter((o) => o.choice !== c.choice).map((o) => (
            <Button
              key={o.choice}
              look={o.choice === 'in' ? 'plain' : 'quiet'}
              aria-label={`${o.words}: ${c.what}`}
              aria-pressed={draft.choice === o.choice}
              onClick={() => setDraft({ choice: o.choice, reason: draft.reason })}
            >
              {o.words}
            </Button>
          ))}
          {c.choice !== 'open' && (
            <Button look="quiet" aria-label={`Take the answer back: ${c.what}`} onClick={() => void answer('open', '')}>
              Take back
            </Button>
          )}
          <Button look="quiet" aria-label={`Edit ${c.what}`} onClick={edit}>
            Edit
          </Button>
          {workings !== undefined && (
            <Link
              className="inline-flex min-h-9 items-center px-3 text-sm font-semibold text-blue hover:bg-wash"
              aria-label={`Work out what ${c.what} does`}
              to={workings}
            >
              Work it out
            </Link>
          )}
        </div>
      )}
      {draft.choice !== null && (
        <form onSubmit={submit} className="mt-2 flex items-end gap-2" noValidate>
          <label className="flex-1 text-sm font-semibold">
            {ASKS[draft.choice]}
            <input
              className="field mt-1 font-normal"
              autoFocus
              value={draft.reason}
              onChange={(e) => setDraft({ ...draft, reason: e.target.value })}
            />
          </label>
          <Button type="submit" look="primary">
            Keep
          </Button>
        </form>
      )}
      {problem !== '' && (
        <p role="alert" className="mt-1 font-semibold text-oxide">
          {problem}
        </p>
      )}
    </li>
  );
}
