import { fail, ok, type Result } from '../../base/index.ts';
import type { Opening } from '../../job/index.ts';
import {
  formatLength,
  parseLength,
  parseNumber,
  parsePosition,
  type LengthReading,
  type Unit,
} from '../../measure/index.ts';

/**
 * The figures of an opening in the order one takes them, walking from its left: one table for the sheet, its keyboard, the
 * spreadsheet and the figures on the view.
 */
export interface OpeningField {
  /** Where it is kept: `width`, `jambDepth.topLeft`. */
  readonly key: string;
  readonly label: string;
  /** Over a column. */
  readonly short: string;
  readonly reads: 'length' | 'position' | 'signed' | 'degrees';
  readonly only?: 'window' | 'door';
  /** Which columns are seen together. */
  readonly group: 'size' | 'depth' | 'true' | 'stool';
  /** What it is or how it is taken, for the field's tip. */
  readonly tip: string;
}

export const OPENING_FIELDS: readonly OpeningField[] = [
  { key: 'at', label: 'from the left corner', short: 'from left', reads: 'position', group: 'size', tip: 'From the wall’s left corner to the left jamb face' },
  { key: 'width', label: 'width', short: 'width', reads: 'length', group: 'size', tip: 'Between the jamb faces, at the floor or the sill' },
  { key: 'headLeft', label: 'head height, left', short: 'head left', reads: 'length', group: 'size', tip: 'From the floor to the head, plumb, at the left jamb' },
  { key: 'headRight', label: 'head height, right', short: 'head right', reads: 'length', group: 'size', tip: 'The same at the right jamb; empty where the head is level' },
  { key: 'sillHeight', label: 'sill', short: 'sill', reads: 'position', only: 'window', group: 'size', tip: 'From the floor to the top of the stool, or to the frame where that is said' },
  { key: 'jambDepth.bottomLeft', label: 'depth, bottom left', short: 'bottom left', reads: 'signed', group: 'depth', tip: 'From the frame out to the wall plane; write - in front where the jamb stands proud' },
  { key: 'jambDepth.topLeft', label: 'depth, top left', short: 'top left', reads: 'signed', group: 'depth', tip: 'From the frame out to the wall plane; write - in front where the jamb stands proud' },
  { key: 'jambDepth.topRight', label: 'depth, top right', short: 'top right', reads: 'signed', group: 'depth', tip: 'From the frame out to the wall plane; write - in front where the jamb stands proud' },
  { key: 'jambDepth.bottomRight', label: 'depth, bottom right', short: 'bottom right', reads: 'signed', group: 'depth', tip: 'From the frame out to the wall plane; write - in front where the jamb stands proud' },
  { key: 'roughGap', label: 'gap to be covered', short: 'gap', reads: 'position', group: 'depth', tip: 'From the jamb face to sound wall: reveal and casing must cover it' },
  { key: 'drywallRadius', label: 'rounded wall edge', short: 'rounded', reads: 'position', group: 'depth', tip: 'Radius of the wall’s edge, where it is rounded into the opening' },
  { key: 'floorGap', label: 'gap at the floor', short: 'floor gap', reads: 'position', only: 'door', group: 'depth', tip: 'What the legs stay off the floor: flooring to come, a damp slab' },
  { key: 'widthTop', label: 'width at the top', short: 'width top', reads: 'length', group: 'true', tip: 'Between the jamb faces at the head' },
  { key: 'headLevel', label: 'head rises to the right', short: 'rises', reads: 'signed', group: 'true', tip: 'Off the level over the width, instead of a height at the right; - where it falls' },
  { key: 'diagonal', label: 'diagonal', short: 'diagonal', reads: 'length', group: 'true', tip: 'Inside, from bottom left to top right' },
  { key: 'lean.left', label: 'left jamb out of plumb', short: 'lean left', reads: 'degrees', group: 'true', tip: 'Degrees, with its top to the right; - with its top to the left' },
  { key: 'lean.right', label: 'right jamb out of plumb', short: 'lean right', reads: 'degrees', group: 'true', tip: 'Degrees, with its top to the right; - with its top to the left' },
  { key: 'sillLeft', label: 'sill at the left', short: 'sill left', reads: 'position', only: 'window', group: 'true', tip: 'Where the sill is not level' },
  { key: 'sillRight', label: 'sill at the right', short: 'sill right', reads: 'position', only: 'window', group: 'true', tip: 'Where the sill is not level' },
  { key: 'reveal', label: 'reveal', short: 'reveal', reads: 'position', group: 'stool', tip: 'Empty: the house rule' },
  { key: 'nose', label: 'nose', short: 'nose', reads: 'position', only: 'window', group: 'stool', tip: 'How far the stool stands past the face of the casing' },
  { key: 'hornLeft', label: 'left horn', short: 'horn left', reads: 'position', only: 'window', group: 'stool', tip: 'How far the stool runs past the casing on its left; empty: the house rule' },
  { key: 'hornRight', label: 'right horn', short: 'horn right', reads: 'position', only: 'window', group: 'stool', tip: 'The same on its right' },
  { key: 'measuredHead', label: 'head, outside to outside', short: 'head measured', reads: 'length', group: 'stool', tip: 'Along the upper edge, over both legs as they stand: the head is cut to it' },
  { key: 'pocketDepth', label: 'to the pocket', short: 'to pocket', reads: 'position', only: 'door', group: 'stool', tip: 'From the wall’s face to the path of a door that slides into it' },
]; // prettier-ignore

/** Whether a figure is taken of this kind of opening. */
export const takesField = ({ only }: OpeningField, kind: Opening['kind']): boolean =>
  only === undefined || (only === 'window') === (kind === 'window');

type Fields = Readonly<Record<string, unknown>>;

/** The value a figure has; undefined where it was not taken. A head that is level has only its height. */
export function openingFigure(opening: Opening, key: string): number | undefined {
  if (key === 'headLeft') return opening.headLeft ?? opening.headHeight;
  const [head = '', inner] = key.split('.');
  const held = (opening as Fields)[head];
  const value = inner === undefined ? held : (held as Fields | undefined)?.[inner];
  return typeof value === 'number' ? value : undefined;
}

const without = (fields: Fields, key: string): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([name]) => name !== key));

/**
 * The opening with a figure, or without it. The left head height is the height of the head; with a height at the right
 * there is no level reading, and the other way round.
 */
export function withFigure(opening: Opening, key: string, value: number | undefined): Opening {
  if (key === 'headLeft') {
    if (value === undefined) return opening;
    const next = { ...opening, headHeight: value };
    return opening.headLeft === undefined &&
      opening.headRight === undefined &&
      opening.headLevel === undefined
      ? next
      : { ...next, headLeft: value };
  }
  const [head = '', inner] = key.split('.');
  let next: Fields = opening;
  if (inner !== undefined) {
    const group = (next[head] ?? {}) as Fields;
    const changed = value === undefined ? without(group, inner) : { ...group, [inner]: value };
    next = Object.keys(changed).length > 0 ? { ...next, [head]: changed } : without(next, head);
  } else next = value === undefined ? without(next, key) : { ...next, [key]: value };
  if (key === 'headRight' && value !== undefined)
    next = { ...without(next, 'headLevel'), headLeft: opening.headLeft ?? opening.headHeight };
  if (key === 'headLevel' && value !== undefined)
    next = { ...without(next, 'headRight'), headLeft: opening.headLeft ?? opening.headHeight };
  return next as Opening;
}

/** Reads a figure as its field takes it; nothing written is no figure. */
export function readOpeningFigure(
  field: OpeningField,
  text: string,
  unit: Unit,
): Result<LengthReading | undefined> {
  const written = text.trim();
  if (written === '') {
    const needed = field.key === 'at' || field.key === 'width' || field.key === 'headLeft';
    return needed ? fail({ at: '', text: `${field.label} is missing` }) : ok(undefined);
  }
  if (field.reads === 'degrees') {
    const read = parseNumber(written.replace(/°$/, '').replace(/^[−–]/, '-'), { min: -29, max: 29 });
    return read.ok ? ok({ typed: written, value: read.value }) : read;
  }
  if (field.reads === 'signed') {
    const below = /^[-−–]\s*/.exec(written);
    const read = parsePosition(below ? written.slice(below[0].length) : written, unit);
    return read.ok ? ok({ typed: written, value: below ? -read.value.value : read.value.value }) : read;
  }
  return field.reads === 'position' ? parsePosition(written, unit) : parseLength(written, unit);
}

/** A figure as it is written where its own text is not known. */
export function writeOpeningFigure(field: OpeningField, value: number | undefined, unit: Unit): string {
  if (value === undefined) return '';
  if (field.reads === 'degrees') return String(Number(value.toFixed(3)));
  const text = formatLength(Math.abs(value), unit, { inchParts: 32 });
  return value < 0 ? `-${text}` : text;
}
