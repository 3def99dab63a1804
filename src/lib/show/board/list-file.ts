/** Input lists as files: what stands in one, as the text that would have been pasted. */

/** A list of this size is a thousand rows and more, bytes. */
const LARGEST = 4_000_000;

export class NoList extends Error {
  constructor(readonly why: 'too-large' | 'not-a-sheet') {
    super(why);
  }
}

/**
 * Text of a file with a list: of a workbook the first sheet, its cells parted by tabs; of any other file what stands in it.
 * @throws NoList where it is too large, or a workbook that cannot be opened
 */
export async function textOfFile(file: File): Promise<string> {
  if (file.size > LARGEST) throw new NoList('too-large');
  const bytes = await file.arrayBuffer();
  // A workbook is a zip archive, whatever it is called.
  const zip = new Uint8Array(bytes, 0, Math.min(bytes.byteLength, 2));
  if (zip[0] !== 0x50 || zip[1] !== 0x4b) return new TextDecoder().decode(bytes);
  const { readSheet } = await import('read-excel-file/universal');
  const rows = await readSheet(new Blob([bytes])).catch(() => {
    throw new NoList('not-a-sheet');
  });
  return rows.map((cells) => cells.map(cellText).join('\t')).join('\n');
}

const cellText = (cell: unknown): string =>
  cell === null || cell === undefined
    ? ''
    : cell instanceof Date
      ? cell.toISOString().slice(0, 10)
      : String(cell).replace(/[\t\r\n]+/g, ' ');
