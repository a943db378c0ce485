import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';

/** The cells of a plan; one is left out with a reason, and stays in every count. */
export function CellsToTry({
  cells,
  leaveOut,
}: {
  cells: Schemas['PlannedCell'][];
  leaveOut: (cell: Schemas['PlannedCell'], reason: string) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const [reason, setReason] = useState('');
  if (cells.length < 2) return null;
  return (
    <ul aria-label="Cells" className="mt-2 flex flex-wrap gap-1 text-sm">
      {cells.map((cell) =>
        open === cell.text ? (
          <li key={cell.text} className="flex basis-full flex-wrap items-end gap-2 border border-brass p-2">
            <label className="grow">
              <span className="mb-1 block font-semibold">Why is {cell.text} not tried?</span>
              <input className="field" value={reason} autoFocus onChange={(e) => setReason(e.target.value)} />
            </label>
            <Button
              disabled={reason.trim() === ''}
              onClick={() => {
                leaveOut(cell, reason.trim());
                setOpen(null);
              }}
            >
              Leave it out
            </Button>
            <Button look="quiet" onClick={() => setOpen(null)}>
              Try it
            </Button>
          </li>
        ) : (
          <li key={cell.text}>
            <button
              type="button"
              className={`min-h-9 cursor-pointer border px-2 hover:bg-wash ${cell.leftOut === null ? 'border-rule' : 'border-dashed border-brass text-soft line-through'}`}
              title={cell.leftOut ?? undefined}
              aria-label={cell.leftOut === null ? `Leave out ${cell.text}` : `Take in ${cell.text}: ${cell.leftOut}`}
              onClick={() => {
                if (cell.leftOut !== null) return leaveOut(cell, '');
                setReason('');
                setOpen(cell.text);
              }}
            >
              {cell.text}
            </button>
          </li>
        ),
      )}
    </ul>
  );
}
