import type { Schemas } from '../api/client';

/** A run that was just begun, asked for a force and a time, in the shape that the server sends. */
export function runSheet(changed: Partial<Schemas['RunView']> = {}): Schemas['RunSheet'] {
  return {
    sentence: 'Run 3 is not finished.',
    noticed: [],
    run: {
      id: 'run-3',
      version: 2,
      trial: 'trial-1',
      article: 'article-1',
      number: 3,
      operator: 'Ines',
      levels: [{ name: 'height', text: '40 cm' }],
      startedAt: '2026-03-02T10:00:00Z',
      conditions: [{ name: 'ground', text: 'dry' }],
      settings: [],
      note: '',
      outcome: null,
      outcomeReason: '',
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
      amendments: [],
      filled: null,
      by: 'Ines',
      ...changed,
    },
    missing: ['gap'],
    trial: {
      id: 'trial-1',
      version: 1,
      revision: 'build-1',
      method: 'method-1',
      name: 'Drop onto gravel',
      question: '',
      plannedRuns: 6,
      repeats: 'estimate',
      state: 'running',
      signOff: null,
      override: null,
      createdAt: '2026-03-02T09:00:00Z',
    } as Schemas['TrialView'],
    asked: {
      method: 'method-1',
      name: 'Drop',
      version: 1,
      heldWhen: 'the latch opens',
      channels: [channel('force', 'N'), channel('time', 's')],
      conditions: [{ name: 'ground', unit: '', tolerance: null, states: ['dry', 'wet'] }],
      settings: [{ name: 'gap', unit: 'mm', intended: 1.5, tolerance: 0.2 }],
      factors: [
        {
          name: 'height',
          role: 'factor',
          kind: 'number',
          unit: 'cm',
          step: null,
          levels: ['40 cm', '60 cm'],
          harder: 'more',
        },
      ],
      questions: [{ key: 'held', metric: 'latch opens', text: 'the latch opens' }],
      waits: false,
    },
    safety: { hazards: [], cautions: [], abort: '' } as unknown as Schemas['Safety'],
    article: null,
    revision: { id: 'build-1', letter: 'B' } as Schemas['RevisionView'],
    readings: [],
    derived: [],
    observations: [],
    failures: [],
    photos: [],
    modes: ['Arm broke', 'Latch stuck'],
    places: ['arm'],
    runs: [],
    level: '40 cm',
    aside: '',
  };
}

export function channel(metric: string, unit: string): Schemas['AskedChannel'] {
  return { key: metric, metric, unit, instrument: 'Cell', resolution: 0.1, whenStopped: 'atLeast', formula: '' };
}

export function reading(text: string, changed: Partial<Schemas['ReadingView']> = {}): Schemas['ReadingView'] {
  const measure = { text, value: Number.parseFloat(text), unit: text.split(' ')[1] ?? '' } as Schemas['MeasureView'];
  return {
    id: 'reading-1',
    version: 1,
    run: 'run-3',
    channel: 'force',
    metric: 'metric-1',
    typed: measure,
    current: measure,
    amendments: [],
    confirmed: '',
    by: 'Ines',
    at: '2026-03-02T10:01:00Z',
    ...changed,
  };
}
