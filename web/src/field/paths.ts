const steps = (path: string): string[] => path.replace(/\[(\d+)\]/g, '.$1').split('.');

/** What stands in a body at the path that a violation names: 'settings[0].text'. */
export function atPath(body: unknown, path: string): unknown {
  return steps(path).reduce<unknown>(
    (at, step) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[step] : undefined),
    body,
  );
}

/** The same body with another text there. */
export function withAtPath(body: Record<string, unknown>, path: string, text: string): Record<string, unknown> {
  return set(body, steps(path), text) as Record<string, unknown>;
}

function set(at: unknown, [step, ...rest]: string[], text: string): unknown {
  if (step === undefined) return text;
  if (Array.isArray(at)) return at.map((one: unknown, i) => (String(i) === step ? set(one, rest, text) : one));
  const of = typeof at === 'object' && at !== null ? (at as Record<string, unknown>) : {};
  return { ...of, [step]: set(of[step], rest, text) };
}
