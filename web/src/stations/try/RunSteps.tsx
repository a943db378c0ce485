import { useState, type ReactNode } from 'react';

import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

export type RunStep = 'found' | 'read' | 'seen' | 'end';

/** So many numbers and how it ended fit one screen: a touch less for each run. */
const FEW = 2;

const WORDS: Record<RunStep, string> = { found: 'As found', read: 'Read', seen: 'Seen', end: 'End' };

type Left = Record<RunStep, boolean>;

/** A number whose unit nobody has decided is not read yet. */
const readOf = (sheet: Schemas['RunSheet']) => {
  const channels = sheet.asked.channels.filter((c) => c.formula === '');
  const isRead = (key: string) => sheet.readings.some((r) => r.channel === key && !r.undecided);
  return { all: channels.length, read: channels.filter((c) => isRead(c.key)).length };
};

/** The steps of a run: where little is read, how it ended stands below it. */
export function stepsOf(sheet: Schemas['RunSheet']): RunStep[] {
  return readOf(sheet).all <= FEW ? ['found', 'read', 'seen'] : ['found', 'read', 'seen', 'end'];
}

/** The step in which it is said how the run ended. */
export const endOf = (sheet: Schemas['RunSheet']): RunStep => stepsOf(sheet).find((step) => step === 'end') ?? 'read';

/** Which steps still ask for something; the end always does. */
export function leftOf(sheet: Schemas['RunSheet']): Left {
  const { all, read } = readOf(sheet);
  return {
    found: sheet.missing.length > 0 || sheet.rig.lines.some((l) => l.asks),
    read: all <= FEW || read < all || (sheet.run.clockAt !== null && sheet.run.lasted === null),
    seen: false,
    end: true,
  };
}

const nextFrom = (steps: RunStep[], at: number, left: Left): RunStep =>
  steps.find((step, i) => i >= at && left[step]) ?? 'read';

/**
 * On a phone, one thing at a time: which step of a run is shown. It begins with the first that asks for something, and
 * goes on by itself when that one has all it asked for; whoever touches another stays there.
 *
 * @param isTold a line was typed to begin it, and waits to be taken up
 */
export function useSteps(sheet: Schemas['RunSheet'], isTold = false): [RunStep, (step: RunStep) => void] {
  const [left, steps] = [leftOf(sheet), stepsOf(sheet)];
  const [at, go] = useState<RunStep>(() => (isTold ? 'read' : nextFrom(steps, 0, left)));
  const [was, setWas] = useState(left);
  if (steps.some((step) => was[step] !== left[step])) {
    setWas(left);
    if (was[at] && !left[at]) go(nextFrom(steps, steps.indexOf(at) + 1, left));
  }
  // What is read of it may have become more, or less.
  return [steps.includes(at) ? at : 'read', go];
}

/** How far a step is, in two words; empty where there is nothing to say. */
function howFar(step: RunStep, sheet: Schemas['RunSheet']): string {
  const { all, read } = readOf(sheet);
  const seen = sheet.photos.length + sheet.failures.length + sheet.observations.length;
  switch (step) {
    case 'found':
      return sheet.missing.length === 0 ? '' : `${sheet.missing.length} open`;
    case 'read':
      return all === 0 ? '' : `${read} of ${all}`;
    case 'seen':
      return seen === 0 ? '' : String(seen);
    case 'end':
      return '';
  }
}

/** The steps of a run, with how far each is; in sight wherever one has scrolled to, and on a phone only. */
export function StepBar({ sheet, at, go }: { sheet: Schemas['RunSheet']; at: RunStep; go: (step: RunStep) => void }) {
  return (
    <div data-step-bar className="sticky top-0 z-10 -mx-4 mt-4 border-y border-rule bg-sheet px-4 py-2 lg:hidden">
      {sheet.console.position !== '' && <p className="mb-1 truncate text-sm font-semibold">{sheet.console.position}</p>}
      <div role="group" aria-label="Steps of the run" className="flex gap-2">
        {stepsOf(sheet).map((step) => (
          <Button
            key={step}
            look={step === at ? 'primary' : 'plain'}
            aria-pressed={step === at}
            className="min-h-14 flex-1 basis-0 flex-col !gap-0 !px-1 !text-base leading-tight"
            onClick={() => go(step)}
          >
            {step === 'read' && endOf(sheet) === 'read' ? 'Read and end' : WORDS[step]}
            {howFar(step, sheet) !== '' && <small className="text-xs font-normal">{howFar(step, sheet)}</small>}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** A part of the sheet that on a phone is there in its own step; at null, and on a bench, always. */
export function InStep({ of, at, children }: { of: RunStep; at: RunStep | null; children: ReactNode }) {
  return <div className={at === null || at === of ? '' : 'max-lg:hidden'}>{children}</div>;
}
