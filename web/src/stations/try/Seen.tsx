import { useState, type FormEvent } from 'react';

import { api, must, ProblemError, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../offline/useDraft';
import { Button } from '../../ui/Button';
import { Part } from '../../ui/Sheet';
import { SEVERITY } from '../../ui/words';
import { AddPhoto } from '../find/AddPhoto';
import { ContactSheet } from '../find/ContactSheet';

/** What was seen on this run: photos, failures, observations. */
export function Seen({ sheet, write }: { sheet: Schemas['RunSheet']; write: boolean }) {
  return (
    <Part title="Seen">
      {sheet.failures.map((f) => (
        <p key={f.id} className="border-l-2 border-oxide pl-3">
          <strong className="text-oxide">{f.mode}</strong> {f.place === '' ? '' : `· ${f.place}`} ·{' '}
          {SEVERITY[f.severity]}
          {f.note !== '' && <span className="block text-sm">{f.note}</span>}
        </p>
      ))}
      {sheet.photos.length > 0 && (
        <div className="mt-3">
          <ContactSheet photos={sheet.photos} />
        </div>
      )}
      {sheet.observations.map((o) => (
        <p key={o.id} className="mt-2">
          {o.text} <span className="text-xs text-soft">{o.by}</span>
        </p>
      ))}
      {write && (
        <div className="mt-3 space-y-3">
          <AddPhoto revision={sheet.revision.id} run={sheet.run.id} large />
          <NewObservation revision={sheet.revision.id} run={sheet.run.id} />
        </div>
      )}
    </Part>
  );
}

export function NewObservation({ revision, run }: { revision: string; run: string | null }) {
  const refresh = useRefresh();
  const [draft, setDraft, dropDraft] = useDraft(`observation:${run ?? revision}`, { id: uuid(), text: '' });
  const [problem, setProblem] = useState('');

  async function submit(event: FormEvent) {
    event.preventDefault();
    setProblem('');
    try {
      await must(
        api.PUT('/api/observations/{id}', {
          params: { path: { id: draft.id } },
          body: { revision, run, text: draft.text },
        }),
      );
      dropDraft();
      setDraft({ id: uuid(), text: '' });
      await refresh();
    } catch (error) {
      setProblem(error instanceof ProblemError ? error.message : 'That did not work. Try again in a moment.');
    }
  }

  return (
    <form onSubmit={(e) => void submit(e)} className="flex items-stretch gap-2" noValidate>
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
    </form>
  );
}
