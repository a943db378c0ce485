import { useRef, useState } from 'react';

import { ProblemError, upload } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';

const MOST_BYTES = 25_000_000;

/** Takes photographs in; on a phone the camera opens. Position and device data are taken out on the server. */
export function AddPhoto({
  revision,
  run,
  failure,
  large = false,
}: {
  revision: string;
  run?: string;
  failure?: string;
  large?: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [state, setState] = useState('');
  const [problem, setProblem] = useState('');
  const refresh = useRefresh();

  async function take(files: FileList | null) {
    setProblem('');
    for (const file of Array.from(files ?? [])) {
      setState(`Sending ${file.name} …`);
      try {
        if (file.size > MOST_BYTES) {
          throw new Error(
            `${file.name} has ${Math.round(file.size / 1e6)} MB; at most 25 MB can be taken. Make it smaller and send it again.`,
          );
        }
        const form = new FormData();
        form.append('revision', revision);
        if (run !== undefined) form.append('run', run);
        if (failure !== undefined) form.append('failure', failure);
        form.append('caption', '');
        form.append('file', file);
        await upload(`/api/photos/${uuid()}`, form);
        setState(`${file.name} is kept.`);
      } catch (error) {
        setState('');
        setProblem(
          error instanceof ProblemError || error instanceof Error ? error.message : 'The picture could not be sent.',
        );
        break;
      }
    }
    if (input.current) input.current.value = '';
    await refresh();
  }

  return (
    <div className="flex flex-wrap items-center gap-3">
      <input
        ref={input}
        type="file"
        accept="image/*"
        multiple
        className="hidden"
        aria-label="Photo file"
        onChange={(e) => void take(e.target.files)}
      />
      <Button large={large} onClick={() => input.current?.click()}>
        Add photo
      </Button>
      <p role="status" className="text-sm text-soft">
        {state}
      </p>
      {problem !== '' && (
        <p role="alert" className="basis-full border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {problem}
        </p>
      )}
    </div>
  );
}
