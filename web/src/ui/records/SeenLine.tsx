import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { Button } from '../Button';
import { Problem } from '../Problem';
import { clock } from '../time';

/** What was seen, and when in its run; what is odd stays open until somebody says what it was. */
export function SeenLine({ seen, write: mayWrite }: { seen: Schemas['ObservationView']; write: boolean }) {
  const isOpen = seen.odd && seen.explained === '';
  return (
    <div className={`mt-2 ${isOpen ? 'border-l-4 border-brass pl-3' : ''}`}>
      <p>
        {seen.after !== null && <span className="mr-2 font-semibold tabular-nums">{clock(seen.after)}</span>}
        {seen.odd && <strong className={isOpen ? 'text-brass' : 'text-soft'}>Odd: </strong>}
        {seen.text}{' '}
        <span className="text-xs text-soft">
          {seen.saidBy === '' ? seen.by : `said by ${seen.saidBy}, kept by ${seen.by}`}
        </span>
      </p>
      {seen.explained !== '' && <p className="text-sm text-soft">{seen.explained}</p>}
      {isOpen && mayWrite && <Explain seen={seen} />}
    </div>
  );
}

function Explain({ seen }: { seen: Schemas['ObservationView'] }) {
  const [text, setText] = useState('');
  const write = useWrite();
  const keep = (explained: string) => {
    const { revision, run, text: said, saidBy, after, version } = seen;
    const body = { revision, run, text: said, saidBy, after, odd: true, explained, version };
    void write.run(() => putRecord('observations', seen.id, body));
  };
  const typed = text.trim();
  return (
    <form
      className="mt-1 flex flex-wrap items-stretch gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        keep(typed);
      }}
    >
      <label className="min-w-40 flex-1">
        <span className="sr-only">What it was, or why it does not matter</span>
        <input
          className="field min-h-12"
          placeholder="What it was, or why it does not matter"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <Button type="submit" className="min-h-12" disabled={write.busy || typed === ''}>
        Settled
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
