import { server as says } from '$core/words/server';
import type { Label } from '$core/paper/cables';
import type { Card } from '$core/paper/patch';
import type { Content, ContentTable, TableCell } from 'pdfmake/interfaces';
import QRCode from 'qrcode';
import { printable } from './fonts';
import { INK, RULE } from './ink';
import type { Part } from './pdf';

/** Cards of boxes and labels of cables: small things that stand beside each other on a page. */

/** A code as a picture, grey values only and no filters tried: drawn square by square it is a thousand rectangles. */
const codeOf = (text: string): Promise<string> =>
  QRCode.toDataURL(text, {
    errorCorrectionLevel: 'M',
    margin: 0,
    scale: 3,
    rendererOpts: { colorType: 0, filterType: 0 }
  } as QRCode.QRCodeToDataURLOptions);

/** How many of something stand beside each other. */
const inRows = <T>(list: readonly T[], wide: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / wide) }, (_, k) => list.slice(k * wide, (k + 1) * wide));

/** One box with its switches drawn as slots, the position to set filled. */
function face(card: Card): Content {
  const slot = (name: string, on: boolean): TableCell => ({
    text: printable(name),
    fontSize: 9,
    bold: on,
    color: on ? '#ffffff' : INK,
    fillColor: on ? INK : undefined,
    alignment: 'center'
  });
  return {
    unbreakable: true,
    margin: [0, 0, 10, 12],
    table: {
      widths: ['*'],
      body: [
        [{ text: printable(`${card.tag}  ${card.name}`), bold: true, fontSize: 13 }],
        [{ text: printable(card.model), fontSize: 10 }],
        ...card.switches.map((s): TableCell[] => [
          {
            columns: [
              { width: 62, text: s.name, fontSize: 9, margin: [0, 3, 0, 0] },
              {
                width: '*',
                layout: { hLineWidth: () => 0.7, vLineWidth: () => 0.7 },
                table: {
                  widths: s.positions.map(() => '*'),
                  body: [s.positions.map((p, k) => slot(p, k === s.set))]
                }
              }
            ]
          }
        ]),
        ...card.knobs.map((k): TableCell[] => [{ text: printable(`${k.name}: ${k.value}`), fontSize: 10, bold: true }])
      ]
    },
    layout: {
      hLineWidth: (k: number, n: ContentTable) => (k === 0 || k === n.table.body.length ? 1.2 : 0),
      vLineWidth: () => 1.2
    }
  };
}

/** Cards of all boxes, two beside each other. */
export const cardsPart = (cards: readonly Card[], note: string): Part => ({
  landscape: false,
  content: [
    { text: says.boxesAndHowTheyAreSet, bold: true, fontSize: 18 },
    { text: printable(note), fontSize: 10, margin: [0, 2, 0, 10] },
    ...inRows(cards, 2).map((row): Content => ({
      unbreakable: true,
      columns: [
        ...row.map((card) => ({ width: '50%', stack: [face(card)] })),
        ...(row.length < 2 ? [{ width: '50%', text: '' }] : [])
      ]
    }))
  ]
});

/** Labels, three beside each other, each with a code that opens its line. @param address of the show's lines, without the line's id */
export async function labelsPart(labels: readonly Label[], address: string): Promise<Part> {
  // A line has several labels, and one code.
  const codes = new Map<string, string>();
  for (const { lineId } of labels) if (!codes.has(lineId)) codes.set(lineId, await codeOf(`${address}${lineId}`));
  const content: Content[] = [
    // A table of nothing cannot be drawn.
    labels.length === 0
      ? { text: says.nothingIsPluggedYetSoThere }
      : {
          layout: { hLineColor: () => RULE, vLineColor: () => RULE, hLineWidth: () => 0.5, vLineWidth: () => 0.5 },
          table: {
            widths: ['*', '*', '*'],
            dontBreakRows: true,
            body: inRows(labels, 3).map((row) => [
              ...row.map((l): TableCell => ({
                margin: [2, 4, 2, 4],
                columns: [
                  {
                    width: '*',
                    stack: [
                      { text: printable(l.tag), bold: true, fontSize: 20 },
                      { text: printable(l.line), fontSize: 10, bold: true },
                      { text: printable(l.at), fontSize: 9 }
                    ]
                  },
                  { width: 45, image: codes.get(l.lineId)! }
                ]
              })),
              ...Array.from({ length: 3 - row.length }, (): TableCell => ({ text: '' }))
            ])
          }
        }
  ];
  return { landscape: false, content };
}
