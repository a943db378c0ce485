import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';

import type { Schemas } from '../api/client';
import { runQuery } from '../api/queries';
import { putRecord } from '../api/records';
import { sendPhoto } from '../api/sendPhoto';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { ReadingEntry } from '../stations/try/ReadingEntry';
import { Button } from '../ui/Button';
import { stationPath } from '../ui/place';
import { Problem } from '../ui/Problem';
import { NewObservation } from '../ui/records/NewObservation';
import { prose } from '../ui/prose';
import { clock } from '../ui/time';
import { Waiting } from '../ui/Waiting';
import { courseText, readOff, seenAt } from './marks';
import type { Playing } from './Player';
import { stillOf } from './still';

type Props = { run: string; row: Schemas['HeapRow']; marks: Schemas['FileMark'][]; playing: Playing };

/** The form of the run that a recording is of, beside it: what is seen there is written where it belongs. */
export function RunBeside({ run, ...rest }: Props) {
  const query = useQuery(runQuery(run));
  return (
    <Waiting query={query} title="Run">
      {(sheet) => <Form key={run} sheet={sheet} {...rest} />}
    </Waiting>
  );
}

function Form({ sheet, row, marks, playing }: { sheet: Schemas['RunSheet'] } & Omit<Props, 'run'>) {
  const { run, revision } = sheet;
  const channels = sheet.asked.channels.filter((c) => c.formula === '');
  return (
    <div className="space-y-4">
      <p>
        <Link
          className="font-semibold text-blue underline"
          to={`${stationPath(revision.device, revision.letter, 'try')}/run/${run.id}`}
        >
          {sheet.trial.name}, run {run.number}
        </Link>
        <span className="block text-sm text-soft">{prose(sheet.sentence)}</span>
      </p>
      {channels.map((channel) => (
        <ReadingEntry
          key={channel.key}
          run={run.id}
          channel={channel}
          reading={sheet.readings.find((r) => r.channel === channel.key)}
          write
        />
      ))}
      <NewObservation revision={revision.id} run={run.id} />
      <FromMarks sheet={sheet} row={row} marks={marks} />
      {row.file.kind === 'clip' && <Still sheet={sheet} row={row} playing={playing} />}
    </div>
  );
}

/** Marks become what they are: numbers a course of a channel, words what was seen and when. */
function FromMarks({ sheet, row, marks }: { sheet: Schemas['RunSheet'] } & Pick<Props, 'row' | 'marks'>) {
  const write = useWrite();
  const numbers = readOff(marks);
  const words = seenAt(marks);
  const channels = sheet.asked.channels.filter((c) => c.formula === '' && c.words.length === 0);
  const [channel, setChannel] = useState(channels[0]?.key ?? '');
  const [kept, setKept] = useState('');
  // Of another run than it lies in nobody knows how far into it the recording begins.
  const into = row.run === sheet.run.id && row.lies === 'during' ? row.into : null;
  const { revision, run } = sheet;
  const chosen = channels.find((c) => c.key === channel);
  const keepCourse = async () => {
    const body = {
      run: run.id,
      name: chosen?.metric ?? row.file.name,
      unit: chosen?.unit ?? '1',
      timeUnit: 's',
      text: courseText(marks, into ?? 0),
      marks: [],
    };
    if (await write.run(() => putRecord('courses', uuid(), body))) setKept(`Kept as a course of ${body.name}.`);
  };
  const keepWords = async () => {
    for (const m of words) {
      const after = into === null || m.at + into < 0 ? null : m.at + into;
      if (
        !(await write.run(() =>
          putRecord('observations', uuid(), { revision: revision.id, run: run.id, text: m.what, after }),
        ))
      )
        return;
    }
    setKept(words.length === 1 ? 'Kept as seen.' : `${words.length} kept as seen.`);
  };
  if (numbers.length < 2 && words.length === 0) return null;
  return (
    <div className="space-y-2 border-l-2 border-blue pl-3">
      {numbers.length > 1 && (
        <div className="flex flex-wrap items-end gap-2">
          <label className="min-w-40 flex-1">
            <span className="block text-sm">The {numbers.length} values at marks are of</span>
            <select className="field" value={channel} onChange={(event) => setChannel(event.target.value)}>
              {channels.map((c) => (
                <option key={c.key} value={c.key}>
                  {c.metric}, {c.unit}
                </option>
              ))}
              <option value="">something else</option>
            </select>
          </label>
          <Button disabled={write.busy} onClick={() => void keepCourse()}>
            Keep as a course
          </Button>
        </div>
      )}
      {words.length > 0 && (
        <Button disabled={write.busy} onClick={() => void keepWords()}>
          {words.length === 1 ? 'Keep the mark as seen on this run' : `Keep ${words.length} marks as seen on this run`}
        </Button>
      )}
      <p role="status" className={kept === '' ? 'sr-only' : 'text-sm text-soft'}>
        {kept}
      </p>
      <Problem says={write.problem} />
    </div>
  );
}

/** One picture out of the clip, as it stands, with the run. */
function Still({ sheet, row, playing }: { sheet: Schemas['RunSheet'] } & Pick<Props, 'row' | 'playing'>) {
  const write = useWrite();
  const [kept, setKept] = useState('');
  const keep = async () => {
    const video = playing.current;
    if (!(video instanceof HTMLVideoElement) || video.videoWidth === 0) {
      setKept('Play it to the moment that you want first.');
      return;
    }
    const at = clock(video.currentTime);
    const file = await stillOf(video, `still of ${row.file.name}.jpg`);
    if (file === null) return;
    const to = { revision: sheet.revision.id, run: sheet.run.id, caption: `${row.file.name}, at ${at}` };
    if (await write.run(() => sendPhoto(file, to))) setKept(`The picture at ${at} is kept with the run.`);
  };
  return (
    <div>
      <Button disabled={write.busy} onClick={() => void keep()}>
        Keep this picture of the clip
      </Button>
      <p role="status" className={kept === '' ? 'sr-only' : 'mt-1 text-sm text-soft'}>
        {kept}
      </p>
      <Problem says={write.problem} />
    </div>
  );
}
