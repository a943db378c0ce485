import { useId, type ReactNode } from 'react';

import type { Schemas } from '../../api/client';
import { Button } from '../Button';
import { HOW, UNDECIDED, type ReadingDraft } from './body';

type Draft = Omit<ReadingDraft, 'id'>;

/** One number, large, its unit locked beside it, with how it was read; of a scale its words, one touch each. */
export function ReadingForm({
  channel,
  draft,
  change,
  keep,
  busy = false,
  problem = '',
  children,
}: {
  channel: Schemas['AskedChannel'];
  draft: Draft;
  change: (draft: Draft) => void;
  keep: (draft: Draft) => void;
  busy?: boolean;
  problem?: string;
  /** What is said of it while it is typed. */
  children?: ReactNode;
}) {
  const id = useId();
  const how = draft.how ?? '';
  if (channel.words.length > 0)
    return (
      <fieldset>
        <legend className="mb-1 font-semibold">{channel.metric}</legend>
        <div className="flex flex-wrap gap-2">
          {channel.words.map((word) => (
            <Button key={word} large disabled={busy} onClick={() => keep({ text: word })}>
              {word}
            </Button>
          ))}
        </div>
        {problem !== '' && (
          <p role="alert" className="mt-1 border-l-2 border-oxide pl-3 font-semibold text-oxide">
            {problem}
          </p>
        )}
      </fieldset>
    );
  return (
    <form
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        keep(draft);
      }}
    >
      <div className="mb-1 flex items-end justify-between gap-2">
        <label htmlFor={id} className="font-semibold">
          {channel.metric}{' '}
          {channel.instrument !== '' && <span className="font-normal text-soft">· {channel.instrument}</span>}
        </label>
        <select
          aria-label={`How ${channel.metric} was read`}
          value={how}
          onChange={(e) => change({ ...draft, how: e.target.value })}
          className="min-h-11 border-b border-rule bg-transparent text-sm text-soft"
        >
          {HOW.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </div>
      <div className="flex items-stretch gap-2">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={draft.text}
          aria-invalid={problem !== ''}
          aria-describedby={`${id}-more`}
          onChange={(e) => change({ ...draft, text: e.target.value })}
          className={`field min-h-14 min-w-0 flex-1 text-2xl font-semibold ${problem === '' ? '' : 'border-oxide'}`}
        />
        <span
          aria-hidden="true"
          className="flex min-w-14 items-center justify-center border border-rule bg-ground px-2 text-2xl font-semibold"
        >
          {how === UNDECIDED ? '?' : channel.unit}
        </span>
        <Button
          type="submit"
          look="primary"
          large
          disabled={busy || draft.text.trim() === ''}
          aria-label={`Keep ${channel.metric}`}
        >
          {busy ? '…' : 'Keep'}
        </Button>
      </div>
      <div id={`${id}-more`} aria-live="polite">
        {problem !== '' && <p className="mt-1 border-l-2 border-oxide pl-3 font-semibold text-oxide">{problem}</p>}
      </div>
      {children}
    </form>
  );
}
