import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { stationPath, usePlace } from '../../ui/place';
import { prose } from '../../ui/prose';
import type { FindForm } from './Find';

/** What failed, or held only just, and nobody wrote down how: open all the same, and one touch from being logged. */
export function Unrecorded({
  rows,
  write,
  edit,
}: {
  rows: Schemas['UnrecordedRow'][];
  write: boolean;
  edit: (form: FindForm) => void;
}) {
  const { frame, tag } = usePlace();
  return (
    <ul className="mb-4 divide-y divide-rule border-y border-rule" aria-label="Failed, and not written down">
      {rows.map((row) => (
        <li key={row.sentence} className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
          <span className="min-w-0 flex-1 basis-64">{prose(row.sentence)}</span>
          {row.run !== null && (
            <Link
              className="text-sm text-blue underline"
              to={`${stationPath(frame.device.id, tag.revision.letter, 'try')}/run/${row.run}`}
            >
              Open the run
            </Link>
          )}
          {write && (
            <Button
              look="quiet"
              onClick={() =>
                edit({
                  kind: 'failure',
                  editing: { id: uuid(), record: { consequence: 'major', levels: [], run: row.run } },
                })
              }
            >
              Say what broke
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
