import { stamp } from '../api/clock';
import { Button } from '../ui/Button';
import { clock } from '../ui/time';
import { useElapsed } from '../ui/useElapsed';
import type { FieldRun } from './fieldRun';

/** The clock of a run in the field; it goes along with the end of the run. */
export function FieldClock({ run, change }: { run: FieldRun; change: (changed: Partial<FieldRun>) => FieldRun }) {
  const isRunning = run.clockAt !== null && run.lasted === null;
  const { seconds, jumped, touched } = useElapsed(run.clockAt, isRunning);
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      {run.clockAt === null ? (
        <Button large onClick={() => change({ clockAt: stamp() })}>
          Start the clock
        </Button>
      ) : (
        <p role="timer" aria-label="Time into the run" className="mr-2 text-3xl font-semibold tabular-nums">
          {clock(run.lasted ?? seconds)}
        </p>
      )}
      {isRunning && (
        <Button large onClick={() => change({ lasted: touched() })}>
          Stop the clock
        </Button>
      )}
      {isRunning && jumped && (
        <p role="alert" className="text-sm font-semibold text-oxide">
          The clock of this device was set meanwhile; the time is counted on by the device itself.
        </p>
      )}
    </div>
  );
}
