import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';

import type { Schemas } from '../api/client';
import { workingsQuery } from '../api/queries';
import { Button } from '../ui/Button';
import { useFrame } from '../ui/place';
import { Part, Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { KeptWorkings } from './KeptWorkings';
import { OwnSums } from './OwnSums';
import { Sum } from './Sum';
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
  const [words, setWords] = useState('');
  const [opened, setOpened] = useState<Begun>(null);
  const chosen = opened?.own ?? sheet.sums.find((s) => s.name === search.get('sum'));
  const go = (name: string | null) => {
    const next = new URLSearchParams(search);
    if (name === null) next.delete('sum');
    else next.set('sum', name);
    setSearch(next);
  };
  const [all, setAll] = useState(sheet.kept.length === 0);
  const matching = all || words.trim() !== '' ? found(sheet.sums, words) : [];
  return (
    <Sheet
      title={`Workings · ${build.letter}`}
      sentence={sheet.sentence}
      actions={
        spine.length > 1 && (
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
        )
      }
    >
      {chosen !== undefined ? (
        <Sum
          key={`${chosen.name} ${opened?.id ?? ''}`}
          sum={chosen}
          sheet={sheet}
          build={build}
          write={write}
          kept={opened}
          first={opened?.draft ?? blank(chosen)}
          leave={() => {
            setOpened(null);
            go(null);
          }}
        />
      ) : (
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
                  onClick={() => {
                    setOpened(null);
                    go(sum.name);
                  }}
                >
                  {sum.title}
                </button>
                <span className="block text-sm text-soft">{sum.what}</span>
              </li>
            ))}
          </ul>
        </Part>
      )}
      <KeptWorkings
        rows={sheet.kept}
        write={write}
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
    </Sheet>
  );
}
