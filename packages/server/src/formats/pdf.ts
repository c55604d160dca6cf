import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { cellText, onPage, type Ink, type Picture, type TableSheet } from '@long-miter/core';

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
  readonly sheet?: TableSheet;
  readonly pictures?: readonly Picture[];
}

/** One document of several parts, each from a new page. */
export async function pdfOf(
  job: string,
  parts: readonly PaperPart[],
  { paper, note }: { paper: PaperSize; note: string },
): Promise<Buffer> {
  const doc = new PDFDocument({
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
  for (const { title, sheet, pictures = [] } of parts) {
    doc.addPage();
    doc
      .font('bold')
      .fontSize(17)
      .fillColor('#222222')
      .text(paperText(`${job}: ${title}`), MARGIN, MARGIN);
    doc.font('plain').fontSize(9).fillColor('#6c675e').text(paperText(note)).moveDown(0.6);
    if (sheet) (sheet.columns.length > MOST_COLUMNS ? drawBlocks : drawTable)(doc, onPaper(sheet));
    drawPictures(doc, pictures);
  }
  numberPages(doc, job);
  doc.end();
  return whole;
}

const bottomOf = (doc: Doc): number => doc.page.height - MARGIN - 16;

/** More columns than paper is wide. */
const MOST_COLUMNS = 12;

/** A list without what is written for programs only. */
function onPaper(sheet: TableSheet): TableSheet {
  const kept = sheet.columns.map((one) => one.data !== true);
  return {
    ...sheet,
    columns: sheet.columns.filter((_, index) => kept[index]),
    rows: sheet.rows.map((row) => row.filter((_, index) => kept[index])),
  };
}

/** A broad list: a line of what each row says, under its first three cells; what is empty is left out. */
function drawBlocks(doc: Doc, { columns, rows, unit }: TableSheet): void {
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

function drawTable(doc: Doc, sheet: TableSheet): void {
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
function drawPictures(doc: Doc, pictures: readonly Picture[]): void {
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

function numberPages(doc: Doc, job: string): void {
  const { start, count } = doc.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    doc.switchToPage(page);
    // Below the margin text would begin a new page.
    doc.page.margins.bottom = 0;
    doc
      .font('plain')
      .fontSize(8)
      .fillColor('#6c675e')
      .text(paperText(`${job} · page ${page + 1} of ${count}`), MARGIN, doc.page.height - MARGIN, {
        lineBreak: false,
      });
  }
}
