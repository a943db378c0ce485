import { useContext, useState, type FormEvent } from 'react';

import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../Button';
import { PlaceContext } from '../place';

/** One line of what was seen, heard or felt. */
export function NewObservation({
  revision,
  run,
  method,
}: {
  revision: string;
  run: string | null;
  /** That it may be about instead of the device. */
  method?: string;
}) {
  const write = useWrite();
  const [draft, setDraft, dropDraft] = useDraft(`observation:${run ?? revision}`, {
    id: uuid(),
    text: '',
    saidBy: '',
  });
  const [isOfMethod, setOfMethod] = useState(false);
  const people = useContext(PlaceContext)?.frame.people ?? [];
  const { problem } = write;

  async function submit(event: FormEvent) {
    event.preventDefault();
    const kept = await write.run(() =>
      putRecord('observations', draft.id, {
        revision,
        run,
        text: draft.text,
        saidBy: draft.saidBy,
        method: isOfMethod ? (method ?? null) : null,
      }),
    );
    if (kept) {
      dropDraft();
      setDraft({ id: uuid(), text: '', saidBy: '' });
    }
  }

  return (
    <form onSubmit={(e) => void submit(e)} className="flex flex-wrap items-stretch gap-2" noValidate>
      <label className="min-w-0 flex-1">
        <span className="sr-only">Observation</span>
        <input
          className="field min-h-14"
          placeholder="Seen, heard or felt"
          value={draft.text}
          onChange={(e) => setDraft({ ...draft, text: e.target.value })}
        />
        {problem !== '' && (
          <span role="alert" className="mt-1 block font-semibold text-oxide">
            {problem}
          </span>
        )}
      </label>
      <Button type="submit" large disabled={draft.text.trim() === ''} aria-label="Keep observation">
        Keep
      </Button>
      {draft.text.trim() !== '' && method !== undefined && (
        <label className="flex min-h-9 basis-full items-center gap-2 text-sm">
          <input type="checkbox" checked={isOfMethod} onChange={(e) => setOfMethod(e.target.checked)} />
          It is about the method or its rig: keep it on the method’s sheet too
        </label>
      )}
      {/* Asked only where there is something that somebody may have said. */}
      {draft.text.trim() !== '' && people.length > 0 && (
        <label className="basis-full text-sm">
          <span className="mb-1 block text-soft">Said by, where it was not you</span>
          <select
            className="field"
            value={draft.saidBy}
            onChange={(e) => setDraft({ ...draft, saidBy: e.target.value })}
          >
            <option value="">nobody else</option>
            {people.map((p) => (
              <option key={p}>{p}</option>
            ))}
          </select>
        </label>
      )}
    </form>
  );
}
