import { useRef, useState, type DragEvent } from 'react';

import { dropHeap } from '../outbox/heap';
import { Button } from '../ui/Button';

/** Where everything is dropped together, or chosen. */
export function DropZone({ workspace }: { workspace: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const take = (files: FileList | null) => {
    void dropHeap(workspace, Array.from(files ?? []));
    if (input.current) input.current.value = '';
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    take(event.dataTransfer.files);
  };
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`mt-5 flex flex-wrap items-center gap-4 border border-dashed p-4 ${over ? 'border-blue bg-wash' : 'border-rule'}`}
    >
      <input
        ref={input}
        type="file"
        multiple
        className="hidden"
        aria-label="Files of the heap"
        onChange={(event) => take(event.target.files)}
      />
      <Button large look="primary" onClick={() => input.current?.click()}>
        Choose what was taken
      </Button>
      <p className="max-w-prose text-sm text-soft">
        Or drop it here: clips, photos and memos of any number of runs together. They are laid against the runs by the
        time at which they were taken; position and device data are taken out.
      </p>
    </div>
  );
}
