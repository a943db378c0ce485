import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import { runsQuery } from '../api/queries';
import { Slip } from './Slip';
import { dayAndTime } from './time';
import { useExplanation } from './useExplanation';
import { OUTCOME } from './words';

export type Opened = { title: string; sentence: string; how: string; runs: string[]; explain?: string } | null;

/** What lies behind a number: the sentence, how it was worked out, and the runs. */
export function RunsSlip({ device, opened, onClose }: { device: string; opened: Opened; onClose: () => void }) {
  const runs = useQuery({
    ...runsQuery(device, opened?.runs ?? []),
    enabled: opened !== null && opened.runs.length > 0,
  });
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
          <h3 className="stamp mt-5 text-sm">
            {opened.runs.length} {opened.runs.length === 1 ? 'run' : 'runs'}
          </h3>
          {runs.isLoading && <p className="text-soft">Fetching the runs …</p>}
          {runs.isError && <p className="text-oxide">{runs.error.message}</p>}
          <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Runs">
            <table className="w-full text-sm">
              <tbody>
                {runs.data?.map((run) => (
                  <tr key={run.id} className="border-t border-rule">
                    <td className="cell whitespace-nowrap">
                      <Link
                        className="font-semibold text-blue underline"
                        to={`/d/${device}/${encodeURIComponent(run.letter)}/try/run/${run.id}`}
                      >
                        {run.letter} · {run.trial} · run {run.number}
                      </Link>
                      <div className="text-xs text-soft">
                        {dayAndTime(run.startedAt)} {run.serial}
                      </div>
                    </td>
                    <td className="cell">
                      {run.readings.map((r) => (
                        <div key={r}>{r}</div>
                      ))}
                      <div className="text-xs text-soft">{run.conditions}</div>
                    </td>
                    <td className="cell">
                      {OUTCOME[run.outcome]}
                      {run.reason !== '' && <div className="text-xs text-soft">{run.reason}</div>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </Slip>
  );
}
