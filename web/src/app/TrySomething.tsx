import { lazy, Suspense, useState } from 'react';

import { Button } from '../ui/Button';

const TrySlip = lazy(() => import('./TrySlip'));

/** Begins with a thing in the hand: one line, and the run is there. */
export function TrySomething({
  workspace,
  build,
  className = '',
}: {
  workspace: string;
  /** That it is begun on; without one, the one that was used last. */
  build?: string | undefined;
  className?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="primary" className={className} onClick={() => setOpen(true)}>
        Try something
      </Button>
      {open && (
        <Suspense fallback={null}>
          <TrySlip workspace={workspace} build={build} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
