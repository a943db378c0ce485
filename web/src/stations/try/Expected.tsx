import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { runBody } from './runBody';

/** What somebody expects to read, said before it is read; offered, never demanded. */
export function Expected({ sheet, write: mayWrite }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const { run, asked } = sheet;
  const channels = asked.channels.filter((c) => c.formula === '' && c.words.length === 0);
  const isOpen = run.outcome === null && sheet.readings.length === 0;
  const [typing, setTyping] = useState(false);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const write = useWrite();
  const said = (key: string) => run.forecast.find((f) => f.name === key)?.text ?? '';

  if (run.forecast.length > 0 && !typing)
    return (
      <p className="mt-3 text-sm text-soft">
        Expected before it was read:{' '}
        {channels
          .filter((c) => said(c.key) !== '')
          .map((c) => `${c.metric} ${said(c.key)}`)
          .join(', ')}
        .{' '}
        {isOpen && mayWrite && (
          <Button look="quiet" onClick={() => setTyping(true)}>
            Say it anew
          </Button>
        )}
      </p>
    );
  if (!isOpen || !mayWrite || channels.length === 0) return null;
  if (!typing)
    return (
      <Button look="quiet" className="-ml-3 mt-2" onClick={() => setTyping(true)}>
        Say what you expect
      </Button>
    );

  async function keep() {
    const forecast = channels
      .map((c) => ({ name: c.key, text: (typed[c.key] ?? said(c.key)).trim() }))
      .filter((f) => f.text !== '');
    if (await write.run(() => putRecord('runs', run.id, runBody(run, { forecast })))) setTyping(false);
  }

  return (
    <form
      className="mt-3 space-y-2"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      {channels.map((c) => (
        <label key={c.key} className="block text-sm">
          <span className="mb-1 block font-semibold">
            {c.metric}, expected <span className="font-normal text-soft">{c.unit}</span>
          </span>
          <input
            className="field min-h-12"
            placeholder="60-70, about 65 or over 60"
            autoComplete="off"
            value={typed[c.key] ?? said(c.key)}
            onChange={(e) => setTyped({ ...typed, [c.key]: e.target.value })}
          />
        </label>
      ))}
      <p className="text-sm text-soft">It is locked with the first reading, and held against it.</p>
      <Button type="submit" large look="primary" disabled={write.busy}>
        Lock it in
      </Button>
      <Button large look="quiet" onClick={() => setTyping(false)}>
        Leave it
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
