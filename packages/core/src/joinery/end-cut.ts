import { message, angleFigure, lengthFigure, type Words } from '../messages/index.ts';
import { cosDeg, cotDeg, NOISE, SAME_ANGLE, sinDeg, tanDeg } from '../base/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { traitsOf, type Corner } from '../job/index.ts';

import { bullnosePieces } from '../trade/index.ts';
import type { CornerJoint } from './corner-joint.ts';
import type { Stop } from './segments.ts';
import type { TrimFrame } from './trim-frame.ts';

export type EndJoint =
  'cope' | 'through' | 'miter' | 'butt' | 'square' | 'fit' | 'return' | 'scarf' | 'transition' | 'free';

/**
 * How one end of a segment is cut. `setback` is how far the near line stops short of the end of the segment (of the
 * theoretical corner, where the segment ends at one); negative runs past it.
 */
export interface EndCut {
  readonly joint: EndJoint;
  /** Signed end angle: positive where the near line is the long one. */
  readonly angle: number;
  readonly setback: number;
  readonly reason: Words;
  /** Outward normal of the cut in the piece's own axes [u, z, n], where the walls lean and it is not plumb. */
  readonly plane?: Vec3;
  /** The end stands in an inside corner, where a piece can be sprung in. */
  readonly insideCorner: boolean;
  /** How much of the nose is snipped off at 45° after a square cut. */
  readonly snip?: number;
  /** It is fitted over the piece it meets, which must hang first. */
  readonly fitted?: boolean;
}

/** reach = −depth·tan(angle): how much farther than the near line the far line extends at an end. */
export const reachOf = (depth: number, angle: number): number => (angle === 0 ? 0 : -depth * tanDeg(angle));

/** Near-line setback that a standoff makes at a mitered corner: shorter inside, longer outside. */
const standoffSetback = (frame: TrimFrame, half: number): number =>
  frame.standoff === 0 ? 0 : frame.standoff * tanDeg(half);

function biasAt(frame: TrimFrame, joint: CornerJoint): number {
  const { degrees, on } = frame.rules.miterBias;
  return degrees > 0 && (on === 'all' || joint.assumed) ? degrees : 0;
}

function miterEnd(frame: TrimFrame, joint: CornerJoint): EndCut {
  const { half } = joint;
  const bias = biasAt(frame, joint);
  const angle = half - bias;
  const inside = joint.angle < 180;
  // Two-piece bullnose: both pieces run on to where the sharp corner would be.
  const form = joint.corner.form;
  const pastCurve =
    form?.kind === 'bullnose' && form.to === 'curve' ? form.radius * tanDeg(Math.abs(half)) : 0;
  // A biased end keeps its far line where the true miter has it, so the near line stops short (else the piece is too long).
  const biasSetback = bias === 0 ? 0 : frame.depth * (tanDeg(half) - tanDeg(angle));
  const plain = inside
    ? message('joint.inside-miter-half-of-what-turns', { angle: angleFigure(joint.angle) })
    : message('joint.outside-corner-always-mitered', { angle: angleFigure(joint.angle) });
  return {
    joint: 'miter',
    angle,
    setback: standoffSetback(frame, half) + biasSetback - pastCurve,
    reason: bias === 0 ? plain : message('joint.cut-off-it-so-that-the', { plain, bias: angleFigure(bias) }),
    insideCorner: inside,
  };
}

/** Bullnose: this end runs R·tan θ past the start of the curve and meets a transition piece at θ. Geometry notes, section 5. */
function transitionEnd(frame: TrimFrame, joint: CornerJoint, radius: number, toCurve: boolean): EndCut {
  const turn = Math.abs(180 - joint.angle);
  const { cut, extend } = bullnosePieces(radius + frame.standoff, turn, frame.rules.transitionPieces, 0);
  const startOfCurve = toCurve ? 0 : radius * tanDeg(turn / 2);
  return {
    joint: 'transition',
    angle: -cut,
    setback: startOfCurve - extend,
    reason: message('joint.bullnose-of-radius-equal-turns-of', {
      radius,
      turns: frame.rules.transitionPieces + 1,
      turn: angleFigure(2 * cut),
    }),
    insideCorner: false,
  };
}

function throughEnd(frame: TrimFrame, joint: CornerJoint, why: Words): EndCut {
  const standoff = standoffSetback(frame, joint.half);
  const squareCorner = Math.abs(joint.angle - 90) < SAME_ANGLE;
  if (!squareCorner && frame.rules.fitThroughEnd)
    return {
      joint: 'fit',
      angle: 90 - joint.angle,
      setback: standoff,
      reason: message('joint.runs-through-its-end-cut-to', { angle: angleFigure(joint.angle), why }),
      insideCorner: true,
    };
  const acute = joint.angle < 90;
  return {
    joint: 'through',
    angle: 0,
    setback: standoff + (acute ? frame.depth * cotDeg(joint.angle) : 0),
    reason:
      acute && !squareCorner
        ? message('joint.runs-through-held-back-so-that', { angle: angleFigure(joint.angle), why })
        : message('joint.runs-through', { why }),
    insideCorner: true,
  };
}

function fittedEnd(frame: TrimFrame, joint: CornerJoint, why: Words): EndCut {
  const standoff = standoffSetback(frame, joint.half);
  if (joint.technique === 'butt')
    return {
      joint: 'butt',
      angle: 90 - joint.angle,
      setback: standoff + frame.depth / sinDeg(joint.angle),
      reason: message('joint.butts-the-face-of-the-piece', { why }),
      insideCorner: true,
      fitted: true,
    };
  return {
    joint: 'cope',
    angle: joint.half,
    setback: standoff,
    reason: message('joint.coped-over-the-piece-that-runs', { why }),
    insideCorner: true,
    fitted: true,
  };
}

/** What decides who runs through, in words. */
function whyThrough(joint: CornerJoint, mine: boolean, facing: boolean): Words {
  if (joint.pin) return message('joint.set-by-hand');
  if (facing)
    return mine ? message('joint.this-wall-faces-you-as-you') : message('joint.the-wall-it-meets-faces-you');
  return message('joint.keeps-to-one-fitted-end-a');
}

/**
 * The cut of an end that meets another piece in a corner.
 * @param side which end of the piece; its corner is on that side
 * @param runsThrough whether this piece runs through, where one of the two has to
 * @param throughFaces whether the wall of the piece that runs through faces the viewer
 * Source: joinery rules, section 4; job file format, rules 1, 4 and the text on bias.
 */
export function cornerEnd(
  frame: TrimFrame,
  joint: CornerJoint,
  runsThrough: boolean,
  throughFaces: boolean,
): EndCut {
  if (joint.technique === 'straight')
    return {
      joint: 'butt',
      angle: 0,
      setback: 0,
      reason: message('joint.the-walls-run-straight-on-180'),
      insideCorner: false,
    };
  if (joint.technique === 'miter') return miterEnd(frame, joint);
  const form = joint.corner.form;
  if (joint.technique === 'stop')
    return {
      joint: 'square',
      angle: 0,
      setback:
        form?.kind === 'bullnose' && form.to !== 'curve' ? form.radius * tanDeg(Math.abs(joint.half)) : 0,
      reason: message('joint.hidden-behind-crown-square-where-its'),
      insideCorner: false,
    };
  if (joint.technique === 'bullnose' && form?.kind === 'bullnose')
    return transitionEnd(frame, joint, form.radius, form.to === 'curve');
  const why = whyThrough(joint, runsThrough, throughFaces);
  return runsThrough ? throughEnd(frame, joint, why) : fittedEnd(frame, joint, why);
}

/** A corner that an end runs to while the other wall carries no piece of the trim there. */
export interface BareCorner {
  readonly corner?: Corner;
  /** Inside the room, degrees. */
  readonly angle: number;
  /** How far the surface on the other wall stands off it: 0 the wall itself, else the face of what goes on there. */
  readonly surface: number;
}

/**
 * Where a square end stops in a corner that only its own wall carries the trim to: at the wall, or at the face of the trim
 * it lies on where that goes on; at less than 90 where its far line would foul that surface.
 * @returns setback of the near line from the corner; negative runs past it
 * Source: job file format, rule 4. A point x along the wall and d off it lies x·sin A − d·cos A off the other wall.
 */
function squareSetback(
  { angle, surface }: BareCorner,
  { standoff, depth }: Pick<TrimFrame, 'standoff' | 'depth'>,
): number {
  if (Math.abs(angle - 180) < SAME_ANGLE) return 0;
  // An outside corner has no wall to meet; on a trim that goes round it the end is flush with its face.
  if (angle > 180) return surface > 0 ? standoff * tanDeg((180 - angle) / 2) : 0;
  const d = angle < 90 ? standoff + depth : standoff;
  return (surface + (angle === 90 ? 0 : d * cosDeg(angle))) / sinDeg(angle);
}

/**
 * The cut of an end that meets no other piece: at an opening, at something built in, in a corner the other wall leaves
 * bare, or at the free end of an open chain (no `bare` there).
 */
export function openEnd(frame: TrimFrame, stop: Stop, bare: BareCorner | undefined): EndCut {
  const square = (joint: EndJoint, reason: Words, setback = 0): EndCut => ({
    joint,
    angle: 0,
    setback,
    reason,
    insideCorner: false,
  });
  if (stop.kind === 'corner')
    return bare === undefined
      ? square('free', message('joint.end-of-the-run'))
      : square(
          'square',
          bare.surface > 0
            ? message('joint.the-other-wall-carries-none-of')
            : bare.angle < 90
              ? message('joint.the-other-wall-carries-no-trim')
              : message('joint.the-other-wall-carries-no-trim-2'),
          squareSetback(bare, frame),
        );
  if (stop.kind === 'interruption')
    return square('square', message('joint.square-against', { name: stop.name }));
  if (stop.part === 'stool') return square('square', message('joint.square-against-the-horn-of-the'));
  const traits = traitsOf(frame.profile);
  const stands = frame.behind
    ? frame.behind.projection
    : frame.standoff + (traits.proud === 'projection' ? frame.depth : frame.profile.thickness);
  const proud = stop.casingThickness === undefined ? undefined : stands - stop.casingThickness;
  if (proud !== undefined && proud <= frame.rules.returnTolerance + NOISE)
    return square(
      'square',
      message('joint.dies-square-into-the', { against: STANDING[stop.part!] ?? message('joint.casing') }),
    );
  const to = frame.standoff > 0 ? message('joint.what-it-lies-on') : message('joint.the-wall');
  if (frame.behind)
    return square(
      'square',
      message('joint.hidden-behind-crown-square-short-of'),
      proud === undefined || proud > frame.rules.returnTolerance + NOISE ? frame.behind.projection : 0,
    );
  const why =
    proud === undefined
      ? message('joint.to-no-casing-here', { to })
      : message('joint.to-stands-prouder-than-the', {
          to,
          proud: lengthFigure(proud, frame.unit),
          against: STANDING[stop.part!] ?? message('joint.casing'),
        });
  const { thickness } = frame.profile;
  if (traits.snips && frame.rules.shoeReturn === 'snipped')
    return {
      ...square('square', message('joint.square-its-nose-snipped-instead-of', { why })),
      snip: thickness * SNIPPED,
    };
  const halfTurns = traits.halfTurns && frame.rules.railReturn === 'half-turns';
  return {
    joint: 'return',
    // Two half turns: the near line stops where it does for one, as their planes all meet the back in one line.
    angle: halfTurns ? -frame.rules.returnAngle / 2 : -frame.rules.returnAngle,
    setback: frame.depth * tanDeg(frame.rules.returnAngle),
    reason: message('joint.joined', {
      returned: halfTurns ? message('joint.returned-in-two-half-turns') : message('joint.returned'),
      why,
    }),
    insideCorner: false,
  };
}

/** What a trim may die into besides casing. */
const STANDING: Partial<Record<NonNullable<Extract<Stop, { kind: 'opening' }>['part']>, Words>> = {
  plinth: message('joint.plinth'),
  band: message('joint.back-band'),
  apron: message('joint.apron'),
  block: message('joint.corner-block'),
  cap: message('joint.cap'),
};

/** A snip takes about 1/8 off the nose of a 1/2 in shoe. */
const SNIPPED = 1 / 4;

/** Kerf measured along the stick for a cut at this angle. */
export const kerfAlong = (kerf: number, angle: number): number => kerf / cosDeg(angle);
