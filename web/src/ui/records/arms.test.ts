import { describe, expect, it } from 'vitest';

import { armLine, armOf } from './arms';

describe('an arm in a line', () => {
  it.each([
    ['A1', { name: 'A1', planned: 1, values: [], eliminated: '' }],
    [
      'wave soft ×2: shape = wave; wrap = soft',
      {
        name: 'wave soft',
        planned: 2,
        values: [
          { name: 'shape', text: 'wave' },
          { name: 'wrap', text: 'soft' },
        ],
        eliminated: '',
      },
    ],
    [
      'deep: cell depth = 1.85 mm | plate broke when it was cut',
      {
        name: 'deep',
        planned: 1,
        values: [{ name: 'cell depth', text: '1.85 mm' }],
        eliminated: 'plate broke when it was cut',
      },
    ],
  ])('%s', (line, arm) => {
    expect(armOf(line)).toEqual(arm);
    expect(armLine(arm)).toBe(line);
  });

  it('takes an x for a times, and loses nothing that it cannot read', () => {
    expect(armOf('B2 x3: soft')).toMatchObject({ name: 'B2', planned: 3, values: [] });
    expect(armOf('just words').name).toBe('just words');
  });
});
