import { useRef, useState } from 'react';

import { must, send } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../Button';

/** What is taken, and how large it may be; the server looks at the content itself. */
const TAKEN = 'image/*,audio/*,video/*,application/pdf,text/plain,text/csv';
const MOST_MB = { image: 25, audio: 50, video: 200 };

function mostMb(type: string): number {
  const [family = ''] = type.split('/');
  return family in MOST_MB ? MOST_MB[family as keyof typeof MOST_MB] : 25;
}

/**
 * Takes photographs in, and sounds, clips and documents; on a phone the camera opens. Position and device data are taken
 * out on the server.
 */
export function AddPhoto({
  revision,
  run,
  failure,
  caption = '',
  label = 'Add photo or file',
  large = false,
  quiet = false,
  onKept,
}: {
  revision: string;
  run?: string;
  failure?: string;
  caption?: string;
  label?: string;
  large?: boolean;
  quiet?: boolean;
  /** Once, with the names of all that were kept. */
  onKept?: (files: string[]) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [state, setState] = useState('');
  const write = useWrite();
  const { problem } = write;

  async function take(files: FileList | null) {
    const all: string[] = [];
    for (const file of Array.from(files ?? [])) {
      setState(`Sending ${file.name} …`);
      const kept = await write.run(() => {
        const most = mostMb(file.type);
        if (file.size > most * 1_000_000)
          throw new Error(`${file.name} is too large: at most ${most} MB can be taken.`);
        const form = new FormData();
        for (const [name, value] of Object.entries({ revision, run, failure, caption })) {
          if (value !== undefined) form.append(name, value);
        }
        form.append('file', file);
        return must(send('POST', `/api/photos/${uuid()}`, form));
      });
      setState(kept ? `${file.name} is kept.` : '');
      if (!kept) break;
      all.push(file.name);
    }
    if (all.length > 0) onKept?.(all);
    if (input.current) input.current.value = '';
  }

  return (
    <div className="flex flex-wrap items-center gap-3">
      <input
        ref={input}
        type="file"
        accept={TAKEN}
        multiple
        className="hidden"
        aria-label="File"
        onChange={(e) => void take(e.target.files)}
      />
      <Button large={large} look={quiet ? 'quiet' : 'plain'} onClick={() => input.current?.click()}>
        {label}
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
