import { useRef, useState, type FormEvent } from 'react';

import { ProblemError, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { enqueue } from '../../outbox/queue';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { clock } from '../../ui/time';

/** A touch that lasts as long, in s, is something that lasted. */
const HELD = 0.4;

type Mark = (name: string, after: number, until: number | null) => void;

/** What happens again and again on a run: touched as often as it happens, held while it lasts. */
export function Markers({ sheet, touched }: { sheet: Schemas['RunSheet']; touched: () => number }) {
  const write = useWrite();
  const [own, setOwn] = useState<string[]>([]);
  const [typed, setTyped] = useState('');
  const counted = new Map(sheet.tallies.map((t) => [t.name.toLowerCase(), t.marks.length]));
  const known = [...sheet.tallies.map((t) => t.name), ...own];
  const names = known.filter((n, i) => known.findIndex((o) => o.toLowerCase() === n.toLowerCase()) === i);
  const mark: Mark = (text, after, until) => {
    const [id, body] = [uuid(), { revision: sheet.revision.id, run: sheet.run.id, text, after, until }];
    void write.run(() =>
      putRecord('observations', id, body).catch((error: unknown) => {
        if (!(error instanceof ProblemError) || error.status !== 0) throw error;
        // A touch cannot be repeated: without a connection it waits with whatever else does, and is sent by itself.
        const url = `/api/observations/${id}`;
        return enqueue({ group: sheet.run.id, method: 'PUT', url, body, what: `${text}, ${clock(after)}` });
      }),
    );
  };
  const add = (event: FormEvent) => {
    event.preventDefault();
    setOwn([...own, typed.trim()]);
    setTyped('');
  };
  return (
    <div className="mt-3 border-t border-rule pt-3">
      <div className="flex flex-wrap gap-2">
        {names.map((name) => (
          <Marker key={name} name={name} count={counted.get(name.toLowerCase())} touched={touched} mark={mark} />
        ))}
      </div>
      <form onSubmit={add} className="mt-2 flex items-stretch gap-2">
        <label className="min-w-0 flex-1">
          <span className="sr-only">What happens again</span>
          <input
            className="field min-h-11"
            placeholder="What happens again"
            maxLength={60}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <Button type="submit" disabled={typed.trim() === ''}>
          Add a marker
        </Button>
      </form>
      <Problem says={write.problem} />
    </div>
  );
}

function Marker({
  name,
  count,
  touched,
  mark,
}: {
  name: string;
  count: number | undefined;
  touched: () => number;
  mark: Mark;
}) {
  const from = useRef<number | null>(null);
  const [since, setSince] = useState<number | null>(null);
  const lift = () => {
    if (from.current === null) return;
    const now = touched();
    mark(name, from.current, now - from.current >= HELD ? now : null);
    from.current = null;
  };
  return (
    <span className="inline-flex">
      <Button
        large
        className="touch-none select-none"
        aria-label={`${name}: mark it`}
        onPointerDown={() => {
          from.current = touched();
        }}
        onPointerUp={lift}
        onPointerCancel={() => {
          from.current = null;
        }}
        onContextMenu={(event) => event.preventDefault()}
        // A key has no length.
        onClick={(event) => event.detail === 0 && mark(name, touched(), null)}
      >
        {name}
        {count === undefined ? '' : ` × ${count}`}
      </Button>
      <Button
        large
        className="-ml-px"
        aria-label={since === null ? `${name} begins` : `${name} ends, begun at ${clock(since)}`}
        look={since === null ? 'plain' : 'primary'}
        onClick={() => {
          if (since === null) return setSince(touched());
          mark(name, since, touched());
          setSince(null);
        }}
      >
        {since === null ? 'begins' : 'ends'}
      </Button>
    </span>
  );
}

const WHAT: Record<string, string> = {
  count: 'how often',
  held: 'how long',
  share: 'its share',
  every: 'how far apart',
};

/** What the marks come to; each number is a reading in one touch. */
export function Tallies({ sheet, write: mayWrite }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const write = useWrite();
  if (sheet.tallies.length === 0) return null;
  const free = sheet.asked.channels.filter((c) => c.formula === '' && sheet.readings.every((r) => r.channel !== c.key));
  return (
    <ul className="mt-3 space-y-2" aria-label="What was marked">
      {sheet.tallies.map((tally) => (
        <li key={tally.name}>
          <p>{tally.sentence}</p>
          {mayWrite && (
            <span className="flex flex-wrap gap-2">
              {tally.results.flatMap((result) =>
                free
                  .filter((c) => result.units.includes(c.unit))
                  .map((c) => (
                    <Button
                      key={`${result.what} ${c.key}`}
                      disabled={write.busy}
                      onClick={() =>
                        void write.run(() =>
                          putRecord('readings', uuid(), {
                            run: sheet.run.id,
                            channel: c.key,
                            text: result.reading,
                            unit: result.units.includes('1') && result.what === 'count' ? '1' : '',
                            confirmed: tally.origin,
                          }),
                        )
                      }
                    >
                      Keep {WHAT[result.what]} as {c.metric}
                    </Button>
                  )),
              )}
            </span>
          )}
        </li>
      ))}
      <Problem says={write.problem} />
    </ul>
  );
}
