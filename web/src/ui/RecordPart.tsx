import { useState, type ReactNode } from 'react';

import { putRecord, type Inputs } from '../api/records';
import { uuid } from '../api/uuid';
import { Button } from './Button';
import type { FieldOrRows, Values } from './fields';
import { RecordSlip, type Editing } from './RecordSlip';
import { Empty, Part } from './Sheet';
import { Table, type Column } from './Table';

/** A part of a sheet that lists records of one kind: read first, added and edited in a slip of its own. */
export function RecordPart<T, K extends keyof Inputs>({
  title,
  aside,
  said,
  empty,
  add,
  kind,
  owner,
  rows,
  recordOf,
  columns,
  fields,
  blank,
  body,
  write,
  children,
}: {
  title: string;
  aside?: ReactNode;
  /** What is worked out from the rows, in a sentence. */
  said?: string;
  /** What will be worked out once there are some. */
  empty: ReactNode;
  /** On the button; it heads the slip too. */
  add: string;
  kind: K;
  /** Of what the records are: names the draft of a new one. */
  owner: string;
  rows: T[];
  recordOf: (row: T) => Values & { id: string };
  columns: Column<T>[];
  fields: FieldOrRows[];
  blank: Values;
  /** What is sent beside what was typed. */
  body: (record: Values) => Values;
  write: boolean;
  children?: ReactNode;
}) {
  const [editing, setEditing] = useState<Editing>(null);
  const begin = () => setEditing({ id: uuid(), record: blank });
  const button = write && (
    <Button look="quiet" onClick={begin}>
      {add}
    </Button>
  );
  return (
    <Part title={title} aside={aside} actions={rows.length > 0 && button}>
      {said !== undefined && said !== '' && <p className="mb-2 max-w-prose">{said}</p>}
      {rows.length === 0 ? (
        <Empty action={button}>{empty}</Empty>
      ) : (
        <Table
          wide
          headless
          stacks
          label={title}
          rows={rows}
          keyOf={(r) => recordOf(r).id}
          columns={columns}
          edit={write ? (r) => () => setEditing({ id: recordOf(r).id, record: { ...recordOf(r) } }) : undefined}
        />
      )}
      {children}
      <RecordSlip
        title={typeof editing?.record['version'] === 'number' ? title : add}
        kind={`${kind}:${owner}`}
        editing={editing}
        fields={fields}
        onClose={() => setEditing(null)}
        withdraw={kind}
        save={(id, values, version) => putRecord(kind, id, { ...values, ...body(editing?.record ?? {}), version })}
      />
    </Part>
  );
}
