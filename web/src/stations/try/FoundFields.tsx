import { useId, useState, type FormEvent } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { options, PURPOSE } from '../../ui/words';
import { aboutKey, aboutOf, foundBody, foundKey, foundOf, type AboutDraft, type FoundDraft } from './onSheet';
import { MoreAbout } from './MoreAbout';
import { runBody } from './runBody';

/** Settings as found and conditions: what nobody recorded is asked for, and may be 'unknown'. */
export function FoundFields({ sheet, write: mayWrite }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const { run, asked } = sheet;
  const write = useWrite();
  const [draft, setDraft, dropDraft] = useDraft<FoundDraft | null>(foundKey(run.id), null);
  const [more, setMore, dropMore] = useDraft<AboutDraft | null>(aboutKey(run.id), null);
  const [kept, setKept] = useState(false);
  const values: FoundDraft = { ...foundOf(run), ...draft };
  const about = { ...aboutOf(run), ...more };
  const isHere = (s: { name: string }) =>
    run.outcome !== null || sheet.rig.lines.every((l) => l.name !== s.name || !l.asks);
  const rules = [
    ...asked.factors.map((f) => ({
      name: f.name,
      unit: f.unit,
      states: f.kind === 'number' ? [] : f.levels,
      intended: null,
      list: 'levels' as const,
    })),
    // What the rig check asks for is asked once.
    ...asked.settings.filter(isHere).map((s) => ({
      ...s,
      states: [] as string[],
      list: 'settings' as const,
      how: asked.adjusting.find((a) => a.name === s.name)?.text,
    })),
    ...asked.conditions.map((c) => ({ ...c, intended: null, list: 'conditions' as const })),
  ];

  async function submit(event: FormEvent) {
    event.preventDefault();
    setKept(false);
    const body = runBody(run, foundBody(sheet, draft, about));
    if (await write.run(() => putRecord('runs', run.id, body))) {
      dropDraft();
      dropMore();
      setKept(true);
    }
  }

  /** What is wrong with a field, said at its place in its list. */
  function problemOf(rule: (typeof rules)[number]): string | undefined {
    const sent = { levels: asked.factors, settings: asked.settings, conditions: asked.conditions };
    const place = sent[rule.list].findIndex((r) => r.name === rule.name);
    return write.violations[`${rule.list}[${place}].text`];
  }

  const offered = Object.fromEntries(sheet.offered.map((f) => [f.name, f.text]));
  const unconfirmed = sheet.offered.filter((f) => (draft?.[f.name] ?? '') === '');

  return (
    <form onSubmit={(e) => void submit(e)} className="grid grid-cols-2 gap-x-4 gap-y-3" noValidate>
      {mayWrite && unconfirmed.length > 0 && (
        <div className="col-span-2 border-2 border-dashed border-brass p-2">
          <p className="text-sm">
            Offered from run {sheet.offeredFrom}: {unconfirmed.map((f) => `${f.name} ${f.text}`).join(', ')}. Nobody has
            confirmed it, and it counts as not recorded.
          </p>
          <Button
            large
            className="mt-1"
            onClick={() => setDraft({ ...draft, ...Object.fromEntries(unconfirmed.map((f) => [f.name, f.text])) })}
          >
            All as in run {sheet.offeredFrom}
          </Button>
        </div>
      )}
      {rules.map((rule) => (
        <FoundField
          key={rule.name}
          rule={rule}
          value={values[rule.name] ?? ''}
          offered={offered[rule.name]}
          missing={sheet.missing.includes(rule.name)}
          problem={problemOf(rule)}
          how={'how' in rule ? rule.how : undefined}
          write={mayWrite}
          onChange={(text) => setDraft({ ...draft, [rule.name]: text })}
        />
      ))}
      <TextField
        label="Operator"
        value={about.operator}
        write={mayWrite}
        onChange={(operator) => setMore({ ...about, operator })}
      />
      <label className="block">
        <span className="mb-1 block text-sm font-semibold">Made</span>
        <select
          className="field min-h-12"
          value={about.purpose}
          disabled={!mayWrite}
          onChange={(e) => setMore({ ...about, purpose: e.target.value as Schemas['Purpose'] })}
        >
          {options(PURPOSE).map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ))}
        </select>
      </label>
      <div className="col-span-2">
        <TextField label="Note" value={about.note} write={mayWrite} onChange={(note) => setMore({ ...about, note })} />
      </div>
      <MoreAbout sheet={sheet} about={about} write={mayWrite} onChange={setMore} />
      {mayWrite && (
        <div className="col-span-2 flex items-center gap-3">
          <Button type="submit" look="primary" large>
            Keep as found
          </Button>
          <p role="status" className="text-sm text-soft">
            {write.busy
              ? 'Saving …'
              : write.problem !== ''
                ? write.problem
                : kept
                  ? 'Kept.'
                  : draft !== null || more !== null
                    ? 'Not saved yet; kept on this device.'
                    : ''}
          </p>
        </div>
      )}
    </form>
  );
}

function FoundField({
  rule,
  value,
  offered,
  missing,
  problem,
  how,
  write,
  onChange,
}: {
  rule: { name: string; unit: string; states: string[]; intended: number | null };
  value: string;
  offered: string | undefined;
  missing: boolean;
  problem: string | undefined;
  /** What to know while it is adjusted. */
  how: string | undefined;
  write: boolean;
  onChange: (text: string) => void;
}) {
  const id = useId();
  const waits = offered !== undefined && value === '';
  const look = waits ? 'border-2 border-dashed border-brass placeholder:text-brass' : '';
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {rule.name} {rule.unit !== '' && <span className="font-normal text-soft">{rule.unit}</span>}
      </label>
      {rule.states.length > 0 ? (
        <select
          id={id}
          className={`field min-h-12 ${look}`}
          value={value}
          disabled={!write}
          onChange={(e) => onChange(e.target.value)}
        >
          <option value="">{waits ? `${offered}?` : 'not recorded'}</option>
          {[...new Set([...rule.states, 'unknown', ...(value === '' ? [] : [value])])].map((s) => (
            <option key={s}>{s}</option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className={`field min-h-12 ${problem === undefined ? look : 'border-oxide'}`}
          placeholder={waits ? `${offered}?` : undefined}
          value={value}
          disabled={!write}
          autoComplete="off"
          aria-invalid={problem !== undefined}
          aria-describedby={`${id}-more`}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
      <p
        id={`${id}-more`}
        className={`text-xs ${problem !== undefined ? 'font-semibold text-oxide' : missing ? 'text-brass' : 'text-soft'}`}
      >
        {problem ??
          (missing ? 'Not recorded yet.' : rule.intended !== null ? `Should be ${rule.intended} ${rule.unit}.` : '')}
      </p>
      {write && how !== undefined && <p className="text-xs text-soft">{how}</p>}
    </div>
  );
}

function TextField({
  label,
  value,
  write,
  onChange,
}: {
  label: string;
  value: string;
  write: boolean;
  onChange: (text: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        className="field min-h-12"
        value={value}
        disabled={!write}
        autoComplete="off"
        onChange={(e) => onChange(e.target.value)}
      />
    </div>
  );
}
