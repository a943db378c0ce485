import { useRef, useState } from 'react';

import { sendPhoto } from '../../api/sendPhoto';
import { useWrite } from '../../api/useWrite';
import { Button } from '../Button';
import { Problem } from '../Problem';

/** What is taken. */
const TAKEN = 'image/*,audio/*,video/*,application/pdf,text/plain,text/csv';
/**
 * Takes photographs in, and sounds, clips and documents; on a phone the camera opens. Position and device data are taken
 * out on the server.
 */
export function AddPhoto({
  revision,
  run,
  failure,
  reading,
  caption = '',
  label = 'Add photo or file',
  large = false,
  quiet = false,
  wide = false,
  onKept,
}: {
  revision: string;
  run?: string;
  failure?: string;
  /** Whose display it shows. */
  reading?: string;
  caption?: string;
  label?: string;
  large?: boolean;
  quiet?: boolean;
  /** As wide as its place. */
  wide?: boolean;
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
      const kept = await write.run(() => sendPhoto(file, { revision, run, failure, reading, caption }));
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
      <Button
        large={large}
        look={quiet ? 'quiet' : 'plain'}
        className={wide ? 'w-full' : ''}
        onClick={() => input.current?.click()}
      >
        {label}
      </Button>
      <p role="status" className={state === '' ? 'sr-only' : 'text-sm text-soft'}>
        {state}
      </p>
      <Problem says={problem} />
    </div>
  );
}
