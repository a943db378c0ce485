import { describe, expect, it } from 'vitest';

import { courseText, inOrder, readOff, seenAt } from './marks';

const marks = [
  { at: 1.5, what: '41.5' },
  { at: 3, what: ' the belt slips ' },
  { at: 4, what: '−3,25' },
  { at: 5, what: '' },
  { at: 6, what: '12 N' },
];

describe('marks of a recording', () => {
  it('are values where they are numbers, and what was seen where they are words', () => {
    expect(readOff(marks).map((m) => m.at)).toEqual([1.5, 4]);
    expect(seenAt(marks).map((m) => m.at)).toEqual([3, 6]);
  });

  it('become a course in seconds of the run, not of the clip', () => {
    expect(courseText(marks, 200)).toBe('201.5; 41.5\n204; −3,25');
    expect(courseText(marks, 0)).toBe('1.5; 41.5\n4; −3,25');
  });

  it('stand in their order', () => {
    expect(inOrder([marks[2]!, marks[0]!]).map((m) => m.at)).toEqual([1.5, 4]);
  });
});
