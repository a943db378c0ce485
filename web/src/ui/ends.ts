import type { Schemas } from '../api/client';

/** Whether what the run waited for came: it decides whether its reading is a value or a bound. */
export function endsOf(
  outcome: Schemas['RunOutcome'] | null,
  waits: boolean,
): { ended: Schemas['Ended']; words: string }[] {
  if (!waits) return [];
  if (outcome === 'stoppedEarly')
    return [
      { ended: 'stopped', words: 'Stopped by something else: time, rig, weather, a level set beforehand. A bound.' },
      { ended: 'felt', words: 'It was felt coming. A value, marked so.' },
    ];
  return [
    { ended: 'event', words: 'What it waited for came. The reading is a value.' },
    { ended: 'endPoint', words: 'It reached the end, and nothing came. A bound.' },
  ];
}
