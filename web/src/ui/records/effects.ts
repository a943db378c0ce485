import { EXPECTED_AS, options } from '../words';
import type { Rows, Values } from '../fields';

/** What a change, or a candidate for one, is expected to do. */
export function effectRows(metrics: string[]): Rows {
  return {
    name: 'effects',
    label: 'What is expected of it',
    kind: 'rows',
    add: 'Add an effect',
    empty: { mode: 'add' },
    fields: [
      { name: 'metric', label: 'Metric', suggest: metrics, hint: 'Without one, nobody can check it with numbers.' },
      { name: 'mode', label: 'It should change', kind: 'select', options: options(EXPECTED_AS) },
      { name: 'low', label: 'Lowest', kind: 'number', half: true },
      { name: 'likely', label: 'Likely', kind: 'number', half: true },
      { name: 'high', label: 'Highest', kind: 'number', half: true },
      { name: 'unit', label: 'Unit of the metric', half: true },
      { name: 'margin', label: 'Counts as unchanged within', kind: 'number', half: true },
    ],
  };
}

/** Rows in which nothing was written were only offered. */
export function written(effects: unknown): Values[] {
  return (Array.isArray(effects) ? (effects as Values[]) : []).filter((row) =>
    Object.entries(row).some(([name, value]) => name !== 'mode' && value !== null && String(value ?? '').trim() !== ''),
  );
}
