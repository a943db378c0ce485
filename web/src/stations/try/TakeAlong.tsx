import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

import { fieldQuery } from '../../api/queries';
import { heldBuilds, hold, letGo } from '../../outbox/held';
import { Button } from '../../ui/Button';

/** Marks a build for the field: this device holds its open trials, and fetches them anew whenever this sheet changes. */
export function TakeAlong({ revision, letter, state }: { revision: string; letter: string; state: unknown }) {
  const client = useQueryClient();
  const [isHeld, setHeld] = useState(false);
  const [said, setSaid] = useState('');

  useEffect(() => {
    let gone = false;
    void heldBuilds()
      .then(async (held) => {
        const mine = held.some((h) => h.sheet.revision.id === revision);
        if (!gone) setHeld(mine);
        if (mine)
          await hold(await client.fetchQuery({ ...fieldQuery(revision), staleTime: 0 }), new Date().toISOString());
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [client, revision, state]);

  async function toggle() {
    try {
      if (isHeld) await letGo(revision);
      else await hold(await client.fetchQuery({ ...fieldQuery(revision), staleTime: 0 }), new Date().toISOString());
      setHeld(!isHeld);
      setSaid(
        isHeld
          ? `${letter} is let go.`
          : `${letter} is on this device now: open “In the field” when there is no network.`,
      );
    } catch {
      setSaid('This device could not keep it. Free some room and try again.');
    }
  }

  return (
    <>
      <Button aria-pressed={isHeld} onClick={() => void toggle()}>
        {isHeld ? 'Taken along' : 'Take along'}
      </Button>
      <p role="status" className={said === '' ? 'sr-only' : 'basis-full text-sm text-soft'}>
        {said}
      </p>
    </>
  );
}
