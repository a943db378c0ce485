const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const DAY_YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** A date in words: 'Tue 3 Mar', with the year when it is not this one. */
export function day(text: string): string {
  const date = new Date(text);
  return date.getFullYear() === new Date().getFullYear() ? DAY.format(date).replace(',', '') : DAY_YEAR.format(date);
}

export function dayAndTime(text: string): string {
  return `${day(text)}, ${TIME.format(new Date(text))}`;
}

/** What a camera's clock said, without making a moment of it: it may have stood in any zone. */
export function localTime(text: string): string {
  return `${day(text.slice(0, 10))}, ${text.slice(11, 16)}`;
}

/** A mark along time: the day, and the hour where marks share a day. */
export function dayAndHour(at: Date, all: Date[]): string {
  const days = all.map((t) => day(t.toISOString()));
  const own = day(at.toISOString());
  return days.indexOf(own) === days.lastIndexOf(own) ? own : `${own}, ${TIME.format(at)}`;
}

/** Seconds as a clock shows them: '02:05', '1:02:05'. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, '0');
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60)];
  return `${hours > 0 ? `${hours}:` : ''}${two(minutes)}:${two(whole % 60)}`;
}
