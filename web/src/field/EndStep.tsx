import { useId, useState } from 'react';

import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import { endsOf } from '../ui/ends';
import type { FieldRun, Trial } from './fieldRun';

const BUTTONS: { outcome: Schemas['RunOutcome']; words: string; asks: string }[] = [
  { outcome: 'held', words: 'Held', asks: '' },
  { outcome: 'failed', words: 'Failed', asks: 'What failed, in a few words?' },
  { outcome: 'stoppedEarly', words: 'Stopped early', asks: 'Why was it stopped?' },
  { outcome: 'lost', words: 'Lost in handling', asks: 'How was it lost?' },
];

/** How it ended; what failed is logged in the same go. */
export function EndStep({
  run,
  trial,
  modes,
  change,
  end,
}: {
  run: FieldRun;
  trial: Trial;
  modes: string[];
  change: (changed: Partial<FieldRun>) => FieldRun;
  end: (outcome: Schemas['RunOutcome'], ended: Schemas['Ended'] | null) => void;
}) {
  const id = useId();
  const [chosen, setChosen] = useState<Schemas['RunOutcome'] | null>(null);
  const asks = BUTTONS.find((b) => b.outcome === chosen)?.asks ?? '';
  const ends = endsOf(chosen, trial.asked.waits);
  const unread = trial.asked.channels.filter((c) => c.formula === '' && run.readings[c.key] === undefined);
  return (
    <div className="mt-4 space-y-3">
      {trial.asked.heldWhen !== '' && <p className="text-sm text-soft">Held when: {trial.asked.heldWhen}</p>}
      {unread.length > 0 && (
        <p className="text-sm text-soft">Nothing is kept of {unread.map((c) => c.metric).join(', ')}.</p>
      )}
      <div role="group" aria-label="How did it end?" className="grid grid-cols-2 gap-2">
        {BUTTONS.map((b) => (
          <Button
            key={b.outcome}
            large
            look={chosen === b.outcome ? 'primary' : b.outcome === 'failed' ? 'grave' : 'plain'}
            aria-pressed={chosen === b.outcome}
            onClick={() => {
              // Where nothing else is to be said, one touch ends it.
              if (b.asks === '' && !trial.asked.waits) return end(b.outcome, null);
              setChosen(b.outcome);
              change({ ended: endsOf(b.outcome, trial.asked.waits)[0]?.ended ?? null });
            }}
          >
            {b.words}
          </Button>
        ))}
      </div>
      {ends.length > 0 && (
        <fieldset className="border border-rule p-3">
          <legend className="stamp px-1 text-sm">How did it come to its end?</legend>
          {ends.map((e) => (
            <label key={e.ended} className="flex min-h-14 items-center gap-2">
              <input
                type="radio"
                name={`${id}-ended`}
                className="size-5 accent-blue"
                checked={run.ended === e.ended}
                onChange={() => change({ ended: e.ended })}
              />
              {e.words}
            </label>
          ))}
        </fieldset>
      )}
      {chosen !== null && asks === '' && (
        <Button large look="primary" className="w-full" onClick={() => end(chosen, run.ended)}>
          End the run
        </Button>
      )}
      {asks !== '' && chosen !== null && (
        <>
          <label htmlFor={`${id}-why`} className="mb-1 block font-semibold">
            {asks}
          </label>
          <input
            id={`${id}-why`}
            className="field min-h-14"
            value={run.reason}
            onChange={(e) => change({ reason: e.target.value })}
          />
          {chosen === 'failed' && (
            <>
              <label htmlFor={`${id}-mode`} className="mb-1 block font-semibold">
                Mode of failure
              </label>
              <input
                id={`${id}-mode`}
                list={`${id}-modes`}
                className="field min-h-14"
                value={run.mode}
                onChange={(e) => change({ mode: e.target.value })}
              />
              <datalist id={`${id}-modes`}>
                {modes.map((m) => (
                  <option key={m} value={m} />
                ))}
              </datalist>
            </>
          )}
          <Button
            large
            look="primary"
            className="w-full"
            disabled={run.reason.trim() === ''}
            onClick={() => end(chosen, ends.length > 0 ? run.ended : null)}
          >
            End the run
          </Button>
        </>
      )}
    </div>
  );
}
