import { useEffect, useState } from 'react';
import { useFieldArray, useForm, type Control, type UseFormRegister } from 'react-hook-form';

import { ProblemError } from '../api/client';
import { refreshed } from '../api/stale';
import { dropDraft, keepDraft, readDraft } from '../outbox/drafts';
import { Button } from './Button';
import { fromForm, toForm, type FieldOrRows, type Rows, type Values } from './fields';
import { FieldInput } from './FieldInput';

const without = (values: Values, names: string[]): Values =>
  Object.fromEntries(Object.entries(values).filter(([name]) => !names.includes(name)));

const differing = (from: Values, values: Values): Values =>
  Object.fromEntries(Object.entries(values).filter(([name, v]) => JSON.stringify(v) !== JSON.stringify(from[name])));

type Conflict = { theirs: Values; version: number };

/**
 * The form of a record. What is typed is kept on this device until the server has it; what is wrong is said at its
 * field; when somebody else was quicker, both versions are shown.
 */
export function RecordForm<T = Values>({
  fields: typed,
  record,
  draft,
  save,
  onSaved,
  label = 'Save',
}: {
  fields: FieldOrRows<T>[];
  /** What it starts from; its `version` is what the edit is against. */
  record: Values;
  /** Under which name unsaved typing is kept. */
  draft: string;
  save: (values: Values, version: number | null) => Promise<unknown>;
  onSaved: () => void;
  label?: string;
}) {
  // The names of the fields are the input's; from here on they are only names.
  const fields: FieldOrRows[] = typed;
  const initial = toForm(fields, record);
  const secret = fields.filter((f) => f.kind === 'password').map((f) => f.name);
  const { register, control, getValues, handleSubmit, reset, subscribe, setError, formState } = useForm<Values>({
    defaultValues: initial,
  });
  const [problem, setProblem] = useState('');
  const [restored, setRestored] = useState(false);
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const version = conflict?.version ?? (typeof record['version'] === 'number' ? record['version'] : null);

  useEffect(() => {
    let gone = false;
    void readDraft<Values>(draft).then((kept) => {
      if (kept === undefined || gone) return;
      // Who types before the device has answered is not overwritten.
      reset({ ...initial, ...kept, ...differing(initial, getValues()) }, { keepDefaultValues: true });
      setRestored(true);
    });
    const unsubscribe = subscribe({
      formState: { values: true },
      // A password is typed again rather than kept anywhere.
      callback: ({ values }) => void keepDraft(draft, without(values, secret)),
    });
    return () => {
      gone = true;
      unsubscribe();
    };
    // Only the name of the draft decides which one is read; the fields are the same for it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);

  const submit = handleSubmit(async (values) => {
    setProblem('');
    try {
      await save(fromForm(fields, values), version);
      await dropDraft(draft);
      // Whoever goes on at once goes on from what there is now, and not against their own write.
      await refreshed();
      onSaved();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      const theirs = error.document.theirs;
      if (error.status === 409 && theirs !== undefined && theirs !== null && typeof theirs['version'] === 'number') {
        setConflict({ theirs, version: theirs['version'] });
      }
      let shown = false;
      for (const [path, message] of Object.entries(error.violations)) {
        const name = path.replace(/\[(\d+)\]/g, '.$1');
        if (fields.some((f) => name === f.name || name.startsWith(f.name + '.'))) {
          setError(name, { message }, { shouldFocus: !shown });
          shown = true;
        }
      }
      setProblem(error.message);
    }
  });

  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-wrap gap-x-4 gap-y-4">
      {restored && (
        <p className="basis-full border-l-2 border-brass pl-3 text-sm text-soft">
          This is what you typed before and did not save.{' '}
          <button
            type="button"
            className="cursor-pointer font-semibold text-blue underline"
            onClick={() => {
              reset(initial);
              void dropDraft(draft);
              setRestored(false);
            }}
          >
            Start over
          </button>
        </p>
      )}
      {fields.map((field) =>
        field.kind === 'rows' ? (
          <RowsInput key={field.name} rows={field} control={control} register={register} errors={formState.errors} />
        ) : (
          <FieldInput
            key={field.name}
            field={field}
            path={field.name}
            register={register}
            error={messageAt(formState.errors, field.name)}
          />
        ),
      )}
      {conflict !== null && <ConflictNote conflict={conflict} fields={fields} />}
      {problem !== '' && (
        <p role="alert" className="basis-full border-l-2 border-oxide pl-3 font-semibold text-oxide">
          {problem}
        </p>
      )}
      <div className="basis-full pt-1">
        <Button type="submit" look="primary" disabled={formState.isSubmitting}>
          {formState.isSubmitting ? 'Saving …' : conflict !== null ? 'Save mine over theirs' : label}
        </Button>
      </div>
    </form>
  );
}

function ConflictNote({ conflict, fields }: { conflict: Conflict; fields: FieldOrRows[] }) {
  const theirs = toForm(fields, conflict.theirs);
  return (
    <div className="basis-full border border-brass bg-brasswash p-3 text-sm">
      <p className="font-semibold">As it is now, saved by somebody else:</p>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
        {fields
          .filter((f) => f.kind !== 'rows')
          .map((f) => (
            <div key={f.name} className="contents">
              <dt className="text-soft">{f.label}</dt>
              <dd className="break-words">{String(theirs[f.name]) || '(empty)'}</dd>
            </div>
          ))}
      </dl>
    </div>
  );
}

function RowsInput({
  rows,
  control,
  register,
  errors,
}: {
  rows: Rows;
  control: Control<Values>;
  register: UseFormRegister<Values>;
  errors: object;
}) {
  const list = useFieldArray({ control: control as unknown as Control<Record<string, Values[]>>, name: rows.name });
  return (
    <fieldset className="basis-full border border-rule p-3">
      <legend className="stamp px-1 text-sm">{rows.label}</legend>
      {messageAt(errors, rows.name) !== undefined && (
        <p className="text-sm text-oxide">{messageAt(errors, rows.name)}</p>
      )}
      {list.fields.map((row, i) => (
        <div key={row.id} className="mb-3 flex flex-wrap gap-x-3 gap-y-2 border-b border-rule pb-3">
          {rows.fields.map((field) => (
            <FieldInput
              key={field.name}
              field={field}
              path={`${rows.name}.${i}.${field.name}`}
              register={register}
              error={messageAt(errors, `${rows.name}.${i}.${field.name}`)}
            />
          ))}
          <Button look="quiet" onClick={() => list.remove(i)}>
            Take out
          </Button>
        </div>
      ))}
      <Button look="quiet" onClick={() => list.append(toForm(rows.fields, rows.empty))}>
        {rows.add}
      </Button>
    </fieldset>
  );
}

function messageAt(errors: object, path: string): string | undefined {
  let at: unknown = errors;
  for (const step of path.split('.')) {
    if (typeof at !== 'object' || at === null) return undefined;
    at = (at as Record<string, unknown>)[step];
  }
  const message = typeof at === 'object' && at !== null ? (at as Record<string, unknown>)['message'] : undefined;
  return typeof message === 'string' ? message : undefined;
}
