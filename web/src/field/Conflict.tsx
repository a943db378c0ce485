import { useState } from 'react';

import { mended, remove } from '../outbox/queue';
import { flush } from '../outbox/sender';
import type { Waiting } from '../outbox/store';
import { Button } from '../ui/Button';

const LABELS: Record<string, string> = {
  outcome: 'How it ended',
  outcomeReason: 'Why',
  levels: 'Tried at',
  conditions: 'Conditions',
  settings: 'Settings',
  operator: 'Operator',
  note: 'Note',
  text: 'Text',
  clockAt: 'Clock started',
  lasted: 'Lasted, s',
  foundAt: 'Looked at',
};

/** Another phone changed the same record: both stand side by side, and each difference is decided by one touch. */
export function Conflict({ write }: { write: Waiting }) {
  const mine = write.body ?? {};
  const theirs = write.theirs ?? {};
  const differs = Object.keys(mine).filter(
    (key) => key !== 'version' && key !== 'startedAt' && said(mine[key]) !== said(theirs[key]),
  );
  const [taken, setTaken] = useState<Record<string, 'mine' | 'theirs'>>({});
  const chosen = (key: string) => taken[key] ?? 'mine';

  function keep() {
    const body = { ...mine, version: theirs['version'] };
    for (const key of differs) if (chosen(key) === 'theirs') Object.assign(body, { [key]: theirs[key] });
    void mended(write, body).then(() => flush());
  }

  return (
    <section aria-label={`Changed meanwhile: ${write.what}`} className="mt-3 border-l-4 border-brass bg-brasswash p-3">
      <p className="font-semibold">{write.what}</p>
      <p className="text-sm">
        Somebody changed the same record meanwhile. Nothing of either is lost; choose what stands.
      </p>
      <div className="mt-2 space-y-3">
        {differs.map((key) => (
          <fieldset key={key} className="grid grid-cols-2 gap-2">
            <legend className="mb-1 text-sm font-semibold">{LABELS[key] ?? key}</legend>
            {(['mine', 'theirs'] as const).map((side) => (
              <label key={side} className="flex min-h-14 items-center gap-2 border border-rule bg-sheet p-2">
                <input
                  type="radio"
                  className="size-5 accent-blue"
                  name={`${write.seq}-${key}`}
                  checked={chosen(key) === side}
                  onChange={() => setTaken({ ...taken, [key]: side })}
                />
                <span className="min-w-0 break-words">
                  <span className="block text-xs text-soft">{side === 'mine' ? 'Here: ' : 'There: '}</span>
                  {said((side === 'mine' ? mine : theirs)[key]) || '(nothing)'}
                </span>
              </label>
            ))}
          </fieldset>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button large look="primary" onClick={keep}>
          Keep what is chosen
        </Button>
        <Button large look="quiet" onClick={() => void remove(write.seq!).then(() => flush())}>
          All as it is there
        </Button>
      </div>
    </section>
  );
}

/** A value as it can be compared and read; an empty list and one of empty texts say nothing. */
function said(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (Array.isArray(value))
    return value
      .map((one: unknown) => named(one))
      .filter((line) => line !== '')
      .join(', ');
  return typeof value === 'object' ? named(value) : String(value);
}

function named(one: unknown): string {
  if (typeof one !== 'object' || one === null) return String(one);
  const { name, text } = one as { name?: string; text?: string };
  return name === undefined ? JSON.stringify(one) : text ? `${name} ${text}` : '';
}
