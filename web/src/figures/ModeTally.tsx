import { Link } from 'react-router';

import type { Schemas } from '../api/client';

/** Modes of failure over all builds, as tallies: where they gather, where they vanish, and where nobody looked. */
export function ModeTally({ rows, device, current }: { rows: Schemas['ModeRow'][]; device: string; current: string }) {
  const builds = rows[0]?.counts ?? [];
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Failure modes over all builds">
      <table className="w-full min-w-[40rem] text-sm">
        <thead>
          <tr className="text-soft">
            <th className="cell font-normal">Mode</th>
            {builds.map((b) => (
              <th
                key={b.revision}
                className={`cell px-2 text-center ${b.revision === current ? 'text-ink' : 'font-normal'}`}
              >
                <Link to={`/d/${device}/${encodeURIComponent(b.letter)}/find`} className="text-blue underline">
                  {b.letter}
                </Link>
              </th>
            ))}
            <th className="cell font-normal" />
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.mode} className="border-t border-rule">
              <td className="cell">
                <span className="font-semibold">{row.mode}</span>
                <span className="block text-xs text-soft">{row.place}</span>
              </td>
              {row.counts.map((c) => (
                <td key={c.revision} className={`cell px-2 text-center ${c.revision === current ? 'bg-wash' : ''}`}>
                  {c.failures > 0 ? (
                    <span className="text-oxide">
                      <Tally count={c.failures} />
                      <span className="sr-only">{c.failures}</span>
                    </span>
                  ) : c.tried > 0 ? (
                    <span className="text-xs whitespace-nowrap text-soft">0 of {c.tried}</span>
                  ) : (
                    <span className="text-xs text-soft">·</span>
                  )}
                </td>
              ))}
              <td className="cell max-w-52 pl-3 text-xs text-soft">{row.sentence}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-xs text-soft">
        A stroke is a failure; “0 of 6” means six runs of the kind that showed it elsewhere, none here; a dot: not
        tried.
      </p>
    </div>
  );
}

function Tally({ count }: { count: number }) {
  const strokes = Math.min(count, 20);
  const width = strokes * 5 + Math.floor(strokes / 5) * 4 + 2;
  return (
    <svg width={width} height="16" viewBox={`0 0 ${width} 16`} aria-hidden="true" className="inline">
      {Array.from({ length: strokes }, (_, i) => {
        const x = 3 + i * 5 + Math.floor(i / 5) * 4;
        return i % 5 === 4 ? (
          <line key={i} x1={x - 22} y1="13" x2={x - 1} y2="3" stroke="currentColor" strokeWidth="1.8" />
        ) : (
          <line key={i} x1={x} y1="1" x2={x} y2="15" stroke="currentColor" strokeWidth="1.8" />
        );
      })}
    </svg>
  );
}
