import type { Schemas } from '../api/client';
import { numberOf } from '../ui/fields';

/** The words of each metric with an ordered scale, the lowest first. */
type Scales = Pick<Schemas['MetricView'], 'name' | 'words' | 'scale'>[];

function scaleOf(metric: unknown, metrics: Scales): string[] {
  const name = String(metric).trim().toLowerCase();
  return metrics.find((m) => m.scale === 'ordered' && m.name.toLowerCase() === name)?.words ?? [];
}

/** A word of the metric's scale as its place there, else the number; what is neither stays as typed, to be refused. */
export function placeOf(limit: unknown, metric: unknown, metrics: Scales): unknown {
  const typed = String(limit ?? '');
  const at = scaleOf(metric, metrics).findIndex((w) => w.toLowerCase() === typed.trim().toLowerCase());
  return at === -1 ? numberOf(typed) : at + 1;
}

/** The word at this place of the metric's scale, where every article is to reach it; else the number. */
export function wordOf(requirement: { limit: number; metric: string; kind: string }, metrics: Scales): string | number {
  const words = requirement.kind === 'every' ? scaleOf(requirement.metric, metrics) : [];
  return words[requirement.limit - 1] ?? requirement.limit;
}
