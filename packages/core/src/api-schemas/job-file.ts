import {
  checkShape,
  completeHouseRules,
  JOB_VERSION,
  jobFileSchema,
  type Corner,
  type JobFile,
  type Room,
} from '../job/index.ts';
import { coinFor, fromMinor, toMinor, type Coin, type Unit } from '../measure/index.ts';
import { sawInUse, type JobRecord, type JobSettings, type StockChoices } from './jobs.ts';
import { roomOf, type Notes, type RoomRecord, type RoomSheet } from './survey.ts';

/** Between a job as it is kept and a job as a file: for the planner, to take away, and to bring in. */

type Planned = Pick<JobRecord, 'name' | 'unit' | 'coin' | 'vocabulary' | 'settings' | 'rooms'>;

/** What the planner needs of a job: everything but notes, rooms that have walls only. */
export function jobFileOf({ name, unit, coin, vocabulary, settings, rooms }: Planned): JobFile {
  const saw = sawInUse(settings);
  return {
    format: 'longmiter-job',
    version: JOB_VERSION,
    name,
    unit,
    ...(coin.currency === undefined ? {} : { currency: coin.currency }),
    ...(vocabulary === undefined ? {} : { vocabulary }),
    houseRules: settings.houseRules,
    saws: [...settings.saws],
    ...(saw === undefined ? {} : { saw: saw.id }),
    profiles: [...settings.profiles],
    stock: settings.stock.map((line) => ({ ...line, price: fromMinor(line.price, coin) })),
    rack: settings.rack.map(({ offcut: _offcut, from: _from, to: _to, ...entry }) => entry),
    rooms: rooms.flatMap((room) => roomOf(room) ?? []),
  };
}

/** Where the readings of a corner are noted. */
const cornerPlace = (wall: string): string => `/walls/${wall}/corner`;

const sameReading = (a: Corner['reading'], b: unknown): boolean => {
  if (typeof b !== 'object' || b === null) return false;
  const other = b as Record<string, unknown>;
  const keys = new Set([...Object.keys(a), ...Object.keys(other)]) as Set<keyof typeof a>;
  return [...keys].every((key) => a[key] === other[key]);
};

/** A corner with all of its readings, and which of them is in use. */
function cornerWithReadings(
  corner: Corner,
  notes: NonNullable<Notes['readings']>[string] | undefined,
): Corner {
  if (!notes || notes.length === 0) return corner;
  const readings = notes.flatMap(({ value, how, text }) =>
    typeof value === 'number' ? [] : [{ reading: value, ...(how === '' ? {} : { method: how }), text }],
  );
  if (readings.length !== notes.length) return corner;
  const use = readings.findIndex((one) => sameReading(corner.reading, one.reading));
  return { ...corner, readings, ...(use < 0 ? {} : { use }) };
}

const filled = <T extends object>(record: T | undefined): T | undefined =>
  record && Object.keys(record).length > 0 ? record : undefined;

/** A room with everything that is noted beside its survey. */
function wholeRoom(record: RoomRecord): Room {
  const { notes, typed, survey } = record;
  const room: Room = roomOf(record) ?? { id: record.id, name: record.name, ...survey, closed: false };
  const readings = { ...notes.readings };
  const walls = room.walls.map((wall) => {
    if (!wall.corner) return wall;
    const place = cornerPlace(wall.id);
    const corner = cornerWithReadings(wall.corner, readings[place]);
    if (corner !== wall.corner) delete readings[place];
    return { ...wall, corner };
  });
  const rest = filled(readings);
  const check = filled(notes.check);
  const texts = filled(typed);
  return {
    ...room,
    walls,
    ...(survey.closed && !room.closed ? { closesLater: true } : {}),
    ...(rest ? { readings: rest } : {}),
    ...(check ? { listToMeasure: check } : {}),
    ...(notes.disputes && notes.disputes.length > 0 ? { disputes: [...notes.disputes] } : {}),
    ...(texts ? { typed: texts } : {}),
    ...(notes.text ? { notes: notes.text } : {}),
  };
}

/**
 * Everything a job is, as a file to take away. Keys come in the order of the schema, so that taking in what was taken out
 * and taking it out again gives the same bytes.
 */
export function exportJobFile(job: Planned): JobFile {
  const { pins, choices } = job.settings;
  const { spares, coats, primer, nailSpacing, miscuts } = choices;
  const some = filled(spares);
  const rooms = job.rooms.map(wholeRoom);
  const unwalked = rooms.filter((room) => room.walls.length === 0);
  const file: JobFile = {
    ...jobFileOf(job),
    rooms: rooms.filter((room) => room.walls.length > 0),
    ...(unwalked.length > 0 ? { unwalked: unwalked } : {}),
    ...(pins.length > 0 ? { pins: pins.map(({ id: _id, ...pin }) => pin) } : {}),
    ...(some ? { spares: some } : {}),
    ...(coats === undefined ? {} : { coats }),
    ...(primer === undefined && nailSpacing === undefined && miscuts === undefined
      ? {}
      : {
          choices: {
            ...(primer === undefined ? {} : { primer }),
            ...(nailSpacing === undefined ? {} : { nailSpacing }),
            ...(miscuts === undefined ? {} : { miscuts }),
          },
        }),
  };
  const ordered = checkShape(jobFileSchema, file);
  return ordered.ok ? ordered.value : file;
}

/** What is noted beside a survey, taken out of a room of a file. */
function sheetOf({
  id: _id,
  name,
  closesLater,
  readings,
  listToMeasure,
  disputes,
  typed,
  notes: text,
  ...survey
}: Room): RoomSheet {
  const taken: Record<string, NonNullable<Notes['readings']>[string]> = { ...readings };
  const walls = survey.walls.map((wall) => {
    if (!wall.corner?.readings) return wall;
    const { readings: all, use: _use, ...corner } = wall.corner;
    taken[cornerPlace(wall.id)] = all.map(({ reading, method, text: written }, index) => ({
      text: written ?? `reading ${index + 1}`,
      value: reading,
      how: method ?? '',
    }));
    return { ...wall, corner };
  });
  const noted = filled(taken);
  return {
    name,
    survey: { ...survey, walls, closed: closesLater ?? survey.closed },
    typed: typed ?? {},
    notes: {
      ...(noted ? { readings: noted } : {}),
      ...(listToMeasure ? { check: listToMeasure } : {}),
      ...(disputes && disputes.length > 0 ? { disputes } : {}),
      ...(text ? { text } : {}),
    },
  };
}

export interface ImportedJob {
  readonly name: string;
  readonly unit: Unit;
  readonly coin: Coin;
  readonly vocabulary: JobRecord['vocabulary'];
  readonly settings: JobSettings;
  readonly rooms: readonly (RoomSheet & { readonly id: string })[];
}

/** A job file in the form the server keeps: money counted in coins, rooms under their own ids. */
export function jobRecordsOf(file: JobFile, starter: JobSettings): ImportedJob {
  const coin = coinFor(file.currency, [
    ...file.stock.map((item) => item.price),
    completeHouseRules(file.houseRules, file.unit).splicePrice,
  ]);
  const choices: StockChoices = {
    ...(file.spares ? { spares: file.spares } : {}),
    ...(file.coats === undefined ? {} : { coats: file.coats }),
    ...file.choices,
    ...(file.saw === undefined ? {} : { saw: file.saw }),
  };
  return {
    name: file.name,
    unit: file.unit,
    coin,
    vocabulary: file.vocabulary,
    settings: {
      houseRules: file.houseRules ?? {},
      saws: file.saws ?? starter.saws,
      profiles: file.profiles,
      stock: file.stock.map((item, index) => ({
        ...item,
        id: item.id ?? `s${index + 1}`,
        price: toMinor(item.price, coin),
      })),
      rack: (file.rack ?? []).map((item, index) => ({ ...item, id: item.id ?? `r${index + 1}` })),
      pins: (file.pins ?? []).map((pin, index) => ({ ...pin, id: `p${index + 1}` })),
      choices,
    },
    rooms: [...file.rooms, ...(file.unwalked ?? [])].map((room) => ({ ...sheetOf(room), id: room.id })),
  };
}
