import { server as says } from '$core/words/server';
import type { Group, Row, Sheet } from '$core/paper/types';
import pdfmake from 'pdfmake';
import { printable, setFonts } from './fonts';
import { INK, RULE } from './ink';
import type { Content, ContentTable, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';

/** Sheets, cards and labels as PDF: black on white, eleven points, a group in one piece where it fits. */

type PaperSize = 'A4' | 'LETTER';
interface Meta {
  readonly show: string;
  /** Null of what is of no show. */
  readonly revision: number | null;
  readonly at: Date;
  readonly size: PaperSize;
}

setFonts();

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

/** Points across a sheet, between its margins, upright and on its side; of the narrower paper. */
const ACROSS = { upright: 523, side: 720 };
/** What a line of text takes down the page, points, and what a row takes around its lines. */
const LINE = 14;
const AROUND = 6;
/** Points that a sign takes on average, with what is lost at the ends of lines. */
const SIGN = 6.6;
/** Groups that take no more of a page than this, in points, stay in one piece; higher rows than that may be broken. */
const ONE_PIECE = 380;

/** How far down the page each row goes at most, points. Estimated high: what is held together although it does not fit is not drawn at all. */
function heightsOf({ columns }: Pick<Sheet, 'columns'>, rows: readonly Row[]): number[] {
  const total = columns.reduce((sum, c) => sum + c.wide, 0);
  const across = columns.length > 7 ? ACROSS.side : ACROSS.upright;
  return rows.map(({ cells }) => {
    const lines = cells.map((text, k) => {
      const wide = Math.max((0.96 * across * columns[k].wide) / total - 8, SIGN);
      // Words that do not fit behind the others begin a line; the signs of wide scripts take twice the place.
      const signs = [...text].reduce((sum, sign) => sum + (sign > '\u2e80' ? 2 : 1), 0);
      return text.split('\n').length + Math.floor((signs * SIGN) / wide);
    });
    return Math.max(...lines) * LINE + AROUND;
  });
}

function table(sheet: Pick<Sheet, 'columns'>, { name, rows }: Group, marks: boolean): Content {
  const { columns } = sheet;
  const heights = heightsOf(sheet, rows);
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
    unbreakable: heights.reduce((sum, h) => sum + h, 2 * LINE + AROUND) <= ONE_PIECE,
    margin: [0, 8, 0, 4],
    stack: [
      { text: printable(name), bold: true, fontSize: 12, margin: [0, 0, 0, 2] },
      {
        layout: LAYOUT,
        table: {
          headerRows: 1,
          dontBreakRows: heights.every((h) => h <= ONE_PIECE),
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
        { text: printable(meta.show), bold: true },
        {
          text: meta.revision === null ? says.printedUtc(stamp) : says.revisionUtc(meta.revision, stamp),
          alignment: 'right',
          fontSize: 9
        }
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

/** Dangers in a heavy frame: black on white, for a copier knows no colours. */
const dangerBox = (dangers: readonly string[]): Content => ({
  margin: [0, 6, 0, 4],
  layout: { hLineWidth: () => 2.5, vLineWidth: () => 2.5, hLineColor: () => INK, vLineColor: () => INK },
  table: {
    widths: ['*'],
    body: [
      [
        {
          stack: dangers.map((text) => ({ text: printable(`${says.danger} ${text}`), bold: true })),
          margin: [4, 3, 4, 3]
        }
      ]
    ]
  }
});

/** A sheet. @param since revision that marks are against; null when there are none */
export function sheetPart(sheet: Omit<Sheet, 'id'>, since: number | null): Part {
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
      ...(sheet.dangers ? [dangerBox(sheet.dangers)] : []),
      { text: printable(notes.join(' ')), fontSize: 10, margin: [0, 2, 0, 0] },
      ...sheet.groups.map((g) => table(sheet, g, marked))
    ]
  };
}
