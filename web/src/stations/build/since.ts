/** A touch after longer than this belongs to another day's work: what lay between was no making. */
const MOST_MINUTES = 12 * 60;

/** Minutes since the last touch, to a tenth; null where nobody can say. */
export function sinceMinutes(last: string, now: Date): number | null {
  if (last === '') return null;
  const minutes = (now.getTime() - new Date(last).getTime()) / 60_000;
  return minutes < 0 || minutes > MOST_MINUTES ? null : Math.round(minutes * 10) / 10;
}

/** How long a clock has run, as people say it. */
export function running(started: string, now: Date): string {
  const minutes = Math.max(0, Math.floor((now.getTime() - new Date(started).getTime()) / 60_000));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
