import { message } from '../../messages/index.ts';
import { pointer, type Issue } from '../../base/index.ts';
import type { Survey } from '../../api-schemas/index.ts';
import type { Opening } from '../../job/index.ts';
import { addOpening, newOpeningId } from '../edits.ts';
import { OPENING_FIELDS, withFigure } from './opening-fields.ts';

/** Figures that "same as" copies only where it is asked to: where the opening is and what was measured of it. */
const MEASURES: ReadonlySet<string> = new Set([
  ...OPENING_FIELDS.filter((field) => field.group !== 'stool').map((field) => field.key.split('.')[0]!),
  'headHeight',
  'pocketDepth',
]);
/** Its own, whatever it is like. */
const OWN: ReadonlySet<string> = new Set(['id', 'name', 'word', 'at', 'measuredHead']);

/**
 * An opening dressed like another: everything but the measures, or those too. Where it is, its name, and the head that was
 * measured over its own legs stay its own.
 */
export function sameAs(opening: Opening, like: Opening, withMeasures: boolean): Opening {
  const kept = Object.fromEntries(
    Object.entries(opening).filter(([key]) => OWN.has(key) || (!withMeasures && MEASURES.has(key))),
  );
  const copied = Object.fromEntries(
    Object.entries(like).filter(([key]) => !OWN.has(key) && (withMeasures || !MEASURES.has(key))),
  );
  const next = { ...kept, ...copied } as Opening;
  // A window needs its sill, whatever it is like; what has none keeps none.
  if (next.kind !== 'window' || next.sillHeight !== undefined || like.sillHeight === undefined) return next;
  return { ...next, sillHeight: like.sillHeight };
}

/** More of one kind on a wall, alike in everything but their place and name. */
export function addLike(
  survey: Survey,
  wall: number,
  like: Opening,
  places: readonly { readonly at: number; readonly name: string }[],
  tag = '',
): Survey {
  const { id: _id, name: _name, word: _word, measuredHead: _head, ...rest } = like;
  return places.reduce((next, { at, name }) => addOpening(next, wall, { ...rest, at, name }, tag), survey);
}

/** A first row of the sheet: what it is, on which wall, and its figures in the order of the fields. */
interface NewOpening {
  readonly kind: Opening['kind'];
  readonly wall: number;
  readonly name: string;
  readonly casing: string | null;
  readonly figures: Readonly<Record<string, number | undefined>>;
  /** Dressed like this one, where one was named. */
  readonly like?: Opening | undefined;
}

/** Adds an opening with its figures. @returns the survey, and the id it has there */
export function addWithFigures(
  survey: Survey,
  { kind, wall, name, casing, figures, like }: NewOpening,
  tag = '',
): { survey: Survey; id: string } {
  const id = newOpeningId(survey, kind, tag);
  const plain: Opening = {
    id,
    kind,
    name,
    at: figures['at'] ?? 0,
    width: figures['width'] ?? 0,
    headHeight: figures['headLeft'] ?? 0,
    casing: kind === 'drywall' ? null : casing,
  };
  const dressed = like ? { ...sameAs(plain, like, false), kind } : plain;
  const full = Object.entries(figures).reduce(
    (one, [key, value]) => (value === undefined || key === 'headLeft' ? one : withFigure(one, key, value)),
    dressed,
  );
  const { id: _id, ...rest } = full;
  return { survey: addOpening(survey, wall, rest, tag), id };
}

/** What the first cell of a new row says: a letter for the kind and the number of the wall. */
const KINDS: Readonly<Record<string, Opening['kind']>> = {
  d: 'door',
  c: 'cased',
  k: 'pocket',
  w: 'window',
  o: 'drywall',
};

/**
 * Reads what and where a new opening is: `d3` is a door on wall 3.
 * Issues: another letter, no such wall.
 */
export function readKindAndWall(
  text: string,
  walls: number,
): { readonly kind: Opening['kind']; readonly wall: number } | Issue {
  const read = /^\s*([a-z])\s*(\d+)\s*$/i.exec(text);
  const kind = KINDS[read?.[1]?.toLowerCase() ?? ''];
  if (!read || !kind)
    return {
      at: '',
      text: message('fault.write-what-it-is-and-the'),
    };
  const wall = Number(read[2]);
  if (wall < 1 || wall > walls)
    return {
      at: pointer('wall'),
      text:
        walls === 0
          ? message('fault.the-room-has-no-wall-yet')
          : message('fault.there-is-no-wall-walls-1', { wall, walls }),
    };
  return { kind, wall: wall - 1 };
}
