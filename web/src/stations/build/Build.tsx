import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';

import { type Schemas } from '../../api/client';
import { buildQuery } from '../../api/queries';
import { uuid } from '../../api/uuid';
import { useBegin, usePlace } from '../../ui/place';
import { Button } from '../../ui/Button';
import type { Editing } from '../../ui/RecordSlip';
import { prose } from '../../ui/prose';
import { RunsSlip, type Opened } from '../../ui/RunsSlip';
import { Empty, Part, Sheet } from '../../ui/Sheet';
import { Waiting } from '../../ui/Waiting';
import { ChangeTable } from './ChangeTable';
import { ArmTable } from './ArmTable';
import { armLine } from '../../ui/records/arms';
import { PartsTable } from './PartsTable';
import { ParameterTable } from './ParameterTable';
import { ArticleTable } from './ArticleTable';

export type Form = {
  kind: 'change' | 'verdict' | 'parameter' | 'part' | 'article' | 'revision' | 'paste';
  editing: Exclude<Editing, null>;
} | null;

/** What lies below the fold, and the forms, come after the sheet stands. */
const loadForms = () => import('./BuildForms');
const BuildForms = lazy(loadForms);
const loadWorkshop = () => import('./Workshop');
const Workshop = lazy(loadWorkshop);

/** The Build station: what this build is, beside its parent. */
export default function Build() {
  const { tag } = usePlace();
  const query = useQuery(buildQuery(tag.revision.id));
  return (
    <Waiting query={query} title="Build">
      {(sheet) => <BuildSheet key={sheet.revision.id} sheet={sheet} />}
    </Waiting>
  );
}

function BuildSheet({ sheet }: { sheet: Schemas['BuildSheet'] }) {
  const { frame, write } = usePlace();
  const [form, setForm] = useState<Form>(null);
  const [opened, setOpened] = useState<Opened>(null);
  const revision = sheet.revision;
  const begin = useCallback(
    () =>
      setForm({
        kind: 'change',
        editing: { id: uuid(), record: { class: 'shape', effects: [{ mode: 'add' }], alters: [], against: [] } },
      }),
    [],
  );
  useBegin(write ? begin : null);
  useEffect(() => {
    const later = window.setTimeout(() => void Promise.all([loadForms(), loadWorkshop()]).catch(() => undefined), 1500);
    return () => window.clearTimeout(later);
  }, []);
  const add = (kind: 'parameter' | 'part' | 'article', record: Record<string, unknown>) =>
    setForm({ kind, editing: { id: uuid(), record } });
  const close = () => setForm(null);

  return (
    <>
      <Sheet
        title={`Build ${revision.letter}${revision.branch === '' ? '' : ` · ${revision.branch}`}`}
        sentence={sheet.sentence}
        actions={
          write && (
            <>
              <Button
                onClick={() =>
                  setForm({
                    kind: 'revision',
                    editing: { id: revision.id, record: { ...revision, arms: revision.arms.map(armLine) } },
                  })
                }
              >
                Edit build
              </Button>
              <Button look="primary" onClick={begin}>
                Add change
              </Button>
            </>
          )
        }
      >
        <p className="mt-2 text-sm text-soft">
          {[
            revision.intent,
            revision.firmware,
            revision.state === 'abandoned' ? `Abandoned: ${revision.stateReason}` : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        {revision.corrections.length > 0 && (
          <aside aria-label="Corrections" className="mt-4 border-l-4 border-brass bg-brasswash px-3 py-2 text-sm">
            <h2 className="stamp text-sm">Put right afterwards</h2>
            <ul>
              {revision.corrections.map((c) => (
                <li key={c.at}>{c.sentence}</li>
              ))}
            </ul>
          </aside>
        )}
        <Part title={sheet.parent === null ? 'Changes' : `Changes from ${sheet.parent.letter}`}>
          {sheet.changes.length === 0 ? (
            <Empty action={write && sheet.parent !== null && <Button onClick={begin}>Add change</Button>}>
              {sheet.parent === null
                ? 'The first build has no parent, so nothing has changed yet. Try something with it; what you change between two runs becomes the next build by one touch, and from then on this says what came of it.'
                : 'Write down each change with what you expect of it. Once both builds have runs, this says what came of it.'}
            </Empty>
          ) : (
            <ChangeTable
              rows={sheet.changes}
              build={revision.id}
              parentId={sheet.parent?.id ?? null}
              parent={sheet.parent?.letter ?? ''}
              write={write}
              open={setOpened}
              edit={setForm}
            />
          )}
        </Part>
        {sheet.rests !== '' && <p className="mt-4 max-w-prose border-l-2 border-brass pl-3">{prose(sheet.rests)}</p>}
        {sheet.neverTried !== '' && <p className="mt-6 max-w-prose">{prose(sheet.neverTried)}</p>}
        {sheet.notes.length > 0 && (
          <Part title="Build and record do not agree">
            <ul className="text-sm">
              {sheet.notes.map((n) => (
                <li key={n}>{n}</li>
              ))}
            </ul>
          </Part>
        )}
        {sheet.arms.length > 0 && (
          <Part
            title="Variants"
            aside={revision.chosenArm === '' ? 'none chosen yet' : `chosen: ${revision.chosenArm}`}
          >
            <ArmTable rows={sheet.arms} />
          </Part>
        )}
        <Part
          title="Parameters"
          aside={sheet.parent !== null && `beside those of ${sheet.parent.letter}`}
          actions={
            write && (
              <Button look="quiet" onClick={() => add('parameter', {})}>
                Add parameter
              </Button>
            )
          }
        >
          {sheet.parameters.length === 0 ? (
            <Empty>
              Numbers of the design, each with its unit. The next build shows the difference, in the unit and in per
              cent.
            </Empty>
          ) : (
            <ParameterTable
              rows={sheet.parameters}
              parent={sheet.parent?.letter ?? null}
              write={write}
              edit={setForm}
            />
          )}
        </Part>
        <Part
          title="Parts and cost"
          aside={sheet.masses}
          actions={
            <span className="flex flex-wrap">
              {sheet.parts.length > 0 && (
                <a
                  className="inline-flex min-h-9 items-center px-3 text-sm font-semibold text-blue underline"
                  href={`/api/revisions/${revision.id}/parts.csv`}
                >
                  As a table (CSV)
                </a>
              )}
              {write && (
                <>
                  <Button
                    look="quiet"
                    onClick={() => setForm({ kind: 'paste', editing: { id: revision.id, record: {} } })}
                  >
                    Paste a table
                  </Button>
                  <Button
                    look="quiet"
                    onClick={() => add('part', { quantity: 1, cost: 0, sort: 'part', standing: 'stays' })}
                  >
                    Add part
                  </Button>
                </>
              )}
            </span>
          }
        >
          {sheet.parts.length === 0 ? (
            <Empty>
              What it is made of and what that costs. The sum, and the difference against the parent, are worked out.
            </Empty>
          ) : (
            <PartsTable sheet={sheet} write={write} edit={setForm} />
          )}
        </Part>
        <Part
          title="Articles"
          aside="what was built to this revision"
          actions={
            write && (
              <Button
                look="quiet"
                onClick={() =>
                  add('article', {
                    state: 'finished',
                    whereabouts: 'here',
                    lots: [],
                    deviants: [],
                    uses: [],
                    revision: revision.id,
                  })
                }
              >
                Add article
              </Button>
            )
          }
        >
          {sheet.articles.length === 0 ? (
            <Empty>
              What you have in the hand is an article: a serial, and the lots it is made of. What it has been through is
              counted from its runs.
            </Empty>
          ) : (
            <ArticleTable rows={sheet.articles} write={write} edit={setForm} />
          )}
        </Part>
        <Suspense fallback={<p className="mt-7 text-soft">Opening files and making …</p>}>
          <Workshop revision={revision.id} currency={sheet.currency} />
        </Suspense>
      </Sheet>
      <RunsSlip device={frame.device.id} opened={opened} onClose={() => setOpened(null)} />
      {form !== null && (
        <Suspense fallback={null}>
          <BuildForms sheet={sheet} form={form} close={close} />
        </Suspense>
      )}
    </>
  );
}
