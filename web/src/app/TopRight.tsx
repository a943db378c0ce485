import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';

import { api, must } from '../api/client';
import { sessionQuery, useSession } from '../api/queries';
import { Menu } from '../ui/Menu';

const ToSend = lazy(() => import('./ToSend'));

/** What a workspace has beside its devices: address and words. */
const OF_A_WORKSPACE = [
  ['people', 'People'],
  ['out', 'Days out'],
  ['heap', 'Heap'],
  ['storage', 'Storage'],
] as const;

/** Who is signed in, the people of the workspaces, and the way out. */
export function TopRight() {
  const session = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const name = session.data?.name ?? '';
  const [problem, setProblem] = useState('');

  async function signOut() {
    // What waits is sent first where somebody is reached; what is left is sealed for whoever wrote it.
    const [{ flush }, { leave }] = await Promise.all([import('../outbox/sender'), import('../outbox/seal')]);
    await flush().catch(() => undefined);
    try {
      await must(api.DELETE('/api/session'));
    } catch (error) {
      setProblem(error instanceof Error ? `You are still signed in. ${error.message}` : '');
      return;
    }
    await leave(session.data?.seal ?? null).catch(() => undefined);
    // What one person saw is nothing for the next one at this device; the answer empties the browser's own store.
    client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
    await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
    await navigate('/');
  }

  return (
    <>
      {problem !== '' && (
        <p role="alert" className="max-w-md text-sm font-semibold text-oxide">
          {problem}
        </p>
      )}
      <Suspense fallback={null}>
        <ToSend person={session.data?.email ?? ''} />
      </Suspense>
      <Menu
        align="end"
        className="min-h-9 cursor-pointer rounded-sm px-2 text-sm font-semibold text-blue hover:bg-wash"
        label={`${name}: people and sign out`}
        head={name}
        button={name
          .split(' ')
          .map((w) => w[0])
          .join('')}
        items={[
          { to: '/', words: 'All devices' },
          ...OF_A_WORKSPACE.flatMap(([path, words]) =>
            (session.data?.workspaces ?? []).map((w) => ({ to: `/${path}/${w.id}`, words: `${words} of ${w.name}` })),
          ),
          ...(session.data?.workspaces ?? [])
            .filter((w) => w.role === 'lead')
            .map((w) => ({ to: `/log/${w.id}`, words: `Access log of ${w.name}` })),
          { to: '/field', words: 'In the field' },
          { to: '/you', words: 'Password and places' },
          { words: 'Sign out', choose: () => void signOut() },
        ]}
      />
    </>
  );
}
