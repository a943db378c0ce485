import type { Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { seek } from '../ui/seek';
import { clock } from '../ui/time';
import { useKeys } from '../ui/useKeys';
import { fileBody } from './fileBody';
import { inOrder, sameMarks } from './marks';
import type { Playing } from './Player';

type Mark = Schemas['FileMark'];

/** Moments of a recording: a number is what a display showed there, words are what was seen. */
export function Marks({
  file,
  marks,
  setMarks,
  onKept,
  playing,
}: {
  file: Schemas['HeapFileView'];
  marks: Mark[];
  setMarks: (marks: Mark[]) => void;
  onKept: () => void;
  playing: Playing;
}) {
  const write = useWrite();
  const mark = () => setMarks(inOrder([...marks, { at: playing.current?.currentTime ?? 0, what: '' }]));
  useKeys({ m: mark });
  const keep = async () => {
    if (await write.run(() => putRecord('heapfiles', file.id, fileBody(file, { marks })))) onKept();
  };
  return (
    <div className="mt-3">
      <div className="flex flex-wrap gap-2">
        <Button large onClick={mark}>
          Mark this moment
        </Button>
        {!sameMarks(marks, file.marks) && (
          <Button large disabled={write.busy} onClick={() => void keep()}>
            Keep the marks
          </Button>
        )}
      </div>
      <Problem says={write.problem} />
      <ol className="mt-2 space-y-1">
        {marks.map((m, i) => (
          <li key={i} className="flex items-center gap-2">
            <button
              type="button"
              className="min-h-9 cursor-pointer font-semibold text-blue tabular-nums underline"
              onClick={() => seek(playing.current, m.at)}
            >
              {clock(m.at)}
            </button>
            <input
              className="field"
              aria-label={`Mark at ${clock(m.at)}`}
              placeholder="a value that is shown, or what is seen"
              value={m.what}
              onChange={(event) => setMarks(marks.map((o, k) => (k === i ? { ...o, what: event.target.value } : o)))}
            />
            <Button
              look="quiet"
              aria-label={`Take the mark at ${clock(m.at)} away`}
              onClick={() => setMarks(marks.filter((_, k) => k !== i))}
            >
              ✕
            </Button>
          </li>
        ))}
      </ol>
    </div>
  );
}
