/*
 * How far this device's clock is ahead of the server's, measured with each answer. What is written down with a wrong clock
 * is put right by it, and says so; what somebody types of an earlier time is no stamp, and stays as it was typed.
 */

/** Less than this is the way of the answer, not the clock. */
const TOLERANCE_MS = 30_000;
/** An answer that took longer says too little of the moment at which it was given. */
const LONGEST_WAY_MS = 5_000;
/** The server says whole seconds: on the average half of one is cut off. */
const CUT_OFF_MS = 500;
const KEY = 'lustrum-clock-ahead';

let ahead: number | null = remembered();

function remembered(): number | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept === null ? null : Number(kept);
  } catch {
    return null;
  }
}

/** Takes the measure from an answer: when it was asked for and came, by this device, and what the server said. */
export function measure(date: string | null, asked: number, came: number): void {
  const said = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(said) || came < asked || came - asked > LONGEST_WAY_MS) return;
  ahead = (asked + came) / 2 - (said + CUT_OFF_MS);
  try {
    localStorage.setItem(KEY, String(ahead));
  } catch {
    // A private window: it is measured again with the next answer.
  }
}

/** Seconds that this device is ahead of the server; null: not measured yet. */
export function clockAhead(): number | null {
  return ahead === null ? null : Math.trunc(ahead / 1000 + Math.sign(ahead) / 2);
}

/** Now, in ms since the epoch, put right where this device's clock is wrong. */
export function rightNow(): number {
  return Date.now() - (ahead !== null && Math.abs(ahead) > TOLERANCE_MS ? ahead : 0);
}

/** Now, as it is written down. */
export function stamp(): string {
  return new Date(rightNow()).toISOString();
}

/** The same moments once the measure is known: for what was written down before there was one. */
export function putRight<T extends Record<string, unknown>>(body: T, names: (keyof T)[]): T {
  if (ahead === null || Math.abs(ahead) <= TOLERANCE_MS) return body;
  const by = ahead;
  const right = names.flatMap((name) => {
    const at = body[name];
    return typeof at === 'string' ? [[name, new Date(Date.parse(at) - by).toISOString()]] : [];
  });
  return Object.assign({ ...body }, Object.fromEntries(right));
}
