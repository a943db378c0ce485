import { Link } from 'react-router';

import { STATIONS, stationPath, type SpineTag, type Station } from '../ui/place';

/** The stations in work order on one line; a mark where something waits. */
export function Stations({
  device,
  tag,
  current,
}: {
  device: string;
  tag: SpineTag | undefined;
  current: Station | undefined;
}) {
  return (
    <nav aria-label="Stations" className="w-full sm:w-auto">
      <ol className="flex items-center justify-between sm:justify-start">
        {STATIONS.map((station, i) => {
          const waits = tag?.waits.find((w) => w.station === station);
          const here = station === current;
          return (
            <li key={station} className="flex items-center">
              {i > 0 && <span aria-hidden="true" className="h-px w-2 bg-soft sm:w-7" />}
              {tag === undefined ? (
                <span className="stamp px-2 py-3 text-base text-soft">{station}</span>
              ) : (
                <Link
                  to={stationPath(device, tag.revision.letter, station)}
                  aria-current={here ? 'page' : undefined}
                  className={`stamp relative px-1.5 py-2.5 text-base sm:px-2.5 ${here ? 'text-ink shadow-[inset_0_-4px_0_var(--color-blue)]' : 'text-blue hover:bg-wash'}`}
                >
                  {station}
                  {waits !== undefined && (
                    <span className="ml-1 inline-block -translate-y-px text-brass">
                      <svg width="9" height="9" viewBox="0 0 9 9" aria-hidden="true" className="inline">
                        <path d="M0 0 H9 L4.5 8 Z" fill="currentColor" />
                      </svg>
                      <span className="sr-only"> ({waits.why})</span>
                    </span>
                  )}
                </Link>
              )}
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
