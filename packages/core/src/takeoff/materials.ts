import { message, type Words, lengthFigure } from '../messages/index.ts';
import { WHOLE_COUNT } from '../base/index.ts';
import { traitsOf, type JobFile, type Profile } from '../job/index.ts';
import type { Piece, PlanFile } from '../plan/index.ts';

/** What else a job takes besides sticks, each by a rule that is shown with its figures. */

export interface MaterialRules {
  /** Coats of paint after the primer. */
  readonly coats: number;
  readonly primer: boolean;
  /** Spacing of nails along trim, in the job's unit. */
  readonly nailSpacing: number;
}

export const usualMaterialRules = (unit: JobFile['unit']): MaterialRules => ({
  coats: 2,
  primer: true,
  nailSpacing: unit === 'in' ? 16 : 400,
});

interface MaterialLine {
  readonly what: Words;
  readonly amount: number;
  readonly unit: 'nails' | 'ml' | 'l';
  /** Packs to buy, where it comes in packs. */
  readonly packs: number | undefined;
  readonly pack: Words | undefined;
  readonly rule: Words;
}

const MM: Readonly<Record<JobFile['unit'], number>> = { in: 25.4, mm: 1 };
/** Millilitres in a cartridge of caulk or adhesive. */
const CARTRIDGE = 300;
/** Section of a bead, square millimetres: caulk as a 4 mm fillet, adhesive as a 6 mm bead. */
const CAULK_BEAD = 8;
const ADHESIVE_BEAD = 28;
/** Millilitres of glue a joint, of filler a nail hole. */
const GLUE_JOINT = 2;
const FILLER_HOLE = 0.25;
/** Square metres a litre of paint covers once. */
const COVERAGE = 10;

const GLUED: ReadonlySet<string> = new Set(['miter', 'scarf', 'return', 'transition']);
interface Hung {
  readonly piece: Piece;
  readonly profile: Profile;
  /** Millimetres. */
  readonly length: number;
}

/** Rows of nails along a piece: wide trim takes two, small trim one. */
const rowsOf = (profile: Profile, unit: JobFile['unit']): number => (profile.width * MM[unit] > 40 ? 2 : 1);

function nails(hung: readonly Hung[], job: JobFile, rules: MaterialRules): MaterialLine {
  const spacing = rules.nailSpacing * MM[job.unit];
  const amount = hung.reduce(
    (sum, { profile, length }) => sum + rowsOf(profile, job.unit) * (Math.ceil(length / spacing) + 1),
    0,
  );
  return {
    what: message('material.nails'),
    amount,
    unit: 'nails',
    packs: undefined,
    pack: undefined,
    rule: message('material.one-every-and-one-at-the', {
      spacing: lengthFigure(rules.nailSpacing, job.unit),
    }),
  };
}

const openingOf = (piece: Pick<Piece, 'room' | 'wall' | 'opening'>): string =>
  JSON.stringify([piece.room, piece.wall, piece.opening]);

/** Openings whose casing comes off again: it is screwed, not glued. */
const removable = (job: JobFile): ReadonlySet<string> =>
  new Set(
    job.rooms.flatMap((room) =>
      room.walls.flatMap((wall) =>
        (wall.openings ?? [])
          .filter((one) => one.kind === 'pocket' || one.removable === true)
          .map((one) => JSON.stringify([room.id, wall.id, one.id])),
      ),
    ),
  );

const cartridges = (what: Words, amount: number, rule: Words): MaterialLine => ({
  what,
  amount,
  unit: 'ml',
  packs: Math.ceil(amount / CARTRIDGE - WHOLE_COUNT),
  pack: message('material.cartridges-of-ml', { size: CARTRIDGE }),
  rule,
});

/**
 * Nails, glue, adhesive, caulk, filler, primer and paint for a planned job. Lengths are those of the pieces as they hang.
 * Source: catalogue 192 to 219; coverages are usual figures of the trade, and every line says its own.
 */
export function materialsOf(job: JobFile, plan: PlanFile, rules: MaterialRules): MaterialLine[] {
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  const hung = plan.pieces.map((piece): Hung => ({
    piece,
    profile: profiles.get(piece.profile)!,
    length: piece.near * MM[job.unit],
  }));
  const whole = hung.filter((one) => one.piece.role !== 'return');
  const nailLine = nails(whole, job, rules);
  // Each joint has two ends that say so.
  const screwed = removable(job);
  const joints =
    hung
      .filter(({ piece }) => !screwed.has(openingOf(piece)))
      .reduce(
        (sum, { piece }) =>
          sum +
          [piece.left, piece.right].filter((end) => GLUED.has(end.joint) && end.mate !== undefined).length,
        0,
      ) / 2;
  const held = whole.filter(
    ({ profile }) => profile.material === 'polyurethane' || profile.material === 'pvc',
  );
  const glued = held.reduce((sum, one) => sum + one.length, 0);
  const painted = whole.filter(({ profile }) => profile.finish === 'paint');
  const edges = painted.reduce((sum, { profile, length }) => sum + length * traitsOf(profile).caulked, 0);
  const face = (of: readonly Hung[]): number =>
    of.reduce(
      (sum, { profile, length }) => sum + (length * (profile.width + profile.thickness) * MM[job.unit]) / 1e6,
      0,
    );
  const stained = whole.filter(({ profile }) => profile.finish === 'stain');
  const litres = (area: number, coats: number): number => (area * coats) / COVERAGE;
  const finish = (what: Words, area: number, coats: number): MaterialLine[] =>
    area === 0 || coats === 0
      ? []
      : [
          {
            what,
            amount: litres(area, coats),
            unit: 'l',
            packs: undefined,
            pack: undefined,
            rule: message('material.m-of-face-and-edge-m', {
              area: area.toFixed(2),
              coats,
              coverage: COVERAGE,
            }),
          },
        ];
  const wood = painted.length + stained.length > 0;
  return [
    ...(nailLine.amount > 0 ? [nailLine] : []),
    ...(joints > 0
      ? [
          {
            what: message('material.glue'),
            amount: Math.round(joints) * GLUE_JOINT,
            unit: 'ml' as const,
            packs: undefined,
            pack: undefined,
            rule: message('material.ml-for-each-of-glued-joints', {
              each: GLUE_JOINT,
              joints: Math.round(joints),
            }),
          },
        ]
      : []),
    ...(glued > 0
      ? [
          cartridges(
            message('material.adhesive'),
            (glued * ADHESIVE_BEAD) / 1000,
            message('material.a-6-mm-bead-along-m', { glued: (glued / 1000).toFixed(1) }),
          ),
        ]
      : []),
    ...(edges > 0
      ? [
          cartridges(
            message('material.caulk'),
            (edges * CAULK_BEAD) / 1000,
            message('material.a-4-mm-fillet-along-m', { edges: (edges / 1000).toFixed(1) }),
          ),
        ]
      : []),
    ...(wood && nailLine.amount > 0
      ? [
          {
            what: message('material.filler'),
            amount: nailLine.amount * FILLER_HOLE,
            unit: 'ml' as const,
            packs: undefined,
            pack: undefined,
            rule: message('material.ml-for-each-nail-hole', { each: FILLER_HOLE }),
          },
        ]
      : []),
    ...finish(message('material.primer'), face(painted), rules.primer ? 1 : 0),
    ...finish(message('material.paint'), face(painted), rules.coats),
    ...finish(message('material.stain-or-clear-coat'), face(stained), rules.coats),
  ];
}
