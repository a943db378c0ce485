import { useNavigate } from 'react-router';

import { useSession } from '../../api/queries';
import { putRecord } from '../../api/records';
import type { Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';

/** The next run of the same trial, with everything as it was: what lapsed is asked on its sheet. */
export function Again({ sheet, base }: { sheet: Schemas['RunSheet']; base: string }) {
  const session = useSession();
  const navigate = useNavigate();
  const write = useWrite();
  const { run } = sheet;

  async function start() {
    const id = uuid();
    const body = {
      trial: run.trial,
      article: run.article,
      operator: session.data?.name ?? '',
      startedAt: new Date().toISOString(),
      firmware: run.firmware,
      levels: run.levels,
    };
    if (await write.run(() => putRecord('runs', id, body))) await navigate(`${base}/run/${id}`);
  }

  return (
    <div className="mt-4">
      <Button large look="primary" className="w-full sm:w-auto" disabled={write.busy} onClick={() => void start()}>
        {write.busy ? 'Starting …' : 'Again, all as before'}
      </Button>
      {write.problem !== '' && (
        <p role="alert" className="mt-2 border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {write.problem}
        </p>
      )}
    </div>
  );
}
