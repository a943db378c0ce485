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
  handling: 'handling',
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
  spread: 'the spread',
};

export const ANSWER: Record<Schemas['Answer'], string> = {
  held: 'held',
  onlyJust: 'only just',
  failed: 'failed',
  notLooked: 'not looked',
};

export const PURPOSE: Record<Schemas['Purpose'], string> = {
  findOut: 'to find out',
  settle: 'to settle or flush something new',
  practise: 'to practise',
  demonstrate: 'to show onlookers',
};

export const FACTOR_KIND: Record<Schemas['FactorKind'], string> = {
  number: 'numbers with a unit',
  ordered: 'words in an order',
  words: 'words',
};

export const FACTOR_ROLE: Record<Schemas['FactorRole'], string> = {
  factor: 'varied on purpose: makes levels',
  block: 'pairs the runs: rater, bed, day',
};

export const HARDER: Record<Schemas['Harder'], string> = {
  none: 'neither end is harder',
  more: 'more is harder',
  less: 'less is harder',
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
