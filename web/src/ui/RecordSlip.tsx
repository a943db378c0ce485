import { Suspense, type ReactNode } from 'react';

import type { FieldOrRows, Values } from './fields';
import type { Inputs } from '../api/records';
import { RecordForm, WithdrawRecord } from './lateForm';
import { Slip } from './Slip';

/** What a slip is open for: a new record or one that is edited. */
export type Editing = { id: string; record: Values } | null;

/** A slip with the form of one record; closes when it is kept. */
export function RecordSlip<T = Values>({
  title,
  kind,
  editing,
  fields: typed,
  save,
  onClose,
  label,
  wide = false,
  draft,
  withdraw,
  children,
}: {
  title: string;
  /** Names the draft of a new record together with what it belongs to. */
  kind: string;
  editing: Editing;
  fields: FieldOrRows<T>[];
  save: (id: string, values: Values, version: number | null) => Promise<unknown>;
  onClose: () => void;
  label?: string;
  wide?: boolean;
  draft?: string;
  /** What kind it is, where it can be taken back. */
  withdraw?: keyof Inputs;
  /** What else can be done with it, below the form. */
  children?: ReactNode;
}) {
  // The names of the fields are the input's; from here on they are only names.
  const fields: FieldOrRows[] = typed;
  return (
    <Slip open={editing !== null} onClose={onClose} title={title} wide={wide}>
      {editing !== null && (
        <Suspense fallback={<p className="text-soft">Opening …</p>}>
          <RecordForm
            fields={fields}
            record={editing.record}
            draft={draft ?? (typeof editing.record['version'] === 'number' ? `${kind}:${editing.id}` : `${kind}:new`)}
            save={(values, version) => save(editing.id, values, version)}
            onSaved={onClose}
            {...(label === undefined ? {} : { label })}
          />
          {children}
          {withdraw !== undefined && typeof editing.record['version'] === 'number' && (
            <Suspense fallback={null}>
              <WithdrawRecord kind={withdraw} id={editing.id} onDone={onClose} />
            </Suspense>
          )}
        </Suspense>
      )}
    </Slip>
  );
}
