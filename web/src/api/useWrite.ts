import { useMutation } from '@tanstack/react-query';

import { ProblemError, type Schemas } from './client';
import { refreshed } from './stale';

export type Writing = {
  busy: boolean;
  /** A sentence for people; empty where nothing is wrong. */
  problem: string;
  /** Which kind of problem, where the application says so. */
  kind: string;
  /** What is wrong at which field, by path. */
  violations: Record<string, string>;
  /** What Lustrum asks back before it keeps a reading. */
  questions: Schemas['AskedBack'][];
  /** Sends, and waits until what became stale is there again; true when it was kept. */
  run: (send: () => Promise<unknown>) => Promise<boolean>;
  clear: () => void;
};

const UNFORESEEN = 'That did not work. What you typed is kept; try again in a moment.';

/** The one way in which the screens write, and the one place where what went wrong is caught. */
export function useWrite(): Writing {
  const mutation = useMutation({
    mutationFn: async (send: () => Promise<unknown>) => {
      await send();
      await refreshed();
    },
  });
  const error = mutation.error;
  const refused = error instanceof ProblemError ? error : null;
  const asksBack = refused?.kind === 'asks-back';
  return {
    busy: mutation.isPending,
    problem: error === null || asksBack ? '' : (refused?.message ?? (error.message || UNFORESEEN)),
    kind: refused?.kind ?? '',
    violations: refused?.violations ?? {},
    questions: asksBack ? (refused?.document.questions ?? []) : [],
    run: (send) =>
      mutation.mutateAsync(send).then(
        () => true,
        () => false,
      ),
    clear: mutation.reset,
  };
}
