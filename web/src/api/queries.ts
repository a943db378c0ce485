import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';

import { api, must, setToken } from './client';

/** Everything that is read, one entry a sheet; the key begins with the kind, so that a write can make it stale. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async () => {
    const session = await must(api.GET('/api/session'));
    setToken(session.token);
    return session;
  },
  staleTime: Infinity,
});

export const devicesQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['devices', workspace],
    queryFn: () => must(api.GET('/api/workspaces/{id}/devices', { params: { path: { id: workspace } } })),
  });

export const membersQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['members', workspace],
    queryFn: () => must(api.GET('/api/workspaces/{id}/members', { params: { path: { id: workspace } } })),
  });

export const frameQuery = (device: string) =>
  queryOptions({
    queryKey: ['sheet', 'frame', device],
    queryFn: () => must(api.GET('/api/devices/{id}/frame', { params: { path: { id: device } } })),
  });

export const briefQuery = (device: string) =>
  queryOptions({
    queryKey: ['sheet', 'brief', device],
    queryFn: () => must(api.GET('/api/devices/{id}/brief', { params: { path: { id: device } } })),
  });

export const methodsQuery = (device: string) =>
  queryOptions({
    queryKey: ['sheet', 'methods', device],
    queryFn: () => must(api.GET('/api/devices/{id}/methods', { params: { path: { id: device } } })),
  });

export const buildQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'build', revision],
    queryFn: () => must(api.GET('/api/revisions/{id}/build', { params: { path: { id: revision } } })),
  });

export const tryQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'try', revision],
    queryFn: () => must(api.GET('/api/revisions/{id}/try', { params: { path: { id: revision } } })),
  });

export const findQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'find', revision],
    queryFn: () => must(api.GET('/api/revisions/{id}/find', { params: { path: { id: revision } } })),
  });

export const weighQuery = (revision: string, against: string) =>
  queryOptions({
    queryKey: ['sheet', 'weigh', revision, against],
    queryFn: () =>
      must(
        api.GET('/api/revisions/{id}/weigh', {
          params: { path: { id: revision }, query: against === '' ? {} : { against } },
        }),
      ),
  });

export const nextQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'next', revision],
    queryFn: () => must(api.GET('/api/revisions/{id}/next', { params: { path: { id: revision } } })),
  });

export const runQuery = (run: string) =>
  queryOptions({
    queryKey: ['sheet', 'run', run],
    queryFn: () => must(api.GET('/api/runs/{id}', { params: { path: { id: run } } })),
  });

export const decisionQuery = (decision: string) =>
  queryOptions({
    queryKey: ['sheet', 'decision', decision],
    queryFn: () => must(api.GET('/api/decisions/{id}', { params: { path: { id: decision } } })),
  });

export const runsQuery = (device: string, ids: string[]) =>
  queryOptions({
    queryKey: ['sheet', 'runs', device, ids.join(',')],
    queryFn: () =>
      must(api.GET('/api/devices/{id}/runs', { params: { path: { id: device }, query: { ids: ids.join(',') } } })),
  });

export const explanationsQuery = queryOptions({
  queryKey: ['explanations'],
  queryFn: () => must(api.GET('/api/explanations')),
  staleTime: Infinity,
});

export const historyQuery = (record: string) =>
  queryOptions({
    queryKey: ['sheet', 'history', record],
    queryFn: () => must(api.GET('/api/history/{id}', { params: { path: { id: record } } })),
  });

export function useSession() {
  return useQuery(sessionQuery);
}

/** Every sheet is worked out from all records of its device, so a write makes all of them stale. */
export function useRefresh(): () => Promise<void> {
  const client = useQueryClient();
  return useCallback(() => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'session' }), [client]);
}
