import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';

import { api, must, type Schemas } from '../../api/client';
import { panelQuery, sessionQuery } from '../../api/queries';
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
      {panel.unblinded !== null && (
        <p className="mt-3 text-sm text-soft">
          Unblinded by {panel.unblinded.by}; what was rated are runs of its trial now.
        </p>
      )}
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
      <Part title="Served" aside="for whoever serves; nobody who rates may see this">
        <ul className="space-y-2">
          {page.served.map((one) => (
            <Served key={one.rater} one={one} isOpen={panel.unblinded === null} />
          ))}
        </ul>
      </Part>
    </Sheet>
  );
}

function Served({ one, isOpen }: { one: Schemas['PanelServed']; isOpen: boolean }) {
  const next = one.codes.find((c) => !c.done);
  return (
    <li className="border-t border-rule pt-2">
      <strong>{one.rater}</strong>{' '}
      {isOpen && next !== undefined ? (
        <span>
          gets <strong>{next.serial}</strong> as <strong>{next.code}</strong>
        </span>
      ) : (
        <span className="text-soft">{next === undefined ? 'has rated all' : 'did not rate all'}</span>
      )}
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
    </li>
  );
}
