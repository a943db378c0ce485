import { useNavigate } from 'react-router';

import { clockAhead, stamp } from '../../api/clock';
import { putRecord } from '../../api/records';
import { useSession } from '../../api/queries';
import { useWrite, type Writing } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import type { Schemas } from '../../api/client';

/** What a run is started with. */
export type Wanted = Pick<
  Schemas['RunInput'],
  'trial' | 'article' | 'firmware' | 'state' | 'levels' | 'settings' | 'ahead'
> & {
  purpose?: Schemas['Purpose'];
};

/** Starts a run, by whoever is signed in and now, and goes to its sheet. */
export function useStartRun(base: string): {
  write: Writing;
  start: (what: Wanted, first?: () => Promise<unknown>) => Promise<void>;
} {
  const navigate = useNavigate();
  const session = useSession();
  const write = useWrite();

  /** @param first what has to be written down before it */
  async function start(what: Wanted, first?: () => Promise<unknown>) {
    const id = uuid();
    const body = { ...what, operator: session.data?.name ?? '', startedAt: stamp(), clockAhead: clockAhead() };
    const kept = await write.run(async () => {
      await first?.();
      await putRecord('runs', id, body);
    });
    if (kept) await navigate(`${base}/run/${id}`);
  }
  return { write, start };
}
