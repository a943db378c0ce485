import { queryOptions, useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';

import { api, must } from '../api/client';
import { Part, Sheet } from '../ui/Sheet';
import { Table } from '../ui/Table';
import { Waiting } from '../ui/Waiting';
import { Apart } from './Apart';

const storageQuery = (workspace: string) =>
  queryOptions({
    queryKey: ['storage', workspace],
    staleTime: 0,
    queryFn: () => must(api.GET('/api/workspaces/{id}/storage', { params: { path: { id: workspace } } })),
  });

/** What takes up the storage of a workspace. */
export default function Storage() {
  const { workspace = '' } = useParams();
  const query = useQuery(storageQuery(workspace));
  return (
    <Apart>
      <main>
        <Waiting query={query} title="Storage">
          {({ sentence, percent, devices, largest }) => (
            <Sheet title="Storage" sentence={sentence}>
              <Bar percent={percent} label="Of what it may take" />
              {devices.length > 0 && (
                <Part title="By device">
                  <Table
                    wide
                    label="Storage by device"
                    rows={devices}
                    keyOf={(row) => row.name}
                    columns={[
                      { head: 'Device', names: true, cell: (row) => row.name },
                      { head: 'Takes', right: true, whole: true, cell: (row) => row.size },
                      {
                        head: 'Of all that is taken',
                        look: 'min-w-32',
                        cell: (row) => <Bar percent={row.percent} label={`Share of ${row.name}`} />,
                      },
                      { head: 'Files', cell: (row) => row.of },
                    ]}
                  />
                </Part>
              )}
              {largest.length > 0 && (
                <Part title="The largest">
                  <Table
                    wide
                    label="The largest files"
                    rows={largest}
                    keyOf={(row) => row.id}
                    columns={[
                      { head: 'File', names: true, cell: (row) => (row.name === '' ? 'without a name' : row.name) },
                      { head: 'Where', cell: (row) => row.where },
                      { head: 'Size', right: true, whole: true, cell: (row) => row.size },
                    ]}
                  />
                </Part>
              )}
            </Sheet>
          )}
        </Waiting>
      </main>
    </Apart>
  );
}

/** A share, drawn as a length. */
function Bar({ percent, label }: { percent: number; label: string }) {
  return (
    <div
      role="img"
      aria-label={`${label}: ${percent} %`}
      className="mt-1 h-3 w-full max-w-md border border-rule bg-paper"
    >
      <div className={`h-full ${percent > 90 ? 'bg-oxide' : 'bg-ink'}`} style={{ width: `${percent}%` }} />
    </div>
  );
}
