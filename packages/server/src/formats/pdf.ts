import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type PDFDocument from 'pdfkit';
import {
  cellText,
  lengthFigure,
  message,
  onPage,
  sizeOf,
  type Ink,
  type InText,
  type Picture,
  type TableSheet,
  type Unit,
  type Words,
} from '@long-miter/core';

/** Sheets of paper, from the same drawings and lists as the screens and the other files. */

export type PaperSize = 'letter' | 'a4';
type Doc = InstanceType<typeof PDFDocument>;

const FONTS = process.env['LONGMITER_FONTS'] ?? 'packages/server/assets/fonts';
const FACES = { plain: 'source-sans-3-400.ttf', bold: 'source-sans-3-600.ttf' } as const;
let fonts: Record<keyof typeof FACES, Buffer> | undefined;
const fontsOf = (): Record<keyof typeof FACES, Buffer> =>
  (fonts ??= { plain: readFileSync(join(FONTS, FACES.plain)), bold: readFileSync(join(FONTS, FACES.bold)) });

const MARGIN = 40;
const NEVER = new Date(Date.UTC(2000, 0, 1));

/**
 * A text as the paper's fonts have it. The slash of fractions is the sign that they make set fractions of; signs that they lack are
 * written another way.
 */
export const paperText = (text: string): string =>
  text
    .replace(/(\d)\/(\d)/g, '$1\u2044$2')
    .replaceAll('→', 'to')
    .replaceAll('●', '•')
    .replaceAll('○', 'o')
    .replaceAll('▲', '!')
    .replaceAll('☐', '');

export interface PaperPart {
  readonly title: string;
  readonly sheet?: InText<TableSheet>;
  readonly pictures?: readonly InText<Picture>[];
  /** The unit of its pictures, where they are printed in their true size, on as many sheets as that takes. */
  readonly trueSize?: Unit;
}

/** One document of several parts, each from a new page. */
export async function pdfOf(
  job: string,
  parts: readonly PaperPart[],
  { paper, note, say }: { paper: PaperSize; note: Words; say: (words: Words) => string },
): Promise<Buffer> {
  // Loaded when it is wanted: whoever asks for a plan alone does not wait for it.
  const { default: Document } = await import('pdfkit');
  const doc = new Document({
    size: paper === 'a4' ? 'A4' : 'LETTER',
    margin: MARGIN,
    bufferPages: true,
    autoFirstPage: false,
    info: {
      Title: `${job}: ${parts.map((one) => one.title).join(', ')}`,
      CreationDate: NEVER,
      ModDate: NEVER,
    },
  });
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  doc.registerFont('plain', fontsOf().plain);
  doc.registerFont('bold', fontsOf().bold);
  for (const { title, sheet, pictures = [], trueSize } of parts) {
    if (trueSize !== undefined) {
      for (const picture of pictures) drawTrueSize(doc, picture, trueSize, say);
      continue;
    }
    doc.addPage();
    doc
      .font('bold')
      .fontSize(17)
      .fillColor('#222222')
      .text(paperText(`${job}: ${title}`), MARGIN, MARGIN);
    doc
      .font('plain')
      .fontSize(9)
      .fillColor('#6c675e')
      .text(paperText(say(note)))
      .moveDown(0.6);
    if (sheet) (sheet.columns.length > MOST_COLUMNS ? drawBlocks : drawTable)(doc, onPaper(sheet));
    drawPictures(doc, pictures);
  }
  numberPages(doc, (page, pages) => say(message('paper.page', { job, page, pages })));
  doc.end();
  return whole;
}

const bottomOf = (doc: Doc): number => doc.page.height - MARGIN - 16;

/** More columns than paper is wide. */
const MOST_COLUMNS = 12;

/** A list without what is written for programs only. */
function onPaper(sheet: InText<TableSheet>): InText<TableSheet> {
  const kept = sheet.columns.map((one) => one.data !== true);
  return {
    ...sheet,
    columns: sheet.columns.filter((_, index) => kept[index]),
    rows: sheet.rows.map((row) => row.filter((_, index) => kept[index])),
  };
}

/** A broad list: a line of what each row says, under its first three cells; what is empty is left out. */
function drawBlocks(doc: Doc, { columns, rows, unit }: InText<TableSheet>): void {
  const width = doc.page.width - 2 * MARGIN;
  for (const row of rows) {
    const cells = row.map((cell, index) => cellText(cell, columns[index]!, unit));
    const title = paperText(
      [cells[0], cells[1] && `${columns[1]!.label} ${cells[1]}`, cells[2]].filter(Boolean).join(' · '),
    );
    const said = paperText(
      cells
        .slice(3)
        .map((cell, index) => (cell === '' ? '' : `${columns[index + 3]!.label} ${cell}`))
        .filter((one) => one !== '')
        .join('  ·  '),
    );
    doc.font('plain').fontSize(9);
    if (doc.y + 24 + doc.heightOfString(said, { width }) > bottomOf(doc)) {
      doc.addPage();
      doc.y = MARGIN;
    }
    doc.font('bold').fontSize(10).fillColor('#222222').text(title, MARGIN, doc.y, { width });
    doc.font('plain').fontSize(9).text(said, { width }).moveDown(0.5);
  }
}

function drawTable(doc: Doc, sheet: InText<TableSheet>): void {
  const width = doc.page.width - 2 * MARGIN;
  const shares = sheet.columns.reduce((sum, one) => sum + one.wide, 0);
  const widths = sheet.columns.map((one) => (one.wide / shares) * width);
  const size = sheet.columns.length > 14 ? 6.5 : sheet.columns.length > 9 ? 8 : 9;
  const line = (cells: readonly string[], bold: boolean): void => {
    doc
      .font(bold ? 'bold' : 'plain')
      .fontSize(size)
      .fillColor('#222222');
    const height =
      Math.max(
        ...cells.map((cell, index) =>
          doc.heightOfString(cell === '' ? ' ' : cell, { width: widths[index]! - 5 }),
        ),
      ) + 4;
    if (doc.y + height > bottomOf(doc)) {
      doc.addPage();
      doc.y = MARGIN;
      if (!bold) line(heads, true);
      doc.font('plain').fontSize(size).fillColor('#222222');
    }
    const top = doc.y;
    let x = MARGIN;
    for (const [index, cell] of cells.entries()) {
      doc.text(cell, x + 2, top + 2, { width: widths[index]! - 5 });
      x += widths[index]!;
    }
    doc
      .moveTo(MARGIN, top + height)
      .lineTo(MARGIN + width, top + height)
      .lineWidth(bold ? 0.9 : 0.35)
      .strokeColor(bold ? '#222222' : '#b9b0a0')
      .undash()
      .stroke();
    doc.y = top + height;
  };
  const heads = sheet.columns.map((one) => paperText(one.label));
  line(heads, true);
  for (const row of sheet.rows)
    line(
      row.map((cell, index) => paperText(cellText(cell, sheet.columns[index]!, sheet.unit))),
      false,
    );
}

/** Strips go across the page, one beneath the other; upright pictures stand in two columns. */
function drawPictures(doc: Doc, pictures: readonly InText<Picture>[]): void {
  const width = doc.page.width - 2 * MARGIN;
  for (let index = 0; index < pictures.length;) {
    const upright = pictures[index]!.ratio > 1;
    const row = upright
      ? pictures.slice(index, index + 2).filter((one) => one.ratio > 1)
      : [pictures[index]!];
    const wide = upright ? (width - 16) / 2 : width;
    const ratio = Math.max(...row.map((one) => one.ratio));
    const height = Math.min(wide * ratio + (ratio < 0.2 ? 0 : 30), bottomOf(doc) - MARGIN - 40);
    if (doc.y + height + 22 > bottomOf(doc)) {
      doc.addPage();
      doc.y = MARGIN;
    }
    const top = doc.y;
    for (const [column, { name, drawing, ratio: own }] of row.entries()) {
      const x = MARGIN + column * (wide + 16);
      doc.font('bold').fontSize(10).fillColor('#222222').text(paperText(name), x, top, { width: wide });
      const ink = onPage(drawing, {
        x,
        y: top + 16,
        width: wide,
        height,
        margin: own < 0.2 ? 4 : 26,
        ...(own < 0.2 ? { scale: wide / 1000 } : {}),
      });
      for (const one of ink) drawInk(doc, one);
    }
    doc.y = top + height + 26;
    index += row.length;
  }
}

/** Points of the page for one unit: 72 to the inch. */
const POINTS: Readonly<Record<Unit, number>> = { in: 72, mm: 72 / 25.4 };
/** What two sheets share, so that they can be laid on each other. */
const SHARED = 36;
/** Kept free at the foot for the bar that proves the size. */
const FOOT = 54;

/** A picture as large as it is, over as many sheets as that takes, each with a bar to lay a rule on. */
function drawTrueSize(
  doc: Doc,
  { name, drawing }: InText<Picture>,
  unit: Unit,
  say: (words: Words) => string,
): void {
  const scale = POINTS[unit];
  const real = sizeOf(drawing);
  const [wide, high] = [real.width * scale + 2 * ROUND, real.height * scale + 2 * ROUND];
  for (let row = 0, rows = 1; row < rows; row++)
    for (let column = 0, columns = 1; column < columns; column++) {
      doc.addPage();
      const sheetWide = doc.page.width - 2 * MARGIN;
      const sheetHigh = doc.page.height - 2 * MARGIN - 30 - FOOT;
      const count = (size: number, sheet: number): number =>
        size <= sheet ? 1 : Math.ceil((size - SHARED) / (sheet - SHARED));
      columns = count(wide, sheetWide);
      rows = count(high, sheetHigh);
      const top = MARGIN + 30;
      const which =
        rows * columns > 1
          ? say(message('paper.which-sheet', { row: row + 1, column: column + 1, rows, columns }))
          : '';
      doc
        .font('bold')
        .fontSize(11)
        .fillColor('#222222')
        .text(paperText(name + which), MARGIN, MARGIN, {
          width: sheetWide,
        });
      doc.save();
      doc.rect(MARGIN, top, sheetWide, sheetHigh).clip();
      const ink = onPage(drawing, {
        x: MARGIN + ROUND - column * (sheetWide - SHARED),
        y: top + ROUND - row * (sheetHigh - SHARED),
        width: real.width * scale,
        height: real.height * scale,
        margin: 0,
        scale,
      });
      for (const one of ink) drawInk(doc, one);
      doc.restore();
      if (rows * columns > 1) {
        // Where the next sheet begins: these lines are laid on each other.
        doc.lineWidth(0.4).strokeColor('#6c675e').dash(2, { space: 3 });
        if (column + 1 < columns)
          doc
            .moveTo(MARGIN + sheetWide - SHARED, top)
            .lineTo(MARGIN + sheetWide - SHARED, top + sheetHigh)
            .stroke();
        if (row + 1 < rows)
          doc
            .moveTo(MARGIN, top + sheetHigh - SHARED)
            .lineTo(MARGIN + sheetWide, top + sheetHigh - SHARED)
            .stroke();
        doc.undash();
      }
      drawBar(doc, unit, say);
    }
}

/** Kept free around a pattern, for figures that stand aside. */
const ROUND = 24;
/** The bar that proves the size of what is printed. */
const BAR: Readonly<Record<Unit, { length: number; step: number }>> = {
  in: { length: 4, step: 1 },
  mm: { length: 100, step: 10 },
};

function drawBar(doc: Doc, unit: Unit, say: (words: Words) => string): void {
  const { length, step } = BAR[unit];
  const y = doc.page.height - MARGIN - FOOT + 18;
  const at = (along: number): number => MARGIN + along * POINTS[unit];
  doc.undash().lineWidth(1.2).strokeColor('#222222');
  doc.moveTo(at(0), y).lineTo(at(length), y).stroke();
  for (let along = 0; along <= length; along += step)
    doc
      .moveTo(at(along), y - (along === 0 || along === length ? 8 : 5))
      .lineTo(at(along), y)
      .stroke();
  doc
    .font('plain')
    .fontSize(9)
    .fillColor('#222222')
    .text(
      paperText(say(message('paper.lay-a-rule-on-this-bar', { length: lengthFigure(length, unit) }))),
      MARGIN,
      y + 5,
      { lineBreak: false },
    );
}

function drawInk(doc: Doc, ink: Ink): void {
  if (ink.kind === 'text') {
    doc
      .font(ink.bold ? 'bold' : 'plain')
      .fontSize(ink.size)
      .fillColor(ink.colour);
    const text = paperText(ink.text);
    const wide = doc.widthOfString(text);
    const x = ink.at.x - (ink.anchor === 'middle' ? wide / 2 : ink.anchor === 'end' ? wide : 0);
    if (ink.onLine) {
      doc.rect(x - 2, ink.at.y - ink.size * 0.6, wide + 4, ink.size * 1.2).fill('#ffffff');
      doc.fillColor(ink.colour);
    }
    doc.text(text, x, ink.at.y - ink.size * 0.62, { lineBreak: false });
    return;
  }
  const { fill, stroke, width = 1, dash } = ink.look;
  if (fill === undefined && stroke === undefined) return;
  if (ink.kind === 'dot') doc.circle(ink.at.x, ink.at.y, ink.radius);
  else {
    const [first, ...more] = ink.points;
    if (!first) return;
    doc.moveTo(first.x, first.y);
    for (const { x, y } of more) doc.lineTo(x, y);
    if (ink.closed) doc.closePath();
  }
  if (stroke !== undefined) {
    doc.lineWidth(width).strokeColor(stroke).lineJoin('round');
    if (dash) doc.dash(dash[0], { space: dash[1] });
    else doc.undash();
  }
  if (fill !== undefined) doc.fillColor(fill);
  if (fill !== undefined && stroke !== undefined) doc.fillAndStroke();
  else if (fill !== undefined) doc.fill();
  else doc.stroke();
}

function numberPages(doc: Doc, foot: (page: number, pages: number) => string): void {
  const { start, count } = doc.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    doc.switchToPage(page);
    // Below the margin text would begin a new page.
    doc.page.margins.bottom = 0;
    doc
      .font('plain')
      .fontSize(8)
      .fillColor('#6c675e')
      .text(paperText(foot(page + 1, count)), MARGIN, doc.page.height - MARGIN, {
        lineBreak: false,
      });
  }
}
