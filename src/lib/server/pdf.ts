import { server as says } from '$core/words/server';
import { createRequire } from 'node:module';
import type { Card } from '$core/paper/patch';
import type { Label } from '$core/paper/cables';
import type { Group, Sheet } from '$core/paper/types';
import pdfmake from 'pdfmake';
import type { Content, ContentTable, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';

/** Sheets, cards and labels as PDF: black on white, eleven points, a group in one piece where it fits. */

type PaperSize = 'A4' | 'LETTER';
interface Meta {
  readonly show: string;
  readonly revision: number;
  readonly at: Date;
  readonly size: PaperSize;
}

const require = createRequire(import.meta.url);
const font = (style: string): string => require.resolve(`pdfmake/fonts/Roboto/Roboto-${style}.ttf`);
pdfmake.setFonts({
  Roboto: {
    normal: font('Regular'),
    bold: font('Medium'),
    italics: font('Italic'),
    bolditalics: font('MediumItalic')
  }
});
// Nothing is fetched from anywhere; of files only the fonts are read.
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.endsWith('.ttf'));

/** Signs that the font has not, in signs that it has. */
const printable = (text: string): string => text.replaceAll('\u202f', '\u00a0').replaceAll('→', '›');
/** More rows than this may be broken over two pages. */
const ONE_PIECE = 24;
const INK = '#000000';
const RULE = '#999999';

const LAYOUT = {
  hLineWidth: (k: number, node: ContentTable): number => (k === 0 || k === node.table.body.length ? 0 : 0.5),
  vLineWidth: (): number => 0,
  hLineColor: (): string => RULE,
  paddingTop: (): number => 3,
  paddingBottom: (): number => 3
};

function cell(text: string, align?: 'right'): TableCell {
  // A box to tick with a pen.
  if (text === '☐') return { canvas: [{ type: 'rect', x: 0, y: 1, w: 10, h: 10, lineWidth: 0.8 }] };
  return { text: printable(text), ...(align ? { alignment: align } : {}) };
}

const SIGNS = { new: '+', changed: '•' } as const;

function table({ columns }: Sheet, { name, rows }: Group, marks: boolean): Content {
  const head = columns.map((c): TableCell => ({
    text: c.head,
    bold: true,
    fontSize: 9,
    ...(c.align ? { alignment: c.align } : {})
  }));
  const body = rows.map((r) => {
    const cells = r.cells.map((text, k) => cell(text, columns[k].align));
    const sign: TableCell = { text: r.mark ? SIGNS[r.mark] : '', bold: true };
    return marks ? [sign, ...cells] : cells;
  });
  const total = columns.reduce((sum, c) => sum + c.wide, 0);
  const widths = columns.map((c) => `${((c.wide / total) * (marks ? 97 : 100)).toFixed(2)}%`);
  return {
    unbreakable: rows.length <= ONE_PIECE,
    margin: [0, 8, 0, 4],
    stack: [
      { text: printable(name), bold: true, fontSize: 12, margin: [0, 0, 0, 2] },
      {
        layout: LAYOUT,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: marks ? ['3%', ...widths] : widths,
          body: [marks ? [{ text: '' }, ...head] : head, ...body]
        }
      }
    ]
  };
}

function document(meta: Meta, landscape: boolean, content: Content[]): TDocumentDefinitions {
  const stamp = meta.at.toISOString().slice(0, 16).replace('T', ' ');
  return {
    pageSize: meta.size,
    pageOrientation: landscape ? 'landscape' : 'portrait',
    pageMargins: [36, 46, 36, 40],
    info: { title: meta.show },
    defaultStyle: { font: 'Roboto', fontSize: 11, color: INK },
    header: {
      margin: [36, 20, 36, 0],
      columns: [
        { text: meta.show, bold: true },
        { text: says.revisionUtc(meta.revision, stamp), alignment: 'right', fontSize: 9 }
      ]
    },
    footer: (page: number, pages: number) => ({
      margin: [36, 8, 36, 0],
      columns: [
        { text: says.protectiveEarthStaysConnectedMuteBefore, fontSize: 9 },
        { text: says.pageOf(page, pages), alignment: 'right', fontSize: 9 }
      ]
    }),
    content
  };
}

/** One sheet, or all cards, or all labels: what stands on pages of its own. */
export interface Part {
  readonly landscape: boolean;
  readonly content: Content[];
}

/** Parts one after the other, each beginning a page. */
export function renderPaper(parts: readonly Part[], meta: Meta): Promise<Buffer> {
  const content = parts.flatMap((part, k): Content[] =>
    k === 0
      ? part.content
      : [
          {
            // The first thing of a part is always an object of its own, never a bare text or a list.
            ...(part.content[0] as object),
            pageBreak: 'before',
            pageOrientation: part.landscape ? 'landscape' : 'portrait'
          } as Content,
          ...part.content.slice(1)
        ]
  );
  return pdfmake.createPdf(document(meta, parts[0].landscape, content)).getBuffer();
}

/** A sheet. @param since revision that marks are against; null when there are none */
export function sheetPart(sheet: Sheet, since: number | null): Part {
  const marked = since !== null;
  const notes = [
    sheet.note,
    ...(marked ? [says.newChangedSinceRevision(since)] : []),
    ...(sheet.gone && sheet.gone.length > 0 ? [says.goneSince(sheet.gone.join('; '))] : [])
  ];
  return {
    landscape: sheet.columns.length > 7,
    content: [
      { text: sheet.title, bold: true, fontSize: 18 },
      { text: printable(notes.join(' ')), fontSize: 10, margin: [0, 2, 0, 0] },
      ...sheet.groups.map((g) => table(sheet, g, marked))
    ]
  };
}

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
export const labelsPart = (labels: readonly Label[], address: string): Part => ({
  landscape: false,
  content: [
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
                  { width: 52, qr: `${address}${l.lineId}`, fit: 52, eccLevel: 'M' }
                ]
              })),
              ...Array.from({ length: 3 - row.length }, (): TableCell => ({ text: '' }))
            ])
          }
        }
  ]
});
