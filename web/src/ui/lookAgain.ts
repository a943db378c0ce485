import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

const LOOK_AGAIN_MS = 2000;

/** While a file of a sheet is still being prepared, its sheets are asked for again. */
export function useLookAgain(waits: boolean, ...sheets: string[]) {
  const client = useQueryClient();
  const names = sheets.join(' ');
  useEffect(() => {
    if (!waits) return;
    const timer = window.setInterval(() => {
      void client.invalidateQueries({ predicate: ({ queryKey }) => names.split(' ').includes(String(queryKey[1])) });
    }, LOOK_AGAIN_MS);
    return () => window.clearInterval(timer);
  }, [client, waits, names]);
}
