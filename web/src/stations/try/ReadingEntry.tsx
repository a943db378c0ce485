import { useEffect, useId, useState, type FormEvent } from 'react';

import { api, must, ProblemError, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { AddPhoto } from '../../ui/records/AddPhoto';
import { readingBody, type ReadingDraft } from '../../ui/reading/body';
import { ReadingForm } from '../../ui/reading/ReadingForm';
import { readingKey } from './onSheet';

/** One channel: the number large, its unit locked beside it; converted, refused or asked back before it is kept. */
export function ReadingEntry({
  run,
  channel,
  reading,
  write,
  display,
}: {
  run: string;
  channel: Schemas['AskedChannel'];
  reading: Schemas['ReadingView'] | undefined;
  write: boolean;
  /** The picture of what was read off, where there is one, and the build that one more would be of. */
  display?: { photo: Schemas['PhotoView'] | undefined; revision: string };
}) {
  if (reading !== undefined) return <KeptReading channel={channel} reading={reading} write={write} display={display} />;
  if (!write) return <p className="text-soft">{channel.metric}: not read.</p>;
  return <NewReading run={run} channel={channel} />;
}

function NewReading({ run, channel }: { run: string; channel: Schemas['AskedChannel'] }) {
  const write = useWrite();
  const [draft, setDraft, dropDraft] = useDraft<ReadingDraft>(readingKey(run, channel.key), {
    id: uuid(),
    text: '',
    how: '',
  });
  const [preview, setPreview] = useState('');
  const { busy, problem, questions } = write;
  const { text, unit, undecided } = readingBody(run, channel, draft);

  // While another unit is typed, the value is shown as it would be kept.
  useEffect(() => {
    if (text === '') return;
    const timer = setTimeout(() => {
      must(api.POST('/api/readings/preview', { body: { run, channel: channel.key, text, unit, undecided } }))
        .then((p) =>
          setPreview(
            [p.converted ? `${p.typed} is ${p.inChannelUnit}` : '', p.taken].filter((s) => s !== '').join('. '),
          ),
        )
        .catch((error: unknown) =>
          setPreview(error instanceof ProblemError && error.status === 422 ? error.message : ''),
        );
    }, 300);
    return () => clearTimeout(timer);
  }, [text, run, channel.key, unit, undecided]);

  async function keep(body: ReturnType<typeof readingBody>, confirmed: string) {
    if (await write.run(() => putRecord('readings', draft.id, { ...body, confirmed }))) dropDraft();
  }
  const typed = { run, channel: channel.key, text, unit, undecided };

  return (
    <ReadingForm
      channel={channel}
      draft={draft}
      change={(changed) => {
        setDraft({ ...draft, ...changed });
        if (changed.text !== draft.text) setPreview('');
        write.clear();
      }}
      keep={(kept) => void keep(readingBody(run, channel, kept), '')}
      busy={busy}
      problem={problem}
    >
      {preview !== '' && problem === '' && (
        <p aria-live="polite" className="mt-1 text-sm text-soft">
          {preview}
        </p>
      )}
      {questions.length > 0 && (
        <div role="alert" className="mt-2 border-l-4 border-brass bg-brasswash p-3">
          {questions.map((q) => (
            <p key={q.sentence} className="font-semibold">
              {q.sentence}
            </p>
          ))}
          <div className="mt-2 flex flex-wrap gap-2">
            {questions
              .filter((q) => q.corrected !== null)
              .map((q) => (
                <Button
                  key={q.corrected}
                  look="primary"
                  large
                  onClick={() => void keep({ ...typed, text: q.corrected! }, `Typed ${text}, corrected: ${q.sentence}`)}
                >
                  It is {q.corrected}
                </Button>
              ))}
            <Button large onClick={() => void keep(typed, questions.map((q) => q.sentence).join(' '))}>
              It is as typed: {text}
            </Button>
            <Button large look="quiet" onClick={write.clear}>
              Type it again
            </Button>
          </div>
        </div>
      )}
    </ReadingForm>
  );
}

function KeptReading({
  channel,
  reading,
  write,
  display,
}: {
  channel: Schemas['AskedChannel'];
  reading: Schemas['ReadingView'];
  write: boolean;
  display: { photo: Schemas['PhotoView'] | undefined; revision: string } | undefined;
}) {
  const [amending, setAmending] = useState(false);
  const amended = reading.amendments.at(-1);
  return (
    <div>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <p>
          <span className="font-semibold">{channel.metric}</span>{' '}
          <span className="ml-1 text-2xl font-semibold">{reading.current.text}</span>{' '}
          {display?.photo !== undefined && (
            <a
              className="ml-2 text-sm font-semibold text-blue underline"
              href={`/api/photos/${display.photo.id}/picture`}
              target="_blank"
              rel="noreferrer"
            >
              its display
            </a>
          )}
        </p>
        {write && !amending && (
          <Button look="quiet" onClick={() => setAmending(true)} aria-label={`Amend ${channel.metric}`}>
            Amend
          </Button>
        )}
      </div>
      {reading.undecided && <Decide reading={reading} write={write} />}
      {write && display !== undefined && display.photo === undefined && (
        <AddPhoto
          revision={display.revision}
          run={reading.run}
          reading={reading.id}
          caption={`Display of ${channel.metric}: ${reading.current.text}`}
          label="Picture of the display"
          quiet
        />
      )}
      {amended !== undefined && (
        <p className="text-sm text-soft">
          First typed as {reading.typed.text}; amended by {amended.by}: {amended.reason}
        </p>
      )}
      {reading.confirmed !== '' && <p className="text-sm text-soft">Asked back: {reading.confirmed}</p>}
      {amending && <AmendReading reading={reading} unit={channel.unit} onDone={() => setAmending(false)} />}
    </div>
  );
}

/** A number whose unit nobody knows: what it would be in each that fits; one touch decides. */
function Decide({ reading, write }: { reading: Schemas['ReadingView']; write: boolean }) {
  const decide = useWrite();
  const [asked, setAsked] = useState('');
  const { problem, questions } = decide;
  /** A second touch on the same confirms what was asked back; another unit is looked at anew. */
  function as(text: string) {
    setAsked(text);
    void decide.run(() =>
      must(
        api.POST('/api/readings/{id}/amend', {
          params: { path: { id: reading.id } },
          body: {
            text,
            unit: '',
            reason: 'Its unit was decided.',
            version: reading.version,
            confirmed: asked === text ? questions.map((q) => q.sentence).join(' ') : '',
          },
        }),
      ),
    );
  }
  return (
    <div className="mt-1 border-l-4 border-brass bg-brasswash p-3">
      <p className="font-semibold">Used for nothing until somebody decides its unit.</p>
      {write && (
        <div className="mt-2 flex flex-wrap gap-2">
          {reading.choices.map((c) => (
            <Button key={c.unit} disabled={decide.busy} onClick={() => as(c.text)} aria-label={`It is ${c.text}`}>
              {c.sentence}
            </Button>
          ))}
        </div>
      )}
      {[problem, ...questions.map((q) => q.sentence)]
        .filter((line) => line !== '')
        .map((line) => (
          <p key={line} role="alert" className="mt-1 font-semibold text-oxide">
            {line}
          </p>
        ))}
    </div>
  );
}

function AmendReading({
  reading,
  unit,
  onDone,
}: {
  reading: Schemas['ReadingView'];
  unit: string;
  onDone: () => void;
}) {
  const write = useWrite();
  const id = useId();
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const { problem, questions } = write;

  async function submit(event: FormEvent) {
    event.preventDefault();
    // Asked back once; sent again, it is meant.
    const body = {
      text,
      unit,
      reason,
      version: reading.version,
      confirmed: questions.map((q) => q.sentence).join(' '),
    };
    const kept = await write.run(() =>
      must(api.POST('/api/readings/{id}/amend', { params: { path: { id: reading.id } }, body })),
    );
    if (kept) onDone();
  }

  return (
    <form onSubmit={(e) => void submit(e)} className="mt-2 space-y-2 border border-rule p-3" noValidate>
      <label htmlFor={`${id}-v`} className="block text-sm font-semibold">
        The right value, in {unit}
      </label>
      <input
        id={`${id}-v`}
        className="field"
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <label htmlFor={`${id}-r`} className="block text-sm font-semibold">
        Why?
      </label>
      <input id={`${id}-r`} className="field" value={reason} onChange={(e) => setReason(e.target.value)} />
      {problem !== '' && (
        <p role="alert" className="font-semibold text-oxide">
          {problem}
        </p>
      )}
      {questions.map((q) => (
        <p key={q.sentence} role="alert" className="border-l-4 border-brass bg-brasswash p-2 font-semibold">
          {q.sentence}
        </p>
      ))}
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={write.busy}>
          {questions.length > 0 ? 'It is so; amend, keep both' : 'Amend, keep both'}
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
