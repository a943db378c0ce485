import type { Schemas } from '../api/client';

/** The words on screen for the closed sets of the interface. */
export const OUTCOME: Record<Schemas['RunOutcome'], string> = {
  held: 'held',
  failed: 'failed',
  stoppedEarly: 'stopped early',
  lost: 'lost in handling',
  void: 'void',
};

export const VERDICT: Record<Schemas['ChangeVerdict'], string> = {
  fixed: 'fixed',
  partly: 'partly',
  better: 'better',
  noEffect: 'no effect',
  worse: 'worse',
  cannotTell: 'cannot tell yet',
  nobodyLooked: 'nobody looked',
};

export const CHANGE_CLASS: Record<Schemas['ChangeClass'], string> = {
  shape: 'shape',
  strength: 'strength',
  electrical: 'electrical',
  firmware: 'firmware',
  material: 'material',
  process: 'process',
  setting: 'setting',
  cosmetic: 'cosmetic',
};

export const SEVERITY: Record<Schemas['Severity'], string> = {
  cosmetic: 'cosmetic',
  minor: 'minor',
  major: 'major',
  dangerous: 'dangerous',
};

export const CAUSE_KIND: Record<Schemas['CauseKind'], string> = {
  design: 'design',
  build: 'build',
  setUp: 'set-up',
  method: 'method',
  use: 'use',
};

export const CAUSE_STANDING: Record<Schemas['CauseStanding'], string> = {
  suspected: 'suspected',
  supported: 'supported',
  ruledOut: 'ruled out',
  confirmed: 'confirmed',
};

export const STANDING: Record<Schemas['Standing'], string> = {
  open: 'open',
  fixUntried: 'fix not tried',
  closed: 'closed',
  cameBack: 'came back',
};

export const CHOICE: Record<Schemas['Choice'], string> = {
  open: 'to decide',
  in: 'goes in',
  wait: 'waits',
  drop: 'dropped',
};

export const KIND: Record<Schemas['Kind'], string> = {
  mean: 'the mean over runs',
  every: 'every article',
  rate: 'share of tries',
  rating: 'people’s ratings',
  check: 'looked at and so',
};

export const ARTICLE_STATE: Record<string, string> = {
  mockup: 'mock-up',
  bare: 'bare',
  finished: 'finished',
  payload: 'payload aboard',
};

export const REPEATS: Record<Schemas['RepeatPurpose'], string> = {
  ruleOutLuck: 'to rule out luck',
  estimate: 'to estimate',
  untilItHolds: 'to try until it holds',
};

export function options<T extends string>(words: Record<T, string>): { value: T; label: string }[] {
  return (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }));
}
