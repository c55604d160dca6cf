import Papa from 'papaparse';

/** Tables as spreadsheet files. */

/** What a spreadsheet would run as a formula; a figure with a sign is none. */
const FORMULA = /^[=+\-@\t\r].*(?<!^-?[\d\s/.]+)$/s;
/** How it is written so that it is only text, and known again when it is read. */
const WRITTEN = /^'(?=[=+\-@\t\r])/;

/** A cell that begins a formula is written as text: a name must not run anything in somebody's spreadsheet. */
export const toCsv = (rows: unknown[][]): string => Papa.unparse(rows, { escapeFormulae: FORMULA });

/** Cells of a file with commas, semicolons or tabs between, as they were before they were written. */
export function fromCsv(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  return data.map((row) => row.map((cell) => cell.replace(WRITTEN, '')));
}
