import { useId, useState, type FormEvent } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Part } from '../../ui/Sheet';
import { runBody } from './runBody';

/** Whether this run says something of the design; a run that does not is set aside with its reason, and can be taken back in. */
export function SetAside({ sheet, write: mayWrite }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const { run } = sheet;
  const id = useId();
  const write = useWrite();
  const [reason, setReason] = useState<string | null>(null);
  if (run.outcome === null || (sheet.aside === '' && !mayWrite)) return null;

  const change = (changed: Partial<Schemas['RunInput']>) =>
    write.run(() => putRecord('runs', run.id, runBody(run, changed)));

  async function submit(event: FormEvent) {
    event.preventDefault();
    if (await change({ setAside: reason ?? '', takenIn: false })) setReason(null);
  }

  return (
    <Part title="What it counts for">
      {sheet.aside !== '' ? (
        <p>
          <strong>Set aside:</strong> {sheet.aside}. It stays among what was made and tried, and says nothing of the
          design.
        </p>
      ) : (
        <p className="text-soft">
          It counts for the design.{run.takenIn ? ' Somebody took it back in, whatever its cause.' : ''}
        </p>
      )}
      {mayWrite && sheet.aside !== '' && (
        <Button look="quiet" disabled={write.busy} onClick={() => void change({ setAside: '', takenIn: true })}>
          Take it back in
        </Button>
      )}
      {mayWrite && sheet.aside === '' && reason === null && (
        <Button look="quiet" onClick={() => setReason('')}>
          Set this run aside
        </Button>
      )}
      {reason !== null && (
        <form onSubmit={(e) => void submit(e)} className="mt-2 space-y-2">
          <label htmlFor={id} className="block text-sm font-semibold">
            What was wrong with the set-up, the method, the handling or this article?
          </label>
          <input id={id} className="field min-h-12" value={reason} onChange={(e) => setReason(e.target.value)} />
          <Button type="submit" disabled={write.busy || reason.trim() === ''}>
            Set aside
          </Button>
        </form>
      )}
      {write.problem !== '' && (
        <p role="alert" className="mt-2 border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {write.problem}
        </p>
      )}
    </Part>
  );
}
