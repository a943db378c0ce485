import type { Schemas } from '../api/client';
import { dayAndTime } from '../ui/time';

/** One of the runs that the heap is laid against. */
export function RunPicker({
  label,
  none,
  runs,
  run,
  setRun,
}: {
  label: string;
  /** What it is where it is none of them. */
  none: string;
  runs: Schemas['HeapRun'][];
  run: string;
  setRun: (run: string) => void;
}) {
  return (
    <label className="block">
      <span className="mb-1 block font-semibold">{label}</span>
      <select className="field" value={run} onChange={(event) => setRun(event.target.value)}>
        <option value="">{none}</option>
        {runs.map((r) => (
          <option key={r.id} value={r.id}>
            {r.name}, {dayAndTime(r.from)}
          </option>
        ))}
      </select>
    </label>
  );
}
