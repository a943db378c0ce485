import type { Schemas } from '../../api/client';

/** The whole run as it is sent again with something changed. */
export function runBody(run: Schemas['RunView'], changed: Partial<Schemas['RunInput']>): Schemas['RunInput'] {
  return {
    trial: run.trial,
    article: run.article,
    operator: run.operator,
    position: run.position,
    conditions: run.conditions,
    settings: run.settings,
    note: run.note,
    outcome: run.outcome,
    outcomeReason: run.outcomeReason,
    version: run.version,
    ...changed,
  };
}
