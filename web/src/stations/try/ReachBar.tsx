import type { Schemas } from '../../api/client';
import { AddPhoto } from '../../ui/records/AddPhoto';
import { Button } from '../../ui/Button';

/**
 * On a phone: a picture, a failure, the stop; always in reach while the clock runs, and at the foot of the sheet otherwise, so
 * that nothing is hidden behind it. What is odd is pinned beside the clock.
 */
export function ReachBar({
  sheet,
  end,
}: {
  sheet: Schemas['RunSheet'];
  end: (outcome: Schemas['RunOutcome']) => void;
}) {
  const isRunning = sheet.run.clockAt !== null && sheet.run.lasted === null;
  return (
    <div
      role="group"
      aria-label="In reach"
      className={`${isRunning ? 'sticky bottom-0 z-10' : ''} -mx-4 mt-6 grid grid-cols-3 gap-2 border-t border-rule bg-sheet p-2 lg:hidden`}
    >
      <AddPhoto revision={sheet.revision.id} run={sheet.run.id} label="Photo" large wide />
      <Button large look="grave" onClick={() => end('failed')}>
        Failed
      </Button>
      <Button large look="grave" onClick={() => end('stoppedEarly')}>
        Stop
      </Button>
    </div>
  );
}
