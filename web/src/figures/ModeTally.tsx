import { Link } from 'react-router';

import type { Schemas } from '../api/client';
import { Table, type Column } from '../ui/Table';

/** Modes of failure over all builds, as tallies: where they gather, where they vanish, and where nobody looked. */
export function ModeTally({ rows, device, current }: { rows: Schemas['ModeRow'][]; device: string; current: string }) {
  const builds = rows[0]?.counts ?? [];
  return (
    <>
      <Table
        wide
        least="min-w-[40rem]"
        label="Failure modes over all builds"
        rows={rows}
        keyOf={(row) => row.mode}
        columns={[
          {
            head: 'Mode',
            cell: (row) => (
              <>
                <span className="font-semibold">{row.mode}</span>
                <span className="block text-xs text-soft">{row.place}</span>
              </>
            ),
          },
          ...builds.map((b, i): Column<Schemas['ModeRow']> => ({
            key: b.revision,
            head: (
              <Link to={`/d/${device}/${encodeURIComponent(b.letter)}/find`} className="text-sm text-blue underline">
                {b.letter}
              </Link>
            ),
            headLook: `px-2 text-center ${b.revision === current ? 'font-semibold' : ''}`,
            look: `px-2 text-center ${b.revision === current ? 'bg-wash' : ''}`,
            cell: (row) => <Count of={row.counts[i]} />,
          })),
          { head: '', look: 'max-w-52 pl-3 text-xs text-soft', cell: (row) => row.sentence },
        ]}
      />
      <p className="mt-1 text-xs text-soft">
        A stroke is a failure; “0 of 6” means six runs of the kind that showed it elsewhere, none here; a dot: not
        tried.
      </p>
    </>
  );
}

function Count({ of: c }: { of: Schemas['ModeRow']['counts'][number] | undefined }) {
  if (c === undefined) return null;
  if (c.failures > 0)
    return (
      <span className="text-oxide">
        <Tally count={c.failures} />
        <span className="sr-only">{c.failures}</span>
      </span>
    );
  if (c.tried > 0) return <span className="text-xs whitespace-nowrap text-soft">0 of {c.tried}</span>;
  return <span className="text-xs text-soft">·</span>;
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
