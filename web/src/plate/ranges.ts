/** From or up to where a requirement speaks of something that has a size: 'drop height>=0.75 m'. */
export type Range = { name: string; relation: string; end: string };

const RANGE = /^(.+?)\s*(>=|<=|≥|≤)\s*(.+)$/;

export function isRange(condition: string): boolean {
  return RANGE.test(condition);
}

export function rangesOf(conditions: string[]): Range[] {
  return conditions.flatMap((condition) => {
    const found = RANGE.exec(condition);
    if (found === null) return [];
    const [, name = '', sign = '', end = ''] = found;
    return [{ name: name.trim(), relation: sign === '>=' || sign === '≥' ? '>=' : '<=', end: end.trim() }];
  });
}

/** A bare number is in the unit that the methods have for it; a row that says nothing is none. */
export function conditionsOf(ranges: Range[], units: Record<string, string>): string[] {
  return ranges
    .filter((r) => r.end.trim() !== '')
    .map((r) => {
      const end = r.end.trim();
      const unit = units[r.name] ?? '';
      return `${r.name}${r.relation}${/^[\d.,+\-−]+$/.test(end) && unit !== '' ? `${end} ${unit}` : end}`;
    });
}
