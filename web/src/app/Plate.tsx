import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';

import { Tag } from '../ui/Tag';
import { stationPath, type Frame, type SpineTag, type Station } from '../ui/place';
import { Spine } from './Spine';

const ITEM = 'block w-full cursor-pointer px-3 py-2 text-left text-sm outline-none data-[highlighted]:bg-wash';

/** The device's name plate: its own sheets, and on a phone the spine folded into it. */
export function Plate({ frame, tag, station }: { frame: Frame; tag: SpineTag | undefined; station: Station }) {
  const device = frame.device.id;
  return (
    <div className="flex min-w-0 items-center gap-2">
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="flex min-h-9 min-w-0 cursor-pointer items-center gap-2 rounded-sm px-1 text-left hover:bg-wash">
          <span className="stamp truncate text-lg">{frame.device.name}</span>
          <span aria-hidden="true" className="text-xs text-soft">
            ▾
          </span>
          <span className="sr-only">: sheets of the device</span>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" className="z-40 min-w-56 border border-rule bg-sheet py-1 shadow-lg">
            {[
              ['brief', 'Brief and requirements'],
              ['methods', 'Methods and instruments'],
              ['workings', 'Workings'],
              ['sharing', 'Reports and sharing'],
            ].map(([path, words]) => (
              <DropdownMenu.Item asChild key={path}>
                <Link className={ITEM} to={`/d/${device}/${path}`}>
                  {words}
                </Link>
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item asChild>
              <Link className={`${ITEM} border-t border-rule`} to="/">
                All devices
              </Link>
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <div className="lg:hidden">
        {tag !== undefined && (
          <details className="relative" key={stationPath(device, tag.revision.letter, station)}>
            <summary
              className="flex min-h-9 cursor-pointer list-none items-center gap-1"
              aria-label={`Build ${tag.revision.letter}; choose another`}
            >
              <Tag letter={tag.revision.letter} current size={28} />
              <span aria-hidden="true" className="text-xs text-soft">
                ▾
              </span>
            </summary>
            <div className="absolute left-0 z-30 w-64 border border-rule bg-sheet p-3 shadow-lg">
              <Spine frame={frame} current={tag} station={station} />
            </div>
          </details>
        )}
      </div>
    </div>
  );
}
