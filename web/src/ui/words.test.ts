import { expect, test } from 'vitest';

import { conditionSaid } from './words';

test.each([
  ['soil=moist', 'soil moist'],
  ['drop height>=0.75 m', 'drop height at least 0.75 m'],
  ['drop height >= 0.75 m', 'drop height at least 0.75 m'],
  ['ambient≤30 °C', 'ambient at most 30 °C'],
])('the condition %s is read as %s', (condition, said) => {
  expect(conditionSaid(condition)).toBe(said);
});
