import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import type { Opened } from '../../ui/RunsSlip';
import { Table } from '../../ui/Table';
import { useNarrow } from '../../ui/useNarrow';
import { CHANGE_CLASS, VERDICT } from '../../ui/words';
import type { Form } from './Build';

type Row = Schemas['ChangeRow'];

/** Changes from the parent as what, why, expected, what came of it. */
export function ChangeTable({
  rows,
  build,
  parent,
  parentId,
  write,
  open,
  edit,
}: {
  rows: Schemas['ChangeRow'][];
  build: string;
  parent: string;
  parentId: string | null;
  write: boolean;
  open: (opened: Opened) => void;
  edit: (form: Form) => void;
}) {
  const narrow = useNarrow();
  return (
    <Table
      wide
      least={narrow ? '' : 'min-w-[46rem]'}
      label={`Changes from ${parent}`}
      rows={rows}
      keyOf={(row) => row.change.id + row.metricId}
      edit={
        write
          ? (row) => () => edit({ kind: 'change', editing: { id: row.change.id, record: { ...row.change } } })
          : undefined
      }
      columns={[
        {
          head: 'What',
          look: 'max-w-56 font-semibold',
          cell: (row) => (
            <>
              {row.change.what}
              <span className="block text-xs font-normal text-soft">{CHANGE_CLASS[row.change.class]}</span>
              {/* On a phone what came of it stays in sight beside it. */}
              {narrow && (
                <span className="block text-xs font-normal">
                  <Why row={row} />
                  <Expected row={row} />
                </span>
              )}
            </>
          ),
        },
        ...(narrow
          ? []
          : [
              { head: 'Why', look: 'max-w-64', cell: (row: Row) => <Why row={row} /> },
              { head: 'Expected', cell: (row: Row) => <Expected row={row} /> },
            ]),
        {
          head: 'What came of it',
          cell: (row) => (
            <>
              <CameOf row={row} open={() => open(behind(row, build, parentId))} />
              {write && <Verdict row={row} edit={edit} />}
            </>
          ),
        },
      ]}
    />
  );
}

function Why({ row }: { row: Row }) {
  return (
    <>
      {row.change.why}
      {row.against.length > 0 && <span className="block text-xs text-soft">against “{row.against.join('”, “')}”</span>}
    </>
  );
}

function Expected({ row }: { row: Row }) {
  return row.expected === '' ? (
    <span className="block text-soft">no number</span>
  ) : (
    <span className="block">{row.expected}</span>
  );
}

/** The runs behind a verdict. */
function behind(row: Schemas['ChangeRow'], build: string, parentId: string | null): Opened {
  return {
    title: row.change.what,
    sentence: `${row.metric}: ${row.sentence}`,
    how: row.how,
    runs: { revision: build, metric: row.metricId, ...(parentId === null ? {} : { against: parentId }) },
  };
}

const LOOK: Record<string, string> = { worse: 'text-oxide', nobodyLooked: 'text-brass' };

function CameOf({ row, open }: { row: Schemas['ChangeRow']; open: () => void }) {
  const verdict = row.change.verdict ?? row.computed;
  return (
    <>
      <span className={`font-semibold ${LOOK[verdict] ?? ''}`}>{VERDICT[verdict]}</span>
      {row.change.verdict !== null && row.change.verdict !== row.computed && row.seen !== null && (
        <span className="text-xs text-soft"> (the runs say {VERDICT[row.computed]})</span>
      )}
      {row.runs > 0 ? (
        <button type="button" className="block min-h-6 cursor-pointer text-left text-blue underline" onClick={open}>
          {row.sentence}
        </button>
      ) : (
        <span className="block text-soft">{row.sentence}</span>
      )}
      {row.change.verdictNote !== '' && <span className="block text-xs text-soft">{row.change.verdictNote}</span>}
    </>
  );
}

/** Where the runs do not tell, somebody may; elsewhere it is said in the change that is opened. */
function Verdict({ row, edit }: { row: Schemas['ChangeRow']; edit: (form: Form) => void }) {
  if (row.change.verdict !== null || (row.computed !== 'nobodyLooked' && row.computed !== 'cannotTell')) return null;
  return (
    <Button
      look="quiet"
      aria-label={`Give verdict on ${row.change.what}`}
      onClick={() => edit({ kind: 'verdict', editing: { id: row.change.id, record: { ...row.change } } })}
    >
      Give verdict
    </Button>
  );
}
