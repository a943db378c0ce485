import { useId, useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { prose } from '../ui/prose';
import { Problem } from '../ui/Problem';

/** A requirement typed as a sentence: how it was read is shown, kept in one touch, or corrected field by field. */
export function WishLine({
  device,
  place,
  correct,
}: {
  device: string;
  place: number;
  correct: (record: Record<string, unknown>) => void;
}) {
  const id = useId();
  const [text, setText, drop] = useDraft(`wish:${device}`, '');
  const [wish, setWish] = useState<Schemas['WishView'] | null>(null);
  const write = useWrite();

  function done() {
    setWish(null);
    setText('');
    drop();
  }

  async function read(e: FormEvent) {
    e.preventDefault();
    await write.run(async () => {
      setWish(await must(api.POST('/api/devices/{id}/wish', { params: { path: { id: device } }, body: { text } })));
    });
  }

  const record = (of: Schemas['WishView']) => ({
    statement: of.statement,
    metric: of.metric,
    unit: of.unit,
    limit: of.limit,
    direction: of.direction ?? 'atLeast',
    kind: of.kind,
    conditions: of.conditions,
  });

  async function keep(of: Schemas['WishView']) {
    const kept = await write.run(() =>
      putRecord('requirements', uuid(), { ...record(of), limit: of.limit ?? 0, device, place }),
    );
    if (kept) done();
  }

  const isWhole = wish !== null && wish.read !== '' && wish.metric !== '' && wish.direction !== null;
  return (
    <div className="mb-4">
      <form onSubmit={(e) => void read(e)} className="flex flex-wrap items-end gap-2">
        <div className="min-w-56 flex-1">
          <label htmlFor={id} className="mb-1 block text-sm font-semibold">
            What must it do, in a sentence?
          </label>
          <input
            id={id}
            className="field"
            value={text}
            autoComplete="off"
            placeholder="holds 400 N on every one"
            onChange={(e) => {
              setText(e.target.value);
              setWish(null);
            }}
          />
        </div>
        <Button type="submit" disabled={text.trim() === '' || write.busy}>
          Read it
        </Button>
      </form>
      <Problem says={write.problem} />
      {wish !== null && (
        <section aria-label="Read as" className="mt-3 border-l-4 border-brass bg-brasswash px-3 py-3">
          {wish.read !== '' && (
            <p>
              <span className="stamp text-sm">Read as</span> {prose(wish.read)}
            </p>
          )}
          {wish.asks.map((ask) => (
            <p key={ask} className="font-semibold">
              {ask}
            </p>
          ))}
          {wish.takes !== '' && <p className="text-sm text-soft">{wish.takes}</p>}
          <p className="mt-2 flex flex-wrap gap-2">
            {isWhole && (
              <Button look="primary" disabled={write.busy} onClick={() => void keep(wish)}>
                Keep it so
              </Button>
            )}
            <Button
              look={isWhole ? 'quiet' : 'plain'}
              onClick={() => {
                correct(record(wish));
                done();
              }}
            >
              {isWhole ? 'Correct it' : 'Pick what is missing'}
            </Button>
          </p>
        </section>
      )}
    </div>
  );
}
