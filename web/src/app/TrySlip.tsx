import { useQuery } from '@tanstack/react-query';
import { useId, useRef, useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';

import { api, must, type Schemas } from '../api/client';
import { startQuery } from '../api/queries';
import { sendPhoto } from '../api/sendPhoto';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { Slip } from '../ui/Slip';
import { stationPath } from '../ui/place';
import { Problem } from '../ui/Problem';

type Draft = { run: string; what: string; hurts: string; stop: string };

const NEW = '';

/** One line or one picture, what it is tried on, and whether it can hurt somebody. */
export default function TrySlip({
  workspace,
  build,
  onClose,
}: {
  workspace: string;
  build?: string | undefined;
  onClose: () => void;
}) {
  const start = useQuery(startQuery(workspace));
  return (
    <Slip open onClose={onClose} title="Try something">
      {start.data === undefined ? (
        <p className="text-soft">{start.isError ? start.error.message : 'Looking what it can begin on …'}</p>
      ) : (
        <TryForm workspace={workspace} start={start.data} build={build} onClose={onClose} />
      )}
    </Slip>
  );
}

function TryForm({
  workspace,
  start,
  build,
  onClose,
}: {
  workspace: string;
  start: Schemas['StartSheet'];
  build?: string | undefined;
  onClose: () => void;
}) {
  const id = useId();
  const navigate = useNavigate();
  const write = useWrite();
  const picture = useRef<HTMLInputElement>(null);
  const [fresh] = useState<Draft>(() => ({ run: uuid(), what: '', hurts: '', stop: '' }));
  const [draft, setDraft, drop] = useDraft<Draft>(`start:${workspace}`, fresh);
  const known = (of: string | null | undefined) => start.builds.find((b) => b.id === of);
  const [on, setOn] = useState(() => (known(build) ?? known(start.build))?.id ?? NEW);
  const [picked, setPicked] = useState<string | null>(null);
  const [canHurt, setCanHurt] = useState<boolean | null>(null);
  const [pictured, setPictured] = useState('');
  const chosen = known(on);
  const offered = chosen?.articles ?? [];
  // The one that was used last; where that is of another build, the newest of this one.
  const last = offered.find((a) => a.id === start.article) ?? offered.at(-1);
  const isOffered = picked === '' || offered.some((a) => a.id === picked);
  const article = picked !== null && isOffered ? picked : (last?.id ?? '');
  const asked = write.violations;
  const set = (part: Partial<Draft>) => setDraft({ ...draft, ...part });

  async function begin(e: FormEvent) {
    e.preventDefault();
    let [path, lost] = ['', ''];
    const begun = await write.run(async () => {
      const tried = await must(
        api.POST('/api/workspaces/{id}/tries', {
          params: { path: { id: workspace } },
          body: {
            run: draft.run,
            what: draft.what,
            build: on === NEW ? null : on,
            device: '',
            article: article === '' ? null : article,
            hurts: canHurt === true ? draft.hurts : '',
            stop: canHurt === true ? draft.stop : '',
          },
        }),
      );
      path = `${stationPath(tried.device, tried.letter, 'try')}/run/${tried.run}`;
      const file = picture.current?.files?.[0];
      // The run is there, whatever becomes of its picture: what does is said on its sheet.
      if (file !== undefined)
        await sendPhoto(file, { revision: tried.build, run: tried.run, caption: draft.what }).catch((e: unknown) => {
          lost = `The picture was not kept. ${e instanceof Error ? e.message : ''} Add it again below.`;
        });
    });
    if (!begun) return;
    drop();
    onClose();
    await navigate(path, { state: { line: draft.what, lost: lost === '' ? undefined : lost } });
  }

  const ready = (draft.what.trim() !== '' || pictured !== '') && canHurt !== null;
  return (
    <form onSubmit={(e) => void begin(e)} className="space-y-5">
      <div>
        <label htmlFor={`${id}-what`} className="mb-1 block font-semibold">
          What do you try, in a line?
        </label>
        <input
          id={`${id}-what`}
          className="field text-lg"
          value={draft.what}
          autoComplete="off"
          autoFocus
          onChange={(e) => set({ what: e.target.value })}
        />
        <p className="mt-1 text-sm text-soft">
          As in: handle pulled 412 N at 60 cm. Numbers are taken up on the next sheet; nothing is typed twice.
        </p>
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <input
            ref={picture}
            type="file"
            accept="image/*"
            className="hidden"
            aria-label="Picture"
            onChange={(e) => setPictured(e.target.files?.[0]?.name ?? '')}
          />
          <Button onClick={() => picture.current?.click()}>Or a picture</Button>
          <p role="status" className="text-sm text-soft">
            {pictured}
          </p>
        </div>
      </div>
      <div className="flex flex-wrap gap-3">
        <div className="min-w-40 flex-1 text-sm">
          <label htmlFor={`${id}-on`} className="mb-1 block font-semibold">
            On
          </label>
          <select id={`${id}-on`} className="field" value={on} onChange={(e) => setOn(e.target.value)}>
            <option value={NEW}>a new device, from this line</option>
            {start.builds.map((b) => (
              <option key={b.id} value={b.id}>
                {b.name}, build {b.letter}
              </option>
            ))}
          </select>
        </div>
        {offered.length > 0 && (
          <div className="min-w-32 flex-1 text-sm">
            <label htmlFor={`${id}-with`} className="mb-1 block font-semibold">
              With
            </label>
            <select id={`${id}-with`} className="field" value={article} onChange={(e) => setPicked(e.target.value)}>
              <option value="">no article, or a loose part</option>
              {offered.map((a) => (
                <option key={a.id} value={a.id}>
                  {a.serial}
                </option>
              ))}
            </select>
          </div>
        )}
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">Can it hurt somebody?</legend>
        <div className="flex gap-2">
          {[
            { can: false, words: 'No' },
            { can: true, words: 'It can' },
          ].map(({ can, words }) => (
            <label
              key={words}
              className={`flex min-h-11 flex-1 cursor-pointer items-center gap-2 border px-3 ${canHurt === can ? 'border-ink bg-wash' : 'border-rule'}`}
            >
              <input
                type="radio"
                name={`${id}-hurt`}
                checked={canHurt === can}
                className="size-5 accent-blue"
                onChange={() => setCanHurt(can)}
              />
              {words}
            </label>
          ))}
        </div>
        {canHurt === true && (
          <div className="mt-3 space-y-3">
            <label className="block text-sm">
              <span className="mb-1 block font-semibold">What can?</span>
              <input
                className="field"
                value={draft.hurts}
                autoComplete="off"
                onChange={(e) => set({ hurts: e.target.value })}
              />
            </label>
            <label className="block text-sm">
              <span className="mb-1 block font-semibold">When do we stop?</span>
              <input
                className="field"
                value={draft.stop}
                autoComplete="off"
                aria-invalid={'stop' in asked}
                onChange={(e) => set({ stop: e.target.value })}
              />
            </label>
            <p className="text-sm text-soft">
              It stands in sight while you try. Local rules and licensed practice come first.
            </p>
          </div>
        )}
      </fieldset>
      <Problem says={write.problem} />
      <Button
        type="submit"
        look="primary"
        large
        className="w-full"
        disabled={!ready || write.busy || (canHurt === true && draft.hurts.trim() === '')}
      >
        {write.busy ? 'Beginning …' : 'Begin'}
      </Button>
    </form>
  );
}
