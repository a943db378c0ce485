import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { type Schemas } from '../api/client';
import { sendLong, type HowFar } from '../api/lines';
import { putRecord } from '../api/records';
import { devicesQuery, useSession } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { DEVICE_FIELDS } from '../plate/deviceFields';
import { Button } from '../ui/Button';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Empty } from '../ui/Sheet';
import { Tag } from '../ui/Tag';
import { stationPath, useBegin } from '../ui/place';
import { prose } from '../ui/prose';
import { useKeys } from '../ui/useKeys';
import { TopRight } from './TopRight';
import { TrySomething } from './TrySomething';

const TakeOver = lazy(() => import('./TakeOver'));

/** All workspaces of a person with their devices. */
export default function Devices() {
  const session = useSession();
  useKeys();
  return (
    <div className="mx-auto max-w-5xl px-3 py-4 sm:px-8">
      <header className="flex items-center justify-between">
        <p className="stamp text-xl">Lustrum</p>
        <TopRight />
      </header>
      <main className="mt-4 space-y-8">
        {session.data?.workspaces.map((w) => (
          <WorkspaceDevices key={w.id} workspace={w} />
        ))}
        {session.data?.workspaces.length === 0 && (
          <Empty>You are in no workspace. Ask a lead to let you in with this e-mail: {session.data.email}.</Empty>
        )}
      </main>
    </div>
  );
}

function WorkspaceDevices({ workspace }: { workspace: Schemas['WorkspaceView'] }) {
  const devices = useQuery(devicesQuery(workspace.id));
  const [editing, setEditing] = useState<Editing>(null);
  const [takingOver, setTakingOver] = useState(false);
  const navigate = useNavigate();
  const write = workspace.role !== 'viewer';
  const begin = useCallback(() => setEditing({ id: uuid(), record: { gates: 'open', confidence: 0.95 } }), []);
  useBegin(write ? begin : null);
  return (
    <section className="border border-rule bg-sheet px-4 py-5 sm:px-8">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="font-serif text-2xl">{workspace.name}</h1>
        {write && (
          <div className="flex flex-wrap gap-2">
            <Import workspace={workspace.id} />
            <Button onClick={() => setTakingOver(true)}>Take over a design</Button>
            <Button onClick={begin}>New device</Button>
            <TrySomething workspace={workspace.id} />
          </div>
        )}
      </div>
      {devices.isError && <p className="mt-3 text-oxide">{devices.error.message}</p>}
      {devices.data?.length === 0 && (
        <Empty action={write && <TrySomething workspace={workspace.id} />}>
          Nothing here yet. Begin with the thing in your hand: a line, or a picture, and the first run is there.
          Requirements, methods and builds come of what you say of it; from the second build on, Lustrum works out what
          changed and whether it helped.
        </Empty>
      )}
      <ul className="mt-4 divide-y divide-rule border-y border-rule empty:hidden">
        {devices.data?.map((card) => (
          <li key={card.device.id}>
            <Link
              to={
                card.latestLetter === null
                  ? `/d/${card.device.id}/brief`
                  : stationPath(card.device.id, card.latestLetter, 'build')
              }
              className="flex items-start gap-4 py-4 hover:bg-wash"
            >
              <Tag letter={card.latestLetter ?? '–'} size={38} />
              <span>
                <span className="text-lg font-semibold text-blue underline">{card.device.name}</span>
                <span className="block">{card.sentence}</span>
                <span className="block max-w-prose text-sm text-soft">{prose(card.device.brief)}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {takingOver && (
        <Suspense fallback={null}>
          <TakeOver workspace={workspace.id} close={() => setTakingOver(false)} />
        </Suspense>
      )}
      <RecordSlip
        title="New device"
        kind={`device:${workspace.id}`}
        editing={editing}
        fields={DEVICE_FIELDS}
        label="Make device"
        onClose={() => setEditing(null)}
        save={async (id, values, version) => {
          await putRecord('devices', id, { ...values, workspace: workspace.id, version });
          await navigate(`/d/${id}/brief`);
        }}
      />
    </section>
  );
}

const MOST_BYTES = 60_000_000;

function Import({ workspace }: { workspace: string }) {
  const file = useRef<HTMLInputElement>(null);
  const [state, setState] = useState('');
  const [far, setFar] = useState<HowFar | null>(null);
  const write = useWrite();

  async function take(chosen: File | undefined) {
    if (chosen === undefined) return;
    setState('Bringing it in …');
    const kept = await write.run(async () => {
      if (chosen.size > MOST_BYTES)
        throw new Error('This file is larger than 60 MB, which is the most that can be brought in.');
      const done = await sendLong<Schemas['ImportView']>(`/api/workspaces/${workspace}/import`, chosen, setFar);
      setState(done.sentence);
    });
    setFar(null);
    if (!kept) setState('');
    if (file.current) file.current.value = '';
  }
  const where = Object.keys(write.violations)[0];
  // A connection that broke may have broken after the last of it was in.
  const unknown = write.kind === 'cut-off' || write.kind === 'offline';

  return (
    <>
      {state !== '' && (
        // Said aloud at the beginning and the end, not at each step.
        <p role={far === null ? 'status' : undefined} className="self-center text-sm text-soft">
          {far?.sentence ?? state}
        </p>
      )}
      {far !== null && (
        <progress value={far.taken} max={far.of} aria-label="Records brought in" className="h-2 w-40 self-center" />
      )}
      {write.problem !== '' && (
        <p role="alert" className="basis-full text-sm font-semibold text-oxide">
          {write.problem} {where !== undefined && `(at ${where})`} {!unknown && 'Nothing was stored.'}
        </p>
      )}
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Device file"
        onChange={(e) => void take(e.target.files?.[0])}
      />
      <Button onClick={() => file.current?.click()}>Bring in a device file</Button>
    </>
  );
}
