import { useId, useState, type FormEvent } from 'react';

import { api, must, ProblemError, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useDraft } from '../../offline/useDraft';
import { Button } from '../../ui/Button';
import { runBody } from './runBody';

type Found = Record<string, string>;

function numberWithUnit(text: string, unit: string): string {
  return unit !== '' && /^\s*[+\-−]?[\d.,]+\s*$/.test(text) ? `${text.trim()} ${unit}` : text.trim();
}

/** Settings as found and conditions: what nobody recorded is asked for, and may be 'unknown'. */
export function FoundFields({ sheet, write }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const { run, method } = sheet;
  const refresh = useRefresh();
  const kept: Found = Object.fromEntries([...run.conditions, ...run.settings].map((f) => [f.name, f.text]));
  const [draft, setDraft, dropDraft] = useDraft<Found | null>(`found:${run.id}`, null);
  const [more, setMore, dropMore] = useDraft<{ operator: string; position: string; note: string } | null>(
    `about:${run.id}`,
    null,
  );
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [state, setState] = useState('');
  const values = { ...kept, ...draft };
  const about = more ?? { operator: run.operator, position: run.position, note: run.note };

  async function submit(event: FormEvent) {
    event.preventDefault();
    setState('Saving …');
    setProblems({});
    const list = (rules: { name: string; unit: string }[]) =>
      rules.map((r) => ({ name: r.name, text: numberWithUnit(values[r.name] ?? '', r.unit) }));
    try {
      await must(
        api.PUT('/api/runs/{id}', {
          params: { path: { id: run.id } },
          body: runBody(run, { ...about, conditions: list(method.conditions), settings: list(method.settings) }),
        }),
      );
      dropDraft();
      dropMore();
      setState('Kept.');
      await refresh();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      const at: Record<string, string> = {};
      for (const [path, message] of Object.entries(error.violations)) {
        const match = /^(conditions|settings)\[(\d+)\]/.exec(path);
        const name =
          match === null
            ? undefined
            : (match[1] === 'conditions' ? method.conditions : method.settings)[Number(match[2])]?.name;
        if (name !== undefined) at[name] = message;
      }
      setProblems(at);
      setState(error.message);
    }
  }

  return (
    <form onSubmit={(e) => void submit(e)} className="grid grid-cols-2 gap-x-4 gap-y-3" noValidate>
      {[
        ...method.settings.map((s) => ({ ...s, states: [] as string[], setting: true })),
        ...method.conditions.map((c) => ({ ...c, intended: null, setting: false })),
      ].map((rule) => (
        <FoundField
          key={rule.name}
          rule={rule}
          value={values[rule.name] ?? ''}
          missing={run.missing.includes(rule.name)}
          problem={problems[rule.name]}
          write={write}
          onChange={(text) => setDraft({ ...draft, [rule.name]: text })}
        />
      ))}
      <TextField
        label="Operator"
        value={about.operator}
        write={write}
        onChange={(operator) => setMore({ ...about, operator })}
      />
      <TextField
        label="Rung, arm or place"
        value={about.position}
        write={write}
        onChange={(position) => setMore({ ...about, position })}
      />
      <div className="col-span-2">
        <TextField label="Note" value={about.note} write={write} onChange={(note) => setMore({ ...about, note })} />
      </div>
      {write && (
        <div className="col-span-2 flex items-center gap-3">
          <Button type="submit" look="primary" large>
            Keep as found
          </Button>
          <p role="status" className="text-sm text-soft">
            {state !== '' ? state : draft !== null || more !== null ? 'Not saved yet; kept on this device.' : ''}
          </p>
        </div>
      )}
    </form>
  );
}

function FoundField({
  rule,
  value,
  missing,
  problem,
  write,
  onChange,
}: {
  rule: { name: string; unit: string; states: string[]; intended: number | null };
  value: string;
  missing: boolean;
  problem: string | undefined;
  write: boolean;
  onChange: (text: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {rule.name} {rule.unit !== '' && <span className="font-normal text-soft">{rule.unit}</span>}
      </label>
      {rule.states.length > 0 ? (
        <select
          id={id}
          className="field min-h-12"
          value={value}
          disabled={!write}
          onChange={(e) => onChange(e.target.value)}
        >
          <option value="">not recorded</option>
          {[...new Set([...rule.states, 'unknown', ...(value === '' ? [] : [value])])].map((s) => (
            <option key={s}>{s}</option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className={`field min-h-12 ${problem === undefined ? '' : 'border-oxide'}`}
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
