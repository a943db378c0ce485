import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';

import type { Schemas } from '../api/client';
import { workingsQuery } from '../api/queries';
import { Button } from '../ui/Button';
import { useFrame } from '../ui/place';
import { Part, Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { KeptWorkings } from './KeptWorkings';
import { OwnSums } from './OwnSums';
import { Sum } from './Sum';
import { useSum } from './useSum';
import { blank, draftOf, found, type SumDraft } from './workings';

/** The sums of the bench: found by the words of the job, worked out as one types, kept, and scored by a run. */
export default function Workings() {
  const frame = useFrame();
  const [search] = useSearchParams();
  const builds = frame.spine.map((t) => t.revision);
  const build = builds.find((b) => b.letter === search.get('build')) ?? builds[0];
  if (build === undefined) return <Sheet title="Workings" sentence="A build is needed first." />;
  return <OfBuild key={build.id} build={build} />;
}

function OfBuild({ build }: { build: Schemas['RevisionView'] }) {
  const query = useQuery(workingsQuery(build.id));
  return (
    <Waiting query={query} title="Workings">
      {(sheet) => <WorkingsSheet sheet={sheet} build={build} />}
    </Waiting>
  );
}

type Candidate = Schemas['WorkingsSheet']['candidates'][number];

type Begun = {
  id: string;
  version: number;
  title: string;
  draft: SumDraft;
  /** One that was typed in this workshop, as it was then. */
  own: Schemas['BenchSum'] | null;
} | null;

function WorkingsSheet({ sheet, build }: { sheet: Schemas['WorkingsSheet']; build: Schemas['RevisionView'] }) {
  const { write, spine } = useFrame();
  const [search, setSearch] = useSearchParams();
  const [opened, setOpened] = useState<Begun>(null);
  // Kept while something is worked out for the candidate: it goes to it in one touch.
  const [fresh, setFresh] = useState<string[]>([]);
  const chosen = opened?.own ?? sheet.sums.find((s) => s.name === search.get('sum'));
  const candidate = sheet.candidates.find((c) => c.id === search.get('candidate'));
  const go = (name: string | null) => {
    const next = new URLSearchParams(search);
    if (name === null) next.delete('sum');
    else next.set('sum', name);
    setSearch(next);
  };
  const frame = {
    title: `Workings · ${build.letter}`,
    actions: spine.length > 1 && (
      <label className="flex items-center gap-2 text-sm">
        For
        <select
          className="field w-auto"
          value={build.letter}
          onChange={(e) => setSearch({ ...Object.fromEntries(search), build: e.target.value })}
        >
          {spine.map((t) => (
            <option key={t.revision.id}>{t.revision.letter}</option>
          ))}
        </select>
      </label>
    ),
  };
  const rest = (
    <>
      <KeptWorkings
        rows={sheet.kept}
        write={write}
        candidate={candidate?.id}
        fresh={fresh}
        open={(row) => {
          const sum = row.own ?? sheet.sums.find((s) => s.name === row.working.sum);
          if (sum === undefined) return;
          const { id, version, title } = row.working;
          setOpened({ id, version, title, draft: draftOf(row.working, sum), own: row.own });
          go(sum.name);
          window.scrollTo({ top: 0 });
        }}
      />
      <OwnSums sheet={sheet} />
    </>
  );
  if (chosen !== undefined)
    return (
      <Opened
        key={`${chosen.name} ${opened?.id ?? ''}`}
        frame={frame}
        sum={chosen}
        sheet={sheet}
        build={build}
        kept={opened}
        candidate={candidate}
        leave={(id) => {
          if (id !== undefined) setFresh([...fresh, id]);
          setOpened(null);
          go(null);
        }}
      >
        {rest}
      </Opened>
    );
  return (
    <Sheet {...frame} sentence={sheet.sentence}>
      <For candidate={candidate} build={build} />
      <Finding
        key={candidate?.id}
        sheet={sheet}
        candidate={candidate}
        open={(name) => {
          setOpened(null);
          go(name);
        }}
      />
      {rest}
    </Sheet>
  );
}

/** A sum that is open: its answer is the sentence of the sheet. */
function Opened({
  frame,
  sum,
  sheet,
  build,
  kept,
  candidate,
  leave,
  children,
}: {
  frame: { title: string; actions: ReactNode };
  sum: Schemas['BenchSum'];
  sheet: Schemas['WorkingsSheet'];
  build: Schemas['RevisionView'];
  kept: Begun;
  candidate: Candidate | undefined;
  leave: (kept?: string) => void;
  children: ReactNode;
}) {
  const { write } = useFrame();
  const open = useSum(sum, build, write, kept?.id ?? '', kept?.draft ?? blank(sum));
  return (
    <Sheet {...frame} sentence={open.worked?.sentence || sheet.sentence}>
      <For candidate={candidate} build={build} />
      <Sum
        sum={sum}
        open={open}
        sheet={sheet}
        build={build}
        write={write}
        kept={kept}
        title={candidate?.what ?? ''}
        leave={leave}
      />
      {children}
    </Sheet>
  );
}

/** What it is worked out for, and the way back. */
function For({ candidate, build }: { candidate: Candidate | undefined; build: Schemas['RevisionView'] }) {
  return candidate === undefined ? null : (
    <p className="mt-3 border-l-2 border-blue pl-3">
      For the candidate <strong>{candidate.what}</strong>: an answer that is kept can be put to it, below.{' '}
      <Link
        className="font-semibold text-blue underline"
        to={`/d/${build.device}/${encodeURIComponent(build.letter)}/next`}
      >
        Back to Next
      </Link>
    </p>
  );
}

/** The sums, found by the words of the job; for a candidate, first by its own. */
function Finding({
  sheet,
  candidate,
  open,
}: {
  sheet: Schemas['WorkingsSheet'];
  candidate: Candidate | undefined;
  open: (name: string) => void;
}) {
  const [words, setWords] = useState(() =>
    candidate !== undefined && found(sheet.sums, candidate.what).length > 0 ? candidate.what : '',
  );
  const [all, setAll] = useState(sheet.kept.length === 0 || candidate !== undefined);
  const matching = all || words.trim() !== '' ? found(sheet.sums, words) : [];
  return (
    <Part title="What do you want to know?">
      <input
        className="field max-w-xl"
        type="search"
        aria-label="What do you want to know?"
        placeholder="how thick, how long does the battery last, how fast was it when it hit"
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      {!all && words.trim() === '' && (
        <Button look="quiet" className="mt-2" onClick={() => setAll(true)}>
          Show all {sheet.sums.length}
        </Button>
      )}
      {matching.length === 0 && words.trim() !== '' && (
        <p className="mt-3 text-soft">None of the sums is about that. Try another word of the job.</p>
      )}
      <ul className="mt-3 grid gap-x-8 sm:grid-cols-2">
        {matching.map((sum) => (
          <li key={sum.name} className="border-b border-rule py-2">
            <button
              type="button"
              className="min-h-6 cursor-pointer text-left font-semibold text-blue underline"
              onClick={() => open(sum.name)}
            >
              {sum.title}
            </button>
            <span className="block text-sm text-soft">{sum.what}</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
