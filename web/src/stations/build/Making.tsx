import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { must, send } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import type { Field } from '../../ui/fields';
import { Problem } from '../../ui/Problem';
import { prose } from '../../ui/prose';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { Empty, Part } from '../../ui/Sheet';
import { AddFiles } from './BuildFiles';

type Sheet = Schemas['WorkshopSheet'];
type Row = Schemas['MadeRow'];

const FIELDS: Field[] = [
  { name: 'name', label: 'Step' },
  { name: 'minutes', label: 'Minutes', kind: 'number', half: true, hint: 'Empty: nobody looked.' },
  { name: 'who', label: 'Who', half: true, people: true },
  { name: 'wrong', label: 'What went wrong?', hint: 'Empty: nothing.' },
  { name: 'scrap', label: 'Pieces thrown away', kind: 'number', half: true },
  { name: 'noticed', label: 'Where could it have been noticed sooner?' },
];

/** The step that starts the clock. */
const BEGUN = 'Begun';

/** How articles are made: a touch a step; the clock runs from one to the next. */
export function Making({ sheet, write }: { sheet: Sheet; write: boolean }) {
  const [editing, setEditing] = useState<Editing>(null);
  return (
    <Part title="Making" aside="what it took to make each article">
      {sheet.making !== '' && <p className="mb-2 max-w-prose">{prose(sheet.making)}</p>}
      {sheet.made.length === 0 ? (
        <Empty>
          Once there is an article, each step of making it takes one touch. Hours, scrap and whether it came right first
          time are weighed like any result, so that “easier to make” is not only claimed.
        </Empty>
      ) : (
        <ul className="divide-y divide-rule">
          {sheet.made.map((row) => (
            <Made key={row.article} row={row} sheet={sheet} write={write} edit={setEditing} />
          ))}
        </ul>
      )}
      <RecordSlip
        title="Step of making"
        kind={`makings:${sheet.revision}`}
        editing={editing}
        fields={FIELDS}
        onClose={() => setEditing(null)}
        withdraw="makings"
        save={(id, values, version) =>
          putRecord('makings', id, {
            ...values,
            scrap: values['scrap'] ?? 0,
            article: editing?.record['article'],
            version,
          })
        }
      />
    </Part>
  );
}

function Made({ row, sheet, write, edit }: { row: Row; sheet: Sheet; write: boolean; edit: (e: Editing) => void }) {
  const [name, setName] = useState('');
  const writing = useWrite();
  const logged = row.steps.map((s) => s.name);
  const left = sheet.steps.filter((s) => !logged.includes(s) && s !== BEGUN);
  const log = async (step: string) => {
    const kept = await writing.run(() =>
      putRecord('makings', uuid(), {
        article: row.article,
        name: step,
        scrap: 0,
        ...(step === BEGUN ? { minutes: 0 } : { clocked: true }),
      }),
    );
    // What was typed meanwhile is another step.
    if (kept) setName((typed) => (typed.trim() === step ? '' : typed));
  };
  const finish = () => writing.run(() => must(send('POST', `/api/articles/${row.article}/made`, { id: uuid() })));
  return (
    <li className="py-2 text-sm">
      <p>
        <strong>{row.serial}</strong> <span className="text-soft">{row.said}</span>
      </p>
      {row.steps.length > 0 && (
        <ol className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
          {row.steps.map((s) => (
            <li key={s.id}>
              {write ? (
                <button
                  type="button"
                  className="min-h-6 cursor-pointer text-blue underline"
                  onClick={() => edit({ id: s.id, record: { ...s } })}
                >
                  {s.name}
                </button>
              ) : (
                s.name
              )}{' '}
              <span className={s.wrong !== '' || s.scrap > 0 ? 'text-oxide' : 'text-soft'}>
                {[s.took, s.wrong, s.scrap > 0 ? `${s.scrap} scrapped` : ''].filter((t) => t !== '').join(', ')}
              </span>
            </li>
          ))}
        </ol>
      )}
      {write && !row.done && (
        <div className="mt-2 flex flex-wrap items-center gap-2">
          {row.steps.length === 0 && (
            <Button disabled={writing.busy} aria-label={`Begin making ${row.serial}`} onClick={() => void log(BEGUN)}>
              Begin
            </Button>
          )}
          {left.map((s) => (
            <Button key={s} disabled={writing.busy} aria-label={`${s}, ${row.serial}`} onClick={() => void log(s)}>
              {s}
            </Button>
          ))}
          <form
            className="flex gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              if (name.trim() !== '') void log(name.trim());
            }}
          >
            <input
              className="field w-40"
              aria-label={`Another step of ${row.serial}`}
              placeholder="Another step"
              value={name}
              onChange={(e) => setName(e.target.value)}
            />
            <Button type="submit" disabled={writing.busy || name.trim() === ''}>
              Done
            </Button>
          </form>
          {row.steps.length > 0 && (
            <>
              <AddFiles revision={sheet.revision} article={row.article} role="making" label="Add a picture" />
              <Button
                look="primary"
                disabled={writing.busy}
                aria-label={`${row.serial} is made`}
                onClick={() => void finish()}
              >
                It is made
              </Button>
            </>
          )}
        </div>
      )}
      <Problem says={writing.problem} />
    </li>
  );
}
