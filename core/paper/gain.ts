import { sheets as says } from '../words/sheets';
import { expectedOf } from '../linecheck/expected';
import { formatNumber } from '../units/format';
import { inputText, nameOf } from '../words/paper';
import { hostOf, linesOf } from './patch';
import { grouped, type PaperInput, type Sheet } from './types';

/** Where each gain is expected, and between what: a source that plays louder needs less. */
export function gainSheet({ plan, reports }: PaperInput): Sheet {
  const rows = linesOf(plan).filter(({ line }) => typeof reports.get(line.id)?.gain === 'number');
  return {
    id: 'gain',
    title: says.gainsToExpect,
    note: says.startAtTheLeastGainSet,
    columns: [
      { head: says.ch, wide: 6, align: 'right' },
      { head: says.line, wide: 24 },
      { head: says.input, wide: 26 },
      { head: says.gain, wide: 10, align: 'right' },
      { head: 'from', wide: 8, align: 'right' },
      { head: 'to', wide: 8, align: 'right' },
      { head: says.peaksArriveAt, wide: 18, align: 'right' }
    ],
    groups: grouped(
      rows,
      ({ line }) => hostOf(plan, line),
      ({ line, tag }) => {
        const report = reports.get(line.id)!;
        const { usual, from, to } = expectedOf(plan, line, report).gain!;
        const { points } = report;
        const db = (value: number): string => `${formatNumber(value, 0, true)}\u202FdB`;
        return {
          key: line.id,
          line: line.id,
          cells: [
            tag,
            nameOf(line),
            inputText(plan, line),
            db(usual),
            db(from),
            db(to),
            `${formatNumber(points[points.length - 1].far.peak, 0, true)}\u202FdBu`
          ]
        };
      }
    )
  };
}
