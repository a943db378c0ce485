import { useContext, useId } from 'react';
import type { UseFormRegister } from 'react-hook-form';

import type { Field, Values } from './fields';
import { PlaceContext } from './place';

/** One labelled field with its hint and what is wrong with it. */
export function FieldInput({
  field,
  path,
  register,
  error,
}: {
  field: Field;
  path: string;
  register: UseFormRegister<Values>;
  error: string | undefined;
}) {
  const id = useId();
  const people = useContext(PlaceContext)?.frame.people;
  const suggest = field.people === true ? people : field.suggest;
  const shared = {
    ...register(path),
    id,
    'aria-invalid': error !== undefined,
    'aria-describedby': error !== undefined ? `${id}-error` : field.hint !== undefined ? `${id}-hint` : undefined,
    className: `field ${error !== undefined ? 'border-oxide' : ''}`,
    autoComplete: field.kind === 'password' ? 'new-password' : field.kind === 'email' ? 'email' : 'off',
  };
  return (
    <div className={field.half === true ? 'min-w-32 flex-1 basis-[44%]' : 'basis-full'}>
      {field.kind === 'picks' ? (
        <Picks field={field} path={path} register={register} id={id} />
      ) : field.kind === 'check' ? (
        <label className="flex min-h-9 items-center gap-2">
          <input {...shared} type="checkbox" className="size-5 accent-blue" />
          {field.label}
        </label>
      ) : (
        <>
          <label htmlFor={id} className="mb-1 block text-sm font-semibold">
            {field.label}
          </label>
          {field.kind === 'area' || field.kind === 'lines' ? (
            <textarea {...shared} rows={field.kind === 'lines' ? 3 : 4} />
          ) : field.kind === 'select' ? (
            <select {...shared}>
              {field.options?.map((o) => (
                <option key={o.value} value={o.value}>
                  {o.label}
                </option>
              ))}
            </select>
          ) : (
            <input
              {...shared}
              type={field.kind === 'password' ? 'password' : field.kind === 'email' ? 'email' : 'text'}
              inputMode={field.kind === 'number' ? 'decimal' : undefined}
              list={suggest !== undefined ? `${id}-list` : undefined}
            />
          )}
          {suggest !== undefined && (
            <datalist id={`${id}-list`}>
              {suggest.map((s) => (
                <option key={s} value={s} />
              ))}
            </datalist>
          )}
        </>
      )}
      {error !== undefined ? (
        <p id={`${id}-error`} className="mt-1 text-sm font-semibold text-oxide">
          {error}
        </p>
      ) : (
        field.hint !== undefined && (
          <p id={`${id}-hint`} className="mt-1 text-xs text-soft">
            {field.hint}
          </p>
        )
      )}
    </div>
  );
}

/** Any of a list: a box each, so that a thumb can find them. */
function Picks({
  field,
  path,
  register,
  id,
}: {
  field: Field;
  path: string;
  register: UseFormRegister<Values>;
  id: string;
}) {
  return (
    <fieldset
      className="border border-rule px-3 pb-2"
      aria-describedby={field.hint === undefined ? undefined : `${id}-hint`}
    >
      <legend className="px-1 text-sm font-semibold">{field.label}</legend>
      {(field.options ?? []).length === 0 && <p className="text-sm text-soft">There is nothing to pick yet.</p>}
      <div className="max-h-48 overflow-y-auto">
        {field.options?.map((o) => (
          <label key={o.value} className="flex min-h-9 items-center gap-2">
            <input type="checkbox" value={o.value} className="size-5 shrink-0 accent-blue" {...register(path)} />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
