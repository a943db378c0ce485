import { useState } from 'react';

import { moment, useNow, type Moment } from './useNow';

/** A clock of this device that was set meanwhile by more than this, in ms, is said. */
const JUMP = 5000;

export type Elapsed = {
  /** As of the last tick; nought before the clock was started. */
  seconds: number;
  /** Was the clock of this device set meanwhile, or does it stand before the start? */
  jumped: boolean;
  /** At this very moment, to a tenth: for a touch. */
  touched: () => number;
};

/**
 * Seconds since a run's clock was started. They are counted on by this device's own count from the moment at which the page
 * looked, so that a clock that is set meanwhile does not stretch the run.
 */
export function useElapsed(clockAt: string | null, isCounting: boolean): Elapsed {
  const now = useNow(isCounting);
  const [anchor] = useState(moment);
  const since = (at: Moment) =>
    clockAt === null ? 0 : (anchor.wall + at.count - anchor.count - Date.parse(clockAt)) / 1000;
  const seconds = since(now);
  return {
    seconds,
    jumped: seconds < -1 || Math.abs(now.wall - anchor.wall - (now.count - anchor.count)) > JUMP,
    touched: () => Math.max(0, Math.floor(since(moment()) * 10) / 10),
  };
}
