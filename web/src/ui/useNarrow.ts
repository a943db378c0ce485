import { useSyncExternalStore } from 'react';

const QUERY = '(max-width: 40rem)';

function subscribe(changed: () => void): () => void {
  const media = window.matchMedia(QUERY);
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
}

/** Is this a phone, or a desk at great zoom? */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(QUERY).matches);
}
