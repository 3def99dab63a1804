/** Rows of a list that say "same" or put a sign of repetition where the row above says what it is. */

const PARTED = /(\t|\||\s[-–—]\s|\s{2,})/;
const DITTO = /^(?:same(?: again| as (?:above|before))?|ditto|do\.|as above|idem|dito|dto\.?|"|''|″|〃)$/i;

/** The rows, each with what the one above says in the same place instead. */
export function withoutDitto(lines: readonly string[]): string[] {
  let above: string[] = [];
  return lines.map((line) => {
    if (line.trim() === '') return line;
    const cells = line.split(PARTED);
    const said = cells.map((cell, k) => {
      const what = DITTO.test(cell.trim()) ? above[k]?.trim() : undefined;
      return what ? cell.replace(cell.trim(), () => what) : cell;
    });
    above = said;
    return said.join('');
  });
}
