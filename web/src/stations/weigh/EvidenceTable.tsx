import { useState } from 'react';

import type { Schemas } from '../../api/client';
import type { Opened } from '../../ui/RunsSlip';
import { prose } from '../../ui/prose';
import { Table, type Column } from '../../ui/Table';
import { useNarrow } from '../../ui/useNarrow';
import { Texture, TEXTURE_WORDS } from '../../ui/Texture';
import { KIND } from '../../ui/words';

type Requirement = Schemas['RequirementView'];

/** Requirements × builds, each cell in its texture with the number that it stands on. */
export function EvidenceTable({ sheet, open }: { sheet: Schemas['WeighSheet']; open: (opened: Opened) => void }) {
  const narrow = useNarrow();
  const others = sheet.revisions.filter((r) => r.id !== sheet.revision.id).reverse();
  const [beside, setBeside] = useState(sheet.against?.id ?? others[0]?.id ?? '');
  // On a phone the build that is looked at, and one other that is picked; on a desk all, time running to the right.
  const revisions = narrow ? [sheet.revision, ...others.filter((r) => r.id === beside)] : sheet.revisions;
  const cells = new Map(sheet.cells.map((c) => [`${c.requirement}/${c.revision}`, c]));
  const limit: Column<Requirement> = { head: 'Limit', right: true, whole: true, cell: (r) => r.limitText };
  const table = (
    <Table
      wide
      least={narrow ? '' : 'min-w-[44rem]'}
      label="Evidence, requirements by builds"
      rows={sheet.requirements}
      keyOf={(r) => r.id}
      columns={[
        {
          head: 'Requirement',
          names: true,
          look: narrow ? '' : 'min-w-36',
          cell: (r) => (
            <>
              {prose(r.statement)}
              <span className="block text-xs text-soft">
                {r.metric} · {r.source === 'runs' ? KIND[r.kind] : 'worked out from the build'}
                {r.must ? '' : ' · should'}
              </span>
              {narrow && <span className="block text-xs font-semibold">{r.limitText}</span>}
            </>
          ),
        },
        ...(narrow ? [] : [limit]),
        ...revisions.map((v): Column<Requirement> => {
          const wash = v.id === sheet.revision.id ? 'bg-wash' : '';
          return {
            key: v.id,
            head: <span className="stamp text-base text-ink">{v.letter}</span>,
            headLook: `w-20 pr-1 pl-1 text-center ${wash}`,
            bare: true,
            look: `text-center align-middle ${wash}`,
            cell: (r) => <Shown cell={cells.get(`${r.id}/${v.id}`)} requirement={r} letter={v.letter} open={open} />,
          };
        }),
      ]}
    />
  );
  if (!narrow || others.length === 0) return table;
  return (
    <>
      <label className="mb-2 flex items-center gap-2 text-sm">
        <span className="font-semibold">Beside {sheet.revision.letter}</span>
        <select className="field min-h-11 w-auto" value={beside} onChange={(e) => setBeside(e.target.value)}>
          {others.map((r) => (
            <option key={r.id} value={r.id}>
              {r.letter}
            </option>
          ))}
        </select>
        <span className="text-soft">of {others.length} more</span>
      </label>
      {table}
    </>
  );
}

/** One cell: its texture, the number in it, and what it opens to. */
function Shown({
  cell,
  requirement: r,
  letter,
  open,
}: {
  cell: Schemas['EvidenceCell'] | undefined;
  requirement: Requirement;
  letter: string;
  open: (opened: Opened) => void;
}) {
  if (cell === undefined) return null;
  return (
    <button
      type="button"
      className="flex min-h-11 w-full cursor-pointer flex-col items-center justify-center hover:bg-wash"
      aria-label={`${letter}, ${r.metric}: ${cell.beside === '' ? TEXTURE_WORDS[cell.texture] : cell.beside}. ${cell.sentence}`}
      title={cell.sentence}
      onClick={() =>
        open({
          title: `${r.statement}: ${letter}`,
          sentence: cell.sentence,
          how: cell.how,
          runs: { revision: cell.source, metric: cell.metric },
          explain: cell.explain,
        })
      }
    >
      <Texture name={cell.texture} width={34} height={14} />
      <span className="text-xs leading-tight text-soft">{cell.number ?? (cell.beside || '\u00a0')}</span>
    </button>
  );
}
