import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../api/client';
import { rateQuery, sessionQuery } from '../api/queries';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';

/** What a rater sees on a device that was handed over: a code, a question, a line; nothing of what stands behind it. */
export default function Rate({ panel }: { panel: string }) {
  const [rater, setRater] = useState('');
  const query = useQuery(rateQuery(panel, rater));
  return (
    <main className="mx-auto max-w-xl p-2 sm:p-8">
      <Waiting query={query} title="Rating">
        {(page) =>
          page.rater === '' || page.code === '' ? (
            <Who page={page} choose={setRater} />
          ) : (
            <OneCode key={page.code} page={page} panel={panel} />
          )
        }
      </Waiting>
      <TakeBack panel={panel} />
    </main>
  );
}

function Who({ page, choose }: { page: Schemas['RatePage']; choose: (rater: string) => void }) {
  return (
    <Sheet
      title="Rating"
      sentence={
        page.raters.length === 0
          ? 'Everybody has rated everything. Thank you; give the device back.'
          : page.rater !== ''
            ? `Thank you, ${page.rater}. That was all. Who is next?`
            : 'Who are you?'
      }
    >
      <div className="mt-4 grid gap-2">
        {page.raters.map((name) => (
          <Button key={name} large onClick={() => choose(name)}>
            {name}
          </Button>
        ))}
      </div>
    </Sheet>
  );
}

function OneCode({ page, panel }: { page: Schemas['RatePage']; panel: string }) {
  const write = useWrite();
  const client = useQueryClient();
  const [id] = useState(uuid);
  const [said, setSaid] = useState<Record<string, string>>({});
  const [prefers, setPrefers] = useState<Schemas['Preferred'] | null>(null);
  const [guess, setGuess] = useState('');
  const [note, setNote] = useState('');
  const isWhole =
    page.scales.every((s) => (said[s.channel] ?? '') !== '') &&
    (page.before === '' || prefers !== null) &&
    (page.guess === '' || guess !== '');

  async function keep(event: FormEvent) {
    event.preventDefault();
    const ratings = page.scales.map((s) => ({ name: s.channel, text: said[s.channel] ?? '' }));
    const kept = await write.run(() =>
      putRecord('sheets', id, { panel, rater: page.rater, code: page.code, ratings, prefers, guess, note }),
    );
    if (kept) await client.invalidateQueries({ queryKey: rateQuery(panel, page.rater).queryKey });
  }

  return (
    <Sheet title={`Rating · ${page.rater}`} sentence={`Number ${page.code}, ${page.place} of ${page.of}.`}>
      <form className="mt-4 space-y-6" onSubmit={(e) => void keep(e)} noValidate>
        {page.scales.map((scale) => (
          <OneScale
            key={scale.channel}
            scale={scale}
            value={said[scale.channel] ?? ''}
            say={(text) => setSaid({ ...said, [scale.channel]: text })}
          />
        ))}
        {page.before !== '' && (
          <fieldset>
            <legend className="mb-1 text-lg font-semibold">Which is better?</legend>
            <div className="grid gap-2">
              {(
                [
                  ['this', `This one, ${page.code}`],
                  ['before', `The one before, ${page.before}`],
                  ['neither', 'I cannot say'],
                ] as const
              ).map(([value, words]) => (
                <Button
                  key={value}
                  large
                  look={prefers === value ? 'primary' : 'plain'}
                  aria-pressed={prefers === value}
                  onClick={() => setPrefers(value)}
                >
                  {words}
                </Button>
              ))}
            </div>
          </fieldset>
        )}
        {page.guess !== '' && (
          <fieldset>
            <legend className="mb-1 text-lg font-semibold">{page.guess}</legend>
            <div className="grid grid-cols-3 gap-2">
              {page.codes.map((code) => (
                <Button
                  key={code}
                  large
                  look={guess === code ? 'primary' : 'plain'}
                  aria-pressed={guess === code}
                  onClick={() => setGuess(code)}
                >
                  {code}
                </Button>
              ))}
            </div>
          </fieldset>
        )}
        <label className="block">
          <span className="mb-1 block text-sm">Anything else? It may stay empty.</span>
          <input className="field min-h-14" value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
        <Button type="submit" large look="primary" className="w-full" disabled={write.busy || !isWhole}>
          {write.busy ? 'Keeping …' : `Done with ${page.code}`}
        </Button>
        <Problem says={write.problem} />
      </form>
    </Sheet>
  );
}

function OneScale({ scale, value, say }: { scale: Schemas['RateScale']; value: string; say: (text: string) => void }) {
  if (scale.words.length > 0)
    return (
      <fieldset>
        <legend className="mb-1 text-lg font-semibold">{scale.metric}</legend>
        <div className="grid gap-2">
          {scale.words.map((word) => (
            <Button
              key={word}
              large
              look={word === value ? 'primary' : 'plain'}
              aria-pressed={word === value}
              onClick={() => say(word)}
            >
              {word}
            </Button>
          ))}
        </div>
      </fieldset>
    );
  return (
    <div>
      <label className="block">
        <span className="mb-1 block text-lg font-semibold">{scale.metric}</span>
        <input
          type="range"
          min={0}
          max={scale.most}
          step={scale.most / 100}
          className={`h-14 w-full accent-blue ${value === '' ? 'opacity-50' : ''}`}
          value={value === '' ? scale.most / 2 : value}
          aria-valuetext={value === '' ? 'not rated yet' : undefined}
          onChange={(e) => say(e.target.value)}
          // The middle is an answer too, and a touch on it changes nothing.
          onPointerUp={(e) => say(e.currentTarget.value)}
        />
      </label>
      <div className="flex justify-between text-sm">
        <span>{scale.low}</span>
        <span className="font-semibold">{value === '' ? 'touch the line' : ''}</span>
        <span>{scale.high}</span>
      </div>
    </div>
  );
}

/** Whoever handed the device over takes it back. */
function TakeBack({ panel }: { panel: string }) {
  const client = useQueryClient();
  const write = useWrite();
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState('');

  async function back(event: FormEvent) {
    event.preventDefault();
    await write.run(async () => {
      await must(api.POST('/api/panels/{id}/take-back', { params: { path: { id: panel } }, body: { password } }));
      await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
      await client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
    });
  }

  if (!open)
    return (
      <Button look="quiet" className="mt-6" onClick={() => setOpen(true)}>
        Take the device back
      </Button>
    );
  return (
    <form className="mt-6 flex flex-wrap items-end gap-2" onSubmit={(e) => void back(e)}>
      <label className="grow text-sm">
        <span className="mb-1 block font-semibold">Password of whoever handed it over</span>
        <input
          type="password"
          autoComplete="current-password"
          className="field min-h-12"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </label>
      <Button type="submit" className="min-h-12" disabled={write.busy || password === ''}>
        Take it back
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
