import { useRef, useState, type RefObject } from 'react';

import type { Schemas } from '../../api/client';
import { useLookAgain } from '../lookAgain';
import { Slip } from '../Slip';
import { seek } from '../seek';
import { clock, dayAndTime, localTime } from '../time';

type Photo = Schemas['PhotoView'];

const NAMES: Record<Photo['kind'], string> = { picture: 'Photo', sound: 'Sound', clip: 'Clip', document: 'Document' };

/** Photographs in rows like a contact sheet, each with its number; sounds, clips and documents stand among them. */
export function ContactSheet({ photos, start = 1 }: { photos: Photo[]; start?: number }) {
  const [open, setOpen] = useState<Photo | null>(null);
  useLookAgain(
    photos.some((p) => p.state === 'waiting'),
    'find',
    'run',
  );
  return (
    <>
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-[repeat(auto-fill,minmax(11rem,1fr))]">
        {photos.map((photo, i) => (
          <li key={photo.id}>
            <button
              type="button"
              className="w-full cursor-pointer text-left disabled:cursor-default"
              disabled={photo.state !== 'ready'}
              onClick={() => setOpen(photo)}
            >
              <Tile photo={photo} number={start + i} />
              <span className="mt-0.5 block text-xs text-soft">
                <span className="stamp mr-1 text-ink">{start + i}</span>
                {photo.caption}
              </span>
            </button>
            {photo.problem !== '' && <p className="mt-0.5 text-xs text-oxide">{photo.problem}</p>}
          </li>
        ))}
      </ul>
      <Slip
        open={open !== null}
        onClose={() => setOpen(null)}
        title={open?.caption || NAMES[open?.kind ?? 'picture']}
        wide
      >
        {open !== null && (
          <figure>
            <Opened photo={open} />
            <figcaption className="mt-2 text-sm text-soft">
              {open.by}, {dayAndTime(open.at)}
              {open.takenAt !== null && <> · taken {localTime(open.takenAt)} by its own clock</>}
              {open.width > 0 && (
                <>
                  {' '}
                  · {open.width} × {open.height}
                </>
              )}
              {open.kind !== 'document' && ' · position and device data taken out'}
            </figcaption>
          </figure>
        )}
      </Slip>
    </>
  );
}

/** A file in small. */
function Tile({ photo, number }: { photo: Photo; number: number }) {
  const box = 'aspect-[4/3] w-full border border-rule bg-ground';
  const name = NAMES[photo.kind];
  if (photo.state === 'ready' && (photo.kind === 'picture' || photo.kind === 'clip')) {
    return (
      <span className="relative block">
        <img
          src={`/api/photos/${photo.id}/picture?preview=1`}
          width={photo.width}
          height={photo.height}
          loading="lazy"
          alt={photo.caption === '' ? `${name} ${number}` : photo.caption}
          className={`${box} object-cover`}
        />
        {photo.kind === 'clip' && (
          <span className="absolute bottom-1 left-1 bg-sheet px-1.5 py-0.5 text-xs text-ink">
            {name} {photo.plays}
          </span>
        )}
      </span>
    );
  }
  return (
    <span className={`${box} flex flex-col items-center justify-center gap-1 p-2 text-center text-sm`}>
      <span className="stamp text-ink">{name}</span>
      <span className="text-soft">
        {photo.state === 'waiting' && 'waiting to be prepared'}
        {photo.state === 'broken' && 'cannot be shown'}
        {photo.state === 'away' && `stays where it lies: ${photo.lies}`}
        {photo.state === 'ready' && (photo.kind === 'document' ? photo.type : photo.plays)}
      </span>
    </span>
  );
}

/** A file in large: seen, heard, played, or saved. */
function Opened({ photo }: { photo: Photo }) {
  const file = `/api/photos/${photo.id}/file`;
  const playing = useRef<HTMLMediaElement | null>(null);
  const marks = <Marks photo={photo} go={(at) => seek(playing.current, at)} />;
  if (photo.kind === 'sound')
    return (
      <>
        <audio ref={playing as RefObject<HTMLAudioElement | null>} src={file} controls className="w-full" />
        {marks}
      </>
    );
  if (photo.kind === 'clip') {
    return (
      <>
        <video
          ref={playing as RefObject<HTMLVideoElement | null>}
          src={file}
          poster={`/api/photos/${photo.id}/picture`}
          controls
          playsInline
          className="max-h-[70vh] w-full border border-rule bg-ground"
        />
        {marks}
      </>
    );
  }
  if (photo.kind === 'document') {
    return (
      <a href={file} className="font-semibold text-blue underline">
        Save it on this device
      </a>
    );
  }
  return <img src={`/api/photos/${photo.id}/picture`} alt={photo.caption} className="w-full border border-rule" />;
}

/** Moments that somebody marked; one touch goes there. */
function Marks({ photo, go }: { photo: Photo; go: (at: number) => void }) {
  if (photo.marks.length === 0) return null;
  return (
    <ol className="mt-2 text-sm">
      {photo.marks.map((m, i) => (
        <li key={i}>
          <button
            type="button"
            className="min-h-6 cursor-pointer font-semibold text-blue tabular-nums underline"
            onClick={() => go(m.at)}
          >
            {clock(m.at)}
          </button>{' '}
          {m.what}
        </li>
      ))}
    </ol>
  );
}
