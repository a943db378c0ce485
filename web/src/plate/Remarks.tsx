import { useState, type FormEvent } from 'react';

import type { Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Part } from '../ui/Sheet';
import { day } from '../ui/time';

/** Ideas for the method and complaints about its rig, kept where the next edition is written. */
export function Remarks({ sheet, write }: { sheet: Schemas['MethodSheet']; write: boolean }) {
  const { remarks, build } = sheet;
  if (remarks.length === 0 && (!write || build === null)) return null;
  return (
    <Part
      title="Ideas and complaints"
      aside={remarks.length === 0 ? 'what the next edition should do better' : undefined}
    >
      <ul className="max-w-4xl space-y-2">
        {remarks.map((remark) => (
          <Remark key={remark.id} remark={remark} write={write} />
        ))}
      </ul>
      {write && build !== null && <NewRemark key={remarks.length} build={build} method={sheet.method.id} />}
    </Part>
  );
}

function Remark({ remark, write: mayWrite }: { remark: Schemas['ObservationView']; write: boolean }) {
  const write = useWrite();
  const [came, setCame] = useState('');
  const { revision, run, text, saidBy, after, until, odd, method, version } = remark;
  const keep = (event: FormEvent) => {
    event.preventDefault();
    const body = { revision, run, text, saidBy, after, until, odd, method, version, explained: came };
    void write.run(() => putRecord('observations', remark.id, body));
  };
  return (
    <li className={remark.explained === '' ? 'border-l-4 border-brass pl-3' : 'pl-4 text-soft'}>
      {text} <span className="text-xs text-soft">{`${saidBy === '' ? remark.by : saidBy}, ${day(remark.at)}`}</span>
      {remark.explained !== '' && <span className="block text-sm">{remark.explained}</span>}
      {remark.explained === '' && mayWrite && (
        <form onSubmit={keep} className="mt-1 flex flex-wrap items-stretch gap-2">
          <label className="min-w-40 flex-1">
            <span className="sr-only">What came of “{text}”</span>
            <input
              className="field"
              placeholder="What came of it"
              value={came}
              onChange={(e) => setCame(e.target.value)}
            />
          </label>
          <Button type="submit" disabled={write.busy || came.trim() === ''}>
            Settle it
          </Button>
          <Problem says={write.problem} />
        </form>
      )}
    </li>
  );
}

function NewRemark({ build, method }: { build: string; method: string }) {
  const write = useWrite();
  const [text, setText] = useState('');
  const keep = (event: FormEvent) => {
    event.preventDefault();
    void write.run(() => putRecord('observations', uuid(), { revision: build, method, text }));
  };
  return (
    <form onSubmit={keep} className="mt-3 flex max-w-4xl flex-wrap items-stretch gap-2">
      <label className="min-w-40 flex-1">
        <span className="sr-only">An idea or a complaint</span>
        <input
          className="field"
          placeholder="An idea, or a complaint"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <Button type="submit" disabled={write.busy || text.trim() === ''}>
        Keep it here
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
