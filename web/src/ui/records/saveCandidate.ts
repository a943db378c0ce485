import { putRecord } from '../../api/records';
import type { Values } from '../fields';
import { written } from './effects';

/** Sends the whole candidate again with what was changed. */
export function saveCandidate(id: string, values: Values, version: number | null): Promise<unknown> {
  const fields = [
    'revision',
    'what',
    'why',
    'class',
    'cost',
    'hours',
    'effects',
    'source',
    'askedBy',
    'failures',
    'requirements',
    'alters',
    'choice',
    'reason',
  ];
  const body = Object.fromEntries(fields.filter((f) => values[f] !== undefined).map((f) => [f, values[f]]));
  if (body['effects'] !== undefined) body['effects'] = written(body['effects']);
  for (const amount of ['cost', 'hours']) body[amount] ??= 0;
  return putRecord('candidates', id, { ...body, version });
}
