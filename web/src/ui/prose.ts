/** Keeps a number and its unit on one line: '58 %' is never torn apart. */
export function prose(text: string): string {
  return text.replace(/([\d\]]) (%|°[CF]|[A-Za-zµΩ]{1,3}(?:\/[a-z]+)?)(?=[\s,.;:)[]|$)/g, '$1\u00a0$2');
}
