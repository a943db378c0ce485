import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';

import { api, must, send } from '../api/client';
import { membersQuery, useSession } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import type { Field } from '../ui/fields';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Sheet } from '../ui/Sheet';
import { Table } from '../ui/Table';
import { Waiting } from '../ui/Waiting';
import { Apart } from './Apart';

const ROLES = [
  { value: 'lead', label: 'lead: everything, and who is in' },
  { value: 'member', label: 'member: everything but the people' },
  { value: 'viewer', label: 'viewer: look only' },
];

const FIELDS: Field[] = [
  { name: 'name', label: 'Name' },
  { name: 'email', label: 'E-mail', kind: 'email' },
  { name: 'role', label: 'Role', kind: 'select', options: ROLES },
  {
    name: 'password',
    label: 'First password',
    kind: 'password',
    hint: 'Only for somebody who has no account yet; at least twelve characters.',
  },
];

export default function People() {
  const { workspace = '' } = useParams();
  const session = useSession();
  const members = useQuery(membersQuery(workspace));
  const write = useWrite();
  const { problem } = write;
  const [editing, setEditing] = useState<Editing>(null);
  const mine = session.data?.workspaces.find((w) => w.id === workspace);
  const lead = mine?.role === 'lead';

  const letOut = (person: string) =>
    write.run(() =>
      must(api.DELETE('/api/workspaces/{id}/members/{person}', { params: { path: { id: workspace, person } } })),
    );

  return (
    <Apart>
      <main>
        <Waiting query={members} title="People">
          {({ sentence, people }) => (
            <Sheet
              title="People"
              sentence={sentence}
              actions={
                lead && (
                  <Button look="primary" onClick={() => setEditing({ id: 'member', record: { role: 'member' } })}>
                    Let somebody in
                  </Button>
                )
              }
            >
              {problem !== '' && (
                <p role="alert" className="mt-3 text-oxide">
                  {problem}
                </p>
              )}
              <div className="mt-4">
                <Table
                  wide
                  label="People"
                  rows={people}
                  keyOf={(m) => m.id}
                  columns={[
                    {
                      head: 'Person',
                      cell: (m) => (
                        <>
                          <span className="text-base font-semibold">{m.name}</span>
                          <span className="block break-all text-soft">{m.email}</span>
                        </>
                      ),
                    },
                    { head: 'Role', look: 'text-base', cell: (m) => m.role },
                    {
                      head: <span className="sr-only">What can be done</span>,
                      cell: (m) =>
                        lead && (
                          <div className="flex flex-wrap justify-end gap-2">
                            <Button
                              look="quiet"
                              onClick={() => setEditing({ id: m.id, record: { ...m } })}
                              aria-label={`Change ${m.name}`}
                            >
                              Change role
                            </Button>
                            <Button look="quiet" onClick={() => void letOut(m.id)} aria-label={`Take out ${m.name}`}>
                              Take out
                            </Button>
                          </div>
                        ),
                    },
                  ]}
                />
              </div>
            </Sheet>
          )}
        </Waiting>
      </main>
      <RecordSlip
        title="Who is in"
        kind={`member:${workspace}`}
        editing={editing}
        fields={FIELDS}
        onClose={() => setEditing(null)}
        save={(_, values) =>
          must(
            send('PUT', `/api/workspaces/${workspace}/members`, {
              ...values,
              password: values['password'] === '' ? null : values['password'],
            }),
          )
        }
      />
    </Apart>
  );
}
