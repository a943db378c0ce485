import { queryOptions } from '@tanstack/react-query';

import { api, must } from '../api/client';

/** What waits in a heap, laid against the runs. */
export const heapQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['sheet', 'heap', workspace],
    queryFn: () => must(api.GET('/api/workspaces/{id}/heap', { params: { path: { id: workspace } } })),
  });
