import type { Schemas } from '../../api/client';

/** The whole run as it is sent again with something changed. */
export function runBody(run: Schemas['RunView'], changed: Partial<Schemas['RunInput']>): Schemas['RunInput'] {
  return {
    trial: run.trial,
    article: run.article,
    operator: run.operator,
    levels: run.levels,
    conditions: run.conditions,
    settings: run.settings,
    note: run.note,
    outcome: run.outcome,
    outcomeReason: run.outcomeReason,
    ended: run.ended,
    answers: run.answers,
    purpose: run.purpose,
    firmware: run.firmware,
    state: run.state,
    lookedFor: run.lookedFor,
    others: run.others,
    person: run.person,
    goes: run.goes,
    differs: run.differs,
    setAside: run.setAside,
    takenIn: run.takenIn,
    ahead: run.ahead,
    stands: run.stands,
    forecast: run.forecast,
    clockAt: run.clockAt,
    lasted: run.lasted,
    foundAt: run.foundAt,
    version: run.version,
    ...changed,
  };
}
