import { useState, type ClipboardEvent, type KeyboardEvent } from 'react';

import type { Schemas } from '../../api/client';
import { useSession } from '../../api/queries';
import { refreshed } from '../../api/stale';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { Sideways } from '../../ui/Sideways';
import { Slip } from '../../ui/Slip';
import { columnsOf, isWritten, keepLine, laidIn, madeAt, nextLine, today, type Column, type Line } from './notebook';

/** Runs that were written down elsewhere, a line each: typed from cell to cell, or laid in out of a table. */
export function NotebookSlip({
  trial,
  method,
  articles,
  onClose,
}: {
  trial: Schemas['TrialView'];
  method: Schemas['MethodView'];
  articles: Schemas['ArticleView'][];
  onClose: () => void;
}) {
  const session = useSession();
  const columns = columnsOf(method, articles);
  const [lines, setLines, drop] = useDraft<Line[]>(`notebook:${trial.id}`, [nextLine(undefined, columns)]);
  const [day, setDay] = useState(today);
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState('');
  const open = lines.filter((line) => !line.kept && isWritten(line));

  const setCell = (row: number, key: string, text: string) =>
    setLines(
      lines.map((line, i) =>
        i === row ? { ...line, cells: { ...line.cells, [key]: text }, problem: '', asks: null } : line,
      ),
    );

  async function keep(which: Line[]) {
    setBusy(true);
    setSaid('');
    let all = which.reduce((now, line) => now.map((l) => (l.id === line.id ? line : l)), lines);
    const moments = madeAt(day, lines.length);
    let kept = 0;
    for (const line of which) {
      const at = moments[lines.findIndex((l) => l.id === line.id)]!;
      const done = await keepLine(line, {
        trial,
        method,
        articles,
        operator: session.data?.name ?? '',
        startedAt: at,
      }).catch((error: unknown): Line => ({
        ...line,
        problem: error instanceof Error ? error.message : 'That did not work.',
      }));
      all = all.map((l) => (l.id === line.id ? done : l));
      if (done.kept) kept += 1;
      setLines(all);
    }
    await refreshed();
    setBusy(false);
    setSaid(`${kept} of ${which.length} ${which.length === 1 ? 'run' : 'runs'} kept.`);
  }

  function onKey(event: KeyboardEvent, row: number, column: number) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const form = event.currentTarget.closest('table');
    if (row === lines.length - 1) setLines([...lines, nextLine(lines[row], columns)]);
    const first = columns.findIndex((c) => c.kind === 'channel');
    const to = first < 0 ? column : first;
    setTimeout(() => form?.querySelector<HTMLElement>(`[data-cell="${row + 1}:${to}"]`)?.focus());
  }

  function onPaste(event: ClipboardEvent, row: number, column: number) {
    const text = event.clipboardData.getData('text/plain');
    if (!/[\t\n]/.test(text.trim())) return;
    event.preventDefault();
    setLines(laidIn(lines, columns, row, column, text));
  }

  return (
    <Slip open onClose={onClose} title={`${trial.name}: from a notebook`} wide>
      <p className="text-sm text-soft">
        A line a run. Enter begins the next with what stays the same; a block out of a table can be laid in where the
        cursor stands. What is typed waits on this device until it is kept.
      </p>
      <label className="mt-3 inline-block text-sm">
        <span className="mb-1 block font-semibold">Day on which they were made</span>
        <input type="date" className="field" value={day} onChange={(e) => setDay(e.target.value)} />
      </label>
      <div className="mt-3">
        <Sideways label="Lines of the notebook">
          <table className="text-sm">
            <thead>
              <tr>
                <th className="px-1 text-left font-semibold">Run</th>
                {columns.map((c) => (
                  <th key={c.key} className="px-1 text-left font-semibold">
                    {c.label} {c.unit !== '' && <span className="font-normal text-soft">{c.unit}</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {lines.map((line, row) => (
                <Row
                  key={line.id}
                  line={line}
                  row={row}
                  columns={columns}
                  busy={busy}
                  setCell={setCell}
                  onKey={onKey}
                  onPaste={onPaste}
                  asTyped={() =>
                    line.asks !== null &&
                    void keep([{ ...line, confirmed: { ...line.confirmed, [line.asks.channel]: line.asks.sentence } }])
                  }
                />
              ))}
            </tbody>
          </table>
        </Sideways>
      </div>
      <div className="mt-4 flex flex-wrap items-center gap-2">
        <Button look="primary" disabled={busy || open.length === 0} onClick={() => void keep(open)}>
          {busy ? 'Keeping …' : open.length === 1 ? 'Keep one run' : `Keep ${open.length} runs`}
        </Button>
        <Button disabled={busy} onClick={() => setLines([...lines, nextLine(lines.at(-1), columns)])}>
          Another line
        </Button>
        <Button
          look="quiet"
          disabled={busy}
          onClick={() => {
            drop();
            setLines([nextLine(undefined, columns)]);
          }}
        >
          Empty the page
        </Button>
        <p role="status" className="text-sm">
          {said}
        </p>
      </div>
    </Slip>
  );
}

function Row({
  line,
  row,
  columns,
  busy,
  setCell,
  onKey,
  onPaste,
  asTyped,
}: {
  line: Line;
  row: number;
  columns: Column[];
  busy: boolean;
  setCell: (row: number, key: string, text: string) => void;
  onKey: (event: KeyboardEvent, row: number, column: number) => void;
  onPaste: (event: ClipboardEvent, row: number, column: number) => void;
  asTyped: () => void;
}) {
  const says = line.asks?.sentence ?? line.problem;
  return (
    <>
      <tr className={line.kept ? 'text-soft' : ''}>
        <th scope="row" className="px-1 text-left font-normal">
          {row + 1} {line.kept && <span aria-label="kept">✓</span>}
        </th>
        {columns.map((c, column) => {
          const shared = {
            'aria-label': `${c.label}, line ${row + 1}`,
            'data-cell': `${row}:${column}`,
            disabled: line.kept || busy,
            value: line.cells[c.key] ?? '',
            onKeyDown: (e: KeyboardEvent) => onKey(e, row, column),
          };
          return (
            <td key={c.key} className="p-0.5">
              {c.words.length > 0 ? (
                <select
                  {...shared}
                  className="field min-w-24 py-1"
                  onChange={(e) => setCell(row, c.key, e.target.value)}
                >
                  {c.kind !== 'outcome' && <option value="" />}
                  {[...new Set([...c.words, ...(shared.value === '' ? [] : [shared.value])])].map((w) => (
                    <option key={w}>{w}</option>
                  ))}
                </select>
              ) : (
                <input
                  {...shared}
                  className={`field py-1 ${c.kind === 'note' ? 'min-w-40' : 'w-24'}`}
                  autoComplete="off"
                  inputMode={c.kind === 'channel' ? 'decimal' : 'text'}
                  onChange={(e) => setCell(row, c.key, e.target.value)}
                  onPaste={(e) => onPaste(e, row, column)}
                />
              )}
            </td>
          );
        })}
      </tr>
      {says !== '' && (
        <tr>
          <td />
          <td colSpan={columns.length} className="pb-2">
            <p role="alert" className="border-l-2 border-oxide pl-2 font-semibold text-oxide">
              {says}
            </p>
            {line.asks !== null && <Button onClick={asTyped}>It is as typed</Button>}
          </td>
        </tr>
      )}
    </>
  );
}
