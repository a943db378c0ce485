import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { Slip } from '../../ui/Slip';
import { useSettled } from '../../ui/useSettled';
import { options, ORDER, PLAN_KIND } from '../../ui/words';
import { CellsToTry } from './CellsToTry';
import { linesOf, typedLayout, type TypedLayout } from './layout';
import { trialBody } from './trialBody';

type Props = {
  trial: Schemas['TrialView'];
  method: Schemas['MethodView'];
  revision: Schemas['RevisionView'];
  onClose: () => void;
};

/** Lays out the runs of a trial; what that takes, finds and costs is said while it is typed. */
export function PlanSlip({ trial, method, revision, onClose }: Props) {
  const factors = method.factors.filter((f) => f.role === 'factor');
  const arms = revision.arms.filter((a) => a.eliminated === '').map((a) => a.name);
  const [typed, setTyped, dropDraft] = useDraft<TypedLayout>(
    `plan:${trial.id}`,
    typedLayout(trial.layout, factors, arms),
  );
  const write = useWrite();
  const id = useId();
  const change = (part: Partial<TypedLayout>) => setTyped({ ...typed, ...part });
  const layout = layoutOf(typed);
  const settled = useSettled(layout);

  async function keep() {
    const kept = await write.run(() => putRecord('trials', trial.id, { ...trialBody(trial, {}), layout }));
    if (kept) {
      dropDraft();
      onClose();
    }
  }

  return (
    <Slip open wide onClose={onClose} title={`Lay out ${trial.name}`}>
      <form
        className="flex flex-wrap gap-x-4 gap-y-4"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <Labelled id={`${id}-kind`} label="The runs go" wide>
          <select
            id={`${id}-kind`}
            className="field"
            value={typed.kind}
            onChange={(e) => change({ kind: e.target.value as TypedLayout['kind'] })}
          >
            {options(PLAN_KIND).map((o) => (
              <option key={o.value} value={o.value}>
                {o.label}
              </option>
            ))}
          </select>
        </Labelled>
        {typed.kind === 'setting' && (
          <Labelled id={`${id}-setting`} label="Which setting?" wide>
            <select
              id={`${id}-setting`}
              className="field"
              value={typed.setting}
              onChange={(e) => change({ setting: e.target.value })}
            >
              <option value="">none of them</option>
              {method.settings.map((s) => (
                <option key={s.name}>{s.name}</option>
              ))}
            </select>
          </Labelled>
        )}
        {typed.kind !== 'free' && typed.kind !== 'setting' && (
          <>
            {(typed.kind === 'checks' ? [] : factors).map((f) => (
              <Labelled key={f.name} id={`${id}-${f.name}`} label={`Levels of ${f.name}, one a line`}>
                <textarea
                  id={`${id}-${f.name}`}
                  className="field"
                  rows={4}
                  value={typed.levels[f.name] ?? ''}
                  onChange={(e) => change({ levels: { ...typed.levels, [f.name]: e.target.value } })}
                />
              </Labelled>
            ))}
            {arms.length > 0 && typed.kind !== 'staircase' && typed.kind !== 'checks' && (
              <fieldset className="basis-full border border-rule px-3 pb-2">
                <legend className="px-1 text-sm font-semibold">Variants</legend>
                <div className="flex flex-wrap gap-x-5">
                  {arms.map((arm) => (
                    <label key={arm} className="flex min-h-9 items-center gap-2">
                      <input
                        type="checkbox"
                        className="size-5 accent-blue"
                        checked={typed.arms.includes(arm)}
                        onChange={(e) =>
                          change({ arms: arms.filter((a) => (a === arm ? e.target.checked : typed.arms.includes(a))) })
                        }
                      />
                      {arm}
                    </label>
                  ))}
                </div>
              </fieldset>
            )}
            {typed.kind === 'timed' && (
              <Labelled id={`${id}-minutes`} label="Minutes that a run lasts">
                <input
                  id={`${id}-minutes`}
                  className="field"
                  type="number"
                  min={0}
                  step="any"
                  value={typed.minutes || ''}
                  onChange={(e) => change({ minutes: Number(e.target.value) })}
                />
              </Labelled>
            )}
            <Labelled
              id={`${id}-repeats`}
              label={
                typed.kind === 'staircase'
                  ? 'Runs in all'
                  : typed.kind === 'checks'
                    ? 'Articles that are gone through'
                    : 'Repeats of each'
              }
            >
              <input
                id={`${id}-repeats`}
                className="field"
                inputMode="numeric"
                value={typed.repeats}
                onChange={(e) => change({ repeats: e.target.value })}
              />
            </Labelled>
            {typed.kind !== 'ladder' && typed.kind !== 'staircase' && typed.kind !== 'checks' && (
              <Labelled id={`${id}-order`} label="Order">
                <span className="flex flex-wrap gap-2">
                  <select
                    id={`${id}-order`}
                    className="field"
                    value={typed.order}
                    onChange={(e) => change({ order: e.target.value as TypedLayout['order'] })}
                  >
                    {options(ORDER).map((o) => (
                      <option key={o.value} value={o.value}>
                        {o.label}
                      </option>
                    ))}
                  </select>
                  {typed.order !== 'asGiven' && (
                    <Button look="quiet" className="whitespace-nowrap" onClick={() => change({ seed: typed.seed + 1 })}>
                      Shuffle anew
                    </Button>
                  )}
                </span>
              </Labelled>
            )}
          </>
        )}
        <Preview
          trial={trial}
          method={method.id}
          layout={settled}
          leaveOut={(cell, reason) => change({ leftOut: without(typed.leftOut, cell, reason) })}
        />
        <Problem says={write.problem} />
        <div className="basis-full pt-1">
          <Button type="submit" look="primary" disabled={write.busy}>
            {write.busy ? 'Saving …' : 'Keep this plan'}
          </Button>
        </div>
      </form>
    </Slip>
  );
}

const layoutOf = (typed: TypedLayout): Schemas['LayoutInput'] => ({
  kind: typed.kind,
  // A check list goes through the questions, at no level.
  levels:
    typed.kind === 'checks'
      ? []
      : Object.entries(typed.levels).map(([name, text]) => ({ name, levels: linesOf(text) })),
  arms: typed.kind === 'checks' ? [] : typed.arms,
  // What is no number goes as it is, so that the server can say so.
  repeats: (/^\d+$/.test(typed.repeats.trim()) ? Number(typed.repeats) : typed.repeats) as number,
  order: typed.order,
  seed: typed.seed,
  leftOut: typed.leftOut,
  setting: typed.setting,
  minutes: typed.minutes ?? 0,
});

const same = (a: Schemas['LeftOutInput'], b: Schemas['PlannedCell']) =>
  a.arm === b.arm && JSON.stringify(a.levels) === JSON.stringify(b.levels);

/** A cell is left out with a reason, or taken in again without one. */
function without(leftOut: Schemas['LeftOutInput'][], cell: Schemas['PlannedCell'], reason: string) {
  const others = leftOut.filter((l) => !same(l, cell));
  return reason === '' ? others : [...others, { levels: cell.levels, arm: cell.arm, reason }];
}

function Labelled({
  id,
  label,
  wide = false,
  children,
}: {
  id: string;
  label: string;
  wide?: boolean;
  children: React.ReactNode;
}) {
  return (
    <div className={wide ? 'basis-full' : 'min-w-40 flex-1 basis-[44%]'}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      {children}
    </div>
  );
}

function Preview({
  trial,
  method,
  layout,
  leaveOut,
}: {
  trial: Schemas['TrialView'];
  method: string;
  layout: Schemas['LayoutInput'];
  leaveOut: (cell: Schemas['PlannedCell'], reason: string) => void;
}) {
  const [whole, setWhole] = useState(false);
  const query = useQuery({
    queryKey: ['plan', method, trial.revision, layout],
    queryFn: () =>
      must(
        api.POST('/api/methods/{id}/plan', {
          params: { path: { id: method } },
          body: { revision: trial.revision, layout },
        }),
      ),
    enabled: layout.kind !== 'free' && layout.kind !== 'setting',
    placeholderData: (before) => before,
    retry: false,
  });
  if (layout.kind === 'setting')
    return (
      <p className="basis-full text-sm text-soft">
        Each run says too low, good or too high; the next one to try, and why, stands on the trial. The method says from
        where to where it goes.
      </p>
    );
  if (layout.kind === 'free')
    return (
      <p className="basis-full text-sm text-soft">
        A number of runs and no order: what comes of it is looked at as it comes.
      </p>
    );
  if (query.isError) return <Problem says={query.error.message} />;
  if (query.data === undefined) return <p className="basis-full text-sm text-soft">Working it out …</p>;
  const plan = query.data;
  return (
    <section aria-label="What it comes to" className="basis-full border-l-2 border-blue pl-4">
      <p role="status" className="font-serif text-lg">
        {plan.sentence}
      </p>
      {plan.finds.map((f) => (
        <p key={f}>{f}</p>
      ))}
      {plan.costs.map((c) => (
        <p key={c} className="mt-1 text-sm text-soft">
          {c}
        </p>
      ))}
      {/* Levels of a staircase follow from its runs: none is left out, and there is no order to look at. */}
      {layout.kind !== 'staircase' && <CellsToTry cells={plan.cells} leaveOut={leaveOut} />}
      {layout.kind !== 'staircase' && (
        <Button look="quiet" className="-ml-3" aria-expanded={whole} onClick={() => setWhole(!whole)}>
          {whole ? 'Hide the order' : 'In which order?'}
        </Button>
      )}
      {whole && layout.kind !== 'staircase' && (
        <ol className="columns-2 text-sm sm:columns-3">
          {plan.order.map((text, i) => (
            <li key={i}>
              {i + 1}. {text}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
