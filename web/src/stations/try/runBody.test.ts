import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { runBody } from './runBody';

it('sends a run again whole, with what was changed', () => {
  const run = {
    id: '1',
    version: 3,
    trial: 't',
    article: 'a',
    operator: 'Ines',
    levels: [],
    ended: null,
    answers: [],
    purpose: 'findOut',
    firmware: '',
    lookedFor: [],
    others: [],
    person: '',
    goes: null,
    differs: '',
    setAside: '',
    takenIn: false,
    conditions: [{ name: 'soil', text: 'dry' }],
    settings: [],
    note: 'as before',
    outcome: null,
    outcomeReason: '',
  } as unknown as Schemas['RunView'];
  expect(runBody(run, { outcome: 'failed', outcomeReason: 'Bent' })).toEqual({
    trial: 't',
    article: 'a',
    operator: 'Ines',
    levels: [],
    ended: null,
    answers: [],
    purpose: 'findOut',
    firmware: '',
    lookedFor: [],
    others: [],
    person: '',
    goes: null,
    differs: '',
    setAside: '',
    takenIn: false,
    conditions: [{ name: 'soil', text: 'dry' }],
    settings: [],
    note: 'as before',
    outcome: 'failed',
    outcomeReason: 'Bent',
    version: 3,
  });
});
