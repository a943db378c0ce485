import { useQueryClient } from '@tanstack/react-query';
import { DropdownMenu } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { Link, useNavigate } from 'react-router';

import { api, must } from '../api/client';
import { sessionQuery, useSession } from '../api/queries';

const ToSend = lazy(() => import('./ToSend'));

const ITEM = 'block w-full cursor-pointer px-3 py-2 text-left text-sm outline-none data-[highlighted]:bg-wash';

/** What a workspace has beside its devices: address and words. */
const OF_A_WORKSPACE = [
  ['people', 'People'],
  ['out', 'Days out'],
  ['heap', 'Heap'],
] as const;

/** Who is signed in, the people of the workspaces, and the way out. */
export function TopRight() {
  const session = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const name = session.data?.name ?? '';

  async function signOut() {
    await must(api.DELETE('/api/session'));
    // What waits stays; whoever opens this device next is not shown whose it is.
    await import('../outbox/held').then(({ rememberPerson }) => rememberPerson(null));
    // What one person saw is nothing for the next one at this device; the answer empties the browser's own store.
    client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' });
    await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
    await navigate('/');
  }

  return (
    <>
      <Suspense fallback={null}>
        <ToSend person={session.data?.email ?? ''} />
      </Suspense>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          className="min-h-9 cursor-pointer rounded-sm px-2 text-sm font-semibold text-blue hover:bg-wash"
          aria-label={`${name}: people and sign out`}
        >
          {name
            .split(' ')
            .map((w) => w[0])
            .join('')}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-40 min-w-52 border border-rule bg-sheet py-1 shadow-lg">
            <DropdownMenu.Label className="px-3 py-2 text-xs text-soft">{name}</DropdownMenu.Label>
            <DropdownMenu.Item asChild>
              <Link className={ITEM} to="/">
                All devices
              </Link>
            </DropdownMenu.Item>
            {OF_A_WORKSPACE.flatMap(([path, words]) =>
              (session.data?.workspaces ?? []).map((w) => (
                <DropdownMenu.Item asChild key={path + w.id}>
                  <Link className={ITEM} to={`/${path}/${w.id}`}>
                    {`${words} of ${w.name}`}
                  </Link>
                </DropdownMenu.Item>
              )),
            )}
            <DropdownMenu.Item asChild>
              <Link className={ITEM} to="/field">
                In the field
              </Link>
            </DropdownMenu.Item>
            <DropdownMenu.Item asChild>
              <Link className={ITEM} to="/you">
                Password and places
              </Link>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void signOut()}>
              Sign out
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
