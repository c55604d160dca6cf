import Papa from 'papaparse';
import { FORMULA, type InText, type TableSheet } from '@long-miter/core';

/** A list as a comma file: figures as they are, names that a spreadsheet would run as text. */
export const csvOf = ({ columns, rows }: InText<TableSheet>): Buffer =>
  Buffer.from(
    `\uFEFF${Papa.unparse([columns.map((one) => one.label), ...rows.map((row) => row.map((cell) => cell ?? ''))], { escapeFormulae: FORMULA })}\r\n`,
  );
