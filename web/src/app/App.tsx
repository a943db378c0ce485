import { lazy, Suspense, useEffect, useState } from 'react';
import { Route, Routes, useLocation } from 'react-router';

import { useSession } from '../api/queries';
import { ProblemError } from '../api/client';
import { keepFor } from '../outbox/drafts';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { DeviceFrame } from './DeviceFrame';
import { STATION_VIEWS } from './views';

const Brief = lazy(() => import('../plate/Brief'));
const Methods = lazy(() => import('../plate/Methods'));
const MethodPage = lazy(() => import('../plate/MethodPage'));
const Workings = lazy(() => import('../plate/Workings'));
const Sharing = lazy(() => import('../plate/Sharing'));
const People = lazy(() => import('./People'));

const OnThisDevice = lazy(() => import('./OnThisDevice'));
const Outings = lazy(() => import('./Outings'));
const Storage = lazy(() => import('./Storage'));
const AccessLog = lazy(() => import('./AccessLog'));
const HeapPage = lazy(() => import('./HeapPage'));
const Rate = lazy(() => import('./Rate'));
const You = lazy(() => import('./You'));
const Devices = lazy(() => import('./Devices'));
const FirstAccount = lazy(() => import('./FirstAccount'));
const SignIn = lazy(() => import('./SignIn'));

/** ms until the field opens from what this device holds. */
const PATIENCE_IN_THE_FIELD = 800;

export function App() {
  const session = useSession();
  const isField = useLocation().pathname.startsWith('/field');
  const opening = <main className="p-10 text-soft">Opening …</main>;
  const isAway = session.error instanceof ProblemError && session.error.status === 0;
  const handed = session.data?.panel ?? null;
  const { name, email } = session.data ?? { name: null, email: null };
  if (typeof email === 'string') keepFor(email);
  useEffect(() => {
    // A rater who holds this device is nobody whom it knows.
    if (typeof email === 'string' && typeof name === 'string')
      void import('../outbox/held')
        .then(({ rememberPerson }) => rememberPerson(handed === null ? { email, name } : null))
        .catch(() => undefined);
  }, [email, name, handed]);
  const seal = session.data?.seal ?? null;
  useEffect(() => {
    // Whoever signed out here with something unsent finds it again.
    if (typeof email === 'string' && seal !== null)
      void import('../outbox/seal').then(({ comeBack }) => comeBack(seal)).catch(() => undefined);
  }, [email, seal]);
  // In the field it is sent, and said, by the field's own screen. Nothing of it is wanted before the sheet stands.
  useEffect(() => {
    if (typeof email !== 'string' || isField) return;
    let stop: (() => void) | null = null;
    let gone = false;
    void import('../outbox/sender')
      .then(({ sendByItself }) => {
        if (!gone) stop = sendByItself(() => undefined);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
      stop?.();
    };
  }, [email, isField]);
  const late = useLate(isField && session.data === undefined);
  // In the field what this device holds is opened, whatever the server does.
  if (isField && session.data === undefined && (session.isError || late))
    return (
      <Suspense fallback={opening}>
        <OnThisDevice otherwise={null} now={null} />
      </Suspense>
    );
  if (session.isError && !isAway) {
    return (
      <main className="mx-auto max-w-2xl p-4 sm:p-10">
        <Sheet title="Lustrum" sentence={session.error.message}>
          <Button className="mt-4" onClick={() => void session.refetch()}>
            Try again
          </Button>
        </Sheet>
      </main>
    );
  }
  if (session.data === undefined && !isAway) return opening;
  if (typeof name !== 'string' || typeof email !== 'string') {
    const outside = session.data === undefined ? null : session.data.empty ? <FirstAccount /> : <SignIn />;
    return (
      <Suspense fallback={opening}>
        {isField || isAway ? <OnThisDevice otherwise={outside} now={null} /> : outside}
      </Suspense>
    );
  }
  if (handed !== null)
    return (
      <Suspense fallback={opening}>
        <Rate panel={handed} />
      </Suspense>
    );
  if (isField)
    return (
      <Suspense fallback={opening}>
        <OnThisDevice otherwise={null} now={{ email, name }} />
      </Suspense>
    );
  return (
    <Suspense fallback={opening}>
      <Routes>
        <Route path="/" element={<Devices />} />
        <Route path="/people/:workspace" element={<People />} />
        <Route path="/out/:workspace/:outing?" element={<Outings />} />
        <Route path="/heap/:workspace/:file?" element={<HeapPage />} />
        <Route path="/storage/:workspace" element={<Storage />} />
        <Route path="/log/:workspace" element={<AccessLog />} />
        <Route path="/you" element={<You />} />
        <Route path="/d/:device" element={<DeviceFrame />}>
          <Route path="brief" element={<Brief />} />
          <Route path="methods" element={<Methods />} />
          <Route path="methods/:method" element={<MethodPage />} />
          <Route path="workings" element={<Workings />} />
          <Route path="sharing" element={<Sharing />} />
          {STATION_VIEWS.map(({ path, view: View }) => (
            <Route key={path} path={`:letter/${path}`} element={<View />} />
          ))}
          <Route path="*" element={<NothingHere />} />
        </Route>
        <Route
          path="*"
          element={
            <main className="mx-auto max-w-2xl p-4 sm:p-10">
              <NothingHere />
            </main>
          }
        />
      </Routes>
    </Suspense>
  );
}

/** Has something gone on for longer than somebody in a field waits? */
function useLate(isOpen: boolean): boolean {
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (!isOpen) return;
    const timer = setTimeout(() => setLate(true), PATIENCE_IN_THE_FIELD);
    return () => clearTimeout(timer);
  }, [isOpen]);
  return isOpen && late;
}

function NothingHere() {
  return (
    <Sheet title="Nothing here" sentence="There is nothing at this address, or it is not yours to see.">
      <a className="mt-4 inline-block font-semibold text-blue underline" href="/">
        To your devices
      </a>
    </Sheet>
  );
}
