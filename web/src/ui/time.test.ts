import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import { day, dayAndHour, dayAndTime, localTime } from './time';

describe('dates', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.setSystemTime(new Date('2026-03-10T12:00:00'));
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('names the day of this year without the year', () => {
    expect(day('2026-03-03T10:00:00')).toBe('Tue 3 Mar');
  });

  it('names the year of another one', () => {
    expect(day('2025-12-31T10:00:00')).toBe('31 Dec 2025');
  });

  it('says the time of day', () => {
    expect(dayAndTime('2026-03-03T09:05:00')).toBe('Tue 3 Mar, 09:05');
  });

  it('takes what a camera said as it said it, in whatever zone', () => {
    expect(localTime('2026-03-02T14:05:11')).toBe('Mon 2 Mar, 14:05');
    expect(localTime('2026-03-02T14:05:11+05:30')).toBe('Mon 2 Mar, 14:05');
  });

  it('names the hour along time only where marks share a day', () => {
    const at = (text: string) => new Date(`2026-03-${text}:00`);
    const marks = [at('03T08:00'), at('03T16:00'), at('04T08:00')];
    expect(marks.map((mark) => dayAndHour(mark, marks))).toEqual(['Tue 3 Mar, 08:00', 'Tue 3 Mar, 16:00', 'Wed 4 Mar']);
  });
});
