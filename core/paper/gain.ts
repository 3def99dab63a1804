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
    title: 'Gains to expect',
    note: 'Start at the least gain; set it at the loudest playing. From and to follow the spread of the class, ±3 dB where a level was set.',
    columns: [
      { head: 'Ch', wide: 6, align: 'right' },
      { head: 'Line', wide: 24 },
      { head: 'Input', wide: 26 },
      { head: 'Gain', wide: 10, align: 'right' },
      { head: 'from', wide: 8, align: 'right' },
      { head: 'to', wide: 8, align: 'right' },
      { head: 'Peaks arrive at', wide: 18, align: 'right' }
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
