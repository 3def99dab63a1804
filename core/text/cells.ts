/**
 * A cell of a table file that a spreadsheet would compute instead of showing: text that begins like a formula, a figure with its sign apart. Whoever
 * writes such a file puts an apostrophe before it, and `plainCell` takes that away again.
 */
export const FORMULA = /^[=@\t\r]|^[+\-−](?!\d+([.,]\d+)?$)/;

/** What a cell of a file says, without the apostrophe that kept a spreadsheet from computing it. */
export const plainCell = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
