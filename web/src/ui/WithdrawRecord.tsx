import { useState } from 'react';

import { withdrawRecord, type Inputs } from '../api/records';
import { useWrite } from '../api/useWrite';
import { Button } from './Button';
import { Problem } from './Problem';

/** Taking a record back: it stays readable, with who did it and why. */
export function WithdrawRecord({ kind, id, onDone }: { kind: keyof Inputs; id: string; onDone: () => void }) {
  const [asked, setAsked] = useState(false);
  const [because, setBecause] = useState('');
  const write = useWrite();
  if (!asked)
    return (
      <p className="mt-4 border-t border-rule pt-3">
        <Button look="quiet" onClick={() => setAsked(true)}>
          Withdraw it
        </Button>
      </p>
    );
  return (
    <form
      className="mt-4 border-t border-rule pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        void write
          .run(() => withdrawRecord(kind, id, because))
          .then((done) => {
            if (done) onDone();
          });
      }}
    >
      <label className="block text-sm font-semibold">
        Why is it withdrawn?
        <input className="field mt-1 font-normal" value={because} onChange={(e) => setBecause(e.target.value)} />
      </label>
      <p className="my-2 text-xs text-soft">It is left out from now on, and stays in the history with this reason.</p>
      <Problem says={write.problem} />
      <Button type="submit" look="grave" disabled={write.busy}>
        Withdraw
      </Button>
    </form>
  );
}
