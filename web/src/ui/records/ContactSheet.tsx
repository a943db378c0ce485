import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { Slip } from '../Slip';
import { dayAndTime } from '../time';

/** Photographs in rows like a contact sheet, each with its number. */
export function ContactSheet({ photos, start = 1 }: { photos: Schemas['PhotoView'][]; start?: number }) {
  const [open, setOpen] = useState<Schemas['PhotoView'] | null>(null);
  return (
    <>
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-[repeat(auto-fill,minmax(11rem,1fr))]">
        {photos.map((photo, i) => (
          <li key={photo.id}>
            <button type="button" className="w-full cursor-pointer text-left" onClick={() => setOpen(photo)}>
              <img
                src={`/api/photos/${photo.id}/picture?preview=1`}
                width={photo.width}
                height={photo.height}
                loading="lazy"
                alt={photo.caption === '' ? `Photo ${start + i}` : photo.caption}
                className="aspect-[4/3] w-full border border-rule bg-ground object-cover"
              />
              <span className="mt-0.5 block text-xs text-soft">
                <span className="stamp mr-1 text-ink">{start + i}</span>
                {photo.caption}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <Slip open={open !== null} onClose={() => setOpen(null)} title={open?.caption || 'Photo'} wide>
        {open !== null && (
          <figure>
            <img src={`/api/photos/${open.id}/picture`} alt={open.caption} className="w-full border border-rule" />
            <figcaption className="mt-2 text-sm text-soft">
              {open.by}, {dayAndTime(open.at)} · {open.width} × {open.height} · position and device data taken out
            </figcaption>
          </figure>
        )}
      </Slip>
    </>
  );
}
