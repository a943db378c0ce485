import { lazy, Suspense } from 'react';
import { Route, Routes } from 'react-router';

import { useSession } from '../api/queries';
import { keepFor } from '../outbox/drafts';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { DeviceFrame } from './DeviceFrame';
import { STATION_VIEWS } from './views';

const Brief = lazy(() => import('../plate/Brief'));
const Methods = lazy(() => import('../plate/Methods'));
const MethodPage = lazy(() => import('../plate/MethodPage'));
const Sharing = lazy(() => import('../plate/Sharing'));
const People = lazy(() => import('./People'));

const You = lazy(() => import('./You'));
const Devices = lazy(() => import('./Devices'));
const FirstAccount = lazy(() => import('./FirstAccount'));
const SignIn = lazy(() => import('./SignIn'));

export function App() {
  const session = useSession();
  if (session.isError) {
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
  if (session.data?.email !== undefined && session.data.email !== null) keepFor(session.data.email);
  const opening = <main className="p-10 text-soft">Opening …</main>;
  if (session.data === undefined) return opening;
  if (session.data.empty || session.data.name === null) {
    return <Suspense fallback={opening}>{session.data.empty ? <FirstAccount /> : <SignIn />}</Suspense>;
  }
  return (
    <Suspense fallback={opening}>
      <Routes>
        <Route path="/" element={<Devices />} />
        <Route path="/people/:workspace" element={<People />} />
        <Route path="/you" element={<You />} />
        <Route path="/d/:device" element={<DeviceFrame />}>
          <Route path="brief" element={<Brief />} />
          <Route path="methods" element={<Methods />} />
          <Route path="methods/:method" element={<MethodPage />} />
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

function NothingHere() {
  return (
    <Sheet title="Nothing here" sentence="There is nothing at this address, or it is not yours to see.">
      <a className="mt-4 inline-block font-semibold text-blue underline" href="/">
        To your devices
      </a>
    </Sheet>
  );
}
