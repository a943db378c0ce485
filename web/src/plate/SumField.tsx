import { useId } from 'react';

import type { Schemas } from '../api/client';
import { TYPED, type Source } from './workings';

const KINDS = { parameter: 'Parameters', part: 'Masses of parts', requirement: 'Limits', reading: 'Readings' } as const;
type SourceKind = keyof typeof KINDS;

/** One field of a sum: typed in any fitting unit, with ± where it is known, or taken from the build. */
export function SumField({
  field,
  text,
  source,
  sources,
  problem,
  onChange,
}: {
  field: Schemas['FieldRow'];
  text: string;
  source: Source | undefined;
  sources: Schemas['SourceRow'][];
  problem: string | undefined;
  onChange: (text: string, source: Source) => void;
}) {
  const id = useId();
  const fitting = sources.filter((s) => field.fits !== '' && s.fits === field.fits);
  const from = sources.find((s) => (source ?? TYPED)[s.kind as SourceKind] === s.id);
  const label = (
    <label htmlFor={id} className="block text-sm font-semibold">
      {field.words}
      {field.symbol !== '' && <span className="ml-1 font-normal text-soft">{field.symbol}</span>}
      {!field.needed && (
        <span className="ml-1 font-normal text-soft">
          {field.default === '' ? 'not needed' : `${field.default} ${field.unit} if empty`}
        </span>
      )}
    </label>
  );
  if (field.kind === 'choice')
    return (
      <div>
        {label}
        <select
          id={id}
          className="field mt-1 w-56"
          value={text === '' ? field.default : text}
          onChange={(e) => onChange(e.target.value, TYPED)}
        >
          {field.default === '' && <option value="">choose</option>}
          {field.choices.map((c) => (
            <option key={c}>{c}</option>
          ))}
        </select>
        <Wrong id={`${id}-wrong`} says={problem} />
      </div>
    );
  if (field.kind === 'lines')
    return (
      <div>
        {label}
        <textarea
          id={id}
          className="field mt-1"
          rows={4}
          value={text}
          placeholder={field.example}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : `${id}-wrong`}
          onChange={(e) => onChange(e.target.value, TYPED)}
        />
        <Wrong id={`${id}-wrong`} says={problem} />
      </div>
    );
  return (
    <div>
      {label}
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <div className="flex min-w-44 flex-1">
          <input
            id={id}
            className="field rounded-r-none"
            autoComplete="off"
            inputMode={field.kind === 'many' ? 'text' : 'decimal'}
            value={text}
            placeholder={placeholder(field)}
            aria-invalid={problem !== undefined}
            aria-describedby={problem === undefined ? undefined : `${id}-wrong`}
            onChange={(e) => onChange(e.target.value, TYPED)}
          />
          {field.unit !== '' && (
            <span className="flex items-center border border-l-0 border-rule bg-wash px-3 font-semibold">
              {field.unit}
            </span>
          )}
        </div>
        {fitting.length > 0 && (
          <select
            className="min-h-9 w-40 border-b border-rule bg-transparent text-sm text-soft"
            aria-label={`Take ${field.words} from`}
            value={from === undefined ? '' : `${from.kind} ${from.id}`}
            onChange={(e) => {
              const taken = fitting.find((s) => `${s.kind} ${s.id}` === e.target.value);
              if (taken === undefined) onChange(text, TYPED);
              else onChange(taken.text, { ...TYPED, [taken.kind]: taken.id });
            }}
          >
            <option value="">typed</option>
            {(Object.keys(KINDS) as SourceKind[])
              .map((kind) => ({ kind, these: fitting.filter((s) => s.kind === kind) }))
              .filter(({ these }) => these.length > 0)
              .map(({ kind, these }) => (
                <optgroup key={kind} label={KINDS[kind]}>
                  {these.map((s) => (
                    <option key={s.id} value={`${kind} ${s.id}`}>
                      {s.words}: {s.text}
                    </option>
                  ))}
                </optgroup>
              ))}
          </select>
        )}
      </div>
      <Wrong id={`${id}-wrong`} says={problem} />
    </div>
  );
}

/** How it may be typed; of what is taken where nothing stands, that. */
const placeholder = (field: Schemas['FieldRow']): string => {
  if (field.kind === 'many') return '40; 12; 27.6';
  if (field.default !== '') return field.default;
  return field.unit === '' ? '' : '12.5 ± 0.1';
};

function Wrong({ id, says }: { id: string; says: string | undefined }) {
  return says === undefined ? null : (
    <p id={id} className="mt-1 border-l-2 border-oxide pl-2 text-sm font-semibold text-oxide">
      {says}
    </p>
  );
}
