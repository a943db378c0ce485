import { useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Slip } from '../../ui/Slip';
import { TickTable } from '../../ui/TickTable';

const NOTHING = { channel: '', trial: '', day: '', instrument: '', unit: '', add: '', reason: '' };

/** Amends several readings of a build at once: looked at first, then kept; the first values stay beside the new ones. */
export function AmendTogether({ sheet, onClose }: { sheet: Schemas['TrySheet']; onClose: () => void }) {
  const [input, setInput] = useState(NOTHING);
  const [found, setFound] = useState<Schemas['Together'] | null>(null);
  const [without, setWithout] = useState<string[]>([]);
  const [done, setDone] = useState('');
  const write = useWrite();
  const channels = [...new Map(sheet.methods.flatMap((m) => m.channels).map((c) => [c.key, c])).values()].filter(
    (c) => c.formula === '',
  );
  const instruments = [...new Set(channels.map((c) => c.instrument).filter((i) => i !== ''))];
  const chosen = found?.rows.filter((r) => !without.includes(r.id)) ?? [];

  const set = (more: Partial<typeof NOTHING>) => {
    setInput({ ...input, ...more });
    setFound(null);
    setDone('');
    write.clear();
  };
  const send = (isTry: boolean) =>
    must(
      api.POST('/api/revisions/{id}/readings/together', {
        params: { path: { id: sheet.revision.id } },
        body: { ...input, only: isTry ? [] : chosen.map((r) => r.id), isTry },
      }),
    );

  async function look(event: FormEvent) {
    event.preventDefault();
    await write.run(async () => {
      setFound(await send(true));
      setWithout([]);
    });
  }

  async function keep() {
    await write.run(async () => {
      setDone((await send(false)).sentence);
      setFound(null);
    });
  }

  const text = (name: keyof typeof NOTHING, label: string, hint = '') => (
    <label className="block text-sm">
      <span className="mb-1 block font-semibold">{label}</span>
      <input className="field" value={input[name]} onChange={(e) => set({ [name]: e.target.value })} />
      {hint !== '' && <span className="text-soft">{hint}</span>}
    </label>
  );
  const select = (name: keyof typeof NOTHING, label: string, all: { value: string; label: string }[]) => (
    <label className="block text-sm">
      <span className="mb-1 block font-semibold">{label}</span>
      <select className="field" value={input[name]} onChange={(e) => set({ [name]: e.target.value })}>
        <option value="">any</option>
        {all.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </label>
  );

  return (
    <Slip open onClose={onClose} title="Amend readings together" wide>
      <form onSubmit={(e) => void look(e)} noValidate className="space-y-3">
        <div className="grid gap-3 sm:grid-cols-2">
          {select(
            'trial',
            'Of trial',
            sheet.trials.map((t) => ({ value: t.trial.id, label: t.trial.name })),
          )}
          {select(
            'channel',
            'Of channel',
            channels.map((c) => ({ value: c.key, label: c.metric })),
          )}
          {select(
            'instrument',
            'With instrument',
            instruments.map((i) => ({ value: i, label: i })),
          )}
          {text('day', 'On the day', 'As in 2026-03-02; left empty, of all days.')}
          {text('unit', 'They were really read in', 'The numbers stay, and count in this unit.')}
          {text('add', 'Or: to be added to each', 'As in −0.4 N for a scale that was not set to nought.')}
        </div>
        {text('reason', 'Why?')}
        <Button type="submit" disabled={write.busy}>
          Look first
        </Button>
      </form>
      {write.problem !== '' && (
        <p role="alert" className="mt-2 border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {write.problem}
        </p>
      )}
      {done !== '' && (
        <p role="status" className="mt-3 font-serif text-lg">
          {done}
        </p>
      )}
      {found !== null && (
        <div className="mt-4">
          <p className="font-serif text-lg">{found.sentence}</p>
          <TickTable
            label="Readings that would be amended"
            rows={found.rows}
            without={without}
            setWithout={setWithout}
            names={(r) => `${r.trial}, run ${r.run}, ${r.metric}`}
            columns={[
              { head: 'Run', names: true, cell: (r) => `${r.trial} · ${r.run}` },
              { head: 'Metric', cell: (r) => r.metric },
              { head: 'Day', cell: (r) => r.day },
              { head: 'Is', cell: (r) => r.was },
              { head: 'Becomes', cell: (r) => r.becomes },
            ]}
          />
          <div className="mt-3">
            <Button look="primary" disabled={write.busy || chosen.length === 0} onClick={() => void keep()}>
              Amend {chosen.length}, keep both values
            </Button>
          </div>
        </div>
      )}
    </Slip>
  );
}
