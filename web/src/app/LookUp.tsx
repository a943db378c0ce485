import { useState } from 'react';
import { useNavigate } from 'react-router';

import { Slip } from '../ui/Slip';
import { STATIONS, stationPath, type Frame } from '../ui/place';

/** Looks up a place by a few letters: a build, a station, a sheet of the device. */
export default function LookUp({ frame, open, onClose }: { frame: Frame; open: boolean; onClose: () => void }) {
  return (
    <Slip open={open} onClose={onClose} title="Look up">
      <Places frame={frame} onClose={onClose} />
    </Slip>
  );
}

function Places({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  const [text, setText] = useState('');
  const navigate = useNavigate();
  const device = frame.device.id;
  const places = [
    ...frame.spine.flatMap((tag) =>
      STATIONS.map((s) => ({
        words: `Build ${tag.revision.letter}, ${s}`,
        more: tag.waits.find((w) => w.station === s)?.why ?? (s === 'build' ? tag.revision.intent : ''),
        to: stationPath(device, tag.revision.letter, s),
      })),
    ),
    { words: 'Brief and requirements', more: frame.device.name, to: `/d/${device}/brief` },
    { words: 'Methods and instruments', more: frame.device.name, to: `/d/${device}/methods` },
    { words: 'Reports and sharing', more: frame.device.name, to: `/d/${device}/sharing` },
    { words: 'All devices', more: '', to: '/' },
  ];
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = places
    .filter((p) => wanted.every((w) => `${p.words} ${p.more}`.toLowerCase().includes(w)))
    .slice(0, 30);
  function go(to: string) {
    onClose();
    void navigate(to);
  }
  return (
    <>
      <label htmlFor="look-up" className="mb-1 block text-sm font-semibold">
        Build, station or sheet
      </label>
      <input
        id="look-up"
        autoFocus
        className="field"
        value={text}
        autoComplete="off"
        placeholder="F weigh"
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && found[0] !== undefined && go(found[0].to)}
      />
      <ul className="mt-3 divide-y divide-rule">
        {found.map((p) => (
          <li key={p.to}>
            <button
              type="button"
              className="w-full cursor-pointer py-2 text-left hover:bg-wash"
              onClick={() => go(p.to)}
            >
              <span className="font-semibold text-blue">{p.words}</span>{' '}
              <span className="text-sm text-soft">{p.more}</span>
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="mt-3 text-soft">Nothing is called that here.</p>}
    </>
  );
}
