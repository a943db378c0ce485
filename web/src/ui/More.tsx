import { useState } from 'react';

import { Button } from './Button';

type Page<T> = { rows: T[]; next: string | null };

export type Paged<T> = { rows: T[]; more: boolean; busy: boolean; problem: string; fetch: () => void };

/** A long list: its first page comes with the sheet, each further one when it is asked for. */
export function useMore<T>(first: T[], next: string | null, read: (after: string) => Promise<Page<T>>): Paged<T> {
  const [pages, setPages] = useState<{ of: T[]; rows: T[]; next: string | null }>({ of: first, rows: [], next });
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  // A sheet that was worked out anew begins with its own first page again.
  const known = pages.of === first ? pages : { of: first, rows: [], next };
  async function fetch() {
    if (known.next === null) return;
    setBusy(true);
    setProblem('');
    try {
      const page = await read(known.next);
      setPages({ of: first, rows: [...known.rows, ...page.rows], next: page.next });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'The next page could not be fetched. Try again.');
    } finally {
      setBusy(false);
    }
  }
  return { rows: [...first, ...known.rows], more: known.next !== null, busy, problem, fetch: () => void fetch() };
}

export function More<T>({ of, total, words }: { of: Paged<T>; total: number; words: string }) {
  if (!of.more) return null;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3 text-sm">
      <Button disabled={of.busy} onClick={of.fetch}>
        {of.busy ? 'Fetching …' : `Earlier ${words}`}
      </Button>
      <span className="text-soft">
        {of.rows.length} of {total}
      </span>
      {of.problem !== '' && <span className="text-oxide">{of.problem}</span>}
    </p>
  );
}
