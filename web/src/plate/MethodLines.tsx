import { useState } from 'react';

import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import type { FieldOrRows, Values } from '../ui/fields';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { useWrite } from '../api/useWrite';
import { Problem } from '../ui/Problem';
import { keepMethod } from './methodBody';
import type { RowSection } from './methodFields';

/** Which line is open; whether it is new is known from when it was opened, since by the time it closes it is there. */
type Opened = { at: number; isNew: boolean; editing: Editing };

const CLOSED: Opened = { at: 0, isNew: false, editing: null };

/** A heading of the instruction with its lines, each opened by what it says; where there are none, the way to the first. */
export function MethodLines({
  sheet,
  section,
  write,
}: {
  sheet: Schemas['MethodSheet'];
  section: RowSection;
  write: boolean;
}) {
  const [editing, setEditing] = useState<Opened>(CLOSED);
  const lines = sheet.sections.find((s) => s.field === section.name)?.lines ?? [];
  const rows = sheet.method[section.name] as unknown as Values[];
  const sent = rows.map((row) => {
    const { metricId, ...rest } = row;
    void metricId;
    return rest;
  });
  const close = () => setEditing(CLOSED);
  const open = (at: number) =>
    setEditing({
      at,
      isNew: at >= rows.length,
      editing: {
        id: `${sheet.method.id}:${section.name}:${at}`,
        record: { ...(rows[at] ?? section.blank), version: sheet.method.version },
      },
    });
  const keep = (values: Values, version: number | null) =>
    keepMethod(
      sheet.method,
      // What the form does not ask stays as it was, such as the name that answers know a question by.
      { [section.name]: put(sent, editing.at, { ...sent[editing.at], ...chosen(section.fields(sheet), values) }) },
      version,
      `${section.name}[${editing.at}]`,
    );
  const slip = (
    <RecordSlip
      title={editing.isNew ? section.add : section.title}
      kind={`method:${section.name}`}
      draft={editing.editing === null ? 'none' : `method:${editing.editing.id}`}
      editing={editing.editing}
      fields={section.fields(sheet)}
      onClose={close}
      save={(_, values, version) => keep(values, version)}
    >
      {!editing.isNew && (
        <TakeOut sheet={sheet} patch={{ [section.name]: sent.filter((_, i) => i !== editing.at) }} onDone={close} />
      )}
    </RecordSlip>
  );
  if (lines.length === 0)
    return (
      <li>
        <Button look="quiet" title={section.empty} onClick={() => open(0)}>
          {section.add}
        </Button>
        {slip}
      </li>
    );
  return (
    <div className="grid gap-x-6 border-t border-rule py-3 sm:grid-cols-[9rem_1fr]">
      <h2 className="text-sm font-semibold text-soft">{section.title}</h2>
      <div>
        <ol>
          {lines.map((line, i) => (
            <li key={line.text} className="mb-1.5">
              {write ? (
                <button
                  type="button"
                  className="cursor-pointer text-left hover:text-blue hover:underline"
                  onClick={() => open(i)}
                >
                  {line.text}
                </button>
              ) : (
                line.text
              )}
              {line.notes.map((note) => (
                <span key={note} className="block border-l-2 border-brass pl-2 text-sm text-soft">
                  {note}
                </span>
              ))}
            </li>
          ))}
        </ol>
        {write && (
          <Button look="quiet" className="-ml-3" onClick={() => open(rows.length)}>
            {section.add}
          </Button>
        )}
      </div>
      {slip}
    </div>
  );
}

/** Nothing chosen is an empty text here, and no reference that is missing. */
const chosen = (fields: FieldOrRows[], values: Values): Values =>
  Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      value === null && fields.find((f) => f.name === name)?.kind === 'select' ? '' : value,
    ]),
  );

const put = (rows: Values[], at: number, row: Values): Values[] => [...rows.slice(0, at), row, ...rows.slice(at + 1)];

function TakeOut({ sheet, patch, onDone }: { sheet: Schemas['MethodSheet']; patch: Values; onDone: () => void }) {
  const write = useWrite();
  return (
    <div className="mt-4 border-t border-rule pt-3">
      <Button
        look="quiet"
        disabled={write.busy}
        onClick={() =>
          void write
            .run(() => keepMethod(sheet.method, patch, sheet.method.version))
            .then((kept) => {
              if (kept) onDone();
            })
        }
      >
        Take this line out
      </Button>
      <Problem says={write.problem} />
    </div>
  );
}
