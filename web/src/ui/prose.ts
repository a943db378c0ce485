/** Short words that come after a number and are no unit. */
const WORDS = 'of|on|in|to|is|as|at|by|or|if|no|and|for|was|has|had|not|are|out|did|may|can|the|one|two|but|ran';

const UNIT = new RegExp(`([\\d\\]]) (?!(?:${WORDS})\\b)(%|°[CF]|[A-Za-zµΩ]{1,3}(?:/[a-z]+)?)(?=[\\s,.;:)[]|$)`, 'g');

/** Keeps a number and its unit on one line: '58 %' is never torn apart. */
export function prose(text: string): string {
  return text.replace(UNIT, '$1\u00a0$2');
}
