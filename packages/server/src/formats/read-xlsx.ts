import { message, plainText, type Words } from '@long-miter/core';

/** The first sheet of a workbook as rows of text. Files are somebody's: what is not a workbook, or unpacks to too much, is refused. */

/** What a workbook could not be read for. */
export class NoWorkbook extends Error {
  readonly why: Words;
  constructor(why: Words) {
    super(plainText(why));
    this.why = why;
  }
}

export const LARGEST_WORKBOOK = 2 * 1024 * 1024;
/** Bytes that it may unpack to: a small file can hold a sea of zeros. */
const MOST_UNPACKED = 40 * 1024 * 1024;
const MOST_ROWS = 20_000;
const MOST_COLUMNS = 60;

const ENTRY = 0x02014b50;
const END = 0x06054b50;

/** What a zip says it unpacks to, from its list of contents (APPNOTE 4.3.12 and 4.3.16). */
function unpackedSize(content: Buffer): number {
  let at = content.length - 22;
  while (at >= 0 && content.readUInt32LE(at) !== END) at--;
  if (at < 0) throw new NoWorkbook(message('server.is-no-workbook'));
  let entry = content.readUInt32LE(at + 16);
  let sum = 0;
  for (let left = content.readUInt16LE(at + 10); left > 0; left--) {
    if (entry + 46 > content.length || content.readUInt32LE(entry) !== ENTRY)
      throw new NoWorkbook(message('server.workbook-is-damaged'));
    sum += content.readUInt32LE(entry + 24);
    entry +=
      46 +
      content.readUInt16LE(entry + 28) +
      content.readUInt16LE(entry + 30) +
      content.readUInt16LE(entry + 32);
  }
  return sum;
}

export async function readXlsx(content: Buffer): Promise<string[][]> {
  if (unpackedSize(content) > MOST_UNPACKED) throw new NoWorkbook(message('server.workbook-holds-too-much'));
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(content as never);
  } catch {
    throw new NoWorkbook(message('server.workbook-cannot-be-read'));
  }
  const [sheet] = book.worksheets;
  if (!sheet) throw new NoWorkbook(message('server.workbook-has-no-sheet'));
  if (sheet.rowCount > MOST_ROWS)
    throw new NoWorkbook(message('server.workbook-has-too-many-rows', { rows: MOST_ROWS }));
  const rows: string[][] = [];
  sheet.eachRow((row) => {
    const cells: string[] = [];
    for (let column = 1; column <= Math.min(row.cellCount, MOST_COLUMNS); column++)
      cells.push(row.getCell(column).text);
    rows.push(cells);
  });
  return rows;
}
