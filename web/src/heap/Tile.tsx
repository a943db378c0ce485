import { Link } from 'react-router';

import type { Schemas } from '../api/client';

export const KIND: Record<Schemas['FileKind'], string> = {
  picture: 'Photo',
  sound: 'Memo',
  clip: 'Clip',
  document: 'Document',
};

/** One thing out of the heap, in small. */
export function Tile({ row, to }: { row: Schemas['HeapRow']; to: string }) {
  const { file } = row;
  const box = 'aspect-[4/3] w-full border border-rule bg-ground';
  const isSeen = file.state === 'ready' && (file.kind === 'picture' || file.kind === 'clip');
  return (
    <Link to={to} className="block text-left" aria-label={`${KIND[file.kind]} ${file.name}, ${row.said}`}>
      {isSeen ? (
        <img
          src={`/api/heapfiles/${file.id}/picture?preview=1`}
          width={file.width}
          height={file.height}
          loading="lazy"
          alt=""
          className={`${box} object-cover`}
        />
      ) : (
        <span className={`${box} flex flex-col items-center justify-center gap-1 p-2 text-center text-sm`}>
          <span className="stamp text-ink">{KIND[file.kind]}</span>
          <span className="text-soft">
            {file.state === 'waiting' && 'being prepared'}
            {file.state === 'broken' && 'cannot be shown'}
            {file.state === 'away' && file.lies}
            {file.state === 'ready' && file.plays}
          </span>
        </span>
      )}
      <span className="mt-0.5 block truncate text-xs text-soft">
        {file.kind === 'clip' && file.plays !== '' && <span className="mr-1 text-ink">{file.plays}</span>}
        {row.said}
      </span>
    </Link>
  );
}
