import { useId, useState, type FormEvent } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import type { Field } from '../../ui/fields';
import { Button } from '../../ui/Button';
import { AddPhoto } from '../../ui/records/AddPhoto';
import { Gather } from '../../ui/records/Gather';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { DEVIATION, options } from '../../ui/words';
import { Problem } from '../../ui/Problem';

const FIELDS: Field[] = [
  { name: 'name', label: 'What did you change?', hint: 'As it is named on Build, such as brush gap or Hopper.' },
  { name: 'value', label: 'What is it now?', hint: 'As in 1.2 mm, or: filed round.' },
  { name: 'kind', label: 'It is a', kind: 'select', options: options(DEVIATION) },
];

/** Between two runs: what was changed on this article. Later runs carry it; runs that are there stay as they were made. */
export function ChangedSomething({
  article,
  typed = null,
}: {
  article: Schemas['ArticleView'];
  typed?: Schemas['TypedFirmware'] | null;
}) {
  const [editing, setEditing] = useState<Editing>(null);
  const write = useWrite();
  const id = useId();
  const [line, setLine, drop] = useDraft(`changed:${article.id}`, '');
  const [asking, setAsking] = useState(false);
  const save = (deviants: Schemas['ArticleView']['deviants']) =>
    putRecord('articles', article.id, { ...article, deviants });

  const changed = (text: string) =>
    write.run(() =>
      must(api.POST('/api/articles/{id}/changed', { params: { path: { id: article.id } }, body: { text } })),
    );

  async function say(e: FormEvent) {
    e.preventDefault();
    if (!(await changed(line))) return;
    setLine('');
    drop();
    setAsking(false);
  }

  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <Button look="quiet" aria-expanded={asking} onClick={() => setAsking(!asking)}>
        I changed something
      </Button>
      <AddPhoto
        revision={article.revision}
        caption={`Changed on ${article.serial}`}
        label="Photo of what I changed"
        quiet
        onKept={(files) =>
          void write.run(() =>
            save([
              ...article.deviants,
              { kind: 'workmanship', name: 'changed, see photo', value: files.join(', ').slice(0, 60) },
            ]),
          )
        }
      />
      {article.deviants.length > 0 && (
        <ul aria-label={`${article.serial} is otherwise`} className="flex flex-wrap gap-x-4 gap-y-1">
          {article.deviants.map((d, i) => (
            <li key={`${d.kind}${d.name}`} className="flex items-center gap-1">
              <span>
                {d.name} {d.value}
              </span>
              <Button
                look="quiet"
                disabled={write.busy}
                aria-label={`Take back ${d.name}`}
                onClick={() => void write.run(() => save(article.deviants.filter((_, k) => k !== i)))}
              >
                Take back
              </Button>
            </li>
          ))}
        </ul>
      )}
      {typed !== null && (
        <p className="basis-full">
          {typed.sentence}{' '}
          <Button look="quiet" disabled={write.busy} onClick={() => void changed(typed.line)}>
            Make it a change of {article.serial}
          </Button>
        </p>
      )}
      {article.gathers && <Gather article={article} />}
      {asking && (
        <form onSubmit={(e) => void say(e)} className="flex basis-full flex-wrap items-end gap-2">
          <div className="min-w-48 flex-1">
            <label htmlFor={id} className="mb-1 block font-semibold">
              What did you change on {article.serial}, in a line?
            </label>
            <input
              id={id}
              className="field"
              value={line}
              autoComplete="off"
              autoFocus
              placeholder="brush gap 1.2 mm, or: rim filed round"
              onChange={(e) => setLine(e.target.value)}
            />
          </div>
          <Button type="submit" disabled={line.trim() === '' || write.busy}>
            Keep change
          </Button>
          <Button
            look="quiet"
            onClick={() => {
              setAsking(false);
              setEditing({ id: uuid(), record: { kind: 'parameter' } });
            }}
          >
            Field by field
          </Button>
        </form>
      )}
      <Problem says={write.problem} />
      <RecordSlip
        title={`Changed on ${article.serial}`}
        kind={`changed:${article.id}`}
        editing={editing}
        fields={FIELDS}
        label="Keep: later runs are made with it"
        onClose={() => setEditing(null)}
        save={(_, values) =>
          save([
            ...article.deviants.filter((d) => d.name !== String(values['name']).trim()),
            {
              kind: values['kind'] as Schemas['DeviationKind'],
              name: String(values['name'] ?? '').trim(),
              value: String(values['value'] ?? '').trim(),
            },
          ])
        }
      />
    </div>
  );
}
