import { infiniteQueryOptions, useInfiniteQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';

import { api, must } from '../api/client';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { Table } from '../ui/Table';
import { dayAndTime } from '../ui/time';
import { Waiting } from '../ui/Waiting';
import { Apart } from './Apart';

const logQuery = (workspace: string) =>
  infiniteQueryOptions({
    queryKey: ['log', workspace],
    staleTime: 0,
    initialPageParam: '',
    queryFn: ({ pageParam }) =>
      must(api.GET('/api/workspaces/{id}/log', { params: { path: { id: workspace }, query: { after: pageParam } } })),
    getNextPageParam: (page) => page.next ?? undefined,
  });

/** Who signed in, who was let in, what was taken out and what was unblinded; for leads. */
export default function AccessLog() {
  const { workspace = '' } = useParams();
  const query = useInfiniteQuery(logQuery(workspace));
  return (
    <Apart>
      <main>
        <Waiting query={query} title="Access log">
          {({ pages }) => (
            <Sheet title="Access log" sentence={pages[0]?.sentence ?? ''}>
              <div className="mt-4">
                <Table
                  wide
                  stacks
                  label="Access log"
                  rows={pages.flatMap((page) => page.rows)}
                  keyOf={(row) => row.id}
                  columns={[
                    { head: 'When', whole: true, cell: (row) => dayAndTime(row.at) },
                    { head: 'Who', names: true, whole: true, cell: (row) => row.by },
                    { head: 'What', cell: (row) => row.what },
                  ]}
                />
              </div>
              {query.hasNextPage && (
                <Button className="mt-4" disabled={query.isFetching} onClick={() => void query.fetchNextPage()}>
                  {query.isFetching ? 'Fetching …' : 'Earlier'}
                </Button>
              )}
            </Sheet>
          )}
        </Waiting>
      </main>
    </Apart>
  );
}
