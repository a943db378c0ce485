import { useQuery } from '@tanstack/react-query';

import type { Schemas } from '../api/client';
import { explanationsQuery } from '../api/queries';

/** How a method works, by its key. */
export function useExplanation(key: string | undefined): Schemas['Explanation'] | undefined {
  const all = useQuery({ ...explanationsQuery, enabled: key !== undefined });
  return all.data?.find((e) => e.key === key);
}
