import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useParams } from 'react-router';

import { api, must, type Schemas } from '../api/client';
import { useSession } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import { useLookAgain } from '../ui/lookAgain';
import { Problem } from '../ui/Problem';
import { Part, Sheet } from '../ui/Sheet';
import { dayAndTime } from '../ui/time';
import { Waiting } from '../ui/Waiting';
import { Cameras } from './Cameras';
import { DropZone } from './DropZone';
import { OneFile } from './OneFile';
import { heapQuery } from './query';
import { OnItsWay } from './OnItsWay';
import { Tile } from './Tile';

/** What was filmed, photographed or spoken, in one heap, laid against the runs by the time it was taken. */
export default function Heap() {
  const { workspace = '', file } = useParams();
  const query = useQuery(heapQuery(workspace));
  const session = useSession();
  const role = session.data?.workspaces.find((w) => w.id === workspace)?.role;
  const write = role === 'lead' || role === 'member';
  useLookAgain(query.data?.rows.some((r) => r.file.state === 'waiting') === true, 'heap');
  return (
    <Waiting query={query} title="Heap">
      {(sheet) => {
        const rows = [...sheet.rows, ...sheet.aside];
        const row = rows.find((r) => r.file.id === file);
        const at = sheet.rows.findIndex((r) => r.file.id === file);
        return row === undefined ? (
          <HeapSheet sheet={sheet} workspace={workspace} write={write} />
        ) : (
          <OneFile
            key={row.file.id}
            row={row}
            sheet={sheet}
            write={write}
            home={`/heap/${workspace}`}
            next={sheet.rows[at + 1]?.file.id ?? null}
            before={sheet.rows[at - 1]?.file.id ?? null}
          />
        );
      }}
    </Waiting>
  );
}

type Group = { run: Schemas['HeapRun'] | null; rows: Schemas['HeapRow'][] };

/** As they were taken: what lies against one run stands together. */
function grouped(sheet: Schemas['HeapSheet']): Group[] {
  const runs = new Map(sheet.runs.map((r) => [r.id, r]));
  const out = new Map<string, Group>();
  for (const row of sheet.rows) {
    const key = row.run ?? '';
    const group = out.get(key) ?? { run: runs.get(key) ?? null, rows: [] };
    group.rows.push(row);
    out.set(key, group);
  }
  // What lies near no run is looked at last.
  return [...out.values()].sort((a, b) => Number(a.run === null) - Number(b.run === null));
}

function HeapSheet({ sheet, workspace, write }: { sheet: Schemas['HeapSheet']; workspace: string; write: boolean }) {
  const groups = useMemo(() => grouped(sheet), [sheet]);
  const aside = useWrite();
  const putAside = (files: string[] | null) =>
    void aside.run(() =>
      must(api.POST('/api/workspaces/{id}/heap/aside', { params: { path: { id: workspace } }, body: { files } })),
    );
  return (
    <Sheet
      title="Heap"
      sentence={sheet.sentence}
      actions={
        write &&
        sheet.rows.length > 0 && (
          <Button disabled={aside.busy} onClick={() => putAside(null)}>
            Put all the rest aside
          </Button>
        )
      }
    >
      <Problem says={aside.problem} />
      {write && <DropZone workspace={workspace} />}
      <OnItsWay workspace={workspace} />
      {sheet.cameras.length > 0 && <Cameras sheet={sheet} write={write} />}
      {sheet.more > 0 && (
        <p className="mt-3 text-sm text-soft">
          {sheet.more} more lie below these: they come up as these are gone through.
        </p>
      )}
      {groups.map((group) => (
        <Part
          key={group.run?.id ?? ''}
          title={group.run?.name ?? 'Near no run'}
          aside={group.run === null ? undefined : dayAndTime(group.run.from)}
          actions={
            write && (
              <Button look="quiet" disabled={aside.busy} onClick={() => putAside(group.rows.map((r) => r.file.id))}>
                Put {group.rows.length === 1 ? 'it' : `these ${group.rows.length}`} aside
              </Button>
            )
          }
        >
          <Tiles rows={group.rows} workspace={workspace} />
        </Part>
      ))}
      {sheet.aside.length > 0 && (
        <details className="mt-7 border-t border-rule pt-4">
          <summary className="stamp min-h-6 cursor-pointer">Put aside</summary>
          <Tiles rows={sheet.aside} workspace={workspace} />
        </details>
      )}
    </Sheet>
  );
}

function Tiles({ rows, workspace }: { rows: Schemas['HeapRow'][]; workspace: string }) {
  return (
    <ul className="grid grid-cols-2 gap-3 sm:grid-cols-[repeat(auto-fill,minmax(9rem,1fr))]">
      {rows.map((row) => (
        // What is far down is drawn when it comes into sight.
        <li key={row.file.id} className="[content-visibility:auto] [contain-intrinsic-size:9rem]">
          <Tile row={row} to={`/heap/${workspace}/${row.file.id}`} />
        </li>
      ))}
    </ul>
  );
}
