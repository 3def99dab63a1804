import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { FORMULA, plainCell } from './cells';

it('no cell of a file is a formula, a figure stays a figure, and all read back as they were', () => {
  const cells = [
    '=1+1',
    '@SUM(A1)',
    '+cmd|x',
    '-2+3',
    '−5 dB',
    '\t=1',
    '-12',
    '+4.5',
    '−3,5',
    'Bass',
    "'tis",
    '12',
    ''
  ];
  const csv = Papa.unparse([cells], { escapeFormulae: FORMULA });
  const [back] = Papa.parse<string[]>(csv).data;
  expect(back.filter((cell) => /^[=@\t]|^[+\-−]\D/.test(cell) && !/^[+\-−]\d/.test(cell))).toEqual([]);
  expect(back.filter((cell) => /^[+-]\d+\+/.test(cell))).toEqual([]);
  expect(back.map(plainCell)).toEqual(cells);
});
