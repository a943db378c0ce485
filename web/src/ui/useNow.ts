import { useEffect, useState } from 'react';

import { rightNow } from '../api/clock';

/** By the clock of this device, put right where it is wrong, in ms since the epoch, and by its own count, which nobody can set. */
export type Moment = { wall: number; count: number };

export const moment = (): Moment => ({ wall: rightNow(), count: performance.now() });

/** The present moment: each second anew while something counts on it. */
export function useNow(isCounting: boolean): Moment {
  const [now, setNow] = useState(moment);
  useEffect(() => {
    if (!isCounting) return;
    const timer = setInterval(() => setNow(moment()), 1000);
    return () => clearInterval(timer);
  }, [isCounting]);
  return now;
}
