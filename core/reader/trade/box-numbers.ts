/** Which of several stage boxes it is: "sb1-5" is the fifth socket of the first, where "SB 1-4" alone is four sockets. */

const BOX = String.raw`(?:sb|s\/b|mc|sbx|snake|stage\s?box|sub\s?snake|multi|drop|loom)`;
const NUMBERED = new RegExp(String.raw`\b(${BOX}\s?)([1-9])(-)(?=\d)`, 'gi');
/** Behind the word for a box: its number, before the socket, where nothing else can be meant. */
export const BOX_NUMBER = /\s?(?!3\.5|6\.3)[1-9]\s?(?:[.:]\s?(?=\d)|-(?=\d{1,2}\s?[-–/+]\s?\d))/y;

/** Rows of a list, "sb1-5" as "sb1:5" where the same box comes with several sockets, so that ranges cannot be meant. */
export function withBoxNumbers(lines: readonly string[]): string[] {
  const sockets = new Map<string, Set<string>>();
  for (const line of lines)
    for (const found of line.matchAll(NUMBERED)) {
      const socket = /^\d+/.exec(line.slice(found.index + found[0].length))![0];
      sockets.set(found[2], (sockets.get(found[2]) ?? new Set()).add(socket));
    }
  // Ranges of sockets do not begin again and again at the same one.
  const isBox = (number: string): boolean => (sockets.get(number)?.size ?? 0) > 1;
  return lines.map((line) =>
    line.replace(NUMBERED, (whole, box: string, number: string) => (isBox(number) ? `${box}${number}:` : whole))
  );
}
