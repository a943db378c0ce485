import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { must, send, type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Sheet } from '../ui/Sheet';
import { dayAndTime } from '../ui/time';
import { fileBody } from './fileBody';
import { sameMarks } from './marks';
import { Marks } from './Marks';
import { Player, type Playing } from './Player';
import { RunBeside } from './RunBeside';
import { RunPicker } from './RunPicker';
import { KIND } from './Tile';

type Props = {
  row: Schemas['HeapRow'];
  sheet: Schemas['HeapSheet'];
  write: boolean;
  home: string;
  next: string | null;
  before: string | null;
};

/** One thing out of the heap, played beside the form of its run. */
export function OneFile({ row, sheet, write, home, next, before }: Props) {
  const { file } = row;
  const navigate = useNavigate();
  const playing: Playing = useRef(null);
  const [run, setRun] = useState(row.run ?? '');
  const [marks, setMarks, dropMarks] = useDraft(`marks:${file.id}`, file.marks);
  const onward = () => {
    dropMarks();
    void navigate(next === null ? home : `${home}/${next}`);
  };
  const isRecording = file.kind === 'clip' || file.kind === 'sound';
  const when = row.moment === null ? '' : dayAndTime(row.moment);
  return (
    <Sheet title={`${KIND[file.kind]} · ${file.name}`} sentence={row.sentence}>
      <nav aria-label="Heap" className="mt-3 flex flex-wrap gap-1">
        <Step to={home} words="All of the heap" />
        {before !== null && <Step to={`${home}/${before}`} words="The one before" />}
        {next !== null && <Step to={`${home}/${next}`} words="The next one" />}
      </nav>
      <div className="mt-4 lg:grid lg:grid-cols-2 lg:gap-x-8">
        <div>
          <Player file={file} playing={playing} />
          <p className="mt-1 text-sm text-soft">
            {[when, file.camera, file.plays, file.size, file.lies === '' ? '' : `stays at ${file.lies}`]
              .filter((s) => s !== '')
              .join(' · ')}
          </p>
          {write && isRecording && (
            <Marks file={file} marks={marks} setMarks={setMarks} onKept={dropMarks} playing={playing} />
          )}
        </div>
        {write && (
          <div className="mt-5 lg:mt-0">
            <RunPicker label="It is of" none="no run yet" runs={sheet.runs} run={run} setRun={setRun} />
            <GoThrough file={file} run={run} marks={marks} onDone={onward} />
            {run !== '' && (
              <div className="mt-5 border-t border-rule pt-4">
                <RunBeside run={run} row={row} marks={marks} playing={playing} />
              </div>
            )}
          </div>
        )}
      </div>
    </Sheet>
  );
}

function Step({ to, words }: { to: string; words: string }) {
  return (
    <Link to={to} className="border border-rule px-2 py-1 text-sm text-blue hover:bg-wash">
      {words}
    </Link>
  );
}

/** Kept with its run, or put aside: then it is gone through. What was marked goes along. */
function GoThrough({
  file,
  run,
  marks,
  onDone,
}: {
  file: Schemas['HeapFileView'];
  run: string;
  marks: Schemas['FileMark'][];
  onDone: () => void;
}) {
  const write = useWrite();
  const [photo] = useState(uuid);
  const [caption, setCaption] = useState('');
  const isThere = file.state === 'ready' || file.state === 'away';
  const keep = async () => {
    const kept = await write.run(async () => {
      if (!sameMarks(marks, file.marks)) await putRecord('heapfiles', file.id, fileBody(file, { marks }));
      await must(send('POST', `/api/heapfiles/${file.id}/keep`, { photo, run, caption }));
    });
    if (kept) onDone();
  };
  const setAside = async (aside: boolean) => {
    if (await write.run(() => putRecord('heapfiles', file.id, fileBody(file, { marks, aside })))) onDone();
  };
  return (
    <form
      className="mt-3 space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <label className="block">
        <span className="mb-1 block text-sm">What it shows</span>
        <input className="field" value={caption} onChange={(event) => setCaption(event.target.value)} maxLength={300} />
      </label>
      <div className="flex flex-wrap gap-2">
        <Button type="submit" large look="primary" disabled={write.busy || run === '' || !isThere}>
          {run === '' ? 'Keep with a run' : 'Keep with this run'}
        </Button>
        <Button large disabled={write.busy} onClick={() => void setAside(!file.aside)}>
          {file.aside ? 'Take it back' : 'Put aside'}
        </Button>
      </div>
      <Problem says={write.problem} />
    </form>
  );
}
