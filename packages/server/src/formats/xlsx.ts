import type { Column, InText, TableSheet } from '@long-miter/core';

/** Lists as a workbook, a sheet each. */

/** The day files are made on would make each another: they say what they are about, not when they were written. */
const NEVER = new Date(Date.UTC(2000, 0, 1));

const formatOf = ({ as }: Pick<Column, 'as'>, { unit, currency }: InText<TableSheet>): string | undefined => {
  if (as === 'length') return unit === 'in' ? '# ??/16' : '0.0';
  if (as === 'money') return currency === undefined ? '0.00' : `0.00" ${currency}"`;
  return as === 'count' ? '0' : undefined;
};

export async function xlsxOf(sheets: readonly InText<TableSheet>[]): Promise<Buffer> {
  // Loaded when it is wanted: it takes longer than most plans.
  const { default: ExcelJS } = await import('exceljs');
  const book = new ExcelJS.Workbook();
  book.created = NEVER;
  book.modified = NEVER;
  for (const sheet of sheets) {
    const page = book.addWorksheet(sheet.title, { views: [{ state: 'frozen', ySplit: 1 }] });
    page.columns = sheet.columns.map((column) => {
      const format = formatOf(column, sheet);
      return {
        header: column.label,
        width: Math.max(8, column.wide * 11),
        ...(format === undefined ? {} : { style: { numFmt: format } }),
      };
    });
    page.getRow(1).font = { bold: true };
    // A text stays a text, whatever it begins with.
    for (const row of sheet.rows) page.addRow(row.map((cell) => cell ?? null));
  }
  return Buffer.from(await book.xlsx.writeBuffer());
}
