import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { api, must, type Schemas } from '../api/client';
import { putRecord } from '../api/records';
import { methodsQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { uuid } from '../api/uuid';
import { useBegin, useFrame } from '../ui/place';
import { Button } from '../ui/Button';
import { Problem } from '../ui/Problem';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Empty, Part, Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { Instruments } from './Instruments';
import { MIND, PURPOSE } from './methodFields';

/** The library: how each kind of trial is done here and on the other devices, and what the team measures with. */
export default function Methods() {
  const frame = useFrame();
  const query = useQuery(methodsQuery(frame.device.id));
  return (
    <Waiting query={query} title="Methods and instruments">
      {(sheet) => <MethodList sheet={sheet} />}
    </Waiting>
  );
}

function MethodList({ sheet }: { sheet: Schemas['MethodsSheet'] }) {
  const frame = useFrame();
  const go = useNavigate();
  const [editing, setEditing] = useState<Editing>(null);
  const begin = useCallback(() => setEditing({ id: uuid(), record: {} }), []);
  useBegin(frame.write ? begin : null);
  return (
    <>
      <Sheet
        title="Methods and instruments"
        sentence={sheet.sentence}
        actions={
          frame.write && (
            <Button look="primary" onClick={begin}>
              New method
            </Button>
          )
        }
      >
        {sheet.methods.length === 0 && (
          <Empty>
            None yet. What you try makes its method by itself: its numbers become what is read and what it is tried at.
            A method says what is read, in which unit, what must be written down beside it, and when to stop; it is what
            makes two builds comparable.
          </Empty>
        )}
        <ol className="mt-4 max-w-4xl">
          {sheet.methods.map((row) => (
            <MethodLine key={row.id} row={row} />
          ))}
        </ol>
        {sheet.elsewhere.length > 0 && <Elsewhere sheet={sheet} />}
        <Instruments sheet={sheet} />
      </Sheet>
      <RecordSlip
        title="New method"
        kind={`method:${frame.device.id}`}
        editing={editing}
        fields={[...PURPOSE, ...MIND.filter((f) => f.name === 'abort')]}
        label="Write it"
        onClose={() => setEditing(null)}
        save={async (id, { abort, ...values }) => {
          await putRecord('methods', id, { ...values, safety: { abort }, device: frame.device.id });
          void go(`/d/${frame.device.id}/methods/${id}`);
        }}
      />
    </>
  );
}

function MethodLine({ row }: { row: Schemas['MethodRow'] }) {
  const { device } = useFrame();
  return (
    <li className="border-t border-rule py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <Link className="font-semibold text-blue hover:underline" to={`/d/${device.id}/methods/${row.id}`}>
          {row.name}
        </Link>
        <span className="text-sm text-soft">{row.aside}</span>
      </div>
      {row.purpose !== '' && <p>{row.purpose}</p>}
      {row.reads !== '' && <p className="text-sm text-soft">Reads {row.reads}</p>}
      {row.hazards !== '' && <p className="text-sm text-oxide">{row.hazards}</p>}
      {[row.lacks, ...row.unfit].filter(Boolean).map((said) => (
        <p key={said} className="border-l-2 border-brass pl-2 text-sm">
          {said}
        </p>
      ))}
    </li>
  );
}

/** Methods of the other devices; using one copies it, and from then on each goes its own way. */
function Elsewhere({ sheet }: { sheet: Schemas['MethodsSheet'] }) {
  const frame = useFrame();
  const go = useNavigate();
  const write = useWrite();
  const use = async (method: string) => {
    const id = uuid();
    const path = { id: frame.device.id };
    if (await write.run(() => must(api.POST('/api/devices/{id}/methods', { params: { path }, body: { id, method } }))))
      void go(`/d/${frame.device.id}/methods/${id}`);
  };
  return (
    <Part title="On your other devices">
      <ul className="max-w-4xl">
        {sheet.elsewhere.map((m) => (
          <li key={m.id} className="flex flex-wrap items-center justify-between gap-x-4 border-t border-rule py-1.5">
            <span>
              {m.name} <span className="text-sm text-soft">{[m.device, m.purpose].filter(Boolean).join(' · ')}</span>
            </span>
            {frame.write && (
              <Button
                look="quiet"
                disabled={write.busy}
                aria-label={`Use ${m.name} here`}
                onClick={() => void use(m.id)}
              >
                Use here
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Problem says={write.problem} />
    </Part>
  );
}
