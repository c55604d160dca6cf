import { message, type Words } from '../messages/index.ts';
import { listOf } from '../messages/index.ts';
import type { JobFile, Profile } from '../job/index.ts';
import type { Piece } from '../plan/index.ts';
import type { Shop } from '../workshop/index.ts';

/** What holds two cuts of a material together on the bench. */
interface Glue {
  readonly glue: Words;
  /** Minutes to bring them together, and until they may be moved. */
  readonly open: number;
  readonly ready: number;
  readonly hold: Words;
}

const WOOD: Glue = {
  glue: message('glue.wood-glue-on-both-cuts'),
  open: 5,
  ready: 30,
  hold: message('glue.tape-across-the-face-a-pin'),
};
const GLUES: Readonly<Record<Profile['material'], Glue>> = {
  softwood: WOOD,
  hardwood: WOOD,
  other: WOOD,
  // End grain of a board drinks the first coat.
  mdf: { ...WOOD, glue: message('glue.wood-glue-on-both-cuts-a') },
  polyurethane: {
    glue: message('glue.adhesive-for-foam-on-one-cut'),
    open: 10,
    ready: 120,
    hold: message('glue.tape-across-the-face-no-pins'),
  },
  pvc: {
    glue: message('glue.cement-for-pvc-on-both-cuts'),
    open: 1,
    ready: 30,
    hold: message('glue.hold-it-by-hand-until-it'),
  },
};

/** Joined on the bench before it is hung: a small piece that turns a corner, and what it is glued to. */
const isTurn = (piece: Piece): boolean => piece.role === 'transition';

/**
 * What is glued up on the bench, and how: for a turn piece and for what it turns from, as one is hung with the other.
 * @returns nothing for a piece that is hung by itself
 * Source: crown, section 8.
 */
export function glueUp(job: Pick<JobFile, 'profiles'>, shop: Shop, plan: Piece): Words[] {
  const byId = new Map(shop.pieces.map((piece) => [piece.piece, piece]));
  const profile = job.profiles.find((one) => one.id === plan.profile);
  if (!profile) return [];
  const met = [plan.left, plan.right].flatMap((end) => {
    const mate = end.mate === undefined ? undefined : byId.get(end.mate);
    const other = mate?.plan as unknown as Piece | undefined;
    return end.joint === 'transition' && mate && other && (isTurn(plan) || isTurn(other)) ? [mate.tag] : [];
  });
  if (met.length === 0) return [];
  const { glue, open, ready, hold } = GLUES[profile.material];
  return [
    message('glue.glue-it-up-on-the-bench', { items: listOf([...new Set(met)], ' and '), glue, hold }),
    message('glue.to-bring-them-together-until-it', { open, ready }),
  ];
}
