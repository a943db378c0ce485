import { lazy, useEffect, useState, type ReactNode } from 'react';

import { keepFor } from '../outbox/drafts';
import { lastPerson } from '../outbox/held';
import type { LastPerson } from '../outbox/store';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';

const Field = lazy(() => import('../field/Field'));

/**
 * The field, for whoever is signed in now; without network, while the server does not answer, or signed out in the field,
 * for whoever was here last. What is open stays open when the server is there again.
 */
export default function OnThisDevice({ otherwise, now }: { otherwise: ReactNode | null; now: LastPerson | null }) {
  const [last, setLast] = useState<LastPerson | null | undefined>(undefined);
  useEffect(() => {
    if (now !== null) return;
    void lastPerson().then((person) => {
      if (person !== undefined) keepFor(person.email);
      setLast(person ?? null);
    });
  }, [now]);
  const person = now ?? last;
  if (person === undefined) return null;
  return person === null ? (
    (otherwise ?? <Away />)
  ) : (
    <Field key={person.email} person={person.email} name={person.name} />
  );
}

function Away() {
  return (
    <main className="mx-auto max-w-2xl p-4 sm:p-10">
      <Sheet title="Lustrum" sentence="Nobody is reached, and nobody was signed in on this device before.">
        <Button className="mt-4" onClick={() => window.location.reload()}>
          Try again
        </Button>
      </Sheet>
    </main>
  );
}
