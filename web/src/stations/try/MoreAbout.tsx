import { useContext, useId, useState } from 'react';

import type { Schemas } from '../../api/client';
import { PlaceContext } from '../../ui/place';
import { othersRead, othersSaid, type AboutDraft } from './onSheet';

/**
 * What only some runs need: other articles that took part, modes that were looked for and did not appear, and how
 * used to it whoever tried it was.
 */
export function MoreAbout({
  sheet,
  about,
  write,
  onChange,
}: {
  sheet: Schemas['RunSheet'];
  about: AboutDraft;
  write: boolean;
  onChange: (about: AboutDraft) => void;
}) {
  const people = useContext(PlaceContext)?.frame.people;
  const known = about.others.length > 0 || about.lookedFor.length > 0 || about.person !== '' || about.goes !== null;
  return (
    <details className="col-span-2" open={known}>
      <summary className="min-h-11 cursor-pointer py-2 text-sm font-semibold text-blue">More about this run</summary>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3">
        <Line
          label="Other articles in it"
          hint="One a line, the part it played: host: H-3"
          value={othersSaid(about.others)}
          write={write}
          onChange={(text) => onChange({ ...about, others: othersRead(text) })}
        />
        <Line
          label="Looked for and not seen"
          hint={`One mode a line${sheet.modes.length === 0 ? '' : `: ${sheet.modes.slice(0, 3).join(', ')} …`}`}
          value={about.lookedFor.join('\n')}
          write={write}
          onChange={(text) =>
            onChange({
              ...about,
              lookedFor: text
                .split('\n')
                .map((l) => l.trim())
                .filter((l) => l !== ''),
            })
          }
        />
        <Line
          label="Who tried it"
          suggest={people}
          hint="Where that is not the operator."
          rows={1}
          value={about.person}
          write={write}
          onChange={(person) => onChange({ ...about, person })}
        />
        <Line
          label="Goes that lay behind"
          hint="How often they had tried it before."
          rows={1}
          type="number"
          value={about.goes === null ? '' : String(about.goes)}
          write={write}
          onChange={(text) => onChange({ ...about, goes: text === '' ? null : Number(text) })}
        />
        <Line
          label="In what they differ from the users of the brief"
          hint="Size, strength, trade, knows the design …"
          rows={1}
          value={about.differs}
          write={write}
          onChange={(differs) => onChange({ ...about, differs })}
        />
      </div>
    </details>
  );
}

/** Typed as it comes, and taken apart when it is left. */
function Line({
  label,
  hint,
  value,
  rows = 2,
  type = 'text',
  suggest,
  write,
  onChange,
}: {
  label: string;
  hint: string;
  value: string;
  rows?: number;
  type?: 'text' | 'number';
  /** Offered while typing. */
  suggest?: string[] | undefined;
  write: boolean;
  onChange: (text: string) => void;
}) {
  const id = useId();
  const [typing, setTyping] = useState<string | null>(null);
  const field = {
    id,
    className: 'field min-h-12',
    value: typing ?? value,
    disabled: !write,
    autoComplete: 'off',
    'aria-describedby': `${id}-more`,
    onChange: (e: { target: { value: string } }) => {
      setTyping(e.target.value);
      onChange(e.target.value);
    },
    onBlur: () => setTyping(null),
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      {suggest !== undefined && (
        <datalist id={`${id}-list`}>
          {suggest.map((s) => (
            <option key={s} value={s} />
          ))}
        </datalist>
      )}
      {rows === 1 ? (
        <input type={type} min={0} step={1} list={suggest && `${id}-list`} {...field} />
      ) : (
        <textarea rows={rows} {...field} />
      )}
      <p id={`${id}-more`} className="text-xs text-soft">
        {hint}
      </p>
    </div>
  );
}
