import { useEffect, useState } from 'react';

import { onQueue, waiting } from './queue';
import type { Waiting } from './store';

/** What waits to be sent, kept up to date. */
export function useQueue(person: string): Waiting[] {
  const [all, setAll] = useState<Waiting[]>([]);
  useEffect(() => {
    let gone = false;
    const read = () =>
      void waiting().then(
        (found) => !gone && setAll(found),
        () => undefined,
      );
    read();
    const stop = onQueue(read);
    return () => {
      gone = true;
      stop();
    };
  }, [person]);
  return all;
}
