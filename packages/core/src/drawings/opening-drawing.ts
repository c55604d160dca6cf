import { message, type Words, listOf } from '../messages/index.ts';
import {
  area,
  box,
  label,
  line,
  size,
  type Drawing,
  type DrawingPart,
  type Shape,
  vec,
  type Vec2,
} from '../geometry/index.ts';
import type { HouseRules, JobFile, Opening, Room } from '../job/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import {
  trimSide,
  headsOf,
  leansOfJambs,
  sillsOf,
  type TrimmedSide,
  type OpeningPart,
  type SideName,
} from '../openings/index.ts';
import { lowestCeiling } from '../survey/index.ts';
import { partWords } from '../messages/index.ts';

/** Openings as their crew looks at them from the room. */

const figure = (value: number, unit: Unit): string => formatLength(value, unit, { inchParts: 32 });

/**
 * The same opening with all that is out of true drawn many times as much, so that one sees which way it goes. Lengths that
 * are written stay those that were read.
 */
function exaggerated(opening: Opening, times: number): Opening {
  if (times === 1) return opening;
  const heads = headsOf(opening);
  const sills = sillsOf(opening);
  const leans = leansOfJambs(opening);
  const { headLevel: _level, diagonal: _diagonal, widthTop: _top, ...rest } = opening;
  const most = 20;
  const lean = (degrees: number): number => Math.max(-most, Math.min(most, degrees * times));
  return {
    ...rest,
    headLeft: heads.left,
    headRight: heads.left + (heads.right - heads.left) * times,
    ...(opening.kind === 'window' && sills.left !== sills.right
      ? { sillLeft: sills.left, sillRight: Math.max(0, sills.left + (sills.right - sills.left) * times) }
      : {}),
    lean: { left: lean(leans.left), right: lean(leans.right) },
  };
}

/** What is free around an opening on its side of the wall: to the corner or the next casing, and to the ceiling. */
interface FreeRoom {
  readonly left: number | undefined;
  readonly right: number | undefined;
  readonly above: number | undefined;
  /** What is there: the corner, or another opening by its name. */
  readonly leftOf: Words;
  readonly rightOf: Words;
}

const extent = (parts: readonly OpeningPart[], width: number): { from: number; to: number; high: number } => {
  const boxes = parts.flatMap((part) => part.box ?? []);
  return {
    from: Math.min(0, ...boxes.map((one) => one.from)),
    to: Math.max(width, ...boxes.map((one) => one.to)),
    high: Math.max(0, ...boxes.map((one) => one.high)),
  };
};

/** Room between what stands around an opening and what is beside it on its wall. */
export function freeRoomAround(
  job: JobFile,
  rules: HouseRules,
  room: Room,
  wallId: string,
  opening: Opening,
  nameOf: (other: Opening) => string,
): FreeRoom {
  const wall = room.walls.find((one) => one.id === wallId)!;
  const spanOf = (one: Opening) => {
    const { from, to, high } = extent(trimSide(job, rules, one, 'this').parts, one.width);
    return { opening: one, from: one.at + from, to: one.at + to, high };
  };
  const own = spanOf(opening);
  const ceiling = lowestCeiling(room, wall, own.from, own.to);
  const others = (wall.openings ?? []).filter((one) => one.id !== opening.id).map(spanOf);
  const before = others.filter((one) => one.opening.at < opening.at).sort((a, b) => b.to - a.to)[0];
  const after = others.filter((one) => one.opening.at > opening.at).sort((a, b) => a.from - b.from)[0];
  return {
    left: own.from - (before?.to ?? 0),
    right: (after?.from ?? wall.length) - own.to,
    above:
      ceiling === undefined
        ? undefined
        : ceiling - Math.max(own.high, headsOf(opening).left, headsOf(opening).right),
    leftOf: before ? nameOf(before.opening) : message('draw.corner'),
    rightOf: after ? nameOf(after.opening) : message('draw.corner'),
  };
}

interface FrontOptions {
  readonly side: SideName;
  /** How many times what is out of true is drawn; 1 is true to scale. */
  readonly times: number;
  readonly free?: FreeRoom;
}

/** The front view of one side, to scale: what stands there, the figures it rests on, the room around it. */
export function openingFront(
  job: JobFile,
  rules: HouseRules,
  opening: Opening,
  { side, times, free }: FrontOptions,
): Drawing {
  const { unit } = job;
  const drawn = trimSide(job, rules, exaggerated(opening, times), side);
  const truly = trimSide(job, rules, opening, side);
  const { measures } = drawn;
  const window = opening.kind === 'window';
  const { from, to, high } = extent(drawn.parts, opening.width);
  const top = Math.max(high, measures.topLeft.y, measures.topRight.y);
  const low = window
    ? Math.min(
        ...drawn.parts.flatMap((part) => part.box?.low ?? []),
        measures.bottomLeft.y,
        measures.bottomRight.y,
      )
    : 0;
  const around = Math.max(opening.width, top - low) * 0.09;
  const hole = [measures.bottomLeft, measures.bottomRight, measures.topRight, measures.topLeft];
  return {
    title: listOf(
      [
        side === 'this' ? message('draw.from-the-room') : message('draw.from-the-other-side'),
        times === 1 ? message('draw.to-scale') : message('draw.what-is-out-of-true-drawn', { times }),
      ],
      '',
    ),
    shapes: [
      area(
        'blank',
        vec(from - around, low - around / 2),
        vec(to + around, low - around / 2),
        vec(to + around, top + around),
        vec(from - around, top + around),
      ),
      area('hole', ...hole),
      ...(window ? [] : [line('wall-line', vec(from - around, 0), vec(to + around, 0))]),
      ...drawn.parts.flatMap((part) => memberOf(part, truly)),
      ...pointsOfEnds(drawn),
      ...figuresOf(opening, side, drawn, unit),
      ...(free && side === 'this' ? freeBars(free, { from, to, top, low, around }, unit) : []),
    ],
  };
}

/** One part, with what is said of it. */
function memberOf(part: OpeningPart, truly: TrimmedSide): DrawingPart[] {
  if (!part.outline) return [];
  const same = truly.parts.find((one) => one.key === part.key) ?? part;
  const wood = part.role === 'band' || part.role === 'cap' || part.role === 'plinth' || part.role === 'block';
  return [
    {
      kind: 'part',
      ref: { kind: 'member', key: part.key },
      tag: part.key,
      name: partWords(part.role, part.place),
      tip: message('draw.joined-2', { part: partWords(part.role, part.place), name: same.profile.name }),
      shapes: [area(wood ? 'wood-other' : 'wood', ...part.outline)],
    },
  ];
}

/** Where the inner and the outer edges of mitered pieces end. */
function pointsOfEnds({ parts }: TrimmedSide): Shape[] {
  return parts.flatMap((part): Shape[] => {
    if (!part.outline || (part.left.angle === 0 && part.right.angle === 0)) return [];
    if (part.role === 'apron' || part.role === 'return') return [];
    const [innerLeft, innerRight, outerRight, outerLeft] = part.outline as readonly [Vec2, Vec2, Vec2, Vec2];
    const ends: Shape[] = [];
    if (part.left.joint === 'miter')
      ends.push(
        { kind: 'mark', mark: 'inner-point', at: innerLeft },
        { kind: 'mark', mark: 'outer-point', at: outerLeft },
      );
    if (part.right.joint === 'miter')
      ends.push(
        { kind: 'mark', mark: 'inner-point', at: innerRight },
        { kind: 'mark', mark: 'outer-point', at: outerRight },
      );
    return ends;
  });
}

/** A figure on the view that can be tapped. */
const tapped = (key: string, name: Words, shape: Shape): DrawingPart => ({
  kind: 'part',
  ref: { kind: 'figure', key },
  tag: key,
  name,
  shapes: [shape],
});

function figuresOf(opening: Opening, side: SideName, { measures, dress }: TrimmedSide, unit: Unit): Shape[] {
  const { topLeft, topRight, bottomLeft, bottomRight } = measures;
  const window = opening.kind === 'window';
  const heads = headsOf(opening);
  const back = side === 'other';
  const [left, right] = back ? [heads.right, heads.left] : [heads.left, heads.right];
  const inside = opening.width * 0.12;
  const shapes: Shape[] = [];
  const [keyLeft, keyRight] = back ? ['headRight', 'headLeft'] : ['headLeft', 'headRight'];
  const foot = window && dress.stool ? (opening.sillHeight ?? 0) : undefined;
  // A window's heads are measured from the floor, which may be far below what is drawn.
  const floor = window ? Math.max(bottomLeft.y, bottomRight.y) : 0;
  const head = (x: number, y: number, value: number, key: string, name: Words): void => {
    shapes.push(
      tapped(
        key,
        message('draw.joined-3', { name, value: figure(value, unit) }),
        size(vec(x, floor), vec(x, y), figure(value, unit)),
      ),
    );
  };
  head(topLeft.x + inside, topLeft.y, left, keyLeft, message('draw.head-height-at-the-left-jamb'));
  if (left !== right || opening.headRight !== undefined || opening.headLevel !== undefined)
    head(topRight.x - inside, topRight.y, right, keyRight, message('draw.head-height-at-the-right-jamb'));
  const middle = window ? floor + (topLeft.y - floor) * 0.3 : topLeft.y * 0.25;
  shapes.push(
    tapped(
      'width',
      message('draw.width', { width: figure(opening.width, unit) }),
      size(vec(0, middle), vec(opening.width, middle), figure(opening.width, unit)),
    ),
  );
  if (opening.widthTop !== undefined)
    shapes.push(
      tapped(
        'widthTop',
        message('draw.width-at-the-top', { widthTop: figure(opening.widthTop, unit) }),
        size(
          vec(topLeft.x, topLeft.y - inside / 2),
          vec(topRight.x, topRight.y - inside / 2),
          figure(opening.widthTop, unit),
        ),
      ),
    );
  if (window)
    shapes.push(
      tapped(
        'sillHeight',
        message('draw.sill-height', { sillHeight: figure(opening.sillHeight ?? 0, unit) }),
        label(
          vec(opening.width / 2, floor + inside / 2),
          message('draw.joined-4', {
            what:
              foot === undefined
                ? message('draw.sill')
                : opening.sillIs === 'frame'
                  ? message('draw.frame')
                  : message('draw.stool-top'),
            sillHeight: figure(opening.sillHeight ?? 0, unit),
          }),
          { as: 'small' },
        ),
      ),
    );
  const depths = measures.jambDepth;
  const corner = (key: keyof typeof depths, at: Vec2, aside: Vec2, anchor: 'start' | 'end'): void => {
    const value = depths[key];
    if (value === undefined || back) return;
    shapes.push(
      tapped(
        `jambDepth.${key}`,
        message('draw.depth', { corner: DEPTH_WORDS[key], value: figure(Math.abs(value), unit) }),
        label(at, value < 0 ? message('draw.proud', { depth: figure(-value, unit) }) : figure(value, unit), {
          as: 'small',
          aside,
          anchor,
        }),
      ),
    );
  };
  const bottom = Math.max(bottomLeft.y, bottomRight.y);
  corner('topLeft', topLeft, vec(6, -12), 'start');
  corner('topRight', topRight, vec(-6, -12), 'end');
  corner('bottomLeft', vec(0, bottom), vec(6, 10), 'start');
  corner('bottomRight', vec(opening.width, bottom), vec(-6, 10), 'end');
  return shapes;
}

const DEPTH_WORDS = {
  topLeft: message('draw.top-left'),
  topRight: message('draw.top-right'),
  bottomLeft: message('draw.bottom-left'),
  bottomRight: message('draw.bottom-right'),
} as const;

/** Bars around the view: what is free to the next thing, or missing. */
function freeBars(
  free: FreeRoom,
  { from, to, top, low, around }: { from: number; to: number; top: number; low: number; around: number },
  unit: Unit,
): Shape[] {
  const said = (value: number, of: Words): Words =>
    value < -1e-6
      ? message('draw.too-much', { value: figure(-value, unit) })
      : message('draw.to', { value: figure(value, unit), of });
  const roleOf = (value: number) => (value < -1e-6 ? 'clash' : 'free');
  const shapes: Shape[] = [];
  const beside = around / 4;
  if (free.left !== undefined)
    shapes.push(
      box(roleOf(free.left), from - around, low, from - around + beside, top),
      label(vec(from - around, low - around / 2), said(free.left, free.leftOf), {
        as: 'small',
        anchor: 'start',
        aside: vec(0, -12),
      }),
    );
  if (free.right !== undefined)
    shapes.push(
      box(roleOf(free.right), to + around - beside, low, to + around, top),
      label(vec(to + around, low - around / 2), said(free.right, free.rightOf), {
        as: 'small',
        anchor: 'end',
        aside: vec(0, -12),
      }),
    );
  if (free.above !== undefined)
    shapes.push(
      box(roleOf(free.above), from - around, top + around - beside, to + around, top + around),
      label(vec((from + to) / 2, top + around), said(free.above, message('draw.the-ceiling')), {
        as: 'small',
        aside: vec(0, 10),
      }),
    );
  return shapes;
}
