import { describe, expect, it } from 'vitest';

import { written } from './effects';

describe('effects of a change', () => {
  it('leaves out a row that was only offered', () => {
    expect(written([{ mode: 'add' }, { mode: 'add', metric: ' ', low: null }])).toEqual([]);
  });

  it('keeps a row in which anything was written, for the server to say what is missing', () => {
    const rows = [
      { mode: 'more', metric: 'grip' },
      { mode: 'add', low: 3 },
    ];
    expect(written(rows)).toEqual(rows);
  });

  it('takes anything else for nothing', () => {
    expect(written(undefined)).toEqual([]);
  });
});
