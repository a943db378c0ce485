import { useState } from 'react';

import { stamp } from '../api/clock';
import { flush } from '../outbox/sender';
import { mended, remove } from '../outbox/queue';
import type { Waiting } from '../outbox/store';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Part } from '../ui/Sheet';
import { Conflict } from './Conflict';
import { atPath, withAtPath } from './paths';

/** What waits to be sent, in order; what was refused stays with its sentence and can be mended. */
export function Outgoing({ queue }: { queue: Waiting[] }) {
  if (queue.length === 0) return null;
  const stuck = queue.filter((w) => w.state !== 'waiting');
  const quiet = queue.filter((w) => w.state === 'waiting');
  return (
    <Part
      title="To be sent"
      aside={`${queue.length}`}
      actions={
        <Button look="quiet" onClick={() => void flush()}>
          Send now
        </Button>
      }
    >
      {stuck.map((write) =>
        write.state === 'conflict' ? (
          <Conflict key={write.seq} write={write} />
        ) : (
          <Refused key={write.seq} write={write} />
        ),
      )}
      <ol className="mt-2 text-sm text-soft">
        {quiet.map((write) => (
          <li key={write.seq}>{write.what}</li>
        ))}
      </ol>
    </Part>
  );
}

/** Why the server did not take it, with the fields that it named. */
function Refused({ write }: { write: Waiting }) {
  const body = write.body ?? {};
  const paths = Object.keys(write.violations).filter((path) => typeof (atPath(body, path) ?? '') === 'string');
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [by, setBy] = useState('');
  const [why, setWhy] = useState('');
  const isAhead = 'ahead' in write.violations;
  const again = (next: Record<string, unknown>) => void mended(write, next).then(() => flush());
  const filled = paths.reduce((b, path) => withAtPath(b, path, typed[path] ?? String(atPath(b, path) ?? '')), body);
  const asked = write.questions.map((q) => q.sentence).join(' ');
  const isFuture = write.questions.some((q) => q.about === 'future');
  return (
    <section aria-label={`Not taken: ${write.what}`} className="mt-3 border-l-4 border-oxide bg-oxidewash p-3">
      <p className="font-semibold">{write.what}</p>
      <Problem says={asked === '' ? write.problem : asked} />
      {isAhead && (
        <div className="mt-2 grid gap-2 sm:grid-cols-2">
          <Field label="Who goes ahead?" value={by} onChange={setBy} />
          <Field label="Why, although that has not held?" value={why} onChange={setWhy} />
        </div>
      )}
      {!isAhead &&
        paths.map((path) => (
          <Field
            key={path}
            label={write.violations[path] ?? path}
            value={typed[path] ?? String(atPath(body, path) ?? '')}
            onChange={(text) => setTyped({ ...typed, [path]: text })}
          />
        ))}
      <div className="mt-3 flex flex-wrap gap-2">
        {write.questions.map(
          (q) =>
            q.corrected !== null && (
              <Button
                key={q.corrected}
                large
                onClick={() => again({ ...body, text: q.corrected, unit: '', confirmed: asked })}
              >
                It is {q.corrected}
              </Button>
            ),
        )}
        {isFuture && (
          <>
            <Button large look="primary" onClick={() => again({ ...body, startedAt: stamp() })}>
              The clock was wrong: it begins now
            </Button>
            <Button large onClick={() => again({ ...body, inFuture: true })}>
              It does begin then
            </Button>
          </>
        )}
        {asked !== '' && !isFuture && (
          <Button large onClick={() => again({ ...body, confirmed: asked })}>
            It is as typed
          </Button>
        )}
        {asked === '' && (
          <Button
            large
            look="primary"
            disabled={isAhead && (by.trim() === '' || why.trim() === '')}
            onClick={() =>
              again(isAhead ? { ...body, ahead: { by: by.trim(), note: why.trim(), at: '', as: '' } } : filled)
            }
          >
            Send it again
          </Button>
        )}
        <Button large look="quiet" onClick={() => void remove(write.seq!).then(() => flush())}>
          Let it go
        </Button>
      </div>
    </section>
  );
}

function Field({ label, value, onChange }: { label: string; value: string; onChange: (text: string) => void }) {
  return (
    <label className="mt-2 block text-sm">
      <span className="mb-1 block font-semibold">{label}</span>
      <input className="field min-h-12" value={value} autoComplete="off" onChange={(e) => onChange(e.target.value)} />
    </label>
  );
}
