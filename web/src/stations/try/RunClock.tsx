import { useState } from 'react';

import { stamp } from '../../api/clock';
import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { clock } from '../../ui/time';
import { useNow } from '../../ui/useNow';
import { Markers, Tallies } from './Markers';
import { ReadAlong } from './ReadAlong';
import { runBody } from './runBody';
import { useElapsed } from '../../ui/useElapsed';

/** Seconds before a look is due at which it is called out. */
const SOON = 15;

const SECONDS_IN: Record<string, number> = { s: 1, min: 60, h: 3600 };

/** The clock of a run: waits before it, looks while it goes on, marks and what is odd in one touch each. */
export function RunClock({ sheet }: { sheet: Schemas['RunSheet'] }) {
  const { run, console } = sheet;
  const write = useWrite();
  const isRunning = run.clockAt !== null && run.lasted === null;
  const { seconds, jumped, touched } = useElapsed(run.clockAt, isRunning);
  const marks = sheet.observations.filter((o) => o.after !== null).length;

  const set = (changed: Partial<Schemas['RunInput']>) =>
    void write.run(() => putRecord('runs', run.id, runBody(run, changed)));
  const mark = () =>
    void write.run(() =>
      putRecord('observations', uuid(), {
        revision: sheet.revision.id,
        run: run.id,
        text: `Mark ${marks + 1}`,
        after: touched(),
      }),
    );

  return (
    <section aria-label="Clock" className="mt-5 border border-rule p-3">
      {run.clockAt === null && console.waits.length > 0 && <Waits waits={console.waits} />}
      <div className="flex flex-wrap items-center gap-2">
        {run.clockAt === null ? (
          <Button large className="grow sm:grow-0" disabled={write.busy} onClick={() => set({ clockAt: stamp() })}>
            Start the clock
          </Button>
        ) : (
          <p role="timer" aria-label="Time into the run" className="mr-2 text-3xl font-semibold tabular-nums">
            {clock(run.lasted ?? seconds)}
          </p>
        )}
        {isRunning && (
          <>
            <Button large disabled={write.busy} onClick={mark}>
              Mark
            </Button>
            <Button large disabled={write.busy} onClick={() => set({ lasted: touched() })}>
              Stop the clock
            </Button>
          </>
        )}
        {run.lasted !== null && (
          <Button look="quiet" disabled={write.busy} onClick={() => set({ lasted: null })}>
            Let it run on
          </Button>
        )}
        <Odd sheet={sheet} touched={isRunning ? touched : () => null} />
      </div>
      {isRunning && jumped && (
        <p role="alert" className="mt-2 text-sm font-semibold text-oxide">
          The clock of this device was set meanwhile. The time is counted on by the device itself; write down another
          one if you have it.
        </p>
      )}
      {isRunning && <Markers sheet={sheet} touched={touched} />}
      {isRunning && <ReadAlong sheet={sheet} touched={touched} />}
      <Tallies sheet={sheet} write />
      {isRunning && <Looks looks={console.looks} seconds={seconds} />}
      {run.clockAt === null && console.looks.length > 0 && (
        <ul className="mt-2 text-sm text-soft">
          {console.looks.map((l) => (
            <li key={l.sentence}>{l.sentence}</li>
          ))}
        </ul>
      )}
      {run.lasted !== null && <Lasted sheet={sheet} seconds={run.lasted} />}
      <Problem says={write.problem} />
    </section>
  );
}

function Waits({ waits }: { waits: Schemas['WaitRow'][] }) {
  const now = useNow(true).wall;
  return (
    <ul className="mb-3 space-y-1">
      {waits.map((wait) => {
        const left = wait.until === null ? null : (Date.parse(wait.until) - now) / 1000;
        return (
          <li
            key={wait.sentence}
            className={left !== null && left > 0 ? 'font-semibold text-brass' : 'text-sm text-soft'}
          >
            {wait.sentence}
            {left !== null && (left > 0 ? ` Ready in ${clock(left)}.` : ' That is over.')}
          </li>
        );
      })}
    </ul>
  );
}

/** The look that is due, and the next one. */
function Looks({ looks, seconds }: { looks: Schemas['LookRow'][]; seconds: number }) {
  return (
    <ul className="mt-2 space-y-1" aria-label="Looks">
      {looks.map((look) => {
        const next = look.due.find((at) => at > seconds - SOON);
        const isNow = next !== undefined && next - seconds <= SOON;
        return (
          <li
            key={look.sentence}
            role={isNow ? 'alert' : undefined}
            className={
              isNow ? 'border-l-4 border-brass bg-brasswash px-3 py-1 text-lg font-semibold' : 'text-sm text-soft'
            }
          >
            {isNow ? `Now: ${look.what}` : look.sentence}
            {!isNow && next !== undefined && ` · next at ${clock(next)}`}
          </li>
        );
      })}
    </ul>
  );
}

/** What the clock says may be what a channel wants. */
function Lasted({ sheet, seconds }: { sheet: Schemas['RunSheet']; seconds: number }) {
  const write = useWrite();
  const timed = sheet.asked.channels.filter(
    (c) => c.formula === '' && c.unit in SECONDS_IN && sheet.readings.every((r) => r.channel !== c.key),
  );
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {timed.map((channel) => (
        <Button
          key={channel.key}
          large
          disabled={write.busy}
          onClick={() =>
            void write.run(() =>
              putRecord('readings', uuid(), {
                run: sheet.run.id,
                channel: channel.key,
                text: `${seconds} s`,
                unit: '',
              }),
            )
          }
        >
          {`Take ${seconds} s as ${channel.metric}`}
        </Button>
      ))}
      <Problem says={write.problem || write.questions.map((q) => q.sentence).join(' ')} />
    </div>
  );
}

/** Something odd: pinned with the time of the touch, and open until somebody says what it was. */
function Odd({ sheet, touched }: { sheet: Schemas['RunSheet']; touched: () => number | null }) {
  const [at, setAt] = useState<{ id: string; after: number | null } | null>(null);
  const [text, setText] = useState('');
  const write = useWrite();

  if (at === null)
    return (
      <Button large look="grave" onClick={() => setAt({ id: uuid(), after: touched() })}>
        Odd
      </Button>
    );
  return (
    <form
      className="flex basis-full flex-wrap items-stretch gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void write
          .run(() =>
            putRecord('observations', at.id, {
              revision: sheet.revision.id,
              run: sheet.run.id,
              text,
              after: at.after,
              odd: true,
            }),
          )
          .then((kept) => {
            if (!kept) return;
            setAt(null);
            setText('');
          });
      }}
    >
      <label className="min-w-40 flex-1">
        <span className="sr-only">What is odd?</span>
        <input
          className="field min-h-14"
          placeholder="What is odd?"
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <Button type="submit" large look="grave" disabled={write.busy || text.trim() === ''}>
        Pin it
      </Button>
      <Button large look="quiet" onClick={() => setAt(null)}>
        Leave it
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
