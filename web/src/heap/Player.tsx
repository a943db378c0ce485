import { useEffect, useRef, useState, type RefObject } from 'react';

import type { Schemas } from '../api/client';
import { droppedFile } from '../outbox/heap';

/** The recording that is looked at, for marks and stills. */
export type Playing = RefObject<HTMLVideoElement | HTMLAudioElement | null>;

/** Shows, plays or gives out one thing of the heap; what stays where it lies is played from there, where it was dropped on this page. */
export function Player({ file, playing }: { file: Schemas['HeapFileView']; playing: Playing }) {
  const local = useLocal(file);
  const [isUnplayable, setUnplayable] = useState(false);
  const cannot = isUnplayable && (
    <p role="alert" className="border-l-2 border-oxide pl-3 font-semibold text-oxide">
      This browser cannot play it. It can be kept with a run or put aside all the same.
    </p>
  );
  if (file.state === 'waiting') return <p className="text-soft">This is still being prepared; it appears by itself.</p>;
  if (file.state === 'broken')
    return <p className="border-l-2 border-oxide pl-3 font-semibold text-oxide">{file.problem}</p>;
  if (file.state === 'away' && local === null) {
    return (
      <p className="max-w-prose border-l-2 border-brass pl-3">
        It stays where it lies: {file.lies}. Drop it into the heap once more to play it from there; it is not sent.
      </p>
    );
  }
  const src = local ?? `/api/heapfiles/${file.id}/file`;
  if (file.kind === 'picture')
    return (
      <img src={local ?? `/api/heapfiles/${file.id}/picture`} alt={file.name} className="w-full border border-rule" />
    );
  if (file.kind === 'sound')
    return (
      <>
        <audio
          ref={playing as RefObject<HTMLAudioElement>}
          src={src}
          controls
          onError={() => setUnplayable(true)}
          className="w-full"
        />
        {cannot}
      </>
    );
  if (file.kind === 'clip')
    return (
      <>
        <video
          onError={() => setUnplayable(true)}
          ref={playing as RefObject<HTMLVideoElement>}
          src={src}
          {...(local === null ? { poster: `/api/heapfiles/${file.id}/picture` } : {})}
          controls
          playsInline
          className="max-h-[60vh] w-full border border-rule bg-ground"
        />
        {cannot}
      </>
    );
  return (
    <a href={src} className="font-semibold text-blue underline">
      Save it on this device
    </a>
  );
}

function useLocal(file: Schemas['HeapFileView']): string | null {
  const [url, setUrl] = useState<string | null>(null);
  const last = useRef<string | null>(null);
  useEffect(() => {
    const dropped = file.state === 'away' ? droppedFile(file.sha256) : undefined;
    if (dropped === undefined) return;
    last.current = URL.createObjectURL(dropped);
    setUrl(last.current);
    return () => {
      if (last.current !== null) URL.revokeObjectURL(last.current);
    };
  }, [file.sha256, file.state]);
  return url;
}
