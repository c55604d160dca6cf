import { formatAngle, formatLength, formatWithUnit, type Unit } from '../measure/index.ts';
import { lackText, type WayLacks } from './lacks.ts';
import { partWords } from './part-words.ts';
import { termsOf, type Terms, type Vocabulary } from './terms.ts';

/**
 * What a careful lead would point out, as codes with the figures they rest on. The sentences are made here and nowhere
 * else; whoever decides something decides by the code. Walls are counted from 1; lengths are in the job's unit.
 */
export type Remedy = 'rip' | 'mull' | 'reveal' | 'none';

/** Two things at an opening that want the same place. */
export interface Clearance {
  readonly name: string;
  /** Both, where two openings are in each other's way. */
  readonly names: readonly string[];
  readonly against: 'corner' | 'casing' | 'ceiling' | 'crown' | 'rail' | 'interruption' | 'point';
  readonly overlap: number;
  /** What of the opening it is: a leg, the head, the stool. */
  readonly part: string;
  /** At which edge of the opening, as seen from its room. */
  readonly at?: 'left' | 'right';
  /** What is in the way, by its name. */
  readonly by?: string;
  /** Width that one strip shared by both would have. */
  readonly mull?: number;
  readonly remedies: readonly Remedy[];
  /** What the strip would be ripped to, and what the reveal or the horn would have to be. */
  readonly rip?: number;
  readonly reveal?: number;
  readonly horn?: number;
}

export interface WarningData {
  readonly clearance: Pick<Clearance, keyof Clearance>;
  readonly 'out-of-true': { name: string; figure: number; rises: 'left' | 'right'; opens: number };
  readonly coverage: {
    name: string;
    covers: number;
    needs: number;
    short: number;
    reveal: number;
    rounded: boolean;
  };
  readonly 'shy-jamb': { name: string; shy: number };
  readonly 'proud-jamb': { name: string; proud: number; limit: number };
  readonly 'stool-contour': { name: string; radius: number };
  readonly 'head-gate': { name: string; predicted: number; measured: number };
  readonly removable: { name: string; pocket: boolean; longest: number | undefined };
  readonly 'band-left-out': { name: string; why: 'overhang' | 'block' };
  readonly 'no-block': { name: string };
  readonly 'one-unit': { name: string; diagonals: readonly [number, number]; play: number; stool: boolean };
  readonly 'open-miter': {
    name: string;
    corner: 'left' | 'right';
    open: 'inner' | 'outer';
    by: number;
    from: 'inner' | 'outer';
  };
  readonly 'narrow-stock': { label: string; profile: string; width: number; has: number };
  readonly hollow: { room: string; wall: number; depth: number; over: number; near: string };
  readonly 'short-wall': { room: string; wall: number; length: number };
  readonly 'tight-stick': { labels: readonly string[]; spare: number; margin: number };
  readonly 'ceiling-gap': {
    room: string;
    profile: string;
    line: 'follow' | 'level';
    gap: number;
    /** The most that the ceiling comes down into it. */
    presses: number;
    most: number;
    other: number;
    otherPresses: number;
  };
  readonly 'backer-fit': { room: string; profile: string; strip: string; taken: number };
  readonly 'backer-climbs': { room: string; walls: readonly number[] };
  readonly 'sloped-ceiling': { room: string; walls: readonly number[]; profile: string; why: string };
  readonly 'slope-corner': {
    room: string;
    wall: number;
    profile: string;
    end: 'low' | 'high';
    turn: number;
    misses: number;
    otherSpring: number;
  };
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
export type WarningCode = keyof WarningData;

/** How figures and words are written in a job. */
interface Say extends Terms {
  /** With its unit. */
  readonly length: (value: number) => string;
  /** In fine parts, for what is read off a tape: 1/32 in, half a millimetre. */
  readonly fine: (value: number) => string;
  readonly angle: (value: number) => string;
}

type Sentences = {
  readonly [Code in WarningCode]: (data: WarningData[Code], say: Say) => string;
};

const wallOf = ({ room, wall }: { room: string; wall: number }): string => `${room}, wall ${wall}`;
const cornerOf = ({ room, wall }: { room: string; wall: number }): string =>
  `${room}: the corner after wall ${wall}`;

const GLUES: Readonly<Record<string, string>> = {
  polyurethane: 'wood glue does not hold foam: use the adhesive made for it',
  pvc: 'wood glue does not hold PVC: use its own cement',
};

const partOf = ({ part }: { part: string }): string =>
  part === 'stool' ? 'horn of the stool' : partWords(part);

function clearanceText(d: Clearance, say: Say): string {
  const by = say.length(d.overlap);
  switch (d.against) {
    case 'corner':
      return d.by === undefined
        ? `${d.name}: its ${partOf(d)} needs ${by} more than there is to the corner on its ${d.at}`
        : `${d.name}: its ${partOf(d)} is in the way of ${d.by} on the wall round the corner on its ${d.at}, by ${by}`;
    case 'casing':
      return `${d.names.join(' and ')}: their ${say.casing} overlaps by ${by}`;
    case 'ceiling':
      return `${d.name}: its ${partOf(d)} ends ${by} above the ceiling`;
    case 'crown':
      return `${d.name}: its ${partOf(d)} reaches ${by} into ${d.by}, which is stopped there`;
    case 'rail':
      return `${d.name}: ${d.by} runs into the horns of the stool, ${by} of it; it ends there`;
    case 'interruption':
      return `${d.name}: its ${partOf(d)} overlaps ${d.by ?? 'what is built in'} by ${by}`;
    case 'point':
      return `${d.name}: its ${partOf(d)} covers a ${d.by} by ${by}`;
  }
}

/** What can be done about it, in the order one would try. */
function remediesText(d: Clearance, say: Say): string {
  const two = d.names.length > 1;
  const ways = d.remedies.map((remedy) => {
    switch (remedy) {
      case 'rip':
        return two ? `rip the two legs to ${say.length(d.rip!)}` : `rip it to ${say.length(d.rip!)}`;
      case 'mull':
        return `share one strip of ${say.length(d.mull!)}`;
      case 'reveal':
        return `make the reveal ${say.length(d.reveal!)}`;
      case 'none':
        return `leave that side without ${say.casing}, with a return`;
    }
  });
  if (d.against === 'rail') ways.push('or move the rail clear of the stool');
  if (d.horn !== undefined && d.part === 'stool')
    ways.push(
      d.horn >= 0 ? `make the horn ${say.length(d.horn)}` : 'end the stool flush with what stands on it',
    );
  if (d.against === 'point' && d.part !== 'stool') ways.push('have the box moved');
  return ways.length === 0 ? '' : `; ${ways.join(', or ').replace(', or or ', ', or ')}`;
}

const SLOPE_FAULTS: Readonly<Record<string, string>> = {
  'figures-disagree':
    'the slopes there are not those of one ceiling: the level wall needs the pitch with which the other one rises',
  'both-climb': 'it would climb on both walls of a corner',
  outside: 'no turn piece mates there',
  interrupted: 'something stops it on a wall where it climbs',
  'drop-lines': 'two level walls would need different drop lines',
};

const SENTENCES: Sentences = {
  clearance: (d, say) => `${clearanceText(d, say)}${remediesText(d, say)}`,
  'out-of-true': (d, say) =>
    `${d.name}: its head rises ${say.length(d.figure)} to the ${d.rises}; cut as if level, its ${say.miters} would open by ${say.fine(d.opens)}`,
  coverage: (d, say) =>
    `${d.name}: reveal and ${say.casing} cover ${say.length(d.covers)}, the ${d.rounded ? 'gap and its rounded edge' : 'gap'} ${d.rounded ? 'need' : 'needs'} ${say.length(d.needs)}; ${
      d.short <= d.reveal
        ? `make the reveal ${say.length(d.reveal + d.short)}, or take ${say.casing} wider by ${say.length(d.short)}`
        : `take ${say.casing} wider by ${say.length(d.short)}`
    }, or bring the jamb out with a strip`,
  'shy-jamb': (d, say) =>
    `${d.name}: its jamb lies ${say.length(d.shy)} behind the wall; a strip that wide brings it out, or the ${say.casing} rocks`,
  'proud-jamb': (d, say) =>
    d.proud <= d.limit
      ? `${d.name}: its jamb stands ${say.length(d.proud)} proud of the wall; plane it, or cut the ${say.miters} back; look for old nails first`
      : `${d.name}: its jamb stands ${say.length(d.proud)} proud of the wall; pack the ${say.casing} out with a strip of that, or cut the jamb back; look for old nails first`,
  'stool-contour': (d, say) =>
    `${d.name}: nothing covers the rounded edge behind the stool; cut its notches to the curve of ${say.length(d.radius)}`,
  'head-gate': (d, say) =>
    `${d.name}: measured outside to outside ${say.length(d.measured)}, the figures say ${say.length(d.predicted)}; see whether both legs stand on their reveal before the head is cut`,
  removable: (d, say) =>
    `${d.name}: head and one leg are screwed and capped, not glued${d.pocket ? '; nothing may reach the path of the door' : ''}${
      d.longest === undefined
        ? d.pocket
          ? `, measure from the wall's face to it`
          : ''
        : `: no fastener longer than ${say.length(d.longest)} there`
    }`,
  'band-left-out': (d) =>
    `${d.name}: the back band is not planned, as it cannot run round ${d.why === 'block' ? 'corner blocks' : 'a head with overhang'}; ${d.why === 'block' ? 'choose mitered corners' : 'set the overhang to 0'} or leave the band out`,
  'no-block': (d, say) =>
    `${d.name}: corner blocks are chosen and no block is named; it is planned ${say.mitered} until one is`,
  'one-unit': (d, say) => {
    const [a, b] = d.diagonals;
    const across =
      Math.abs(a - b) < 1e-3
        ? `both diagonals ${say.length(a)}`
        : `diagonals ${say.length(a)} from the bottom left, ${say.length(b)} from the bottom right`;
    return `${d.name} is joined on the bench and set as one: ${across} over its outer points; leave the glue overnight${d.stool && d.play === 0 ? '; give the stool some play, or it will not go in' : ''}`;
  },
  'open-miter': (d, say) =>
    `${d.name}: its ${d.corner} head corner is open ${say.fine(d.by)} at the ${d.open} point; take that off the end of the head at its ${d.from} point, to nothing at the ${d.open} one, or shim behind the leg`,
  'narrow-stock': (d, say) =>
    `${d.label} is ${say.length(d.width)} wide, its ${d.profile} only ${say.length(d.has)}; take wider stock or glue two up`,
  hollow: (d, say) =>
    `${wallOf(d)}: ${d.depth < 0 ? 'bulges' : 'is hollow'} by ${say.length(Math.abs(d.depth))} over ${say.length(d.over)} near its ${d.near} end; nail the high spots, do not push the end in`,
  'short-wall': (d, say) =>
    `${wallOf(d)}: only ${say.length(d.length)} beside an outside corner; its angles are best read over a straight board`,
  'tight-stick': (d, say) =>
    `the stick with ${d.labels.join(', ')} has ${say.fine(d.spare)} to spare; its cuts may lose ${say.fine(d.margin)}`,
  'ceiling-gap': (d, say) => {
    const open = (gap: number, presses: number): string =>
      [
        `leaves up to ${say.length(gap)} open`,
        ...(presses > 0 ? [`meets a low spot that comes down ${say.length(presses)} into it`] : []),
      ].join(' and ');
    const [own, other] =
      d.line === 'level'
        ? ['a level line', 'following the ceiling']
        : ['following the ceiling', 'a level line'];
    return `${d.room}: ${d.profile} on ${own} ${open(d.gap, d.presses)}, more than the ${say.length(d.most)} that are caulked; ${other} ${open(d.other, d.otherPresses)}`;
  },
  'backer-fit': (d) =>
    Number.isFinite(d.taken)
      ? `${d.room}: ${d.strip} takes ${d.taken.toFixed(2)} times the room behind ${d.profile}: its edge holds the crown off`
      : `${d.room}: there is no room behind ${d.profile} for ${d.strip}`,
  'backer-climbs': (d) =>
    `${d.room}: no strip is planned behind crown that climbs (wall ${d.walls.join(' and ')}): cut it in place`,
  'sloped-ceiling': (d) =>
    `${d.room}: ${d.profile} is not planned, ${SLOPE_FAULTS[d.why] ?? 'the ceiling slopes'} (wall ${d.walls.join(' and ')})`,
  'slope-corner': (d, say) =>
    `${cornerOf(d)}: ${d.profile} mates with a small piece that turns, ${say.fine(d.turn)} at its wall edge; mitered as it is the tops would miss by ${say.fine(d.misses)}, or the level one hangs at ${say.angle(d.otherSpring)} to its wall`,
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
export function warningText<Code extends WarningCode>(
  code: Code,
  data: WarningData[Code],
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
