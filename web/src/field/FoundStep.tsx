import { useId } from 'react';

import { stamp } from '../api/clock';
import type { Schemas } from '../api/client';
import { Button } from '../ui/Button';
import type { FieldRun, Trial } from './fieldRun';

type Rule = { name: string; unit: string; states: string[]; should: string };

/** Levels, settings and conditions as found, with what the last good run was made at in one touch. */
export function FoundStep({
  run,
  trial,
  change,
  next,
}: {
  run: FieldRun;
  trial: Trial;
  change: (changed: Partial<FieldRun>) => FieldRun;
  next: () => void;
}) {
  const { asked, good } = trial;
  // Changed on purpose on this article, it is meant to be there.
  const set: Schemas['SetOnPurpose'][] | undefined = trial.set;
  const meant = new Map((set ?? []).filter((s) => s.article === run.article).map((s) => [s.name, s.intended]));
  const should = (intended: number | null, unit: string) => (intended === null ? '' : `should be ${intended} ${unit}`);
  const was = Object.fromEntries((good?.found ?? []).map((f) => [f.name, f.text]));
  const factors: Rule[] = asked.factors.map((f) => ({
    name: f.name,
    unit: f.kind === 'number' ? f.unit : '',
    states: f.levels,
    should: '',
  }));
  const others: Rule[] = [
    ...asked.settings.map((s) => ({
      name: s.name,
      unit: s.unit,
      states: [],
      should: should(meant.has(s.name) ? (meant.get(s.name) ?? null) : s.intended, s.unit),
    })),
    ...asked.conditions.map((c) => ({ name: c.name, unit: c.unit, states: c.states, should: '' })),
  ];
  const open = asked.conditions.filter((c) => (run.found[c.name] ?? '') === '' && (was[c.name] ?? '') !== '');
  const say = (name: string, text: string) => change({ found: { ...run.found, [name]: text }, foundAt: stamp() });
  return (
    <div className="mt-4 space-y-4">
      {open.length > 0 && good !== null && (
        <Button
          large
          className="w-full"
          onClick={() =>
            change({ found: { ...run.found, ...Object.fromEntries(open.map((c) => [c.name, was[c.name]!])) } })
          }
        >
          Around it all as on run {good.number}
        </Button>
      )}
      {factors.map((rule) => (
        <FoundField
          key={rule.name}
          rule={rule}
          value={run.levels[rule.name] ?? ''}
          say={(text) => change({ levels: { ...run.levels, [rule.name]: text } })}
        />
      ))}
      {others.map((rule) => (
        <FoundField
          key={rule.name}
          rule={rule}
          value={run.found[rule.name] ?? ''}
          say={(text) => say(rule.name, text)}
        />
      ))}
      <Button large look="primary" className="w-full" onClick={next}>
        On to the readings
      </Button>
    </div>
  );
}

function FoundField({ rule, value, say }: { rule: Rule; value: string; say: (text: string) => void }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {rule.name} <span className="font-normal text-soft">{[rule.unit, rule.should].filter(Boolean).join(', ')}</span>
      </label>
      {rule.states.length > 0 && rule.unit === '' ? (
        <div role="group" aria-label={rule.name} className="flex flex-wrap gap-2">
          {[...rule.states, 'unknown'].map((state) => (
            <Button
              key={state}
              large
              look={state === value ? 'primary' : 'plain'}
              aria-pressed={state === value}
              onClick={() => say(state)}
            >
              {state}
            </Button>
          ))}
        </div>
      ) : (
        <input
          id={id}
          className="field min-h-14 text-xl"
          inputMode={rule.unit === '' ? 'text' : 'decimal'}
          autoComplete="off"
          value={value}
          onChange={(e) => say(e.target.value)}
        />
      )}
    </div>
  );
}
