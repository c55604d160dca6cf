import { formatAngle, formatLength, formatWithUnit, type Unit } from '../measure/index.ts';
import { lackText, type WayLacks } from './lacks.ts';
import { termsOf, type Terms, type Vocabulary } from './terms.ts';

/**
 * What a careful lead would point out, as codes with the figures they rest on. The sentences are made here and nowhere
 * else; whoever decides something decides by the code. Walls are counted from 1; lengths are in the job's unit.
 */
export interface WatchOutData {
  readonly hollow: { room: string; wall: number; depth: number; over: number; near: string };
  readonly 'short-wall': { room: string; wall: number; length: number };
  readonly 'tight-stick': { labels: readonly string[]; spare: number; margin: number };
  readonly 'sloped-ceiling': { room: string; walls: readonly number[]; profile: string };
  readonly 'pipes-splice': {
    room: string;
    wall: number;
    at: number;
    /** The pipes of one radiator, from and to. */
    from: number;
    to: number;
    profile: string;
    trim: string;
  };
  readonly lean: { room: string; wall: number; left: number; right: number };
  readonly services: { room: string; wall: number; count: number };
  readonly 'assumed-angle': { room: string; wall: number };
  readonly 'odd-angle': { room: string; wall: number; angle: number };
  readonly 'obtuse-cope': { room: string; wall: number; angle: number; relief: number; profile: string };
  readonly 'rounded-corner': { room: string; wall: number; radius: number; relief: number };
  readonly 'bullnose-gap': { room: string; wall: number; gap: number };
  readonly 'corner-form': { room: string; wall: number; angle: number; form: string };
  readonly 'no-room': { room: string; wall: number; length: number; profile: string };
  readonly 'pin-circle': { room: string; walls: readonly number[] };
  readonly 'pin-outside': { room: string; wall: number };
  readonly 'pin-released': { room: string; wall: number; at: number; profile: string };
  readonly 'splice-distance': { room: string; wall: number };
  readonly 'splice-in-view': { room: string; wall: number };
  readonly 'splice-off-stud': { room: string; wall: number };
  readonly 'short-piece': { label: string; length: number };
  readonly 'long-piece': { label: string; length: number };
  readonly 'double-cope': { label: string };
  readonly 'needs-block': {
    label: string;
    end: 'left' | 'right';
    miter: number;
    block: number;
    thickEnd: 'left' | 'right';
  };
  readonly 'beyond-saw': {
    label: string;
    end: 'left' | 'right';
    angle: number;
    why: readonly WayLacks[];
  };
  readonly 'visible-splice': { label: string };
  readonly closure: { room: string; gap: number; angleGap: number; angles: boolean };
  readonly 'floor-gap': { room: string; covers: number; gap: number };
  readonly 'wet-room': { room: string; profile: string };
  readonly 'bias-twice': { room: string; degrees: number };
  readonly 'spliced-length': { labels: readonly string[]; length: number };
  readonly glue: { profile: string; material: string };
  readonly 'same-way-up': { profile: string; width: number; thickness: number };
}
export type WatchOutCode = keyof WatchOutData;

/** How figures and words are written in a job. */
interface Say extends Terms {
  /** With its unit. */
  readonly length: (value: number) => string;
  /** In fine parts, for what is read off a tape: 1/32 in, half a millimetre. */
  readonly fine: (value: number) => string;
  readonly angle: (value: number) => string;
}

type Sentences = {
  readonly [Code in WatchOutCode]: (data: WatchOutData[Code], say: Say) => string;
};

const wallOf = ({ room, wall }: { room: string; wall: number }): string => `${room}, wall ${wall}`;
const cornerOf = ({ room, wall }: { room: string; wall: number }): string =>
  `${room}: the corner after wall ${wall}`;

const GLUES: Readonly<Record<string, string>> = {
  polyurethane: 'wood glue does not hold foam: use the adhesive made for it',
  pvc: 'wood glue does not hold PVC: use its own cement',
};

const SENTENCES: Sentences = {
  hollow: (d, say) =>
    `${wallOf(d)}: ${d.depth < 0 ? 'bulges' : 'is hollow'} by ${say.length(Math.abs(d.depth))} over ${say.length(d.over)} near its ${d.near} end; nail the high spots, do not push the end in`,
  'short-wall': (d, say) =>
    `${wallOf(d)}: only ${say.length(d.length)} beside an outside corner; its angles are best read over a straight board`,
  'tight-stick': (d, say) =>
    `the stick with ${d.labels.join(', ')} has ${say.fine(d.spare)} to spare; its cuts may lose ${say.fine(d.margin)}`,
  'sloped-ceiling': (d) =>
    `${d.room}: ${d.profile} is not planned, the ceiling slopes at wall ${d.walls.join(', ')}`,
  'pipes-splice': (d, say) =>
    `${wallOf(d)}: pipes at ${say.length(d.at)} come down through ${d.profile}; with the radiator on, it goes in behind them only in two pieces`,
  lean: (d, say) => {
    const wall = (lean: number): string =>
      lean === 0
        ? 'stands upright'
        : `leans ${say.angle(Math.abs(lean))} ${lean > 0 ? 'into' : 'out of'} the room`;
    const walls =
      d.left === d.right
        ? `both walls lean ${say.angle(Math.abs(d.left))} ${d.left > 0 ? 'into' : 'out of'} the room`
        : `the wall on its left ${wall(d.left)}, the one on its right ${wall(d.right)}`;
    return `${cornerOf(d)}: ${walls}; ${say.base} and rails are cut to that`;
  },
  services: (d) =>
    `${wallOf(d)}: ${d.count === 1 ? 'a socket, switch or pipe' : `${d.count} sockets, switches or pipes`}; no nails in line with them, up, down or across`,
  'assumed-angle': (d) => `${cornerOf(d)} is only assumed square; measure it before cutting`,
  'odd-angle': (d, say) =>
    `${cornerOf(d)} is ${say.angle(d.angle)}; set the saw to its own angle, not to a detent`,
  'obtuse-cope': (d, say) =>
    `${cornerOf(d)} is ${say.angle(d.angle)}: ${d.profile} is better ${say.mitered} there than ${say.coped}; the tip of a ${say.cope} gets too thin, and it would have to be cut back by ${say.angle(d.relief)}`,
  'rounded-corner': (d, say) =>
    `${d.room}: inside corner after wall ${d.wall} is rounded (radius ${say.length(d.radius)}); relieve the back by ${say.fine(d.relief)} on the diagonal`,
  'bullnose-gap': (d, say) =>
    `${d.room}: two pieces round the bullnose after wall ${d.wall} leave ${say.fine(d.gap)} behind the ${say.miter}`,
  'corner-form': (d, say) =>
    `${cornerOf(d)} is ${say.angle(d.angle)}, which no ${d.form} corner can be; it is treated as crisp`,
  'no-room': (d, say) =>
    `${wallOf(d)}: ${say.length(d.length)} is too short for a piece of ${d.profile} with its ends; none is planned there`,
  'pin-circle': (d) =>
    `${d.room}: the joints pinned at the corners after ${d.walls.map((wall) => `wall ${wall}`).join(', ')} leave no piece to hang first; release one`,
  'pin-outside': (d) =>
    `${d.room}: nothing runs through the outside corner after wall ${d.wall}; the pin there does nothing`,
  'pin-released': (d, say) =>
    `${wallOf(d)}: the splice of ${d.profile} pinned at ${say.length(d.at)} has no room there any more; it is released`,
  'splice-distance': (d) =>
    `${wallOf(d)}: no splice keeps the house distance from corners and openings; the best remaining studs are used`,
  'splice-in-view': (d) => `${wallOf(d)}: the pinned splice lies in the wall one looks at on coming in`,
  'splice-off-stud': (d) =>
    `${wallOf(d)}: no stud gives pieces that fit the stock; the splice falls between studs`,
  'short-piece': (d, say) =>
    `${d.label} is only ${say.length(d.length)}: cut it off a longer piece and hold the waste, not the part`,
  'long-piece': (d, say) => `${d.label} is ${say.length(d.length)}: two people to carry and hang it`,
  'double-cope': (d, say) =>
    `${d.label} is ${say.coped} at both ends: cut it a little long and fit one end first`,
  'needs-block': (d, say) =>
    `${d.label}, ${d.end} end: ${say.angle(d.miter)} is beyond the saw; clamp a ${say.angle(d.block)} block to the fence, its thick end ${d.thickEnd}`,
  'beyond-saw': (d, say) =>
    `${d.label}, ${d.end} end: this saw cannot cut it at ${say.angle(d.angle)} (${d.why.map((one) => lackText(one, say.length)).join('; ')})`,
  'visible-splice': (d) => `${d.label}: a splice in prefinished trim will show`,
  closure: (d, say) =>
    d.angles
      ? `${d.room}: the angles miss adding up by ${say.angle(Math.abs(d.angleGap))}; put them right first, the lengths cannot be judged before`
      : `${d.room}: the readings miss closing by ${say.length(d.gap)}; measure again before cutting`,
  'floor-gap': (d, say) =>
    `${d.room}: ${say.base} and ${say.shoe} cover ${say.length(d.covers)} of floor, its gap at the wall is ${say.length(d.gap)}`,
  'wet-room': (d) =>
    `${d.room} is wet and ${d.profile} is MDF: wood or PVC lasts there; else seal every cut end`,
  'bias-twice': (d, say) =>
    `${d.room}: the rule takes ${say.angle(d.degrees)} off ${say.miters} whose corners were measured; that corrects twice`,
  'spliced-length': (d, say) =>
    `${d.labels.join(' and ')} glued on the bench are ${say.length(d.length)} in one length: have the room to turn it, and hands to hang it`,
  glue: (d) => `${d.profile}: ${GLUES[d.material] ?? 'ask which glue holds it'}`,
  'same-way-up': (d, say) =>
    `${d.profile} is ${say.length(d.width)} by ${say.length(d.thickness)}: lay every length the same way up`,
};

/** The sentence of a watch-out, in the words and units of its job. */
export function watchOutText<Code extends WatchOutCode>(
  code: Code,
  data: WatchOutData[Code],
  unit: Unit,
  vocabulary: Vocabulary | undefined,
): string {
  const say: Say = {
    ...termsOf(vocabulary),
    length: (value) => formatWithUnit(value, unit),
    fine: (value) => `${formatLength(value, unit, { inchParts: 32 })} ${unit}`,
    angle: formatAngle,
  };
  return SENTENCES[code](data, say);
}
