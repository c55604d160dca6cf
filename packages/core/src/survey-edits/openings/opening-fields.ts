import { message, type Words } from '../../messages/index.ts';
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
  readonly label: Words;
  /** Over a column. */
  readonly short: Words;
  readonly reads: 'length' | 'position' | 'signed' | 'degrees';
  readonly only?: 'window' | 'door';
  /** Which columns are seen together. */
  readonly group: 'size' | 'depth' | 'true' | 'stool';
  /** What it is or how it is taken, for the field's tip. */
  readonly tip: Words;
}

export const OPENING_FIELDS: readonly OpeningField[] = [
  { key: 'at', label: message('field.from-the-left-corner'), short: message('field.from-left'), reads: 'position', group: 'size', tip: message('field.from-the-wall-s-left-corner') },
  { key: 'width', label: message('field.width'), short: message('field.width'), reads: 'length', group: 'size', tip: message('field.between-the-jamb-faces-at-the') },
  { key: 'headLeft', label: message('field.head-height-left'), short: message('field.head-left'), reads: 'length', group: 'size', tip: message('field.from-the-floor-to-the-head') },
  { key: 'headRight', label: message('field.head-height-right'), short: message('field.head-right'), reads: 'length', group: 'size', tip: message('field.the-same-at-the-right-jamb') },
  { key: 'sillHeight', label: message('field.sill'), short: message('field.sill'), reads: 'position', only: 'window', group: 'size', tip: message('field.from-the-floor-to-the-top') },
  { key: 'jambDepth.bottomLeft', label: message('field.depth-bottom-left'), short: message('field.bottom-left'), reads: 'signed', group: 'depth', tip: message('field.from-the-frame-out-to-the') },
  { key: 'jambDepth.topLeft', label: message('field.depth-top-left'), short: message('field.top-left'), reads: 'signed', group: 'depth', tip: message('field.from-the-frame-out-to-the') },
  { key: 'jambDepth.topRight', label: message('field.depth-top-right'), short: message('field.top-right'), reads: 'signed', group: 'depth', tip: message('field.from-the-frame-out-to-the') },
  { key: 'jambDepth.bottomRight', label: message('field.depth-bottom-right'), short: message('field.bottom-right'), reads: 'signed', group: 'depth', tip: message('field.from-the-frame-out-to-the') },
  { key: 'roughGap', label: message('field.gap-to-be-covered'), short: message('field.gap'), reads: 'position', group: 'depth', tip: message('field.from-the-jamb-face-to-sound') },
  { key: 'drywallRadius', label: message('field.rounded-wall-edge'), short: message('field.rounded'), reads: 'position', group: 'depth', tip: message('field.radius-of-the-wall-s-edge') },
  { key: 'floorGap', label: message('field.gap-at-the-floor'), short: message('field.floor-gap'), reads: 'position', only: 'door', group: 'depth', tip: message('field.what-the-legs-stay-off-the') },
  { key: 'widthTop', label: message('field.width-at-the-top'), short: message('field.width-top'), reads: 'length', group: 'true', tip: message('field.between-the-jamb-faces-at-the-2') },
  { key: 'headLevel', label: message('field.head-rises-to-the-right'), short: message('field.rises'), reads: 'signed', group: 'true', tip: message('field.off-the-level-over-the-width') },
  { key: 'diagonal', label: message('field.diagonal'), short: message('field.diagonal'), reads: 'length', group: 'true', tip: message('field.inside-from-bottom-left-to-top') },
  { key: 'lean.left', label: message('field.left-jamb-out-of-plumb'), short: message('field.lean-left'), reads: 'degrees', group: 'true', tip: message('field.degrees-with-its-top-to-the') },
  { key: 'lean.right', label: message('field.right-jamb-out-of-plumb'), short: message('field.lean-right'), reads: 'degrees', group: 'true', tip: message('field.degrees-with-its-top-to-the') },
  { key: 'sillLeft', label: message('field.sill-at-the-left'), short: message('field.sill-left'), reads: 'position', only: 'window', group: 'true', tip: message('field.where-the-sill-is-not-level') },
  { key: 'sillRight', label: message('field.sill-at-the-right'), short: message('field.sill-right'), reads: 'position', only: 'window', group: 'true', tip: message('field.where-the-sill-is-not-level') },
  { key: 'reveal', label: message('field.reveal'), short: message('field.reveal'), reads: 'position', group: 'stool', tip: message('field.empty-the-house-rule') },
  { key: 'nose', label: message('field.nose'), short: message('field.nose'), reads: 'position', only: 'window', group: 'stool', tip: message('field.how-far-the-stool-stands-past') },
  { key: 'hornLeft', label: message('field.left-horn'), short: message('field.horn-left'), reads: 'position', only: 'window', group: 'stool', tip: message('field.how-far-the-stool-runs-past') },
  { key: 'hornRight', label: message('field.right-horn'), short: message('field.horn-right'), reads: 'position', only: 'window', group: 'stool', tip: message('field.the-same-on-its-right') },
  { key: 'measuredHead', label: message('field.head-outside-to-outside'), short: message('field.head-measured'), reads: 'length', group: 'stool', tip: message('field.along-the-upper-edge-over-both') },
  { key: 'pocketDepth', label: message('field.to-the-pocket'), short: message('field.to-pocket'), reads: 'position', only: 'door', group: 'stool', tip: message('field.from-the-wall-s-face-to') },
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
    return needed
      ? fail({ at: '', text: message('field.is-missing', { label: field.label }) })
      : ok(undefined);
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
