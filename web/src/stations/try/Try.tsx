import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useState } from 'react';
import { Link } from 'react-router';

import { api, must, type Schemas } from '../../api/client';
import { tryQuery } from '../../api/queries';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { stationPath, useBegin, usePlace } from '../../ui/place';
import { TrialStrips } from '../../figures/TrialStrips';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { Empty, Part, Sheet } from '../../ui/Sheet';
import { StatePicker } from '../../ui/StatePicker';
import { OUTCOME } from '../../ui/words';
import { Waiting } from '../../ui/Waiting';
import { AmendTogether } from './AmendTogether';
import { BeforeStart } from './BeforeStart';
import { ChangedSomething } from './ChangedSomething';
import { LevelPicker } from './LevelPicker';
import { PlanStrip } from './PlanStrip';
import { TakeAlong } from './TakeAlong';
import { useStartRun, type Wanted } from './useStartRun';

/** Results of a trial that are seen at once. */
const SEVERAL = 6;

/** Trials and their plans are written when the sheet stands. */
const PlanSlip = lazy(() => import('./PlanSlip').then((late) => ({ default: late.PlanSlip })));
const NotebookSlip = lazy(() => import('./NotebookSlip').then((late) => ({ default: late.NotebookSlip })));
const PanelSlip = lazy(() => import('./PanelSlip').then((late) => ({ default: late.PanelSlip })));
const TrialSlip = lazy(() => import('./TrialSlip').then((late) => ({ default: late.TrialSlip })));

/** Blocks that are known of every run, and that nobody types. */
const KNOWN_BLOCKS = ['article', 'operator', 'day'];

/** The Try station: the trials of this build, and the way to a new run. */
export default function Try() {
  const { tag } = usePlace();
  const query = useQuery(tryQuery(tag.revision.id));
  return (
    <Waiting query={query} title="Try">
      {(sheet) => <TrySheet key={sheet.revision.id} sheet={sheet} />}
    </Waiting>
  );
}

function TrySheet({ sheet }: { sheet: Schemas['TrySheet'] }) {
  const { frame, write } = usePlace();
  const [trial, setTrial] = useState<{ id: string; trial: Schemas['TrialView'] | null } | null>(null);
  const [together, setTogether] = useState(false);
  const begin = useCallback(() => setTrial({ id: uuid(), trial: null }), []);
  useBegin(write ? begin : null);
  const noMethods = sheet.methods.length === 0;
  return (
    <>
      <Sheet
        title={`Try ${sheet.revision.letter}`}
        sentence={sheet.sentence}
        actions={
          write &&
          !noMethods && (
            <>
              {sheet.trials.length > 0 && (
                <TakeAlong revision={sheet.revision.id} letter={sheet.revision.letter} state={sheet} />
              )}
              {sheet.trials.some((t) => t.total > 1) && (
                <Button onClick={() => setTogether(true)}>Amend readings together</Button>
              )}
              <Button look="primary" onClick={begin}>
                New trial
              </Button>
            </>
          )
        }
      >
        {noMethods && (
          <Empty
            action={
              <Link className="font-semibold text-blue underline" to={`/d/${frame.device.id}/methods`}>
                Write a method
              </Link>
            }
          >
            Try something: one line begins the first run, and what you say of it becomes its method, its levels and its
            results. Or write the method first: what is measured, in which unit, and when to stop. Means, intervals and
            what is still missing appear with the second run.
          </Empty>
        )}
        {sheet.now.length > 0 && (
          <section aria-label="What can be tried now" className="mt-4 border-l-4 border-blue pl-3">
            <h2 className="stamp text-sm">What can be tried now</h2>
            <ol>
              {sheet.now.map((row) => (
                <li key={row.trial}>{row.sentence}</li>
              ))}
            </ol>
          </section>
        )}
        {sheet.heap !== '' && (
          <p className="mt-4 border-l-4 border-brass pl-3">
            <Link className="font-semibold text-blue underline" to={`/heap/${frame.device.workspace}`}>
              {sheet.heap}
            </Link>
          </p>
        )}
        {sheet.trials.length > 0 && (
          <div className="mt-5">
            <TrialStrips rows={sheet.trials} />
          </div>
        )}
        {sheet.trials.length === 0 && !noMethods && (
          <Empty action={write && <Button onClick={begin}>Start a trial</Button>}>
            Try something, or start a trial with the cheapest check that could prove this build wrong. Means, intervals
            and what is still missing appear with the second run.
          </Empty>
        )}
        {sheet.trials.map((row) => (
          <TrialPart
            key={row.trial.id}
            row={row}
            sheet={sheet}
            edit={() => setTrial({ id: row.trial.id, trial: row.trial })}
          />
        ))}
      </Sheet>
      {together && <AmendTogether sheet={sheet} onClose={() => setTogether(false)} />}
      {trial !== null && (
        <Suspense fallback={null}>
          <TrialSlip id={trial.id} trial={trial.trial} sheet={sheet} onClose={() => setTrial(null)} />
        </Suspense>
      )}
    </>
  );
}

/** A trial: what it measured, its runs, and the way to the next one. */
function TrialPart({ row, sheet, edit }: { row: Schemas['TrialRow']; sheet: Schemas['TrySheet']; edit: () => void }) {
  const { frame, write: mayWrite } = usePlace();
  const last = row.runs.at(-1);
  const [article, setArticle] = useState(last?.article ?? sheet.articles.at(-1)?.id ?? '');
  const [levels, setLevels] = useState<Record<string, string>>(() =>
    Object.fromEntries((last?.levels ?? []).map((l) => [l.name, l.text])),
  );
  const [firmware, setFirmware] = useState('');
  /** Of what is tried without an article. */
  const [state, setState] = useState('');
  const method = sheet.methods.find((m) => m.id === row.trial.method);
  const factors = (method?.factors ?? []).filter((f) => f.role === 'factor' || !KNOWN_BLOCKS.includes(f.name));
  const chosen = sheet.articles.find((a) => a.id === article);
  const base = stationPath(frame.device.id, sheet.revision.letter, 'try');

  const { write, start } = useStartRun(base);
  const { busy } = write;
  const [planning, setPlanning] = useState(false);
  const [typing, setTyping] = useState(false);
  const [paneling, setPaneling] = useState(false);
  /** A run that the plan does not have is started only where somebody asks for it. */
  const [beside, setBeside] = useState(false);
  /** The plan holds every run, so that no other list of them is wanted. */
  const isWhole = row.plan !== null && row.total === row.plan.slots.filter((slot) => slot.run !== null).length;
  const hasNext = row.plan !== null && row.plan.next !== null;
  const typed: Wanted = {
    trial: row.trial.id,
    article: article === '' ? null : article,
    firmware: firmware.trim(),
    state: article === '' ? state : '',
    levels: factors.map((f) => ({ name: f.name, text: (levels[f.name] ?? '').trim() })),
  };
  const [wanted, setWanted] = useState<Wanted>(typed);
  const begin = (what: Wanted) => {
    setWanted(what);
    void start(what);
  };
  /** Its levels and its article are the plan's; what the plan says nothing of stays as it is offered below. */
  const planned = (slot: Schemas['SlotRow']): Wanted => ({
    ...typed,
    article: row.plan?.article ?? typed.article,
    state: (row.plan?.article ?? typed.article) === null ? state : '',
    levels: (typed.levels ?? []).map((l) => slot.levels.find((s) => s.name === l.name) ?? l),
    // Setting it to this is the run itself.
    ...(row.plan?.sets ? { settings: [row.plan.sets] } : {}),
  });

  return (
    <Part
      title={row.trial.name}
      aside={
        <>
          {row.methodName} · {row.count}
        </>
      }
      actions={
        mayWrite && (
          <div className="flex flex-wrap">
            {method !== undefined && (
              <Button look="quiet" aria-label={`Lay out ${row.trial.name}`} onClick={() => setPlanning(true)}>
                {row.plan === null ? 'Lay out its runs' : 'Plan'}
              </Button>
            )}
            {method !== undefined && (
              <Button look="quiet" aria-label={`Type runs of ${row.trial.name}`} onClick={() => setTyping(true)}>
                From a notebook
              </Button>
            )}
            {method !== undefined && sheet.articles.length > 1 && (
              <Button look="quiet" aria-label={`Blind panel of ${row.trial.name}`} onClick={() => setPaneling(true)}>
                Blind panel
              </Button>
            )}
            <Button look="quiet" aria-label={`Edit ${row.trial.name}`} onClick={edit}>
              Edit
            </Button>
          </div>
        )
      }
    >
      {row.trial.question !== '' && <p className="font-serif">{row.trial.question}</p>}
      <ul className="mt-1">
        {row.results.slice(0, SEVERAL).map((r) => (
          <li key={r}>{r}</li>
        ))}
        {row.results.length > SEVERAL && (
          <li>
            <details>
              <summary className="cursor-pointer text-blue">
                {row.results.length - SEVERAL} more, one of each kind
              </summary>
              <ul>
                {row.results.slice(SEVERAL).map((r) => (
                  <li key={r}>{r}</li>
                ))}
              </ul>
            </details>
          </li>
        )}
        {row.drift.map((r) => (
          <li key={r} className="text-sm text-soft">
            {r}
          </li>
        ))}
      </ul>
      {!isWhole && (
        <ol className="mt-2 flex flex-wrap gap-x-1 gap-y-1 text-sm" aria-label="Runs">
          {row.total > row.runs.length && <li className="self-center text-soft">the last of {row.total}:</li>}
          {row.runs.map((run) => (
            <li key={run.id}>
              <Link
                to={`${base}/run/${run.id}`}
                className={`block min-w-8 border px-1.5 py-0.5 text-center hover:bg-wash ${run.outcome === null ? 'border-dashed border-brass font-semibold text-brass' : run.outcome === 'failed' ? 'border-oxide text-oxide' : 'border-rule text-blue'}`}
                aria-label={`Run ${run.number}${run.level === '' ? '' : ` at ${run.level}`}, ${run.outcome === null ? 'not finished' : OUTCOME[run.outcome]}`}
                title={run.level === '' ? undefined : run.level}
              >
                {run.number}
                {run.outcome === 'failed'
                  ? ' ✕'
                  : run.outcome === 'stoppedEarly'
                    ? ' ↑'
                    : run.outcome === 'lost'
                      ? ' ○'
                      : run.outcome === 'void'
                        ? ' –'
                        : run.outcome === null
                          ? ' …'
                          : ''}
              </Link>
            </li>
          ))}
        </ol>
      )}
      {row.waits !== '' && <p className="mt-1 border-l-2 border-brass pl-3 font-semibold">{row.waits}</p>}
      {row.favoured !== '' && <p className="mt-1 text-sm text-soft">{row.favoured}</p>}
      {mayWrite && row.trial.state === 'done' && (row.plan?.slots.some((s) => s.run === null) ?? false) && (
        <PlanTheRest trial={row.trial.id} />
      )}
      {row.panels.map((panel) => (
        <p key={panel.id} className="mt-2">
          <Link className="font-semibold text-blue underline" to={`${base}/panel/${panel.id}`}>
            Blind panel
          </Link>{' '}
          {panel.sentence}
        </p>
      ))}
      {row.plan !== null && (
        <PlanStrip plan={row.plan} base={base} busy={busy} begin={mayWrite ? (slot) => begin(planned(slot)) : null} />
      )}
      {mayWrite && row.isEmptied && (
        <Button
          look="quiet"
          className="-ml-3"
          disabled={busy}
          onClick={() => begin({ ...typed, article: null, levels: [], purpose: 'empty' })}
        >
          Run it empty
        </Button>
      )}
      {mayWrite && row.reference !== '' && (
        <Button
          look="quiet"
          className="-ml-3"
          disabled={busy}
          onClick={() =>
            begin({
              ...typed,
              article: sheet.articles.find((a) => a.serial === row.reference)?.id ?? null,
              state: '',
              purpose: 'reference',
            })
          }
        >
          Try the reference {row.reference}
        </Button>
      )}
      {mayWrite && hasNext && (
        <Button look="quiet" className="-ml-3" aria-expanded={beside} onClick={() => setBeside(!beside)}>
          {beside ? 'As planned' : 'Another run, beside the plan'}
        </Button>
      )}
      {mayWrite && (!hasNext || beside) && (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <label className="text-sm">
            <span className="mb-1 block font-semibold">Article</span>
            <select className="field w-44" value={article} onChange={(e) => setArticle(e.target.value)}>
              <option value="">none, or a loose part</option>
              {sheet.articles.map((a) => (
                <option key={a.id} value={a.id}>
                  {a.serial}
                </option>
              ))}
            </select>
          </label>
          {article === '' && <StatePicker label="What is it?" state={state} onChange={setState} />}
          {factors.map((f) => (
            <LevelPicker
              key={f.name}
              factor={f}
              value={levels[f.name] ?? ''}
              onChange={(text) => setLevels({ ...levels, [f.name]: text })}
            />
          ))}
          {sheet.revision.firmware !== '' && (
            <label className="text-sm">
              <span className="mb-1 block font-semibold">Firmware</span>
              <input
                className="field w-28"
                value={firmware}
                placeholder={sheet.revision.firmware}
                autoComplete="off"
                onChange={(e) => setFirmware(e.target.value)}
              />
            </label>
          )}
          <Button
            look={hasNext ? 'plain' : 'primary'}
            disabled={busy}
            onClick={() => begin(typed)}
            aria-label={`Start run of ${row.trial.name}`}
          >
            {busy ? 'Starting …' : 'Start run'}
          </Button>
        </div>
      )}
      {mayWrite && row.mind !== '' && <p className="mt-2 text-sm text-soft">Mind: {row.mind}</p>}
      {mayWrite && row.before !== '' && (
        <p className="mt-2 border-l-2 border-brass pl-3 text-sm font-semibold">Before it goes into use: {row.before}</p>
      )}
      {mayWrite && chosen !== undefined && <ChangedSomething key={chosen.id} article={chosen} />}
      <BeforeStart
        key={write.problem}
        write={write}
        trial={row.trial}
        role={row.agreesNext}
        start={(ahead, first) => start({ ...wanted, ahead }, first)}
      />
      {typing && method !== undefined && (
        <Suspense fallback={null}>
          <NotebookSlip trial={row.trial} method={method} articles={sheet.articles} onClose={() => setTyping(false)} />
        </Suspense>
      )}
      {paneling && method !== undefined && (
        <Suspense fallback={null}>
          <PanelSlip trial={row.trial} method={method} articles={sheet.articles} onClose={() => setPaneling(false)} />
        </Suspense>
      )}
      {planning && method !== undefined && (
        <Suspense fallback={null}>
          <PlanSlip trial={row.trial} method={method} revision={sheet.revision} onClose={() => setPlanning(false)} />
        </Suspense>
      )}
    </Part>
  );
}

/** What a trial planned and did not do is the first plan of the next time. */
function PlanTheRest({ trial }: { trial: string }) {
  const write = useWrite();
  const [id] = useState(uuid);
  return (
    <div className="mt-2">
      <Button
        disabled={write.busy}
        onClick={() =>
          void write.run(() =>
            must(
              api.POST('/api/trials/{id}/rest', {
                params: { path: { id: trial } },
                body: { trial: id, revision: null },
              }),
            ),
          )
        }
      >
        Plan the rest of it
      </Button>
      <Problem says={write.problem} />
    </div>
  );
}
