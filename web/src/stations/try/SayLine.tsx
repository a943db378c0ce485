import { useId, useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';

type Taken = Omit<Schemas['TakenUp'], 'confirmed'> & { as: 'result' | 'level' | 'words' };

/** What came of a run, in one line: kept as it was said; its numbers are taken up once somebody accepts what they were read as. */
export function SayLine({ sheet, first }: { sheet: Schemas['RunSheet']; first: string }) {
  const id = useId();
  const run = sheet.run.id;
  const [line, setLine, drop] = useDraft(`said:${run}`, first);
  const [said, setSaid] = useState<Schemas['SaidView'] | null>(null);
  const write = useWrite();

  async function say(e: FormEvent) {
    e.preventDefault();
    const kept = await write.run(async () => {
      setSaid(await must(api.POST('/api/runs/{id}/said', { params: { path: { id: run } }, body: { text: line } })));
    });
    if (!kept) return;
    setLine('');
    drop();
  }

  return (
    <>
      <form onSubmit={(e) => void say(e)} className="flex flex-wrap items-end gap-2">
        <div className="min-w-48 flex-1">
          <label htmlFor={id} className="mb-1 block text-sm font-semibold">
            In a line
          </label>
          <input
            id={id}
            className="field"
            value={line}
            autoComplete="off"
            placeholder="412 N at 60 cm"
            onChange={(e) => setLine(e.target.value)}
          />
        </div>
        <Button type="submit" aria-label="Keep line" disabled={line.trim() === '' || write.busy}>
          {write.busy ? 'Keeping …' : 'Keep'}
        </Button>
      </form>
      <Problem says={write.problem} />
      {said !== null && <ReadAs key={said.kept} run={run} said={said} onDone={() => setSaid(null)} />}
    </>
  );
}

const AS = [
  { value: 'result', label: 'what came of it' },
  { value: 'level', label: 'what it was tried at' },
  { value: 'words', label: 'nothing more' },
];

/** How the line was read, to be accepted or corrected. */
function ReadAs({ run, said, onDone }: { run: string; said: Schemas['SaidView']; onDone: () => void }) {
  const write = useWrite();
  const [parts, setParts] = useState<Taken[]>(() =>
    said.parts.map((p) => ({ ...p, as: p.isLevel ? 'level' : 'result', direction: '' as const, limit: null })),
  );
  const used = parts.filter((p) => p.as !== 'words');
  const set = (i: number, part: Partial<Taken>) => setParts(parts.map((p, k) => (k === i ? { ...p, ...part } : p)));

  // What is odd is asked back first, as of any reading.
  const asked = write.questions.map((q) => q.sentence).join(' ');
  async function takeUp() {
    const taken = used.map(({ as, text, unit, name, direction, limit }) => ({
      text,
      unit,
      name,
      isLevel: as === 'level',
      direction: as === 'level' ? ('' as const) : direction,
      limit: as === 'level' || direction === '' ? null : limit,
      confirmed: as === 'level' ? '' : asked,
    }));
    const done = await write.run(() =>
      must(api.POST('/api/runs/{id}/take-up', { params: { path: { id: run } }, body: { taken } })),
    );
    if (done) onDone();
  }

  const held = said.held === null ? '' : said.held ? 'It says that it held' : 'It says that something failed';
  return (
    <section aria-label="Read as" className="mt-3 border-l-4 border-brass bg-brasswash px-3 py-3">
      <h3 className="stamp text-sm">{parts.length === 0 ? 'Kept as it was said' : 'Read as'}</h3>
      {parts.length === 0 && <p className="text-sm">There is no number in it that has a unit.</p>}
      <ul className="space-y-3">
        {parts.map((p, i) => (
          <li key={`${said.kept}-${i}`} className="flex flex-wrap items-end gap-2">
            <span className="min-w-20 self-center text-lg font-semibold">{p.text}</span>
            <label className="text-sm">
              <span className="mb-1 block font-semibold">is</span>
              <select
                className="field w-44"
                value={p.as}
                onChange={(e) => set(i, { as: e.target.value as Taken['as'] })}
              >
                {AS.map((a) => (
                  <option key={a.value} value={a.value}>
                    {a.label}
                  </option>
                ))}
              </select>
            </label>
            {p.as !== 'words' && (
              <label className="text-sm">
                <span className="mb-1 block font-semibold">called</span>
                <input
                  className="field w-40"
                  value={p.name}
                  autoComplete="off"
                  onChange={(e) => set(i, { name: e.target.value })}
                />
              </label>
            )}
            {p.as === 'result' && (
              <label className="text-sm">
                <span className="mb-1 block font-semibold">and should be</span>
                <select
                  className="field w-32"
                  value={p.direction}
                  onChange={(e) => set(i, { direction: e.target.value as Taken['direction'] })}
                >
                  <option value="">not said</option>
                  <option value="atLeast">at least</option>
                  <option value="atMost">at most</option>
                </select>
              </label>
            )}
            {p.as === 'result' && p.direction !== '' && (
              <label className="text-sm">
                <span className="mb-1 block font-semibold">in {p.unit}</span>
                <input
                  className="field w-24"
                  inputMode="decimal"
                  autoComplete="off"
                  onChange={(e) => {
                    const limit = Number(e.target.value.replace(',', '.'));
                    set(i, { limit: e.target.value.trim() !== '' && Number.isFinite(limit) ? limit : null });
                  }}
                />
              </label>
            )}
          </li>
        ))}
      </ul>
      {held !== '' && <p className="mt-2 text-sm">{held}: end the run below, where it ended.</p>}
      <Problem says={asked === '' ? write.problem : asked} />
      <p className="mt-3 flex flex-wrap gap-2">
        {used.length > 0 && (
          <Button look="primary" disabled={write.busy} onClick={() => void takeUp()}>
            {write.busy ? 'Taking up …' : write.questions.length > 0 ? 'It is so; take up' : 'Take up'}
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          {used.length > 0 ? 'Leave it as words' : 'Close'}
        </Button>
      </p>
    </section>
  );
}
