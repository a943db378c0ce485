import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';

import { api, must, type Schemas } from '../../api/client';
import { membersQuery, panelQuery, sessionQuery, useSession } from '../../api/queries';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { IntervalPlot } from '../../figures/IntervalPlot';
import { Button } from '../../ui/Button';
import { stationPath, usePlace } from '../../ui/place';
import { Problem } from '../../ui/Problem';
import { Part, Sheet } from '../../ui/Sheet';
import { Waiting } from '../../ui/Waiting';

/** A blind panel for whoever serves: who gets what next, and at the end what was which. */
export default function Panel() {
  const { panel = '' } = useParams();
  const query = useQuery(panelQuery(panel));
  return (
    <Waiting query={query} title="Blind panel">
      {(page) => <PanelSheet page={page} />}
    </Waiting>
  );
}

function PanelSheet({ page }: { page: Schemas['PanelPage'] }) {
  const { frame, write: mayWrite } = usePlace();
  const base = stationPath(frame.device.id, page.revision.letter, 'try');
  const { panel } = page;
  const write = useWrite();
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const params = { path: { id: panel.id } };

  async function handOver() {
    await write.run(async () => {
      await must(api.POST('/api/panels/{id}/hand-over', { params }));
      // From here on this device shows what a rater sees.
      await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
    });
  }

  return (
    <Sheet
      title={`${page.trialName} · blind panel`}
      sentence={page.sentence}
      actions={
        mayWrite &&
        panel.unblinded === null && (
          <>
            <Button look="primary" disabled={write.busy} onClick={() => void handOver()}>
              Hand over to a rater
            </Button>
            <Button onClick={() => setAsked(true)}>Unblind</Button>
          </>
        )
      }
    >
      <p className="mt-2 text-sm">
        <Link className="text-blue underline" to={base}>
          All trials
        </Link>
      </p>
      <Problem says={write.problem} />
      {asked && panel.unblinded === null && (
        <div role="alert" className="mt-3 border-l-4 border-brass bg-brasswash p-3">
          <p className="font-semibold">
            From here on everybody can see which code was which. Sheets that come later are kept, and count for nothing.
          </p>
          <div className="mt-2 flex gap-2">
            <Button
              look="grave"
              disabled={write.busy}
              onClick={() =>
                void write.run(() =>
                  must(api.POST('/api/panels/{id}/unblind', { params, body: { version: panel.version } })),
                )
              }
            >
              Unblind now
            </Button>
            <Button look="quiet" onClick={() => setAsked(false)}>
              Not yet
            </Button>
          </div>
        </div>
      )}
      <p className="mt-3 text-sm text-soft">
        {panel.servesName === '' ? 'Nobody is named to serve it.' : `Served by ${panel.servesName}.`}{' '}
        {panel.unblinded !== null && `Unblinded by ${panel.unblinded.by}; what was rated are runs of its trial now.`}
      </p>
      {mayWrite && panel.serves === null && panel.unblinded === null && <Serve panel={panel} />}
      {page.said.map((line) => (
        <p key={line} className="mt-2 border-l-2 border-brass pl-3">
          {line}
        </p>
      ))}
      {page.results.map((result) => (
        <Part key={result.metric} title={result.metric}>
          <p>{result.agreement}</p>
          {result.items.length > 0 && (
            <>
              <IntervalPlot
                metric={result.metric}
                unit={result.unit === '1' ? '' : result.unit}
                sides={result.items.map((i) => ({
                  letter: i.serial,
                  estimate: {
                    value: i.mean,
                    low: i.low,
                    high: i.high,
                    text: i.text,
                    n: i.n,
                    unit: '',
                    decimals: 1,
                    cut: [],
                  },
                  values: [],
                  strong: false,
                }))}
                limit={null}
              />
              <table className="mt-2 text-sm">
                <thead>
                  <tr>
                    <th className="pr-6 text-left font-semibold">Article</th>
                    <th className="pr-6 text-left font-semibold">Mean</th>
                    <th className="text-left font-semibold">Raters</th>
                  </tr>
                </thead>
                <tbody>
                  {result.items.map((i) => (
                    <tr key={i.serial} className="border-t border-rule">
                      <td className="pr-6">{[i.serial, i.arm].filter(Boolean).join(', ')}</td>
                      <td className="pr-6 tabular-nums">{i.text}</td>
                      <td>{i.n}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </Part>
      ))}
      {page.results.length > 0 && (
        <p className="mt-3 text-sm text-soft">
          Means stand by themselves here. What differs, rater by rater, is on Weigh.
        </p>
      )}
      {[...page.preferences, page.blind, ...page.missing]
        .filter((line) => line !== '')
        .map((line) => (
          <p key={line} className="mt-2 border-l-2 border-brass pl-3">
            {line}
          </p>
        ))}
      <Part title="Served" aside={page.serves ? 'for you, who serve; nobody who rates may see this' : ''}>
        <ul className="space-y-2">
          {page.served.map((one) => (
            <Served key={one.rater} one={one} isBlind={panel.unblinded === null} />
          ))}
        </ul>
      </Part>
      {panel.unblinded === null && !page.isOpen && <MustKnow panel={panel.id} />}
    </Sheet>
  );
}

/** Of a panel that came from elsewhere nobody here is named to serve it. */
function Serve({ panel }: { panel: Schemas['PanelView'] }) {
  const { frame } = usePlace();
  const session = useSession();
  const write = useWrite();
  const people = useQuery(membersQuery(frame.device.workspace)).data?.people ?? [];
  const me = people.find((one) => one.email === session.data?.email);
  const { id, trial, serials, raters, scales, prefers, guess, right, version } = panel;
  const body = { trial, serials, raters, scales, prefers, guess, right, version, serves: me?.id };
  return (
    <p className="mt-2">
      <Button
        disabled={write.busy || me === undefined}
        onClick={() => void write.run(() => putRecord('panels', id, body))}
      >
        I serve it
      </Button>
      <Problem says={write.problem} />
    </p>
  );
}

/** A lead looks before it is unblinded; that stays said beside the result. */
function MustKnow({ panel }: { panel: string }) {
  const { frame } = usePlace();
  const session = useSession();
  const write = useWrite();
  const [open, setOpen] = useState(false);
  const [because, setBecause] = useState('');
  const isLead = session.data?.workspaces.find((w) => w.id === frame.device.workspace)?.role === 'lead';

  async function look(event: FormEvent) {
    event.preventDefault();
    const params = { path: { id: panel } };
    if (await write.run(() => must(api.POST('/api/panels/{id}/open', { params, body: { because } })))) setOpen(false);
  }

  if (!isLead) return null;
  if (!open)
    return (
      <Button look="quiet" className="mt-4" onClick={() => setOpen(true)}>
        Look which is which
      </Button>
    );
  return (
    <form className="mt-4 border-l-4 border-brass bg-brasswash p-3" onSubmit={(e) => void look(e)}>
      <label className="block">
        <span className="mb-1 block font-semibold">
          Why must you know? It is written down, and stays said beside the result.
        </span>
        <input className="field" value={because} onChange={(e) => setBecause(e.target.value)} />
      </label>
      <div className="mt-2 flex gap-2">
        <Button type="submit" look="grave" disabled={write.busy || because.trim() === ''}>
          Look now
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Leave it blind
        </Button>
      </div>
      <Problem says={write.problem} />
    </form>
  );
}

function Served({ one, isBlind }: { one: Schemas['PanelServed']; isBlind: boolean }) {
  const isDone = one.done === one.of;
  return (
    <li className="border-t border-rule pt-2">
      <strong>{one.rater}</strong>{' '}
      {isBlind && one.next !== null ? (
        <span>
          gets <strong>{one.next.serial}</strong> as <strong>{one.next.code}</strong>
        </span>
      ) : (
        <span className="text-soft">{isDone ? 'has rated all' : isBlind ? '' : 'did not rate all'}</span>
      )}{' '}
      <span className="text-sm tabular-nums text-soft">
        {one.done} of {one.of}
      </span>
      {one.codes.length > 0 && <Codes one={one} />}
    </li>
  );
}

function Codes({ one }: { one: Schemas['PanelServed'] }) {
  return (
    <ol className="mt-1 flex flex-wrap gap-1 text-sm" aria-label={`Order of ${one.rater}`}>
      {one.codes.map((c) => (
        <li
          key={c.code}
          className={`border px-1.5 py-0.5 ${c.done ? 'border-ink' : 'border-dashed border-rule text-soft'}`}
        >
          {c.code} {c.serial}
          {c.done ? (c.late ? ', late' : ' ✓') : ''}
        </li>
      ))}
    </ol>
  );
}
