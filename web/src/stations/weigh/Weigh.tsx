import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';

import { api, type Schemas } from '../../api/client';
import { weighQuery } from '../../api/queries';
import { stationPath, usePlace } from '../../ui/place';
import { RunsSlip, type Opened } from '../../ui/RunsSlip';
import { prose } from '../../ui/prose';
import { Empty, Part, Sheet } from '../../ui/Sheet';
import { TextureKey } from '../../ui/Texture';
import { Waiting } from '../../ui/Waiting';
import { Comparison } from './Comparison';
import { EvidenceTable } from './EvidenceTable';
import { OutcomeRow } from './OutcomeRow';
import { SidesPart } from './SidesPart';

/** The Weigh station: against the requirements, and against another build. */
export default function Weigh() {
  const { tag } = usePlace();
  const [search] = useSearchParams();
  const query = useQuery({
    ...weighQuery(tag.revision.id, search.get('against') ?? ''),
    placeholderData: keepPreviousData,
  });
  return (
    <Waiting query={query} title="Weigh">
      {(sheet) => <WeighSheet sheet={sheet} />}
    </Waiting>
  );
}

function WeighSheet({ sheet }: { sheet: Schemas['WeighSheet'] }) {
  const { frame, write } = usePlace();
  const [search, setSearch] = useSearchParams();
  const [opened, setOpened] = useState<Opened>(null);
  const letter = sheet.revision.letter;
  const [revision, against] = [sheet.revision.id, search.get('against') ?? ''];
  // A later look with new runs costs confidence: it is counted once the answer was really shown, and by no reading of the sheet.
  useEffect(() => {
    if (!sheet.isNew || document.visibilityState !== 'visible') return;
    const query = against === '' ? {} : { against };
    void api.POST('/api/revisions/{id}/looked', { params: { path: { id: revision }, query } }).catch(() => undefined);
  }, [sheet.isNew, revision, against]);
  const within = sheet.sides.length > 0 && (
    <Part title={`Within ${letter}`} aside="a bar at the right joins what cannot be told apart">
      <div className="divide-y divide-rule">
        {sheet.sides.map((row) => (
          <SidesPart key={`${row.metricId} ${row.title}`} row={row} write={write} />
        ))}
      </div>
    </Part>
  );
  return (
    <>
      <Sheet title={`Weigh ${letter}`} sentence={sheet.sentence}>
        {sheet.rests !== '' && <p className="mt-4 max-w-prose border-l-2 border-brass pl-3">{prose(sheet.rests)}</p>}
        {sheet.uses.some((u) => u.use.dropped === '') && (
          <ul className="mt-3 max-w-prose space-y-1 text-sm">
            {sheet.uses
              .filter((u) => u.use.dropped === '')
              .map((u) => (
                <li key={u.use.id}>
                  <strong>{u.use.name}:</strong> {prose(u.verdict)}
                  {sheet.rehearsed
                    .filter((r) => r.use === u.use.id)
                    .map((r) => (
                      <details key={r.use}>
                        <summary className="min-h-6 cursor-pointer">{prose(r.sentence)}</summary>
                        <ul className="border-l-2 border-brass pl-2">
                          {r.methods.map((m) => (
                            <li key={m.method}>
                              <Link className="text-blue underline" to={`/d/${frame.device.id}/methods/${m.method}`}>
                                {m.name}
                              </Link>
                              : {prose(m.sentence)}
                            </li>
                          ))}
                        </ul>
                      </details>
                    ))}
                </li>
              ))}
          </ul>
        )}
        <Part title="Against the requirements" aside={sheet.confidence} actions={<TextureKey />}>
          {sheet.requirements.length === 0 ? (
            <Empty
              action={
                <Link className="font-semibold text-blue underline" to={`/d/${frame.device.id}/brief`}>
                  Write a requirement
                </Link>
              }
            >
              Nothing is asked of it yet. Try something, and a result becomes a requirement by one touch; or write one
              as a sentence. Every run that measures it is then weighed against it, on every build, and this says how
              sure it is.
            </Empty>
          ) : (
            <EvidenceTable sheet={sheet} open={setOpened} />
          )}
        </Part>
        {sheet.against === null && within}
        <Part
          title={sheet.against === null ? 'Against another build' : `${letter} against ${sheet.against.letter}`}
          actions={
            <label className="flex items-center gap-2 text-sm">
              Against
              <select
                className="field w-auto min-w-24"
                value={sheet.against?.id ?? ''}
                onChange={(e) => {
                  search.set('against', e.target.value);
                  setSearch(search);
                }}
              >
                {sheet.against === null && <option value="">choose a build</option>}
                {sheet.revisions
                  .filter((r) => r.id !== sheet.revision.id)
                  .map((r) => (
                    <option key={r.id} value={r.id}>
                      {r.letter}
                    </option>
                  ))}
              </select>
            </label>
          }
        >
          {sheet.comparisons.length + sheet.outcomes.length === 0 ? (
            <Empty>
              {sheet.against === null
                ? 'The first build has nothing to be compared with. From the second one on, each metric is compared with the parent’s.'
                : 'Nothing has been measured on this build yet. Differences, percentages with their intervals and the footing appear with the first readings on both.'}
            </Empty>
          ) : (
            <div className="divide-y divide-rule">
              {sheet.comparisons.map((c) => (
                <Comparison
                  key={c.metric}
                  comparison={c}
                  build={sheet.revision.id}
                  against={sheet.against?.id ?? ''}
                  here={letter}
                  other={sheet.against?.letter ?? ''}
                  write={write}
                  requirement={sheet.requirements.find((r) => r.metric === c.metric)}
                  open={setOpened}
                />
              ))}
              {sheet.outcomes.map((o) => (
                <OutcomeRow key={o.metric} outcome={o} write={write} open={setOpened} />
              ))}
            </div>
          )}
        </Part>
        {sheet.against !== null && within}
        {sheet.panels.length > 0 && (
          <Part title="Blind panels">
            {sheet.panels.map((panel) => (
              <div key={panel.id} className="mb-3 max-w-prose">
                <Link
                  className="font-semibold text-blue underline"
                  to={`${stationPath(frame.device.id, letter, 'try')}/panel/${panel.id}`}
                >
                  {panel.trial}
                </Link>
                <ul>
                  {panel.said.map((said) => (
                    <li key={said}>{said}</li>
                  ))}
                </ul>
              </div>
            ))}
          </Part>
        )}
      </Sheet>
      <RunsSlip device={frame.device.id} opened={opened} onClose={() => setOpened(null)} />
    </>
  );
}
