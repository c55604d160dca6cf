import { listOf, message, type Words } from '../../messages/index.ts';
import { fail, failIfAny, type Issue, type Result } from '../../base/index.ts';
import type { RoomRecord, Survey } from '../../api-schemas/index.ts';
import type { Opening, Profile } from '../../job/index.ts';
import { type Unit } from '../../measure/index.ts';
import { freeName, openingNames, placeKey } from '../../openings/index.ts';
import { newOpeningId } from '../edits.ts';
import {
  OPENING_FIELDS,
  openingFigure,
  readOpeningFigure,
  takesField,
  withFigure,
  type OpeningField,
} from './opening-fields.ts';

/**
 * All openings of a job as a plain table: one row an opening, in walking order, found again by its name. Figures are exact
 * decimals in the job's unit; profiles are written by name.
 */
const HEAD = [
  'room',
  'wall',
  'name',
  'word',
  'kind',
  'casing',
  'stool',
  'apron',
  'cased all round',
  'other side',
] as const;
const KINDS = ['door', 'cased', 'pocket', 'window', 'drywall'] as const;

/** Columns of figures by their fields. A column is found again by its name, so that it is the same in every language. */
const COLUMNS: Readonly<Record<string, string>> = {
  at: 'from the left corner',
  width: 'width',
  headLeft: 'head height, left',
  headRight: 'head height, right',
  sillHeight: 'sill',
  'jambDepth.bottomLeft': 'depth, bottom left',
  'jambDepth.topLeft': 'depth, top left',
  'jambDepth.topRight': 'depth, top right',
  'jambDepth.bottomRight': 'depth, bottom right',
  roughGap: 'gap to be covered',
  drywallRadius: 'rounded wall edge',
  floorGap: 'gap at the floor',
  widthTop: 'width at the top',
  headLevel: 'head rises to the right',
  diagonal: 'diagonal',
  'lean.left': 'left jamb out of plumb',
  'lean.right': 'right jamb out of plumb',
  sillLeft: 'sill at the left',
  sillRight: 'sill at the right',
  reveal: 'reveal',
  nose: 'nose',
  hornLeft: 'left horn',
  hornRight: 'right horn',
  measuredHead: 'head, outside to outside',
  pocketDepth: 'to the pocket',
};
const columnOf = (field: OpeningField): string => COLUMNS[field.key] ?? field.key;

export const OPENING_COLUMNS: readonly string[] = [...HEAD, ...OPENING_FIELDS.map(columnOf)];

type Room = Pick<RoomRecord, 'id' | 'name' | 'survey'>;

const namesOf = (rooms: readonly Room[]): ReadonlyMap<string, string> =>
  openingNames(rooms.map(({ id, survey }) => ({ id, walls: survey.walls })));

/** Openings as rows, heading first. */
export function openingTable(rooms: readonly Room[], profiles: readonly Profile[]): string[][] {
  const names = namesOf(rooms);
  const nameOf = (id: string | null | undefined): string =>
    profiles.find((profile) => profile.id === id)?.name ?? '';
  return [
    [...OPENING_COLUMNS],
    ...rooms.flatMap((room) =>
      room.survey.walls.flatMap((wall, index) =>
        (wall.openings ?? []).map((one) => [
          room.name,
          String(index + 1),
          names.get(placeKey({ room: room.id, wall: wall.id, opening: one.id })) ?? '',
          one.word ?? '',
          one.kind,
          nameOf(one.casing),
          nameOf(one.stool),
          nameOf(one.apron),
          one.picture === true ? 'yes' : '',
          nameOf(one.other?.casing),
          ...OPENING_FIELDS.map((field) => {
            const value = openingFigure(one, field.key);
            return value === undefined ? '' : String(value);
          }),
        ]),
      ),
    ),
  ];
}

/** A room's survey as a table leaves it. */
export interface TableChange {
  readonly room: string;
  readonly survey: Survey;
  readonly added: number;
  readonly changed: number;
}

/**
 * Takes a table of openings into a job's rooms: a row whose name is known on its wall changes that opening, another adds
 * one. What a table leaves empty of a known opening stays; columns it does not have say nothing.
 * Issues: `at` names the line and column, with what would put it right. With one, nothing is taken.
 */
export function openingsFromTable(
  rows: readonly (readonly string[])[],
  rooms: readonly Room[],
  profiles: readonly Profile[],
  unit: Unit,
): Result<TableChange[]> {
  const filled = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  const heading = (filled[0] ?? []).map((one) => one.trim().toLowerCase());
  for (const needed of ['room', 'wall', 'kind'])
    if (!heading.includes(needed))
      return fail({ at: 'line 1', text: message('table.has-no-column-the-first-line', { needed }) });
  const unknown = heading.find((one) => one !== '' && !OPENING_COLUMNS.includes(one));
  if (unknown !== undefined)
    return fail({ at: 'line 1', text: message('table.has-a-column-that-is-not', { unknown }) });
  const issues: Issue[] = [];
  const names = namesOf(rooms);
  const taken = new Set(names.values());
  const surveys = new Map(rooms.map((room) => [room.id, room.survey]));
  const counts = new Map<string, { added: number; changed: number }>();
  filled.slice(1).forEach((row, index) => {
    const line = `line ${index + 2}`;
    const cell = (column: string): string | undefined => {
      const at = heading.indexOf(column);
      return at < 0 ? undefined : (row[at] ?? '').trim();
    };
    const refuse = (column: string, text: Words): void =>
      void issues.push({ at: `${line}, ${column}`, text });
    const room = rooms.find((one) => one.name.toLowerCase() === (cell('room') ?? '').toLowerCase());
    if (!room)
      return refuse('room', message('table.there-is-no-room-in-this', { value: cell('room') ?? '' }));
    const survey = surveys.get(room.id)!;
    const wallIndex = Number(cell('wall')) - 1;
    const wall = survey.walls[wallIndex];
    if (!wall)
      return refuse(
        'wall',
        message('table.is-no-wall-of-walls-1', {
          value: cell('wall') ?? '',
          name: room.name,
          length: survey.walls.length,
        }),
      );
    const kind = KINDS.find((one) => one === cell('kind')?.toLowerCase());
    if (!kind)
      return refuse(
        'kind',
        message('table.is-none-of', { value: cell('kind') ?? '', items: listOf(KINDS, ', ') }),
      );
    const name = cell('name') ?? '';
    const known = (wall.openings ?? []).find(
      (one) => name !== '' && names.get(placeKey({ room: room.id, wall: wall.id, opening: one.id })) === name,
    );
    if (!known && name !== '' && taken.has(name))
      return refuse('name', message('table.is-another-opening-already-each-has', { name }));
    let next: Opening = known ?? {
      id: newOpeningId(survey, kind),
      kind,
      at: 0,
      width: 0,
      headHeight: 0,
      name: name || freeName(kind, taken),
    };
    next = { ...next, kind };
    const dress = (column: 'casing' | 'stool' | 'apron'): void => {
      const text = cell(column);
      if (text === undefined || text === '') return;
      const profile = profiles.find((one) => one.name.toLowerCase() === text.toLowerCase());
      if (!profile) return refuse(column, message('table.there-is-no-profile-in-this', { text }));
      next = { ...next, [column]: profile.id };
    };
    (['casing', 'stool', 'apron'] as const).forEach(dress);
    const other = cell('other side');
    if (other !== undefined && other !== '') {
      const profile = profiles.find((one) => one.name.toLowerCase() === other.toLowerCase());
      if (!profile) return refuse('other side', message('table.there-is-no-profile-in-this-2', { other }));
      next = { ...next, other: { ...next.other, casing: profile.id } };
    }
    if (cell('word')) next = { ...next, word: cell('word')! };
    if (cell('cased all round'))
      next = { ...next, picture: /^(y|yes|1|true)$/i.test(cell('cased all round')!) };
    for (const field of OPENING_FIELDS) {
      const text = cell(columnOf(field));
      const needed = !known && (field.key === 'at' || field.key === 'width' || field.key === 'headLeft');
      if (!takesField(field, kind) || (!needed && (text === undefined || text === ''))) continue;
      const read = readOpeningFigure(field, text ?? '', unit);
      if (!read.ok) return refuse(columnOf(field), read.issues[0].text);
      if (read.value) next = withFigure(next, field.key, read.value.value);
    }
    taken.add(next.name ?? '');
    const count = counts.get(room.id) ?? { added: 0, changed: 0 };
    counts.set(
      room.id,
      known ? { ...count, changed: count.changed + 1 } : { ...count, added: count.added + 1 },
    );
    surveys.set(room.id, {
      ...survey,
      walls: survey.walls.map((one, at) =>
        at === wallIndex
          ? {
              ...one,
              openings: [...(one.openings ?? []).filter((other) => other.id !== next.id), next].sort(
                (a, b) => a.at - b.at,
              ),
            }
          : one,
      ),
    });
  });
  return failIfAny(
    issues,
    rooms
      .filter((room) => counts.has(room.id))
      .map((room) => ({ room: room.id, survey: surveys.get(room.id)!, ...counts.get(room.id)! })),
  );
}
