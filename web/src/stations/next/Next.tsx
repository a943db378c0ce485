import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { nextQuery } from '../../api/queries';
import { uuid } from '../../api/uuid';
import { stationPath, useBegin, usePlace } from '../../ui/place';
import { Button } from '../../ui/Button';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { Empty, Part, Sheet } from '../../ui/Sheet';
import { prose } from '../../ui/prose';
import { Table } from '../../ui/Table';
import { Waiting } from '../../ui/Waiting';
import { CHOICE, VERDICT } from '../../ui/words';
import { CandidateRow } from './CandidateRow';
import { Decide } from './Decide';
import { candidateFields } from '../../ui/records/candidateFields';
import { saveCandidate } from '../../ui/records/saveCandidate';
import { Tray } from './Tray';
import { Gather } from '../../ui/records/Gather';

/** The Next station: which candidates go into the next build, and what that comes to. */
export default function Next() {
  const { tag } = usePlace();
  const query = useQuery(nextQuery(tag.revision.id));
  return (
    <Waiting query={query} title="Next">
      {(sheet) => <NextSheet key={sheet.revision.id} sheet={sheet} />}
    </Waiting>
  );
}

function NextSheet({ sheet }: { sheet: Schemas['NextSheet'] }) {
  const { frame, write } = usePlace();
  const [editing, setEditing] = useState<Editing>(null);
  const begin = useCallback(
    () => setEditing({ id: uuid(), record: { class: 'shape', source: 'team', effects: [] } }),
    [],
  );
  const takeOut = (part: Schemas['Pick']) =>
    setEditing({
      id: uuid(),
      record: {
        what: `Take out ${part.label}`,
        class: 'shape',
        source: 'team',
        effects: [],
        alters: [{ kind: 'part', name: part.label, from: part.now, to: '' }],
      },
    });
  useBegin(write ? begin : null);
  const currency = sheet.device.currency;
  return (
    <>
      <Sheet
        title={`Next after ${sheet.revision.letter}`}
        sentence={sheet.sentence}
        actions={
          write && (
            <Button look={sheet.candidates.length === 0 ? 'primary' : 'plain'} onClick={begin}>
              Propose a change
            </Button>
          )
        }
      >
        {sheet.decisions.map((d) => (
          <p key={d.id} className="mt-3 border-l-4 border-ink pl-3">
            {d.sentence}{' '}
            <Link
              className="font-semibold text-blue underline"
              to={`${stationPath(frame.device.id, sheet.revision.letter, 'next')}/decision/${d.id}`}
            >
              Read the record
            </Link>
            {d.nextLetter !== '' && (
              <>
                {' '}
                ·{' '}
                <Link
                  className="font-semibold text-blue underline"
                  to={stationPath(frame.device.id, d.nextLetter, 'build')}
                >
                  Go to {d.nextLetter}
                </Link>
              </>
            )}
          </p>
        ))}
        {write && sheet.changed.length > 0 && (
          <Part title="Changed on the spot" aside="tried already, and of no build yet">
            <ul className="space-y-2">
              {sheet.changed.map((a) => (
                <li key={a.id} className="flex flex-wrap items-center gap-x-4">
                  <span>
                    <strong>{a.serial}</strong> {a.deviants.map((d) => `${d.name} ${d.value}`.trim()).join(', ')}
                  </span>
                  <Gather article={a} named />
                </li>
              ))}
            </ul>
          </Part>
        )}
        {sheet.warnings.length > 0 && (
          <ul className="mt-4 space-y-1 border-l-2 border-oxide pl-3">
            {sheet.warnings.map((w) => (
              <li key={w}>{prose(w)}</li>
            ))}
          </ul>
        )}
        {sheet.forNow.length > 0 && (
          <Part title="There for now only" aside="it counts in no cost and no mass, and results rest on it">
            <ul className="space-y-1">
              {sheet.forNow.map((p) => (
                <li key={p.id} className="flex flex-wrap items-center gap-x-4">
                  <span>
                    <strong>{p.label}</strong> {p.now}
                  </span>
                  {write && (
                    <Button look="quiet" aria-label={`Propose to take out ${p.label}`} onClick={() => takeOut(p)}>
                      Propose to take it out
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </Part>
        )}
        {sheet.open.length > 0 && (
          <Part title="Nobody knows yet">
            <ul className="space-y-1">
              {sheet.open.map((o) => (
                <li key={o}>{prose(o)}</li>
              ))}
            </ul>
          </Part>
        )}
        {sheet.cameOf.length > 0 && (
          <Part title="What came of it" aside="expected here, seen on the build that followed">
            <Table
              wide
              headless
              label="What came of it"
              rows={sheet.cameOf}
              keyOf={(c) => c.letter + c.what}
              columns={[
                { head: 'Change', look: 'font-semibold', cell: (c) => c.what },
                { head: 'Expected', cell: (c) => c.expected },
                {
                  head: 'Verdict',
                  whole: true,
                  look: (c) =>
                    `font-semibold ${c.verdict === 'worse' ? 'text-oxide' : c.verdict === 'nobodyLooked' ? 'text-brass' : ''}`,
                  cell: (c) => VERDICT[c.verdict],
                },
                { head: 'In words', look: 'text-soft', cell: (c) => c.sentence },
              ]}
            />
          </Part>
        )}
        <div className="lg:grid lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)] lg:gap-x-8">
          <Part title="Candidates">
            {sheet.candidates.length === 0 ? (
              <Empty>
                What could the next build change? A candidate may come from a failure, from the team or from outside;
                each gets an answer and a reason. What it costs, where the numbers would go and what could no longer be
                told apart is worked out as you put them in.
              </Empty>
            ) : (
              <ul className="divide-y divide-rule">
                {sheet.candidates.map((c) => (
                  <CandidateRow
                    workings={`/d/${frame.device.id}/workings?build=${encodeURIComponent(sheet.revision.letter)}&candidate=${c.id}`}
                    key={c.id}
                    candidate={c}
                    currency={currency}
                    failures={sheet.failures.filter((f) => c.failures.includes(f.id)).map((f) => f.label)}
                    write={write}
                    edit={() => setEditing({ id: c.id, record: { ...c } })}
                  />
                ))}
              </ul>
            )}
          </Part>
          {sheet.candidates.length > 0 && (
            <Part title="What that comes to">
              <Tray consequences={sheet.consequences} />
              {write && <Decide sheet={sheet} />}
            </Part>
          )}
        </div>
        {sheet.settled.length > 0 && (
          <Part title="Settled before" aside="what was dropped stays, with what would bring it back">
            <ul className="text-sm">
              {sheet.settled.map((c) => (
                <li key={c.id} className="border-t border-rule py-1.5">
                  <span className={c.choice === 'drop' ? 'text-soft line-through' : 'font-semibold'}>{c.what}</span> ·{' '}
                  {CHOICE[c.choice]}: {c.reason}
                  {c.askedBy !== '' && <span className="text-soft"> Asked for by {c.askedBy}.</span>}
                </li>
              ))}
            </ul>
          </Part>
        )}
      </Sheet>
      <RecordSlip
        title="Candidate"
        kind={`candidate:${sheet.revision.id}`}
        editing={editing}
        fields={candidateFields(sheet.metrics, sheet.failures, sheet.requirements, sheet.alterable)}
        wide
        onClose={() => setEditing(null)}
        save={(id, values, version) =>
          saveCandidate(
            id,
            { ...editing?.record, ...values, revision: editing?.record['revision'] ?? sheet.revision.id },
            version,
          )
        }
      />
    </>
  );
}
