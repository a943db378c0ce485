import { useId } from 'react';

import type { Schemas } from '../../api/client';

/** A level of a factor, picked once for a run; the one of the last run is offered. */
export function LevelPicker({
  factor,
  value,
  onChange,
}: {
  factor: Schemas['Factor'];
  value: string;
  onChange: (text: string) => void;
}) {
  const id = useId();
  const isList = factor.kind !== 'number' && factor.levels.length > 0;
  return (
    <div className="text-sm">
      <label htmlFor={id} className="mb-1 block font-semibold">
        {factor.name} {factor.unit !== '' && <span className="font-normal text-soft">{factor.unit}</span>}
      </label>
      {isList ? (
        <select id={id} className="field w-36" value={value} onChange={(e) => onChange(e.target.value)}>
          <option value="">not said</option>
          {[...new Set([...factor.levels, 'unknown', ...(value === '' ? [] : [value])])].map((l) => (
            <option key={l}>{l}</option>
          ))}
        </select>
      ) : (
        <>
          <input
            id={id}
            className="field w-36"
            value={value}
            list={`${id}-levels`}
            autoComplete="off"
            onChange={(e) => onChange(e.target.value)}
          />
          <datalist id={`${id}-levels`}>
            {factor.levels.map((l) => (
              <option key={l} value={l} />
            ))}
          </datalist>
        </>
      )}
    </div>
  );
}
