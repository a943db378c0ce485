import { useState } from 'react';

import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import type { ReadingDraft } from '../ui/reading/body';
import { ReadingForm } from '../ui/reading/ReadingForm';
import type { FieldRun, Trial } from './fieldRun';

type Draft = Omit<ReadingDraft, 'id'>;
type Keep = (channel: Schemas['AskedChannel'], draft: Draft) => Promise<boolean>;

/** The numbers, one field each, the unit locked and large beside it. */
export function ReadStep({ run, trial, keep }: { run: FieldRun; trial: Trial; keep: Keep }) {
  const channels = trial.asked.channels.filter((c) => c.formula === '');
  if (channels.length === 0) return <p className="mt-4 text-soft">This method reads no numbers: say how it ended.</p>;
  return (
    <div className="mt-4 space-y-5">
      {channels.map((channel) => {
        const kept = run.readings[channel.key];
        return kept === undefined ? (
          <Entry key={channel.key} channel={channel} lasted={run.lasted} keep={keep} />
        ) : (
          <p key={channel.key}>
            <span className="font-semibold">{channel.metric}</span>{' '}
            <span className="ml-1 text-2xl font-semibold">
              {kept.said ?? `${kept.text} ${channel.words.length > 0 ? '' : channel.unit}`}
            </span>
          </p>
        );
      })}
    </div>
  );
}

function Entry({ channel, lasted, keep }: { channel: Schemas['AskedChannel']; lasted: number | null; keep: Keep }) {
  const [draft, setDraft] = useState<Draft>({ text: '', how: '' });
  return (
    <>
      <ReadingForm
        channel={channel}
        draft={draft}
        change={setDraft}
        keep={(typed) => void keep(channel, typed).then((kept) => kept && setDraft({ text: '', how: '' }))}
      />
      {channel.unit === 's' && lasted !== null && draft.text === '' && (
        <Button look="quiet" onClick={() => setDraft({ ...draft, text: String(lasted) })}>
          The clock says {lasted} s
        </Button>
      )}
    </>
  );
}
