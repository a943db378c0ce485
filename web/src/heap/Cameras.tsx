import { useState } from 'react';

import { must, send, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { Slip } from '../ui/Slip';
import { dayAndTime } from '../ui/time';
import { RunPicker } from './RunPicker';

/** Each camera's clock, set right once for all that it took. */
export function Cameras({ sheet, write }: { sheet: Schemas['HeapSheet']; write: boolean }) {
  const [setting, setSetting] = useState<Schemas['HeapCamera'] | null>(null);
  return (
    <ul className="mt-4 space-y-1">
      {sheet.cameras.map((camera) => (
        <li key={camera.name} className="flex flex-wrap items-baseline gap-x-3">
          <strong>{camera.name}</strong>
          <span className="text-soft">{camera.said}</span>
          {write && camera.isTold && (
            <button
              type="button"
              className="min-h-6 cursor-pointer font-semibold text-blue underline"
              onClick={() => setSetting(camera)}
            >
              Set its clock
            </button>
          )}
        </li>
      ))}
      <Slip open={setting !== null} onClose={() => setSetting(null)} title={`Clock of ${setting?.name ?? ''}`}>
        {setting !== null && <SetClock camera={setting} sheet={sheet} onDone={() => setSetting(null)} />}
      </Slip>
    </ul>
  );
}

/** By one thing that it took, of which somebody knows when it was. */
function SetClock({
  camera,
  sheet,
  onDone,
}: {
  camera: Schemas['HeapCamera'];
  sheet: Schemas['HeapSheet'];
  onDone: () => void;
}) {
  const own = sheet.rows.flatMap(({ file, moment, run }) =>
    file.camera === camera.name && moment !== null ? [{ file, moment, run }] : [],
  );
  const [file, setFile] = useState(own[0]?.file.id ?? '');
  const [run, setRun] = useState(own[0]?.run ?? '');
  const [time, setTime] = useState('');
  const write = useWrite();
  const chosen = own.find((r) => r.file.id === file);
  const keep = async () => {
    const body = time === '' ? { run: run === '' ? null : run } : { truly: new Date(time).toISOString() };
    if (await write.run(() => must(send('POST', `/api/heapfiles/${file}/clock`, body)))) onDone();
  };
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <label className="block">
        <span className="mb-1 block font-semibold">One thing that it took</span>
        <select className="field" value={file} onChange={(event) => setFile(event.target.value)}>
          {own.map((r) => (
            <option key={r.file.id} value={r.file.id}>
              {r.file.name}, {dayAndTime(r.moment)}
            </option>
          ))}
        </select>
      </label>
      {chosen !== undefined && chosen.file.state === 'ready' && chosen.file.kind === 'picture' && (
        <img
          src={`/api/heapfiles/${file}/picture?preview=1`}
          alt={chosen.file.name}
          className="max-h-40 border border-rule"
        />
      )}
      <RunPicker label="begins with this run" none="none of them" runs={sheet.runs} run={run} setRun={setRun} />
      <label className="block">
        <span className="mb-1 block font-semibold">or was truly taken at</span>
        <input
          type="datetime-local"
          step="1"
          className="field"
          value={time}
          onChange={(event) => setTime(event.target.value)}
        />
        <span className="mt-1 block text-sm text-soft">A photo of a clock that is right tells it best.</span>
      </label>
      <Problem says={write.problem} />
      <Button type="submit" look="primary" disabled={write.busy || (time === '' && run === '')}>
        Set it for all {camera.files}
      </Button>
    </form>
  );
}
