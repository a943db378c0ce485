import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { refreshed } from '../../api/stale';
import type { Writing } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { trialBody } from './trialBody';

type Kind = 'signOffs' | 'override' | 'ahead';

const ASKS: Record<Kind, { who: string; why: string; does: string }> = {
  signOffs: { who: 'Who agreed?', why: 'On what terms?', does: 'Record it and start' },
  override: { who: 'Who starts it without?', why: 'Why?', does: 'Start without limits' },
  ahead: { who: 'Who goes ahead?', why: 'Why, although that has not held?', does: 'Go ahead' },
};

/** What keeps a run from starting, and the way past it at this very place: a name, and a reason that is kept and shown. */
export function BeforeStart({
  write,
  trial,
  role,
  start,
}: {
  write: Writing;
  trial: Schemas['TrialView'];
  /** Who agrees next; empty: anybody. */
  role: string | null;
  start: (ahead: Schemas['SignOff'] | null, first?: () => Promise<unknown>) => Promise<void>;
}) {
  const [by, setBy] = useState('');
  const [note, setNote] = useState('');
  const kind = (Object.keys(ASKS) as Kind[]).find((k) => k in write.violations);
  if (kind === undefined) return <Problem says={write.problem} />;
  const said: Schemas['SignOff'] = {
    by: by.trim(),
    note: note.trim(),
    at: '',
    as: kind === 'signOffs' ? (role ?? '') : '',
  };
  const record = async () => {
    const others = trial.signOffs.filter((s) => s.as !== said.as);
    const changed = kind === 'override' ? { override: said } : { signOffs: [...others, said] };
    await putRecord('trials', trial.id, trialBody(trial, changed));
    // Somebody else may have to agree next, to the trial as it is now.
    await refreshed();
  };
  const asks = ASKS[kind];
  return (
    <div role="alert" className="mt-3 border-l-4 border-oxide bg-oxidewash p-3">
      <p className="font-semibold text-oxide">{write.problem}</p>
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          void (kind === 'ahead' ? start(said) : start(null, record));
        }}
      >
        <label className="text-sm">
          <span className="mb-1 block font-semibold">
            {asks.who}
            {kind === 'signOffs' && role !== null && role !== '' && ` (${role})`}
          </span>
          <input className="field min-h-12 w-56" value={by} onChange={(e) => setBy(e.target.value)} />
        </label>
        <label className="grow text-sm">
          <span className="mb-1 block font-semibold">{asks.why}</span>
          <input className="field min-h-12" value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
        <Button
          type="submit"
          look="grave"
          className="min-h-12"
          disabled={write.busy || said.by === '' || (kind !== 'signOffs' && said.note === '')}
        >
          {asks.does}
        </Button>
      </form>
    </div>
  );
}
