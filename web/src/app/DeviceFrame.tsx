import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, Outlet, useNavigate, useParams, useLocation } from 'react-router';

import { frameQuery } from '../api/queries';
import { useOnline } from '../outbox/useOnline';
import { Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { forgetBegin, PlaceContext, STATIONS, stationPath, type Frame, type Station } from '../ui/place';
// At hand from the start: every station opens slips, and this is the smallest.
import KeysSlip from './KeysSlip';
import { Plate } from './Plate';
import { Spine } from './Spine';
import { Stations } from './Stations';
import { TopRight } from './TopRight';
import { TrySomething } from './TrySomething';
import { useKeys } from '../ui/useKeys';
import { fetchSheet } from './views';

const LookUp = lazy(() => import('./LookUp'));

/** What surrounds every sheet of a device: plate, spine and stations. */
export function DeviceFrame() {
  const { device = '' } = useParams();
  const frame = useQuery(frameQuery(device));
  return (
    <Waiting query={frame} title="Device">
      {(data) => <Framed frame={data} />}
    </Waiting>
  );
}

function Framed({ frame }: { frame: Frame }) {
  const { letter } = useParams();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const online = useOnline();
  useEffect(forgetBegin, [pathname]);
  const [looking, setLooking] = useState(false);
  const [keys, setKeys] = useState(false);
  const device = frame.device.id;
  const tag =
    frame.spine.find((t) => t.revision.letter === letter) ?? (letter === undefined ? frame.spine[0] : undefined);
  const station = STATIONS.find((s) => pathname.includes(`/${s}`) && letter !== undefined);

  const client = useQueryClient();
  const build = tag?.revision.id;
  useEffect(() => {
    if (build !== undefined && letter !== undefined) fetchSheet(client, pathname, build);
  }, [client, pathname, build, letter]);

  function go(to: Station | null, by: number) {
    // A key may come while the sheet that the address names already is still being drawn.
    const [, , , letterNow, stationNow] = window.location.pathname.split('/');
    const here = frame.spine.find((t) => encodeURIComponent(t.revision.letter) === letterNow) ?? tag;
    if (here === undefined) return;
    const at = frame.spine.indexOf(here) + by;
    const next = frame.spine[Math.max(0, Math.min(frame.spine.length - 1, at))];
    const station = to ?? STATIONS.find((s) => s === stationNow) ?? 'build';
    if (next !== undefined) void navigate(stationPath(device, next.revision.letter, station));
  }
  useKeys({
    ...Object.fromEntries(STATIONS.map((s, i) => [String(i + 1), () => go(s, 0)])),
    '[': () => go(null, 1),
    ']': () => go(null, -1),
    '/': () => setLooking(true),
    '?': () => setKeys(true),
  });

  return (
    <div className="min-h-dvh lg:grid lg:grid-cols-[var(--spacing-spine)_1fr] lg:grid-rows-[auto_1fr]">
      <a href="#sheet" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        Skip to the sheet
      </a>
      <div className="frame-only flex items-center justify-between gap-2 border-b border-rule bg-sheet px-3 py-1.5 lg:border-r lg:px-4">
        <Plate frame={frame} tag={tag} station={station ?? 'build'} />
        <div className="flex items-center lg:hidden">
          <LookUpButton onClick={() => setLooking(true)} />
          <TopRight />
        </div>
      </div>
      <div className="frame-only flex items-center justify-between border-b border-rule bg-sheet px-1 sm:px-4">
        <Stations device={device} tag={tag} current={station} />
        <div className="hidden items-center gap-1 lg:flex">
          {frame.write && <TrySomething workspace={frame.device.workspace} build={build} />}
          <LookUpButton onClick={() => setLooking(true)} />
          <TopRight />
        </div>
      </div>
      <nav aria-label="Builds" className="frame-only hidden border-r border-rule px-3 py-4 lg:block">
        <Spine frame={frame} current={tag} station={station ?? 'build'} />
      </nav>
      <main id="sheet" tabIndex={-1} className="min-w-0 p-2 outline-none sm:p-5">
        {/* On a phone it stands above the sheet; a run that is open is what is being tried. */}
        {frame.write && !pathname.includes('/run/') && (
          <div className="frame-only mb-2 lg:hidden">
            <TrySomething workspace={frame.device.workspace} build={build} className="w-full" />
          </div>
        )}
        {!online && (
          <p role="status" className="mb-3 border border-brass bg-brasswash px-3 py-2 text-sm">
            No connection. You see what was last fetched; what you type is kept on this device until you save it again.
          </p>
        )}
        <Suspense fallback={<Sheet title="Opening …" />}>
          {letter !== undefined && tag === undefined ? (
            <Sheet title="Nothing here" sentence={`${frame.device.name} has no build ${letter}.`}>
              <Link className="mt-3 inline-block text-blue underline" to={`/d/${device}/brief`}>
                To its brief
              </Link>
            </Sheet>
          ) : (
            <PlaceContext.Provider value={{ frame, tag }}>
              <Outlet />
            </PlaceContext.Provider>
          )}
        </Suspense>
      </main>
      <Suspense fallback={null}>
        {looking && <LookUp frame={frame} open onClose={() => setLooking(false)} />}
        {keys && <KeysSlip open onClose={() => setKeys(false)} />}
      </Suspense>
    </div>
  );
}

function LookUpButton({ onClick }: { onClick: () => void }) {
  return (
    <button
      type="button"
      onClick={onClick}
      className="min-h-9 cursor-pointer rounded-sm px-2 text-sm font-semibold text-blue hover:bg-wash"
    >
      Look up
    </button>
  );
}
