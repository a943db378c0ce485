import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';

import type { Schemas } from '../api/client';
import { rightNow } from '../api/clock';
import { uuid } from '../api/uuid';
import { readDraft } from '../outbox/drafts';
import { heldBuilds } from '../outbox/held';
import { flush } from '../outbox/sender';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Sheet } from '../ui/Sheet';
import { OUTCOME } from '../ui/words';
import { FieldClock } from './FieldClock';
import { FoundStep } from './FoundStep';
import { ReadStep } from './ReadStep';
import { readingBody, readingSaid } from '../ui/reading/body';
import { EndStep } from './EndStep';
import {
  fieldRunKey,
  keepRun,
  sendEnd,
  sendFile,
  sendReading,
  sendSeen,
  whatDiffers,
  type FieldRun,
  type Trial,
} from './fieldRun';

type Opened = { run: FieldRun; trial: Trial; sheet: Schemas['FieldSheet'] };
const STEPS = ['As found', 'Read', 'End'] as const;

/** One run without network: one thing at a time, everything kept on this device as it is typed. */
export function FieldRunPage({ name }: { name: string }) {
  const { run = '' } = useParams();
  const [opened, setOpened] = useState<Opened | null | undefined>(undefined);
  useEffect(() => {
    void Promise.all([readDraft<FieldRun>(fieldRunKey(run)), heldBuilds()]).then(([kept, held]) => {
      const sheet = held.find((h) => h.sheet.revision.id === kept?.revision)?.sheet;
      const trial = sheet?.trials.find((t) => t.trial.id === kept?.trial);
      setOpened(kept === undefined || sheet === undefined || trial === undefined ? null : { run: kept, trial, sheet });
    });
  }, [run]);
  if (opened === undefined) return <main className="p-10 text-soft">Opening …</main>;
  if (opened === null)
    return (
      <main className="mx-auto max-w-3xl p-2 sm:p-8">
        <Sheet
          title="In the field"
          sentence="This run is not on this device any more: it was sent, or its build was let go."
        >
          <a className="mt-4 inline-block font-semibold text-blue underline" href="/field">
            To what is here
          </a>
        </Sheet>
      </main>
    );
  return <Opened {...opened} name={name} />;
}

function Opened({ run: first, trial, sheet, name }: Opened & { name: string }) {
  const navigate = useNavigate();
  const [run, setRun] = useState(first);
  const [step, setStep] = useState<number>(
    Object.keys(first.found).length > 0 || trial.asked.conditions.length + trial.asked.settings.length === 0 ? 1 : 0,
  );
  const [problem, setProblem] = useState('');
  const isOpen = run.outcome === null;
  const slot = trial.plan?.slots.find((s) => s.number === run.slot);
  const { differs, unsaid } = whatDiffers(run, trial, sheet.revision.letter);

  const change = (changed: Partial<FieldRun>): FieldRun => {
    const next = { ...run, ...changed };
    setRun(next);
    void keepRun(next);
    return next;
  };
  /** Kept here first, then put into the queue: what could not be kept says so, and stays typed. */
  async function keep(changed: Partial<FieldRun>, put: (next: FieldRun) => Promise<void>): Promise<boolean> {
    setProblem('');
    const next = { ...run, ...changed };
    try {
      await put(next);
      await keepRun(next);
      setRun(next);
      void flush();
      return true;
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'That did not work. What you typed is kept.');
      return false;
    }
  }

  return (
    <main id="sheet" className="mx-auto max-w-3xl p-2 pb-28 sm:p-8 sm:pb-28">
      <Sheet
        title={`${sheet.deviceName} ${sheet.revision.letter} · ${trial.trial.name}`}
        sentence={
          isOpen
            ? `A run${run.serial === '' ? '' : ` with ${run.serial}`}${slot === undefined ? '' : `, ${slot.number} of ${trial.plan?.slots.length ?? 0}: ${slot.text}`}: not finished.`
            : `The run ended: ${OUTCOME[run.outcome ?? 'held']}. It waits on this device until it is sent.`
        }
      >
        {trial.mind !== '' && isOpen && (
          <p className="mt-3 border-l-4 border-oxide pl-3 text-sm font-semibold">{trial.mind}</p>
        )}
        {trial.good !== null && (
          <section
            aria-label="Against the last good run"
            className="mt-3 border-l-4 border-brass bg-brasswash px-3 py-2"
          >
            <p className="font-semibold">
              {differs.length === 0
                ? `So far nothing differs from run ${trial.good.number} on ${trial.good.letter}, the last that held.`
                : `Against run ${trial.good.number} on ${trial.good.letter}, the last that held: ${differs.join('; ')}.`}
            </p>
            {unsaid.length > 0 && <p className="text-sm">Not said yet: {unsaid.join(', ')}.</p>}
          </section>
        )}
        {isOpen && (
          <>
            <FieldClock run={run} change={change} />
            <div role="group" aria-label="Steps" className="mt-4 grid grid-cols-3 gap-2">
              {STEPS.map((words, i) => (
                <Button
                  key={words}
                  large
                  look={i === step ? 'primary' : 'plain'}
                  aria-pressed={i === step}
                  onClick={() => setStep(i)}
                >
                  {words}
                </Button>
              ))}
            </div>
            {step === 0 && <FoundStep run={run} trial={trial} change={change} next={() => setStep(1)} />}
            {step === 1 && (
              <ReadStep
                run={run}
                trial={trial}
                keep={(channel, draft) => {
                  const id = uuid();
                  const said = readingSaid(readingBody(run.id, channel, draft));
                  return keep(
                    { readings: { ...run.readings, [channel.key]: { id, text: draft.text, said } } },
                    (next) => sendReading(next, channel, id, draft),
                  );
                }}
              />
            )}
            {step === 2 && (
              <EndStep
                run={run}
                trial={trial}
                modes={sheet.modes}
                change={change}
                end={(outcome, ended) =>
                  void keep({ outcome, ended }, (next) => sendEnd(next, trial, name, OUTCOME[outcome].toLowerCase()))
                }
              />
            )}
          </>
        )}
        {run.seen.length + run.photos.length > 0 && (
          <ul className="mt-4 text-sm" aria-label="Seen">
            {run.seen.map((s) => (
              <li key={s.id}>
                {s.odd && <strong className="text-brass">Odd: </strong>}
                {s.text}
              </li>
            ))}
            {run.photos.map((p) => (
              <li key={p} className="text-soft">
                {p}
              </li>
            ))}
          </ul>
        )}
        <Problem says={problem} />
        <p className="mt-6">
          <Button look={isOpen ? 'quiet' : 'primary'} large onClick={() => void navigate('/field')}>
            {isOpen ? 'All trials here' : 'On to the next'}
          </Button>
        </p>
      </Sheet>
      <Reach
        see={(text, odd) => {
          const seen = { id: uuid(), text, odd, after: run.clockAt === null ? null : since(run.clockAt) };
          return keep({ seen: [...run.seen, seen] }, (next) => sendSeen(next, seen));
        }}
        take={(file) => void keep({ photos: [...run.photos, file.name] }, (next) => sendFile(next, file))}
      />
    </main>
  );
}

const since = (clockAt: string): number => Math.max(0, Math.floor((rightNow() - Date.parse(clockAt)) / 100) / 10);

/** Always in reach: a picture or a memo, a note, what is odd. */
function Reach({ see, take }: { see: (text: string, odd: boolean) => Promise<boolean>; take: (file: File) => void }) {
  const [writing, setWriting] = useState<'note' | 'odd' | null>(null);
  const [text, setText] = useState('');
  return (
    <div className="fixed inset-x-0 bottom-0 z-10 border-t border-rule bg-sheet p-2">
      <div className="mx-auto max-w-3xl">
        {writing === null ? (
          <div role="group" aria-label="In reach" className="grid grid-cols-3 gap-2">
            <label className="inline-flex min-h-14 cursor-pointer items-center justify-center rounded-sm border border-blue bg-sheet px-2 text-center text-lg leading-tight font-semibold text-blue focus-within:outline-2">
              Photo or memo
              <input
                type="file"
                accept="image/*,audio/*,video/*"
                className="sr-only"
                onChange={(e) => {
                  for (const file of Array.from(e.target.files ?? [])) take(file);
                  e.target.value = '';
                }}
              />
            </label>
            <Button large onClick={() => setWriting('note')}>
              Note
            </Button>
            <Button large look="grave" onClick={() => setWriting('odd')}>
              Odd
            </Button>
          </div>
        ) : (
          <form
            className="flex gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              void see(text.trim(), writing === 'odd').then((kept) => {
                if (!kept) return;
                setText('');
                setWriting(null);
              });
            }}
          >
            <input
              className="field min-h-14 flex-1"
              autoFocus
              aria-label={writing === 'odd' ? 'What is odd?' : 'Seen, heard or felt'}
              placeholder={writing === 'odd' ? 'What is odd?' : 'Seen, heard or felt'}
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
            <Button type="submit" large look="primary" disabled={text.trim() === ''}>
              Keep
            </Button>
            <Button large look="quiet" onClick={() => setWriting(null)}>
              Leave
            </Button>
          </form>
        )}
      </div>
    </div>
  );
}
