import { lazy, useEffect, useState, type ReactNode } from 'react';

import { keepFor } from '../outbox/drafts';
import { lastPerson } from '../outbox/held';
import type { LastPerson } from '../outbox/store';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';

const Field = lazy(() => import('../field/Field'));

/** Without network, or signed out in the field, whoever was here last goes on with what this device holds. */
export default function OnThisDevice({ otherwise }: { otherwise: ReactNode | null }) {
  const [last, setLast] = useState<LastPerson | null | undefined>(undefined);
  useEffect(() => {
    void lastPerson().then((person) => {
      if (person !== undefined) keepFor(person.email);
      setLast(person ?? null);
    });
  }, []);
  if (last === undefined) return null;
  return last === null ? (otherwise ?? <Away />) : <Field person={last.email} name={last.name} />;
}

function Away() {
  return (
    <main className="mx-auto max-w-2xl p-4 sm:p-10">
      <Sheet title="Lustrum" sentence="There is no network, and nobody was signed in on this device before.">
        <Button className="mt-4" onClick={() => window.location.reload()}>
          Try again
        </Button>
      </Sheet>
    </main>
  );
}
