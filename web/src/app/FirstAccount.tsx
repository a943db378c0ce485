import { useQueryClient } from '@tanstack/react-query';

import { must, send, setToken, type Schemas } from '../api/client';
import { sessionQuery } from '../api/queries';
import type { Field } from '../ui/fields';
import { RecordForm } from '../ui/RecordForm';

const FIELDS: Field[] = [
  { name: 'workspace', label: 'Workspace', hint: 'Your team or workshop, as you call it.' },
  { name: 'name', label: 'Your name', hint: 'Stands beside what you log.' },
  { name: 'email', label: 'E-mail', kind: 'email' },
  {
    name: 'password',
    label: 'Password',
    kind: 'password',
    hint: 'At least twelve characters, not your address, name or workspace.',
  },
];

/** The first visitor of an empty Lustrum makes the first account. */
export default function FirstAccount() {
  const client = useQueryClient();
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center p-4">
      <div className="border border-rule bg-sheet p-7">
        <h1 className="stamp text-2xl">Lustrum</h1>
        <p className="mb-5 mt-1 font-serif text-lg">
          Nobody has an account here yet. Make the first one; you will lead the workspace.
        </p>
        <RecordForm
          fields={FIELDS}
          record={{}}
          draft="first-account"
          label="Make account"
          save={async (values) => {
            const session = await must(send<Schemas['SessionView']>('POST', '/api/first-account', values));
            setToken(session.token);
            client.setQueryData(sessionQuery.queryKey, session);
          }}
          onSaved={() => undefined}
        />
      </div>
    </main>
  );
}
