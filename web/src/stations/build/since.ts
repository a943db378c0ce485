/** How long a clock has run, as people say it. */
export function running(started: string, now: Date): string {
  const minutes = Math.max(0, Math.floor((now.getTime() - new Date(started).getTime()) / 60_000));
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
