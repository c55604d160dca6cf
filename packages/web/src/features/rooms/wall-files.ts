import { notifications } from '@mantine/notifications';
import Papa from 'papaparse';
import {
  roomsOfTable,
  wallTable,
  type Issue,
  type Survey,
  type TableRoom,
  type Unit,
} from '@long-miter/core';

/** Rooms' walls as a spreadsheet file, and back. */

/** Lets the browser save a text as a file. */
export function saveFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

const fileName = (name: string): string =>
  name
    .replace(/[^a-z0-9]+/gi, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'walls';

export const saveWalls = (job: string, rooms: readonly TableRoom[]): void =>
  saveFile(`${fileName(job)}-walls.csv`, Papa.unparse(wallTable(rooms)), 'text/csv');

/** Reads rooms from the text of a file: commas, semicolons or tabs between. */
export function readWalls(
  text: string,
  unit: Unit,
  survey: Survey,
): { readonly rooms: readonly TableRoom[] } | { readonly issues: readonly Issue[] } {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const rooms = roomsOfTable(data, unit, survey);
  return rooms.ok ? { rooms: rooms.value } : { issues: rooms.issues };
}

/** Says why a file was not taken, a line for each fault. */
export const refuseFile = (name: string, issues: readonly Issue[]): void =>
  void notifications.show({
    color: 'red',
    autoClose: false,
    title: `${name} was not taken in`,
    message: issues
      .slice(0, 6)
      .map((issue) => (issue.at ? `${issue.at}: ${issue.text}` : issue.text))
      .join('\n'),
    style: { whiteSpace: 'pre-line' },
  });
