import { useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Slip } from '../../ui/Slip';
import { TickTable } from '../../ui/TickTable';

/** Two words for one failure become one; one word for two is split. */
export function ModesSlip({
  device,
  modes,
  onClose,
}: {
  device: string;
  modes: Schemas['ModeRow'][];
  onClose: () => void;
}) {
  const [mode, setMode] = useState(modes[0]?.mode ?? '');
  const [to, setTo] = useState('');
  const [found, setFound] = useState<Schemas['Called'] | null>(null);
  const [without, setWithout] = useState<string[]>([]);
  const [done, setDone] = useState('');
  const write = useWrite();
  const chosen = found?.rows.filter((r) => !without.includes(r.id)) ?? [];
  const send = (isTry: boolean) =>
    must(
      api.POST('/api/devices/{id}/modes', {
        params: { path: { id: device } },
        body: { mode, to: to.trim() === '' ? mode : to, place: '', only: isTry ? [] : chosen.map((r) => r.id), isTry },
      }),
    );

  async function look(event: FormEvent) {
    event.preventDefault();
    setDone('');
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

  return (
    <Slip open onClose={onClose} title="Merge or split modes" wide>
      <form onSubmit={(e) => void look(e)} noValidate className="flex flex-wrap items-end gap-3">
        <label className="text-sm">
          <span className="mb-1 block font-semibold">Failures called</span>
          <select
            className="field"
            value={mode}
            onChange={(e) => {
              setMode(e.target.value);
              setFound(null);
            }}
          >
            {modes.map((m) => (
              <option key={m.mode}>{m.mode}</option>
            ))}
          </select>
        </label>
        <Button type="submit" disabled={write.busy}>
          Look at them
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
        <div className="mt-4 space-y-3">
          <p className="font-serif text-lg">{found.sentence}</p>
          <TickTable
            label={`Failures called ${mode}`}
            rows={found.rows}
            without={without}
            setWithout={setWithout}
            names={(r) => `${r.build}, ${r.day}, ${r.place}`}
            columns={[
              { head: 'Build', names: true, cell: (r) => r.build },
              { head: 'Day', cell: (r) => r.day },
              { head: 'Place', cell: (r) => r.place },
              { head: 'What happened', cell: (r) => r.note },
            ]}
          />
          <label className="block text-sm">
            <span className="mb-1 block font-semibold">Those that are ticked are called</span>
            <input className="field" list="modes-that-are" value={to} onChange={(e) => setTo(e.target.value)} />
            <datalist id="modes-that-are">
              {modes
                .filter((m) => m.mode !== mode)
                .map((m) => (
                  <option key={m.mode} value={m.mode} />
                ))}
            </datalist>
            <span className="text-soft">A mode that is there already takes them in; a new name splits them off.</span>
          </label>
          <Button
            look="primary"
            disabled={write.busy || chosen.length === 0 || to.trim() === ''}
            onClick={() => void keep()}
          >
            Call {chosen.length} so
          </Button>
        </div>
      )}
    </Slip>
  );
}
