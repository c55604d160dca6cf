import { message, type Words, lengthFigure, angleFigure } from '../../messages/index.ts';
import { fail, failIfAny, ok, type Issue, type Result } from '../../base/index.ts';
import { calculate } from '../questions/index.ts';
import type { AngleReading, Corner, JointPin } from '../../job/index.ts';
import { parseAngle, parseLength, parsePosition, parseSignedAngle, type Unit } from '../../measure/index.ts';
import type { Drawing } from '../../geometry/index.ts';

/**
 * A calculator of the Bench as data: the question it answers, the fields it asks for, and a function from what was typed
 * to figures, working, rules of thumb beside the exact figure, and drawings. The screen only paints it.
 */

type FieldKind =
  /** A length above 0. */
  | 'length'
  /** A length from 0 on. */
  | 'position'
  /** Degrees, not negative. */
  | 'angle'
  /** Degrees with a sign. */
  | 'signed'
  /** A whole number. */
  | 'count'
  /** Lengths with commas between, `3 x 96` for several of one. */
  | 'lengths'
  | 'choice';

export interface Slide {
  readonly from: number;
  readonly to: number;
  readonly step: number;
}

export interface Field {
  readonly key: string;
  readonly label: Words;
  readonly kind: FieldKind;
  /** What stands in it at first: a text, or one for each unit. */
  readonly start: string | Readonly<Record<Unit, string>>;
  readonly options?: readonly { readonly value: string; readonly label: Words }[];
  readonly slide?: Slide | Readonly<Record<Unit, Slide>>;
  /** Asked only under these choices. */
  readonly when?: (choices: Readonly<Record<string, string>>) => boolean;
}

export interface Outcome {
  readonly label: Words;
  readonly value: number | Words;
  /** A gap is a length too small for a tape: shown in decimals. */
  readonly as: 'length' | 'angle' | 'gap' | 'text';
  readonly strong?: boolean;
}

/** What people do by rule, beside what is right here. */
export interface Thumb {
  readonly rule: Words;
  readonly says: Words;
  readonly exact: Words;
  /** What the rule costs in this case. */
  readonly error: Words;
}

/** What can be put into a job, and where it goes. */
export type Send =
  | { readonly to: 'corner'; readonly what: Words; readonly reading: AngleReading; readonly typed: string }
  | { readonly to: 'corner-form'; readonly what: Words; readonly form: NonNullable<Corner['form']> }
  | { readonly to: 'corner-lean'; readonly what: Words; readonly lean: number }
  | { readonly to: 'joint'; readonly what: Words; readonly pin: JointPin }
  | {
      readonly to: 'opening';
      readonly what: Words;
      readonly change: { readonly width?: number; readonly headLeft?: number; readonly headRight?: number };
    }
  | { readonly to: 'splice'; readonly what: Words; readonly at: number };

export interface Answer {
  readonly outcomes: readonly Outcome[];
  /** One or two lines. */
  readonly working: readonly Words[];
  readonly thumbs?: readonly Thumb[];
  readonly watch?: readonly Words[];
  readonly drawings: readonly Drawing[];
  readonly sends?: readonly Send[];
}

export interface Sheet {
  readonly key: string;
  readonly group: Words;
  /** As a person asks it. */
  readonly question: Words;
  /** Two or three words for lists. */
  readonly name: Words;
  readonly fields: readonly Field[];
  /** Questions in the open `calc` format whose ranges these figures must satisfy; a fault at a field of that name is shown there. */
  readonly asks?: (given: Given) => readonly object[];
  /** Faults that no question of the open format would find; `at` is the key of a field. */
  readonly faults?: (given: Given) => readonly Issue[];
  readonly work: (given: Given) => Answer;
}

/** What was typed, read. Asking for a field that the sheet does not have is a mistake of the sheet. */
export class Given {
  readonly unit: Unit;
  private readonly numbers: ReadonlyMap<string, number | readonly number[]>;
  private readonly choices: Readonly<Record<string, string>>;

  constructor(
    unit: Unit,
    numbers: ReadonlyMap<string, number | readonly number[]>,
    choices: Readonly<Record<string, string>>,
  ) {
    this.unit = unit;
    this.numbers = numbers;
    this.choices = choices;
  }

  n(key: string): number {
    const value = this.numbers.get(key);
    if (typeof value !== 'number') throw new Error(`this sheet has no number "${key}"`);
    return value;
  }

  /** Several numbers at once, by their keys. */
  all<K extends string>(...keys: K[]): Record<K, number> {
    return Object.fromEntries(keys.map((key) => [key, this.n(key)])) as Record<K, number>;
  }

  list(key: string): readonly number[] {
    const value = this.numbers.get(key);
    if (!Array.isArray(value)) throw new Error(`this sheet has no list "${key}"`);
    return value as readonly number[];
  }

  c(key: string): string {
    const value = this.choices[key];
    if (value === undefined) throw new Error(`this sheet has no choice "${key}"`);
    return value;
  }

  /** A length in words, with its unit. */
  len = (value: number): Words => lengthFigure(value, this.unit);
  gap = (value: number): Words => formatGap(value, this.unit);
}

/** Degrees in words. */
export const deg = angleFigure;

/**
 * A gap as a figure in decimals, and in inches what it is near that a person knows.
 * @param value in `unit`, its sign left out
 * @example gapFigure(0.0186, 'in').figure // '0.019 in'
 */
export function gapFigure(
  value: number,
  unit: Unit,
): { readonly figure: string; readonly about: Words | undefined } {
  const size = Math.abs(value);
  if (unit === 'mm') return { figure: `${Number(size.toFixed(2))} mm`, about: undefined };
  const names: Readonly<Record<number, string>> = { 1: '1/64', 2: '1/32', 3: '3/64', 4: '1/16', 8: '1/8' };
  const near = names[Math.round(size * 64)];
  return {
    figure: `${Number(size.toFixed(3))} in`,
    about: near === undefined ? undefined : message('calc.about', { near }),
  };
}

/** The same in one. @example plainText(formatGap(0.0186, 'in')) // "0.019 in (about 1/64)" */
export function formatGap(value: number, unit: Unit): Words {
  const { figure, about } = gapFigure(value, unit);
  return about === undefined ? figure : message('calc.gap-about', { figure, about });
}

/** Texts of a sheet before anything was typed. */
export const startTexts = (sheet: Sheet, unit: Unit): Record<string, string> =>
  Object.fromEntries(
    sheet.fields.map(({ key, start }) => [key, typeof start === 'string' ? start : start[unit]]),
  );

const choicesOf = (sheet: Sheet, texts: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    sheet.fields
      .filter((field) => field.kind === 'choice')
      .map((field) => {
        const text = texts[field.key];
        const known = field.options?.some((option) => option.value === text);
        return [field.key, known ? text! : field.options![0]!.value];
      }),
  );

/** The fields that are asked for under what has been chosen. */
export function fieldsAsked(sheet: Sheet, texts: Readonly<Record<string, string>>): readonly Field[] {
  const choices = choicesOf(sheet, texts);
  return sheet.fields.filter((field) => field.when?.(choices) ?? true);
}

/** Most lengths in one list: every way of sharing them is tried. */
const LIST = 12;

function readLengths(text: string, unit: Unit): Result<number[]> {
  const all: number[] = [];
  for (const part of text.split(/[,;\n]/).filter((one) => one.trim() !== '')) {
    const several = /^\s*(\d+)\s*[x×]\s*(.+)$/i.exec(part);
    const read = parseLength(several ? several[2]! : part, unit);
    if (!read.ok) return read;
    const times = several ? Number(several[1]) : 1;
    if (times < 1 || all.length + times > LIST)
      return fail({
        at: '',
        text: message('calc.takes-1-to-pieces-here-for', { LIST }),
      });
    all.push(...new Array<number>(times).fill(read.value.value));
  }
  return all.length > 0
    ? ok(all)
    : fail({ at: '', text: message('calc.write-lengths-with-commas-between-like') });
}

function readField(field: Field, text: string, unit: Unit): Result<number | number[]> {
  switch (field.kind) {
    case 'lengths':
      return readLengths(text, unit);
    case 'length':
    case 'position': {
      const read = field.kind === 'length' ? parseLength(text, unit) : parsePosition(text, unit);
      return read.ok ? ok(read.value.value) : read;
    }
    case 'count':
      return /^\s*\d{1,4}\s*$/.test(text)
        ? ok(Number(text))
        : fail({ at: '', text: message('calc.write-a-whole-number') });
    case 'signed':
      return parseSignedAngle(text);
    default:
      return parseAngle(text);
  }
}

/**
 * Works a sheet from the texts in its fields.
 * @param texts by field key; a field left out has its starting text
 * @param unit  what bare numbers mean and what the answers are in
 * Issues: `at` is the key of the field, or empty where several do not go together.
 */
export function workSheet(sheet: Sheet, texts: Readonly<Record<string, string>>, unit: Unit): Result<Answer> {
  const start = startTexts(sheet, unit);
  const all = { ...start, ...texts };
  const numbers = new Map<string, number | readonly number[]>();
  const issues: Issue[] = [];
  for (const field of fieldsAsked(sheet, all)) {
    if (field.kind === 'choice') continue;
    const read = readField(field, all[field.key] ?? '', unit);
    if (read.ok) numbers.set(field.key, read.value);
    else issues.push({ at: field.key, text: read.issues[0].text });
  }
  if (issues.length > 0) return failIfAny(issues, undefined as never);
  const given = new Given(unit, numbers, choicesOf(sheet, all));
  for (const question of sheet.asks?.(given) ?? []) {
    const answer = calculate(question);
    if (answer.ok) continue;
    for (const issue of answer.issues) {
      const key = issue.at.split('/').at(-1) ?? '';
      const known = sheet.fields.some((field) => field.key === key);
      if (!issues.some((other) => other.text === issue.text))
        issues.push({ at: known ? key : '', text: issue.text });
    }
  }
  issues.push(...(sheet.faults?.(given) ?? []));
  return issues.length > 0 ? failIfAny(issues, undefined as never) : ok(sheet.work(given));
}
