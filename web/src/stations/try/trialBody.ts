import type { Schemas } from '../../api/client';
import type { Typed } from '../../api/records';

/** The whole trial as it is sent again with something changed. */
export function trialBody(
  trial: Schemas['TrialView'],
  changed: Partial<Schemas['TrialInput']>,
): Typed<Schemas['TrialInput']> {
  const { id, createdAt, ...rest } = trial;
  void [id, createdAt];
  return { ...rest, ...changed };
}
