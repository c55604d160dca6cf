import {
  openingsFromTable,
  openingTable,
  type JobRecord,
  type Result,
  type TableChange,
} from '@long-miter/core';
import { fromCsv, toCsv } from '../../shared/text/csv.ts';
import { fileName, saveFile } from '../../shared/text/files.ts';

/** Openings as a spreadsheet file, and back. */
export const saveOpenings = (job: JobRecord): void =>
  saveFile(
    `${fileName(job.name)}-openings.csv`,
    toCsv(openingTable(job.rooms, job.settings.profiles)),
    'text/csv',
  );

/** Reads openings from the text of a file: commas, semicolons or tabs between. */
export function readOpenings(text: string, job: JobRecord): Result<TableChange[]> {
  const data = fromCsv(text);
  return openingsFromTable(data, job.rooms, job.settings.profiles, job.unit);
}
