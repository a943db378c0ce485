import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, must, send } from '../api/client';
import { youQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Button } from '../ui/Button';
import type { Field } from '../ui/fields';
import { RecordSlip, type Editing } from '../ui/RecordSlip';
import { Part, Sheet } from '../ui/Sheet';
import { dayAndTime } from '../ui/time';
import { Waiting } from '../ui/Waiting';
import { Apart } from './Apart';

const FIELDS: Field[] = [
  { name: 'present', label: 'Your present password', kind: 'password' },
  {
    name: 'new',
    label: 'The new one',
    kind: 'password',
    hint: 'At least twelve characters, not your address, name or workspace. Every other place where you are signed in is signed out.',
  },
];

/** One's own password, and where one is signed in. */
export default function You() {
  const you = useQuery(youQuery);
  const client = useQueryClient();
  const write = useWrite();
  const [editing, setEditing] = useState<Editing>(null);
  const [changed, setChanged] = useState(false);

  const again = () => client.invalidateQueries({ queryKey: youQuery.queryKey });

  return (
    <Apart>
      <main>
        <Waiting query={you} title="You">
          {({ sentence, name, email, places, passwordChangedAt }) => (
            <Sheet
              title="You"
              sentence={sentence}
              actions={
                <Button
                  look="primary"
                  onClick={() => {
                    setChanged(false);
                    setEditing({ id: 'password', record: {} });
                  }}
                >
                  Change your password
                </Button>
              }
            >
              <p className="mt-2 text-sm text-soft">
                {name}, {email}
                {passwordChangedAt !== null && `. Password changed ${dayAndTime(passwordChangedAt)}.`}
              </p>
              {changed && (
                <p role="status" className="mt-3 border-l-2 border-blue pl-3 font-semibold">
                  Your password is changed; every other place is signed out.
                </p>
              )}
              {write.problem !== '' && (
                <p role="alert" className="mt-3 text-oxide">
                  {write.problem}
                </p>
              )}
              <Part title="Where you are signed in">
                <ul>
                  {places.map(({ place, what, ends }) => (
                    <li
                      key={place.id}
                      className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-t border-rule py-2.5"
                    >
                      <div className="min-w-0">
                        <p className="font-semibold">{what}</p>
                        <p className="text-sm text-soft">
                          Since {dayAndTime(place.since)}, last used {dayAndTime(place.lastSeen)}; {ends}.
                        </p>
                        <p className="text-xs break-words text-soft">{place.device}</p>
                      </div>
                      {!place.here && (
                        <Button
                          look="quiet"
                          disabled={write.busy}
                          onClick={() =>
                            void write
                              .run(() =>
                                must(api.DELETE('/api/signed-in/{id}', { params: { path: { id: place.id } } })),
                              )
                              .then(again)
                          }
                        >
                          Sign out there
                        </Button>
                      )}
                    </li>
                  ))}
                </ul>
              </Part>
            </Sheet>
          )}
        </Waiting>
      </main>
      <RecordSlip
        title="Change your password"
        kind="password"
        editing={editing}
        fields={FIELDS}
        onClose={() => setEditing(null)}
        label="Change it"
        save={async (_, values) => {
          await must(send('POST', '/api/password', values));
          setChanged(true);
          await again();
        }}
      />
    </Apart>
  );
}
