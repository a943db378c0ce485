import { useId, useState } from 'react';

import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import type { FieldRun, Trial } from './fieldRun';

type Keep = (channel: Schemas['AskedChannel'], text: string) => Promise<boolean>;

/** The numbers, one field each, the unit locked and large beside it. */
export function ReadStep({ run, trial, keep }: { run: FieldRun; trial: Trial; keep: Keep }) {
  const channels = trial.asked.channels.filter((c) => c.formula === '');
  if (channels.length === 0) return <p className="mt-4 text-soft">This method reads no numbers: say how it ended.</p>;
  return (
    <div className="mt-4 space-y-5">
      {channels.map((channel) => {
        const kept = run.readings[channel.key];
        return kept === undefined ? (
          <Entry key={channel.key} channel={channel} lasted={run.lasted} keep={keep} />
        ) : (
          <p key={channel.key}>
            <span className="font-semibold">{channel.metric}</span>{' '}
            <span className="ml-1 text-2xl font-semibold">
              {kept.text} {channel.words.length > 0 ? '' : channel.unit}
            </span>
          </p>
        );
      })}
    </div>
  );
}

function Entry({ channel, lasted, keep }: { channel: Schemas['AskedChannel']; lasted: number | null; keep: Keep }) {
  const id = useId();
  const [text, setText] = useState('');
  if (channel.words.length > 0)
    return (
      <fieldset>
        <legend className="mb-1 font-semibold">{channel.metric}</legend>
        <div className="flex flex-wrap gap-2">
          {channel.words.map((word) => (
            <Button key={word} large onClick={() => void keep(channel, word)}>
              {word}
            </Button>
          ))}
        </div>
      </fieldset>
    );
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void keep(channel, text.trim()).then((kept) => kept && setText(''));
      }}
    >
      <label htmlFor={id} className="mb-1 block font-semibold">
        {channel.metric}{' '}
        {channel.instrument !== '' && <span className="font-normal text-soft">· {channel.instrument}</span>}
      </label>
      <div className="flex items-stretch gap-2">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          className="field min-h-14 min-w-0 flex-1 text-2xl font-semibold"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <span
          aria-hidden="true"
          className="flex min-w-14 items-center justify-center border border-rule bg-ground px-2 text-2xl font-semibold"
        >
          {channel.unit}
        </span>
        <Button type="submit" large look="primary" disabled={text.trim() === ''} aria-label={`Keep ${channel.metric}`}>
          Keep
        </Button>
      </div>
      {channel.unit === 's' && lasted !== null && text === '' && (
        <Button look="quiet" onClick={() => setText(String(lasted))}>
          The clock says {lasted} s
        </Button>
      )}
    </form>
  );
}
