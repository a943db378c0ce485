import { useInfiniteQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import { runsQuery } from '../api/queries';
import { Button } from './Button';
import { Slip } from './Slip';
import { Table } from './Table';
import { dayAndTime } from './time';
import { useExplanation } from './useExplanation';
import { OUTCOME } from './words';

/** What a number opens to: how it was worked out, and the runs of which builds and metric stand behind it. */
export type Opened = {
  title: string;
  sentence: string;
  how: string;
  runs?: { revision: string; metric: string; against?: string };
  explain?: string;
} | null;

/** What lies behind a number: the sentence, how it was worked out, and the runs. */
export function RunsSlip({ device, opened, onClose }: { device: string; opened: Opened; onClose: () => void }) {
  const explanation = useExplanation(opened?.explain);
  return (
    <Slip open={opened !== null} onClose={onClose} title={opened?.title ?? ''} wide>
      {opened !== null && (
        <>
          <p className="font-serif text-lg">{opened.sentence}</p>
          <p className="mt-2 text-sm text-soft">{opened.how}</p>
          {explanation !== undefined && (
            <section className="mt-4 border-l-2 border-rule pl-3 text-sm">
              <h3 className="font-semibold">{explanation.title}</h3>
              <p>{explanation.text}</p>
            </section>
          )}
          {opened.runs !== undefined && <RunList device={device} of={opened.runs} />}
        </>
      )}
    </Slip>
  );
}

function RunList({ device, of }: { device: string; of: { revision: string; metric: string; against?: string } }) {
  const runs = useInfiniteQuery(runsQuery(of));
  return (
    <>
      <h3 className="stamp mt-5 text-sm">Runs</h3>
      {runs.isLoading && <p className="text-soft">Fetching the runs …</p>}
      {runs.isError && <p className="text-oxide">{runs.error.message}</p>}
      <Table
        wide
        headless
        label="Runs"
        rows={runs.data?.pages.flatMap((page) => page.rows) ?? []}
        keyOf={(run) => run.id}
        columns={[
          {
            head: 'Run',
            whole: true,
            cell: (run) => (
              <>
                <Link
                  className="font-semibold text-blue underline"
                  to={`/d/${device}/${encodeURIComponent(run.letter)}/try/run/${run.id}`}
                >
                  {run.letter} · {run.trial} · run {run.number}
                </Link>
                <div className="text-xs text-soft">
                  {dayAndTime(run.startedAt)} {run.serial}
                </div>
              </>
            ),
          },
          {
            head: 'Read',
            cell: (run) => (
              <>
                {run.readings.map((r) => (
                  <div key={r}>{r}</div>
                ))}
                {run.displays.map((d) => (
                  <a
                    key={d.photo}
                    className="block text-xs font-semibold text-blue underline"
                    href={`/api/photos/${d.photo}/picture`}
                    target="_blank"
                    rel="noreferrer"
                  >
                    display: {d.metric}
                  </a>
                ))}
                <div className="text-xs text-soft">
                  {[run.levels, run.conditions].filter((t) => t !== '').join(', ')}
                </div>
              </>
            ),
          },
          {
            head: 'Outcome',
            cell: (run) => (
              <>
                {run.outcome !== null && OUTCOME[run.outcome]}
                {run.reason !== '' && <div className="text-xs text-soft">{run.reason}</div>}
                {run.aside !== '' && <div className="text-xs text-brass">set aside: {run.aside}</div>}
              </>
            ),
          },
        ]}
      />
      {runs.hasNextPage && (
        <Button className="mt-2" disabled={runs.isFetchingNextPage} onClick={() => void runs.fetchNextPage()}>
          {runs.isFetchingNextPage ? 'Fetching …' : 'Earlier runs'}
        </Button>
      )}
    </>
  );
}
