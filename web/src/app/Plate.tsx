import { Menu } from '../ui/Menu';
import { Tag } from '../ui/Tag';
import { stationPath, type Frame, type SpineTag, type Station } from '../ui/place';
import { Spine } from './Spine';

/** The device's name plate: its own sheets, and on a phone the spine folded into it. */
export function Plate({ frame, tag, station }: { frame: Frame; tag: SpineTag | undefined; station: Station }) {
  const device = frame.device.id;
  return (
    <div className="flex min-w-0 items-center gap-2">
      <Menu
        align="start"
        className="flex min-h-9 min-w-0 cursor-pointer items-center gap-2 rounded-sm px-1 text-left hover:bg-wash"
        button={
          <>
            <span className="stamp truncate text-lg">{frame.device.name}</span>
            <span aria-hidden="true" className="text-xs text-soft">
              ▾
            </span>
            <span className="sr-only">: sheets of the device</span>
          </>
        }
        items={[
          { to: `/d/${device}/brief`, words: 'Brief and requirements' },
          { to: `/d/${device}/methods`, words: 'Methods and instruments' },
          { to: `/d/${device}/workings`, words: 'Workings' },
          { to: `/d/${device}/sharing`, words: 'Reports and sharing' },
          { to: '/', words: 'All devices', apart: true },
        ]}
      />
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
