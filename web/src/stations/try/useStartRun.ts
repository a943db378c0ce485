import { useNavigate } from 'react-router';

import { putRecord } from '../../api/records';
import { useSession } from '../../api/queries';
import { useWrite, type Writing } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import type { Schemas } from '../../api/client';

type With = Pick<Schemas['RunInput'], 'trial' | 'article' | 'firmware' | 'levels'>;

/** Starts a run, by whoever is signed in and now, and goes to its sheet. */
export function useStartRun(base: string): { write: Writing; start: (what: With) => Promise<void> } {
  const navigate = useNavigate();
  const session = useSession();
  const write = useWrite();

  async function start(what: With) {
    const id = uuid();
    const body = { ...what, operator: session.data?.name ?? '', startedAt: new Date().toISOString() };
    if (await write.run(() => putRecord('runs', id, body))) await navigate(`${base}/run/${id}`);
  }
  return { write, start };
}
