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

export const CONSEQUENCE: Record<Schemas['Consequence'], string> = {
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
  unplaced: 'open, level unknown',
  fixUntried: 'fix not tried',
  holding: 'holds so far',
  closed: 'closed',
  byHand: 'closed in words',
  cameBack: 'came back',
  setAside: 'set aside',
  putRight: 'put right',
  feared: 'feared',
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
  reference: 'on the reference, for drift',
  empty: 'empty, to be taken off',
};

export const MARK: Record<Schemas['MarkKind'], string> = {
  first: 'when it first reaches a value',
  last: 'when it last leaves a value',
  peak: 'its peak',
  lowest: 'its lowest',
  mean: 'its mean between two moments',
  standard: 'how long it would take from a common start',
};

export const HAPPENED: Record<Schemas['HappeningKind'], string> = {
  moved: 'Moved',
  transported: 'Transported',
  reassembled: 'Taken apart',
  swapped: 'Part swapped',
  dropped: 'Dropped',
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

export const CONDITION_AIM: Record<Schemas['ConditionAim'], string> = {
  nominal: 'as equal as possible',
  worst: 'as harsh as it gets',
  uncontrolled: 'as it comes',
};

export const SETTING_SCALE: Record<Schemas['SettingScale'], string> = {
  linear: 'halfway',
  log: 'halfway by ratio',
  area: 'halfway by area (a diameter)',
};

export const PLAN_KIND: Record<Schemas['PlanKind'], string> = {
  ladder: 'up a ladder: the mild end first, rung by rung',
  sweep: 'over the levels of one thing',
  matrix: 'through every combination',
  staircase: 'up after a hold, down after a failure',
  pairs: 'two sides, pair by pair',
  setting: 'to find a setting: its ends, then the middle',
  timed: 'each as long as is said',
  checks: 'as a check list: every question of each article',
  free: 'as they come',
};

export const ORDER: Record<Schemas['Order'], string> = {
  blocks: 'by chance, in blocks that hold each once',
  random: 'by chance over all',
  asGiven: 'as given',
};

export const USED_UP: Record<Schemas['UsedUpKind'], string> = {
  article: 'an article',
  load: 'a load of something',
  material: 'material',
  money: 'money',
  visit: 'a visit',
};

export const HARDER: Record<Schemas['Harder'], string> = {
  none: 'neither end is harder',
  more: 'more is harder',
  less: 'less is harder',
};

export const ARTICLE_STATE: Record<string, string> = {
  mockup: 'mock-up',
  model: 'scale model',
  bare: 'bare',
  finished: 'finished',
  payload: 'payload aboard',
};

export const EXPECTED_AS: Record<Schemas['ExpectedAs'], string> = {
  add: 'by that much more (− for less)',
  percent: 'by so many per cent',
  value: 'to that value',
  more: 'more, nobody says how much',
  less: 'less, nobody says how much',
  unchanged: 'unchanged, within the margin',
};

export const WHEREABOUTS: Record<Schemas['Whereabouts'], string> = {
  here: 'here',
  tester: 'with a tester',
  lent: 'lent',
  sold: 'sold',
  scrapped: 'scrapped',
};

export const DEVIATION: Record<Schemas['DeviationKind'], string> = {
  part: 'part (“old”: it was not changed on this one)',
  parameter: 'parameter',
  lot: 'lot',
  workmanship: 'workmanship',
  firmware: 'firmware',
};

export const ALTERS: Record<Schemas['AlterationKind'], string> = {
  parameter: 'parameter',
  part: 'part (empty: it is taken out)',
  material: 'material of a part',
  firmware: 'firmware',
  setting: 'setting',
};

export const SOURCE: Record<Schemas['RequirementSource'], string> = {
  runs: 'runs',
  parameter: 'a parameter of the build that is called like the metric',
  cost: 'what the parts of the build cost',
  mass: 'what the parts of the build weigh',
};

export const REPEATS: Record<Schemas['RepeatPurpose'], string> = {
  ruleOutLuck: 'to rule out luck',
  estimate: 'to estimate',
  untilItHolds: 'to try until it holds',
};

export function options<T extends string>(words: Record<T, string>): { value: T; label: string }[] {
  return (Object.keys(words) as T[]).map((value) => ({ value, label: words[value] }));
}
