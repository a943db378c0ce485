import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { Link, useLocation, useParams } from 'react-router';

import type { Schemas } from '../../api/client';
import { runQuery } from '../../api/queries';
import { stationPath, usePlace } from '../../ui/place';
import { Problem } from '../../ui/Problem';
import { Part, Sheet } from '../../ui/Sheet';
import { Waiting } from '../../ui/Waiting';
import { OUTCOME } from '../../ui/words';
import { Again } from './Again';
import { ChangedSomething } from './ChangedSomething';
import { Courses } from './Courses';
import { Expected } from './Expected';
import { FoundFields } from './FoundFields';
import { NextPlanned } from './NextPlanned';
import { Outcome } from './Outcome';
import { Tallies } from './Markers';
import { ReadingEntry } from './ReadingEntry';
import { ReachBar } from './ReachBar';
import { RigCheck } from './RigCheck';
import { RunClock } from './RunClock';
import { endOf, InStep, StepBar, useSteps } from './RunSteps';
import { SayLine } from './SayLine';
import { WorkedBefore } from './WorkedBefore';
import { Seen } from './Seen';
import { SetAside } from './SetAside';
import { WhatItWas } from './WhatItWas';

/** The sheet of one run: for a phone in gloved hands as well as for a desk. */
export default function Run() {
  const { run = '' } = useParams();
  const query = useQuery(runQuery(run));
  return (
    <Waiting query={query} title="Run">
      {(sheet) => <RunSheet key={sheet.run.id} sheet={sheet} />}
    </Waiting>
  );
}

/** The picture of the display that a channel was read off, and where one more would belong. */
function displayOf(sheet: Schemas['RunSheet'], channel: string) {
  const reading = sheet.readings.find((r) => r.channel === channel);
  const photo = sheet.photos.find((p) => reading !== undefined && p.reading === reading.id);
  return { photo, revision: sheet.revision.id };
}

function RunSheet({ sheet }: { sheet: Schemas['RunSheet'] }) {
  const { frame, write } = usePlace();
  const base = stationPath(frame.device.id, sheet.revision.letter, 'try');
  const { run, asked } = sheet;
  const readChannels = asked.channels.filter((c) => c.formula === '');
  const end = useRef<HTMLDivElement>(null);
  const [ending, setEnding] = useState<Schemas['RunOutcome'] | null>(null);
  const { state } = useLocation() as { state: { line?: string; lost?: string } | null };
  const line = /\d/.test(state?.line ?? '') ? (state?.line ?? '') : '';
  const [step, go] = useSteps(sheet, line !== '');
  const isOpen = write && run.outcome === null;
  const at = isOpen ? step : null;
  const isRunning = run.clockAt !== null && run.lasted === null;
  return (
    <Sheet
      title={`${sheet.trial.name} · run ${run.number}${sheet.level === '' ? '' : ` · ${sheet.level}`}`}
      sentence={sheet.sentence}
    >
      <Problem says={state?.lost ?? ''} />
      <nav aria-label="Runs of this trial" className="mt-3 flex flex-wrap gap-1">
        <Link to={base} className="border border-rule px-2 py-1 text-sm text-blue hover:bg-wash">
          All trials
        </Link>
        {sheet.runs.map((r) => (
          <Link
            key={r.id}
            to={`${base}/run/${r.id}`}
            aria-current={r.id === run.id ? 'page' : undefined}
            aria-label={`Run ${r.number}, ${r.outcome === null ? 'not finished' : OUTCOME[r.outcome]}`}
            className={`min-w-8 border px-2 py-1 text-center text-sm ${r.id === run.id ? 'border-ink bg-ink font-semibold text-sheet' : 'border-rule text-blue hover:bg-wash'}`}
          >
            {r.number}
          </Link>
        ))}
      </nav>
      {(sheet.console.position !== '' || sheet.console.enough !== '') && (
        <p className="mt-3 text-lg font-semibold" data-testid="position">
          {[sheet.console.position, sheet.console.enough].filter(Boolean).join(' · ')}
        </p>
      )}
      {sheet.surprise.length > 0 && (
        <aside aria-label="Surprise" className="mt-4 border-l-4 border-oxide bg-oxidewash px-3 py-2">
          {sheet.surprise.map((line, i) => (
            <p key={line} className={i === 0 ? 'font-semibold text-oxide' : 'mt-1 font-semibold'}>
              {line}
            </p>
          ))}
        </aside>
      )}
      {sheet.noticed.length > 0 && (
        <aside aria-label="What Lustrum noticed" className="mt-4 border-l-4 border-brass bg-brasswash px-3 py-2">
          <h2 className="stamp text-sm">Noticed</h2>
          <ul className="space-y-1">
            {sheet.noticed.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        </aside>
      )}
      {sheet.mind !== '' && <p className="mt-4 border-l-4 border-oxide pl-3 text-sm font-semibold">{sheet.mind}</p>}
      {isOpen && <StepBar sheet={sheet} at={step} go={go} />}
      <div className="lg:grid lg:grid-cols-2 lg:gap-x-10">
        <div>
          <InStep of="found" at={at}>
            {isOpen && <RigCheck sheet={sheet} />}
          </InStep>
          {/* While it runs, its time is in sight in every step. */}
          <InStep of="read" at={isRunning ? null : at}>
            {isOpen && <RunClock sheet={sheet} />}
          </InStep>
          {run.outcome !== null && <Tallies sheet={sheet} write={write} />}
          <InStep of="read" at={at}>
            {write && (
              <div className="mt-5">
                <SayLine sheet={sheet} first={line} />
              </div>
            )}
            {asked.channels.length > 0 && (
              <Part title="Readings">
                <Expected sheet={sheet} write={write} />
                <WorkedBefore sheet={sheet} device={frame.device.id} />
                <div className="space-y-5">
                  {readChannels.map((channel) => (
                    <ReadingEntry
                      key={channel.key}
                      run={run.id}
                      channel={channel}
                      reading={sheet.readings.find((r) => r.channel === channel.key)}
                      write={write}
                      display={displayOf(sheet, channel.key)}
                    />
                  ))}
                  {sheet.derived.map((d) => (
                    <details key={d.channel}>
                      <summary className="min-h-6 cursor-pointer">
                        <span className="font-semibold">{d.metric}</span>{' '}
                        {d.text === null ? (
                          <span className="text-soft">{d.why}</span>
                        ) : (
                          <span className="ml-1 text-2xl font-semibold">{d.text}</span>
                        )}
                      </summary>
                      <p className="text-sm text-soft">
                        Worked out as {d.formula}
                        {d.inputs.length > 0 && `, with ${d.inputs.join(', ')}`}. The uncertainty is standard, from the
                        last digit of each reading, taken as independent.
                      </p>
                    </details>
                  ))}
                </div>
              </Part>
            )}
          </InStep>
          <InStep of={endOf(sheet)} at={at}>
            <Part title="Outcome" aside={asked.heldWhen === '' ? undefined : `held when: ${asked.heldWhen}`}>
              <div ref={end} className="scroll-mt-4 max-lg:scroll-mt-28">
                <Outcome key={ending} sheet={sheet} write={write} first={ending} />
              </div>
              {write && run.outcome !== null && (
                <>
                  <NextPlanned sheet={sheet} base={base} />
                  <Again sheet={sheet} base={base} />
                  <WhatItWas run={run} />
                  {sheet.article !== null && (
                    <ChangedSomething key={sheet.article.id} article={sheet.article} typed={sheet.typedFirmware} />
                  )}
                </>
              )}
            </Part>
          </InStep>
        </div>
        <div>
          <InStep of="seen" at={at}>
            <Seen sheet={sheet} write={write} />
          </InStep>
          <InStep of="read" at={at}>
            <Courses sheet={sheet} write={write} />
          </InStep>
          <InStep of="found" at={at}>
            <Part title="As found" aside="“unknown” is a value">
              <FoundFields sheet={sheet} write={write} />
            </Part>
          </InStep>
          <SetAside sheet={sheet} write={write} />
        </div>
      </div>
      {isOpen && (
        <ReachBar
          sheet={sheet}
          end={(outcome) => {
            // It has to be on the screen before it is scrolled to.
            flushSync(() => {
              setEnding(outcome);
              go(endOf(sheet));
            });
            end.current?.scrollIntoView();
          }}
        />
      )}
    </Sheet>
  );
}
