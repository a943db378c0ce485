import { useEffect, useRef, useState } from 'react';

import { api, must, type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { prose } from '../ui/prose';
import { Empty, Part } from '../ui/Sheet';
import { day } from '../ui/time';

type Row = Schemas['KeptRow'];

const TARGETS = {
  parameter: 'A parameter',
  candidate: 'What a candidate is expected to do',
  method: 'A quantity of a fixture',
} as const;

/** What was worked out and kept: the answer then, the answer now, and how a run came out. */
export function KeptWorkings({
  rows,
  write,
  candidate,
  fresh,
  open,
}: {
  rows: Row[];
  write: boolean;
  /** For which something is being worked out: what was kept meanwhile is put to it in one touch. */
  candidate: string | undefined;
  fresh: string[];
  open: (row: Row) => void;
}) {
  return (
    <Part title="Kept">
      {rows.length === 0 ? (
        <Empty>
          An answer that is kept says when a value that it rests on has changed, and as a forecast of a run whether it
          came true.
        </Empty>
      ) : (
        <ul className="divide-y divide-rule">
          {rows.map((row) => (
            <KeptWorking
              key={row.working.id}
              row={row}
              write={write}
              isFresh={row.working.id === fresh.at(-1)}
              candidate={fresh.includes(row.working.id) ? candidate : undefined}
              open={() => open(row)}
            />
          ))}
        </ul>
      )}
    </Part>
  );
}

function KeptWorking({
  row,
  write,
  isFresh,
  candidate,
  open,
}: {
  row: Row;
  write: boolean;
  isFresh: boolean;
  candidate: string | undefined;
  open: () => void;
}) {
  const { working } = row;
  const line = useRef<HTMLLIElement>(null);
  // The sum that stood above it is gone: what was just kept is shown, wherever the page stood.
  useEffect(() => {
    if (isFresh) line.current?.scrollIntoView({ block: 'center' });
  }, [isFresh]);
  const { run, busy, problem } = useWrite();
  const [given, setGiven] = useState('');
  const earlier = working.answers.slice(0, -1);
  const meant = row.targets.filter((t) => t.kind === 'candidate' && t.id === candidate);
  const now = Object.fromEntries(row.changed.map((c) => [c.name, c.now]));
  const anew = () =>
    run(() =>
      putRecord('workings', working.id, {
        ...working,
        inputs: working.inputs.map((i) => ({ ...i, text: now[i.name] ?? i.text })),
      }),
    );
  const give = async (to: Schemas['TargetRow']) => {
    setGiven('');
    const done = await run(() =>
      must(
        api.POST('/api/workings/{id}/hand-over', {
          params: { path: { id: working.id } },
          body: { parameter: null, candidate: null, method: null, name: to.name, [to.kind]: to.id },
        }),
      ),
    );
    if (done) setGiven(`${to.words}: it is there now.`);
  };
  return (
    <li ref={line} className="py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <div>
          <button
            type="button"
            className="min-h-6 cursor-pointer text-left font-semibold text-blue underline"
            onClick={open}
          >
            {working.title}
          </button>{' '}
          <span className="text-sm text-soft">
            {row.sum}, {row.letter}, {working.createdBy}
          </span>
        </div>
        <p className="text-xl font-semibold">{row.answer}</p>
      </div>
      {row.changed.length > 0 && (
        <div className="mt-1 border-l-4 border-brass bg-brasswash px-3 py-2">
          <p>
            Since then: {row.changed.map((c) => `${c.words} ${c.now}, was ${c.was}`).join('; ')}.{' '}
            {row.now === '' ? row.problem : <strong>Now it comes to {row.now}.</strong>}
          </p>
          {row.came !== '' && <p>Its run was read: the forecast stays as it was said before.</p>}
          {write && row.now !== '' && row.came === '' && (
            <Button look="plain" className="mt-1" disabled={busy} onClick={() => void anew()}>
              Keep the new answer beside the old
            </Button>
          )}
        </div>
      )}
      {row.run !== '' && (
        <p className="mt-1 text-sm">
          Forecast of {row.run}: {row.came === '' ? 'not read yet.' : prose(row.came)}
        </p>
      )}
      {earlier.length > 0 && (
        <p className="mt-1 text-sm text-soft">Before: {earlier.map((a) => `${a.text} (${day(a.at)})`).join(', ')}.</p>
      )}
      {working.note !== '' && <p className="mt-1 text-sm">{working.note}</p>}
      {write && meant.length > 0 && (
        <div className="mt-1 flex flex-wrap items-center gap-2" role="group" aria-label="What the candidate does">
          <span className="text-sm">Put it to the candidate, as its</span>
          {meant.map((t) => (
            <Button
              key={t.name}
              look="plain"
              disabled={busy}
              aria-label={`Put ${row.answer} to ${t.words}`}
              onClick={() => void give(t)}
            >
              {t.name}
            </Button>
          ))}
        </div>
      )}
      {write && row.targets.length > 0 && (
        <label className="mt-1 flex flex-wrap items-center gap-2 text-sm">
          Put {row.answer} to
          <select
            className="min-h-9 max-w-full border-b border-rule bg-transparent"
            value=""
            disabled={busy}
            onChange={(e) => {
              const to = row.targets[Number(e.target.value)];
              if (to !== undefined) void give(to);
            }}
          >
            <option value="">nothing else</option>
            {(Object.keys(TARGETS) as (keyof typeof TARGETS)[]).map((kind) => (
              <optgroup key={kind} label={TARGETS[kind]}>
                {row.targets.map(
                  (t, i) =>
                    t.kind === kind && (
                      <option key={`${t.id} ${t.name}`} value={i}>
                        {t.words}
                      </option>
                    ),
                )}
              </optgroup>
            ))}
          </select>
          {given !== '' && <strong role="status">{given}</strong>}
        </label>
      )}
      <Problem says={problem} />
    </li>
  );
}
