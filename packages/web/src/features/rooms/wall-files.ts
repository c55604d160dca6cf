import {
  roomsOfTable,
  wallTable,
  type Issue,
  type Survey,
  type TableRoom,
  type Unit,
} from '@long-miter/core';
import { fromCsv, toCsv } from '../../shared/text/csv.ts';
import { fileName, saveFile } from '../../shared/text/files.ts';

/** Rooms' walls as a spreadsheet file, and back. */

export const saveWalls = (job: string, rooms: readonly TableRoom[]): void =>
  saveFile(`${fileName(job)}-walls.csv`, toCsv(wallTable(rooms)), 'text/csv');

/** Reads rooms from the text of a file (commas, semicolons or tabs between), or from rows that were read already. */
export function readWalls(
  text: string | readonly string[][],
  unit: Unit,
  survey: Survey,
): { readonly rooms: readonly TableRoom[] } | { readonly issues: readonly Issue[] } {
  const data = typeof text === 'string' ? fromCsv(text) : text;
  const rooms = roomsOfTable(data, unit, survey);
  return rooms.ok ? { rooms: rooms.value } : { issues: rooms.issues };
}
