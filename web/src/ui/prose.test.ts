import { describe, expect, it } from 'vitest';

import { prose } from './prose';

const SPACE = '\u00a0';

describe('a sentence', () => {
  it.each([
    ['at most 12 % of them', `at most 12${SPACE}% of them`],
    ['41.2 N [40.1, 42.3] on 5', `41.2${SPACE}N [40.1, 42.3] on 5`],
    ['takes 2.5 h, then', `takes 2.5${SPACE}h, then`],
    ['at 60 °C.', `at 60${SPACE}°C.`],
    ['1.2 km/h', `1.2${SPACE}km/h`],
  ])('keeps a number and its unit on one line: %s', (said, shown) => {
    expect(prose(said)).toBe(shown);
  });

  it.each(['5 failures in 3 modes', 'build F', 'no number'])('leaves words alone: %s', (said) => {
    expect(prose(said)).toBe(said);
  });
});
