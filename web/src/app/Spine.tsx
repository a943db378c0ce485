import { Link } from 'react-router';

import { Tag } from '../ui/Tag';
import { Texture } from '../ui/Texture';
import { stationPath, type Frame, type SpineTag, type Station } from '../ui/place';

/** The device's builds, newest on top, each with its evidence. */
export function Spine({ frame, current, station }: { frame: Frame; current: SpineTag | undefined; station: Station }) {
  if (frame.spine.length === 0) {
    return (
      <p className="text-sm text-soft">
        No builds yet. They will stand here, newest on top, each with what is shown of it.
      </p>
    );
  }
  const builds = (
    <ol className="space-y-1">
      {frame.spine.map((tag) => {
        const here = tag === current;
        const { revision } = tag;
        return (
          <li key={revision.id} style={{ paddingLeft: tag.depth * 14 }}>
            <Link
              to={stationPath(frame.device.id, revision.letter, station)}
              aria-current={here ? 'page' : undefined}
              aria-label={`Build ${revision.letter}${revision.state === 'abandoned' ? ', abandoned' : ''}: ${tag.evidence}`}
              className={`flex items-center gap-2 rounded-sm p-1 ${here ? 'bg-wash' : 'hover:bg-wash'}`}
            >
              {tag.depth > 0 && (
                <span aria-hidden="true" className="-ml-3 text-soft">
                  └
                </span>
              )}
              <Tag letter={revision.letter} current={here} size={30} />
              <span className="min-w-0">
                <span className="flex flex-wrap gap-px">
                  {tag.bar.map((texture, i) => (
                    <Texture key={i} name={texture} width={boxWidth(tag.bar.length, tag.depth)} height={12} />
                  ))}
                </span>
                <span
                  className={`block truncate text-xs text-soft ${revision.state === 'abandoned' ? 'line-through' : ''}`}
                >
                  {revision.state === 'abandoned' ? 'abandoned' : tag.evidence}
                </span>
              </span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
  return (
    <>
      {builds}
      <Joined frame={frame} current={current} />
    </>
  );
}

/** Modules that the build carries, and what carries this device: a line each, and no tree. */
function Joined({ frame, current }: { frame: Frame; current: SpineTag | undefined }) {
  const carried = frame.modules.filter((m) => m.build === current?.revision.id);
  const carriers = frame.modules.filter((m) => m.build === null);
  return (
    <>
      <Links title={`${current?.revision.letter ?? ''} carries`} to={carried} />
      <Links title="A module of" to={carriers} />
    </>
  );
}

function Links({ title, to }: { title: string; to: Frame['modules'] }) {
  if (to.length === 0) return null;
  return (
    <div className="mt-4 border-t border-rule pt-2 text-sm">
      <p className="text-xs text-soft">{title}</p>
      <ul>
        {to.map((m) => (
          <li key={m.device + m.letter}>
            <Link className="inline-block min-h-6 text-blue underline" to={stationPath(m.device, m.letter, 'build')}>
              {m.name} {m.letter}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Beside the tag of a build that hangs by so many branches; of many requirements the bar takes a second line. */
const ROOM = 122;
const INDENT = 14;

function boxWidth(boxes: number, depth: number): number {
  return Math.max(7, Math.min(9, Math.floor((ROOM - depth * INDENT) / Math.max(1, boxes)) - 1));
}
