import { infiniteQueryOptions, queryOptions, useQuery } from '@tanstack/react-query';

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

export const startQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['start', workspace],
    // What was used last changes with every run.
    staleTime: 0,
    queryFn: () => must(api.GET('/api/workspaces/{id}/start', { params: { path: { id: workspace } } })),
  });

export const membersQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['members', workspace],
    queryFn: () => must(api.GET('/api/workspaces/{id}/members', { params: { path: { id: workspace } } })),
  });

export const youQuery = queryOptions({
  queryKey: ['you'],
  queryFn: () => must(api.GET('/api/signed-in')),
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

export const workingsQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'workings', revision],
    queryFn: () => must(api.GET('/api/revisions/{id}/workings', { params: { path: { id: revision } } })),
  });

/** Stale whenever the library is. */
export const methodQuery = (method: string) =>
  queryOptions({
    queryKey: ['sheet', 'methods', 'one', method],
    queryFn: () => must(api.GET('/api/methods/{id}/sheet', { params: { path: { id: method } } })),
  });

/** Stale whenever the build's own sheet is. */
export const workshopQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'build', revision, 'workshop'],
    queryFn: () => must(api.GET('/api/revisions/{id}/workshop', { params: { path: { id: revision } } })),
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

/** Stale whenever Try is. */
export const fieldQuery = (revision: string) =>
  queryOptions({
    queryKey: ['sheet', 'try', revision, 'field'],
    queryFn: () => must(api.GET('/api/revisions/{id}/field', { params: { path: { id: revision } } })),
  });

export const panelQuery = (panel: string) =>
  queryOptions({
    queryKey: ['sheet', 'panel', panel],
    // Raters go on at other devices.
    refetchInterval: 10_000,
    queryFn: () => must(api.GET('/api/panels/{id}/page', { params: { path: { id: panel } } })),
  });

export const rateQuery = (panel: string, rater: string) =>
  queryOptions({
    queryKey: ['rate', panel, rater],
    staleTime: 0,
    queryFn: () =>
      must(api.GET('/api/panels/{id}/rate', { params: { path: { id: panel }, query: rater === '' ? {} : { rater } } })),
  });

export const decisionQuery = (decision: string) =>
  queryOptions({
    queryKey: ['sheet', 'decision', decision],
    queryFn: () => must(api.GET('/api/decisions/{id}', { params: { path: { id: decision } } })),
  });

/** The runs of a build that say something of a metric, a page at a time. */
export const runsQuery = (of: { revision: string; metric: string; against?: string }) =>
  infiniteQueryOptions({
    queryKey: ['sheet', 'runs', of.revision, of.metric, of.against ?? ''],
    queryFn: ({ pageParam }) =>
      must(
        api.GET('/api/revisions/{id}/runs', {
          params: {
            path: { id: of.revision },
            query: {
              metric: of.metric,
              ...(of.against === undefined ? {} : { against: of.against }),
              ...(pageParam === '' ? {} : { after: pageParam }),
            },
          },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
  });

export const explanationsQuery = queryOptions({
  queryKey: ['explanations'],
  queryFn: () => must(api.GET('/api/explanations')),
  staleTime: Infinity,
});

export function useSession() {
  return useQuery(sessionQuery);
}
