import { useState } from 'react';

import { forgetHeap, leaveThere, type Going, type NotTaken } from '../outbox/heap';
import { useHeap } from '../outbox/useHeap';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';

/** How far the heap is, and what was not taken of it; the rest is kept. */
export function OnItsWay({ workspace }: { workspace: string }) {
  const going = useHeap();
  if (going?.workspace !== workspace) return null;
  const isDone = going.done >= going.all;
  const left = going.refused.length + going.doubles.length + going.large.length;
  return (
    <section aria-label="On its way" className="mt-4 border-l-4 border-brass bg-brasswash px-3 py-2">
      <p role="status" className="font-semibold">
        {going.sent} of {going.all} sent{isDone ? '' : ', the rest goes on while you do something else'}
        {going.waits ? '; there is no connection just now, and it goes on by itself' : ''}.
      </p>
      {!isDone && <progress className="mt-1 w-full" max={going.all} value={going.done} aria-label="Sent" />}
      <Left words="here already, and not sent twice" files={going.doubles} />
      <Left words="not taken" files={going.refused} />
      {going.large.length > 0 && <Large going={going} />}
      {isDone && (
        <Button look="quiet" className="mt-1" onClick={forgetHeap}>
          {left === 0 ? 'Good' : 'I have read this'}
        </Button>
      )}
    </section>
  );
}

function Left({ words, files }: { words: string; files: NotTaken[] }) {
  if (files.length === 0) return null;
  return (
    <details className="mt-1" open={files.length < 4}>
      <summary className="min-h-6 cursor-pointer">
        {files.length === 1 ? 'One' : files.length} {words}
      </summary>
      <ul className="max-h-64 overflow-y-auto text-sm">
        {files.map((f, i) => (
          <li key={`${f.name} ${i}`}>
            <strong>{f.name}</strong>: {f.why}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** What is too large to be sent stays where it lies: its hash is kept, and marks and stills as one makes them. */
function Large({ going }: { going: Going }) {
  const [lies, setLies] = useState('');
  const write = useWrite();
  const names = going.large.map((d) => d.file.name).join(', ');
  const leave = async () => {
    for (const one of going.large) if (!(await write.run(() => leaveThere(going.workspace, one, lies)))) break;
  };
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        void leave();
      }}
    >
      <p>
        <strong>{names}</strong> {going.large.length === 1 ? 'is' : 'are'} too large to be sent (at most 200 MB a clip,
        50 a sound, 25 a picture). It can stay where it lies: name, hash, marks and stills are kept here.
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <label className="min-w-56 flex-1">
          <span className="block text-sm">Where it lies</span>
          <input
            className="field"
            value={lies}
            onChange={(event) => setLies(event.target.value)}
            placeholder="card 3, in the tin"
          />
        </label>
        <Button type="submit" disabled={write.busy || lies.trim() === ''}>
          {write.busy ? 'Keeping it …' : 'Leave it there'}
        </Button>
      </div>
      <Problem says={write.problem} />
    </form>
  );
}
