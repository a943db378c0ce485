import { queryOptions, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';

import { api, must, type Schemas } from '../api/client';
import { useSession } from '../api/queries';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Part, Sheet } from '../ui/Sheet';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import type { FieldOrRows } from '../ui/fields';
import { day } from '../ui/time';
import { Waiting } from '../ui/Waiting';
import { Apart } from './Apart';

const outingsQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['outings', workspace],
    queryFn: () => must(api.GET('/api/workspaces/{id}/outings', { params: { path: { id: workspace } } })),
  });

/** Its order hangs on the trials that it gathers, whatever is written of them. */
const outingQuery = (outing: string) =>
  queryOptions({
    queryKey: ['outings', 'one', outing],
    staleTime: 0,
    queryFn: () => must(api.GET('/api/outings/{id}/page', { params: { path: { id: outing } } })),
  });

const KINDS: Record<string, string> = {
  articles: 'Articles and spares',
  instruments: 'Instruments',
  tools: 'Tools',
  consumables: 'What is used up',
  protection: 'Protection',
  papers: 'Agreed and permitted',
  missed: 'Missed before',
};

const fieldsOf = (open: Schemas['OpenTrial'][]): FieldOrRows<Schemas['OutingInput']>[] => [
  { name: 'place', label: 'Place' },
  { name: 'day', label: 'Day', half: true, hint: 'Such as 2026-03-08.' },
  { name: 'hours', label: 'Hours there', kind: 'number', half: true },
  { name: 'weather', label: 'Wanted weather' },
  { name: 'people', label: 'Who comes along', kind: 'lines' },
  { name: 'permits', label: 'Permits', kind: 'lines' },
  {
    name: 'trials',
    label: 'Trials',
    kind: 'picks',
    options: open.map((t) => ({ value: t.id, label: `${t.name} (${t.device} ${t.letter})` })),
  },
];

const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** The days out of a workspace. */
export default function Outings() {
  const { workspace = '', outing } = useParams();
  const session = useSession();
  const list = useQuery(outingsQuery(workspace));
  const role = session.data?.workspaces.find((w) => w.id === workspace)?.role;
  const mayWrite = role === 'lead' || role === 'member';
  const [making, setMaking] = useState<Editing>(null);
  return (
    <Apart>
      <main className="space-y-6">
        <Waiting query={list} title="Days out">
          {({ outings, open }) => (
            <>
              {outing !== undefined && (
                <OneDay
                  workspace={workspace}
                  id={outing}
                  edit={mayWrite ? (of) => setMaking({ id: of.id, record: { ...of } }) : null}
                />
              )}
              <Sheet
                title="Days out"
                sentence={
                  outings.length === 0
                    ? 'A day out gathers trials of several builds and devices at one place, puts them into an order, and says what to take.'
                    : outings.length === 1
                      ? 'One day out is written down.'
                      : `${outings.length} days out are written down.`
                }
                actions={
                  mayWrite && (
                    <Button look="primary" onClick={() => setMaking({ id: uuid(), record: {} })}>
                      Plan a day out
                    </Button>
                  )
                }
              >
                <ul className="mt-4 space-y-1">
                  {outings.map((o) => (
                    <li key={o.id}>
                      <Link className="font-semibold text-blue underline" to={`/out/${workspace}/${o.id}`}>
                        {o.place}
                      </Link>{' '}
                      <span className="text-soft">{o.day === '' ? 'no day yet' : day(o.day)}</span>
                    </li>
                  ))}
                </ul>
              </Sheet>
              <RecordSlip<Schemas['OutingInput']>
                title="Day out"
                kind={`outing:${workspace}`}
                editing={making}
                fields={fieldsOf(open)}
                save={(id, values, version) =>
                  putRecord('outings', id, { missed: making?.record['missed'] ?? [], ...values, workspace, version })
                }
                withdraw="outings"
                onClose={() => setMaking(null)}
              />
            </>
          )}
        </Waiting>
      </main>
    </Apart>
  );
}

function OneDay({
  workspace,
  id,
  edit,
}: {
  workspace: string;
  id: string;
  edit: ((of: Schemas['OutingView']) => void) | null;
}) {
  const query = useQuery(outingQuery(id));
  return (
    <Waiting query={query} title="Day out">
      {(page) => <Day key={page.outing.id} page={page} workspace={workspace} edit={edit} />}
    </Waiting>
  );
}

function Day({
  page,
  workspace,
  edit,
}: {
  page: Schemas['OutingPage'];
  workspace: string;
  edit: ((of: Schemas['OutingView']) => void) | null;
}) {
  const { outing } = page;
  const [missed, setMissed] = useState(outing.missed.join('\n'));
  const write = useWrite();
  const about = [
    outing.day === '' ? '' : day(outing.day),
    outing.people.join(', '),
    outing.weather === '' ? '' : `wanted: ${outing.weather}`,
  ].filter((part) => part !== '');
  return (
    <Sheet
      title={`${outing.place} · day out`}
      sentence={page.sentence}
      actions={edit !== null && <Button onClick={() => edit(outing)}>Edit</Button>}
    >
      <p className="mt-2 text-sm text-soft">{about.join(' · ')}</p>
      {page.stops.length > 0 && (
        <Part title="In this order">
          <ol className="space-y-2">
            {page.stops.map((stop, i) => (
              <li key={stop.trial} className="border-t border-rule pt-2">
                <Link
                  className="font-semibold text-blue underline"
                  to={`/d/${stop.deviceId}/${encodeURIComponent(stop.letter)}/try`}
                >
                  {i + 1}. {stop.name}
                </Link>{' '}
                <span className="text-soft">
                  {stop.device} {stop.letter} · {stop.runs} {stop.runs === 1 ? 'run' : 'runs'} · {stop.time} ·{' '}
                  {stop.why}
                </span>
                {stop.mind !== '' && <p className="border-l-2 border-oxide pl-3 text-sm font-semibold">{stop.mind}</p>}
              </li>
            ))}
          </ol>
        </Part>
      )}
      {page.leftOut.length > 0 && (
        <Part title="Left out, where time is short">
          <ul>
            {page.leftOut.map((stop) => (
              <li key={stop.trial}>
                {stop.name} <span className="text-soft">{stop.time}</span>
              </li>
            ))}
          </ul>
        </Part>
      )}
      <Part title="To take" aside="ticks stay on this device">
        {Object.entries(KINDS).map(([kind, words]) => (
          <Take key={kind} id={outing.id} title={words} what={page.take.filter((t) => t.kind === kind)} />
        ))}
      </Part>
      {edit !== null && (
        <Part title="What was missed" aside="it goes onto the next list">
          <form
            onSubmit={(e) => {
              e.preventDefault();
              const { id, version, ...rest } = outing;
              void write.run(() => putRecord('outings', id, { ...rest, workspace, missed: lines(missed), version }));
            }}
          >
            <textarea
              aria-label="What was missed, a thing a line"
              className="field min-h-20"
              value={missed}
              onChange={(e) => setMissed(e.target.value)}
            />
            <Button type="submit" className="mt-2" disabled={write.busy}>
              {write.busy ? 'Saving …' : 'Keep'}
            </Button>
            <Problem says={write.problem} />
          </form>
        </Part>
      )}
    </Sheet>
  );
}

function Take({ id, title, what }: { id: string; title: string; what: Schemas['TakeLine'][] }) {
  if (what.length === 0) return null;
  return (
    <section className="mt-3" aria-label={title}>
      <h3 className="text-sm font-semibold">{title}</h3>
      <ul>
        {what.map((line) => (
          <Tick key={line.what} name={`${id} ${line.kind} ${line.what}`} words={line.what} />
        ))}
      </ul>
    </section>
  );
}

/** In a shed without network somebody still knows what is in the box. */
function Tick({ name, words }: { name: string; words: string }) {
  const [packed, setPacked] = useDraft(`packed:${name}`, false);
  return (
    <li>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 accent-blue"
          checked={packed}
          onChange={(e) => setPacked(e.target.checked)}
        />
        <span className={packed ? 'text-soft line-through' : ''}>{words}</span>
      </label>
    </li>
  );
}
