/** Integer programs as data, and as text in the LP format that solvers read. The solver itself comes from outside. */

type Terms = readonly (readonly [factor: number, variable: string])[];
export interface Row {
  readonly terms: Terms;
  readonly sense: '=' | '<=';
  readonly bound: number;
}
/** The least of a sum, under rows; variables are 0 or 1, or whole numbers from 0 up. */
export interface Program {
  readonly objective: Terms;
  readonly rows: readonly Row[];
  readonly binary: readonly string[];
  readonly whole: readonly string[];
}
interface Answer {
  readonly objective: number;
  readonly values: ReadonlyMap<string, number>;
}
/** Solves a program exactly. @throws when it has no solution */
export type Solver = (program: Program) => Promise<Answer>;

/** A line of the format must not grow without end: terms on each. */
const TERMS_A_LINE = 12;

function termsText(terms: Terms): string {
  const parts = terms.map(([factor, variable]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${variable}`);
  const lines: string[] = [];
  for (let k = 0; k < parts.length; k += TERMS_A_LINE) lines.push(parts.slice(k, k + TERMS_A_LINE).join(' '));
  return lines.join('\n  ');
}

/** A program in the LP format. */
export function lpText({ objective, rows, binary, whole }: Program): string {
  return [
    'Minimize',
    ` obj: ${termsText(objective)}`,
    'Subject To',
    ...rows.map(({ terms, sense, bound }, k) => ` r${k}: ${termsText(terms)} ${sense} ${bound}`),
    ...(whole.length > 0 ? ['General', ` ${whole.join('\n ')}`] : []),
    'Binary',
    ` ${binary.join('\n ')}`,
    'End',
    ''
  ].join('\n');
}
