import { message, type Words } from '../messages/index.ts';
import { fail, failIfAny, ok, type Issue, type Result } from '../base/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import type { AngleReading } from '../job/index.ts';
import { parseLength, type Unit } from '../measure/index.ts';
import { wallAngle } from '../survey/index.ts';
import { parseWalkLine } from './walk-line.ts';

/**
 * Walls as a plain table, for spreadsheets: one row a wall, in walking order.
 * Columns: room, length, corner (wall angle after it; empty when only assumed), and openings as on the walk line
 * (`d32, 36, 80; w12, 40, 82, 30`).
 */

const WALL_COLUMNS = ['room', 'length', 'corner', 'openings'] as const;

export interface TableRoom {
  readonly name: string;
  readonly survey: Survey;
}

const LETTER = { door: 'd', cased: 'c', pocket: 'k', window: 'w', drywall: 'o' } as const;

/** Rooms as rows, heading first. Figures are exact decimals in the job's unit; angles are the wall angle. */
export function wallTable(rooms: readonly TableRoom[]): string[][] {
  const cornerText = (reading: AngleReading | undefined): string =>
    reading === undefined || reading.as === 'assumed' ? '' : String(wallAngle(reading));
  return [
    [...WALL_COLUMNS],
    ...rooms.flatMap(({ name, survey }) =>
      survey.walls.map((wall) => [
        name,
        String(wall.length),
        cornerText(wall.corner?.reading),
        (wall.openings ?? [])
          .map((one) =>
            [
              `${LETTER[one.kind]}${one.at}`,
              one.width,
              one.headHeight,
              ...(one.kind === 'window' && one.sillHeight !== undefined ? [one.sillHeight] : []),
            ].join(', '),
          )
          .join('; '),
      ]),
    ),
  ];
}

/** Column numbers by name, from the heading row; a table without one has the columns in their own order. */
function columnsOf(
  heading: readonly string[],
): { readonly at: Map<string, number>; readonly skip: number } | { readonly fault: Words } {
  const names = heading.map((one) => one.trim().toLowerCase());
  if (!names.includes('length')) {
    const looksLikeHeading = names.every((one) => one === '' || /^[a-z ]+$/.test(one)) && names.length > 1;
    if (looksLikeHeading) return { fault: message('table.has-no-column-length-name-the') };
    return { at: new Map(WALL_COLUMNS.map((name, index) => [name, index])), skip: 0 };
  }
  const unknown = names.find((one) => one !== '' && !(WALL_COLUMNS as readonly string[]).includes(one));
  if (unknown !== undefined) return { fault: message('table.has-a-column-only-room-length', { unknown }) };
  return { at: new Map(names.map((name, index) => [name, index])), skip: 1 };
}

/**
 * Reads a table of walls. Rooms close when they have three walls or more.
 * @param rows   cells as text
 * @param survey what a room starts with: its trims
 * Issues: `at` names the line and column (`line 3, length`), each with what would put it right.
 */
export function roomsOfTable(
  rows: readonly (readonly string[])[],
  unit: Unit,
  survey: Survey,
): Result<TableRoom[]> {
  const filled = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (filled.length === 0) return fail({ at: '', text: message('table.the-table-is-empty') });
  const columns = columnsOf(filled[0]!);
  if ('fault' in columns) return fail({ at: 'line 1', text: columns.fault });
  const issues: Issue[] = [];
  const rooms = new Map<string, Survey>();
  filled.slice(columns.skip).forEach((row, index) => {
    const line = `line ${index + 1 + columns.skip}`;
    const cell = (name: string): string => row[columns.at.get(name) ?? -1]?.trim() ?? '';
    const name = cell('room') || 'Room 1';
    const length = parseLength(cell('length'), unit);
    if (!length.ok) return void issues.push({ at: `${line}, length`, text: length.issues[0].text });
    let reading: AngleReading = { as: 'assumed' };
    if (cell('corner') !== '') {
      const entry = parseWalkLine(`a${cell('corner')}`, unit);
      if (entry.ok && entry.value.kind === 'corner') reading = entry.value.reading;
      else if (!entry.ok) issues.push({ at: `${line}, corner`, text: entry.issues[0].text });
    }
    const before = rooms.get(name) ?? { ...survey, walls: [] };
    const opened = openingsOf(cell('openings'), unit, before);
    if (!opened.ok) return void issues.push({ at: `${line}, openings`, text: opened.issues[0].text });
    rooms.set(name, {
      ...before,
      walls: [
        ...before.walls,
        {
          id: `w${before.walls.length + 1}`,
          length: length.value.value,
          corner: { reading },
          ...(opened.value.length > 0 ? { openings: opened.value } : {}),
        },
      ],
    });
  });
  return failIfAny(
    issues,
    [...rooms].map(([name, made]) => ({ name, survey: { ...made, closed: made.walls.length >= 3 } })),
  );
}

type Openings = NonNullable<Survey['walls'][number]['openings']>;

function openingsOf(text: string, unit: Unit, survey: Survey): Result<Openings> {
  const before = survey.walls.reduce((sum, wall) => sum + (wall.openings?.length ?? 0), 0);
  const openings: Openings = [];
  for (const part of text.split(';').filter((one) => one.trim() !== '')) {
    const entry = parseWalkLine(part, unit);
    if (!entry.ok) return entry;
    if (entry.value.kind !== 'opening')
      return fail({ at: '', text: message('table.is-no-opening-write-d-c', { part: part.trim() }) });
    openings.push({ id: `o${before + openings.length + 1}`, ...entry.value.opening });
  }
  return ok(openings.sort((a, b) => a.at - b.at));
}
