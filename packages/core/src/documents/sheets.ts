import { message, type Words, wordOf, lengthFigure, type InText } from '../messages/index.ts';
import { jobRecordsOf, starterSettings } from '../api-schemas/index.ts';
import { formatLength, fromMinor, type Unit } from '../measure/index.ts';
import type { JobFile } from '../job/index.ts';
import type { PlanFile } from '../plan/index.ts';
import type { LogEvent } from '../workshop/index.ts';
import { settingText } from '../saw/index.ts';
import { cutList, cutSteps } from '../lists/index.ts';
import { openingTable, wallTable } from '../survey-edits/index.ts';

/** Lists of a job as tables: one shape for spreadsheets, comma files and paper. */

/** A cell that is a number is one in every format; how it is shown is its column's to say. */
type Cell = Words | number | undefined;

export interface Column {
  readonly label: Words;
  /** Lengths are in the job's unit, money in decimals of its currency. */
  readonly as: 'text' | 'length' | 'angle' | 'money' | 'count';
  /** Its share of the width. */
  readonly wide: number;
  /** For programs: what it says stands beside it in words. */
  readonly data?: true;
}

export interface TableSheet {
  readonly title: Words;
  readonly unit: Unit;
  readonly currency: string | undefined;
  readonly columns: readonly Column[];
  readonly rows: readonly (readonly Cell[])[];
}

const column = (label: Words, wide = 1, as: Column['as'] = 'text'): Column => ({ label, as, wide });
const nameOf = ({ profiles }: JobFile, id: string): string =>
  profiles.find((one) => one.id === id)?.name ?? id;
const base = (job: JobFile): Pick<TableSheet, 'unit' | 'currency'> => ({
  unit: job.unit,
  currency: job.currency,
});

/** Every piece, in reading order: where it goes, how long, how it ends, from which stick. */
export function cutListSheet(job: JobFile, plan: PlanFile): TableSheet {
  const number = new Map(plan.sticks.map((stick, index) => [stick.id, index + 1]));
  return {
    ...base(job),
    title: message('sheet.cut-list'),
    columns: [
      column(message('sheet.piece'), 0.8),
      column(message('sheet.goes-to'), 2.6),
      { ...column(message('sheet.length'), 1, 'length'), data: true },
      column(message('sheet.as-written'), 1.2),
      column(message('sheet.left-end-to-right-end'), 2.2),
      column(message('sheet.trim'), 1.8),
      column(message('sheet.stick'), 0.6, 'count'),
      column(message('sheet.hung-as'), 0.7, 'count'),
    ],
    rows: cutList(job, plan).map((line) => [
      line.piece.label,
      line.place,
      line.piece.held ? undefined : line.piece.near,
      line.length,
      line.ends,
      nameOf(job, line.piece.profile),
      line.stick && number.get(line.stick.id),
      line.piece.order,
    ]),
  };
}

/** Every cut in its order: where it is marked, how the saw is set, what is kept. */
export function sawSheet(job: JobFile, plan: PlanFile): TableSheet {
  return {
    ...base(job),
    title: message('sheet.cuts-in-their-order'),
    columns: [
      column(message('sheet.stick'), 0.6, 'count'),
      column(message('sheet.piece'), 0.8),
      column(message('sheet.end'), 0.6),
      column(message('sheet.mark'), 1),
      column(message('sheet.from-on-which-edge'), 1.8),
      column(message('sheet.how-it-lies-how-the-saw'), 4),
    ],
    rows: cutSteps(job, plan).map((step) => [
      step.stickNumber,
      step.piece.label,
      wordOf(step.end),
      step.held ? message('sheet.waits') : step.mark.text,
      message('sheet.joined', { from: step.mark.from, edge: step.mark.edge }),
      settingText(step.saw, step.profile),
    ]),
  };
}

/** What is to be bought, a line for each length of each trim. */
export function buySheet(job: JobFile, plan: PlanFile): TableSheet {
  const money = (minor: number): number => fromMinor(minor, plan.coin);
  return {
    ...base(job),
    title: message('sheet.to-buy'),
    columns: [
      column(message('sheet.trim'), 3),
      { ...column(message('sheet.length'), 1, 'length'), data: true },
      column(message('sheet.as-written'), 1.2),
      column(message('sheet.count'), 0.8, 'count'),
      column(message('sheet.price-each'), 1, 'money'),
      column(message('sheet.together'), 1, 'money'),
    ],
    rows: plan.buy.map((line) => [
      nameOf(job, line.profile),
      line.length,
      lengthFigure(line.length, job.unit),
      line.count,
      money(line.price),
      money(line.price * line.count),
    ]),
  };
}

const ofTable = (
  title: Words,
  job: JobFile,
  [head = [], ...rows]: readonly (readonly string[])[],
): TableSheet => ({
  ...base(job),
  title,
  columns: head.map((label) => column(label)),
  rows,
});

const roomsOf = (job: JobFile) => jobRecordsOf(job, starterSettings(job.unit)).rooms;

/** Walls of every room, as they are read in again. */
export const wallsSheet = (job: JobFile): TableSheet =>
  ofTable(message('sheet.walls'), job, wallTable(roomsOf(job)));

/** Openings of every room, as they are read in again. */
export const openingsSheet = (job: JobFile): TableSheet =>
  ofTable(message('sheet.openings'), job, openingTable(roomsOf(job), job.profiles));

/** What happened, in the order it was received. */
export function logSheet(job: JobFile, events: readonly LogEvent[]): TableSheet {
  const text = (value: unknown): Cell =>
    typeof value === 'string' ? value : typeof value === 'number' ? value : undefined;
  return {
    ...base(job),
    title: message('sheet.shop-log'),
    columns: [
      column(message('sheet.no'), 0.6, 'count'),
      column(message('sheet.when'), 1.6),
      column(message('sheet.who'), 1),
      column(message('sheet.device'), 1),
      column(message('sheet.what'), 1.2),
      column(message('sheet.piece'), 0.8),
      column(message('sheet.stick'), 0.6),
      column(message('sheet.end'), 0.6),
      column(message('sheet.says'), 3),
    ],
    rows: events.map((event) => [
      event.seq,
      event.at,
      event.actor,
      event.device,
      event.kind,
      text('tag' in event ? event.tag : undefined),
      text('letter' in event ? event.letter : undefined),
      text('end' in event ? event.end : undefined),
      text('text' in event ? event.text : 'cause' in event ? event.cause : undefined),
    ]),
  };
}

/** A cell as it stands on paper. */
export function cellText(cell: InText<Cell>, { as }: Pick<Column, 'as'>, unit: Unit): string {
  if (cell === undefined) return '';
  if (typeof cell === 'string') return cell;
  if (as === 'length') return formatLength(cell, unit);
  return as === 'money' ? cell.toFixed(2) : String(cell);
}

/** What a spreadsheet would run as a formula; a figure with a sign is none. */
export const FORMULA = /^[=+\-@\t\r].*(?<!^-?[\d\s/.]+)$/s;
