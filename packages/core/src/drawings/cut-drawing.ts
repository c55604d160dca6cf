import { message, wordOf } from '../messages/index.ts';
import { tanDeg } from '../base/index.ts';
import {
  area,
  eyeFrom,
  facing,
  label,
  line,
  prism,
  seen,
  type Drawing,
  type Eye,
  type Face,
  type ShapeRole,
  type Shape,
  add3,
  dot3,
  scale3,
  type Vec2,
  type Vec3,
} from '../geometry/index.ts';
import { traitsOf, type Profile } from '../job/index.ts';
import type { PlanEnd } from '../plan/index.ts';
import {
  edgeNames,
  faceAxes,
  normalOf,
  seatAxes,
  seatSpring,
  type PieceEnd,
  type SawSetting,
  type Seat,
} from '../saw/index.ts';
import type { CutMark, CutStep } from '../lists/index.ts';

/** A corner of the trim's section: out of the wall and up, and which of its two lines runs there. */
interface Corner {
  readonly at: Vec3;
  readonly line: CutMark['line'] | undefined;
}

/** The section as a block of its width and thickness, counter-clockwise seen from its right end. */
export function section(profile: Profile): readonly Corner[] {
  const { s, f } = faceAxes(seatSpring(profile));
  const { width: w, thickness: t } = profile;
  const at = (along: number, out: number): Vec3 => add3(scale3(s, along), scale3(f, out));
  const { depth, sprung } = traitsOf(profile);
  // Crown's two lines lie on its back, at the wall and at the ceiling; elsewhere all of an edge or a side is the line.
  const lineOf = (along: number, out: number): CutMark['line'] | undefined =>
    sprung && out > 0 ? undefined : (depth === 'thickness' ? out : along) === 0 ? 'near' : 'far';
  return [
    [0, 0],
    [w, 0],
    [w, t],
    [0, t],
  ].map(([along, out]) => ({ at: at(along!, out!), line: lineOf(along!, out!) }));
}

/** The solids of a cut as they lie on the saw, in its axes: the kept part, the blade in its kerf, the waste beyond. */
interface CutSolids {
  readonly kept: readonly Face[];
  readonly blade: readonly Face[];
  readonly waste: readonly Face[];
  /** The edge the mark is on, from inside the piece to the mark. */
  readonly edge: readonly [Vec3, Vec3];
  /** Of crown: its wall edge and its ceiling edge along its face, from inside the piece to the cut. */
  readonly edges:
    { readonly wall: readonly [Vec3, Vec3]; readonly ceiling: readonly [Vec3, Vec3] } | undefined;
}

/**
 * The solids of a cut, made from the seating alone: what is drawn is what one gets by setting it.
 * @param long how much of the piece and of the waste is shown
 */
export function cutSolids(
  profile: Profile,
  end: PieceEnd,
  setting: SawSetting & { readonly seat: Seat },
  mark: CutMark['line'],
  kerf: number,
  long: number,
): CutSolids {
  const spring = seatSpring(profile);
  const axes = seatAxes(setting.seat, spring);
  const turned = (p: Vec3): Vec3 => [dot3(p, axes[0]), dot3(p, axes[1]), dot3(p, axes[2])];
  const normal = normalOf(setting.seat, setting, spring);
  const out = end === 'right' ? 1 : -1;
  const corners = section(profile);
  // Pushed against the fence and down on the table: nothing of it lies behind Y = 0 or below Z = 0.
  const lying = corners.map(({ at }) => turned(at));
  const [fence, table] = [Math.max(...lying.map((p) => p[1])), Math.min(...lying.map((p) => p[2]))];
  const toSaw = (p: Vec3): Vec3 => add3(turned(p), [0, -fence, -table]);
  const plane = (p: Vec3, beyond: number): Vec3 => [
    (out * beyond) / Math.abs(normal[0]) - (normal[1] * p[1] + normal[2] * p[2]) / normal[0],
    p[1],
    p[2],
  ];
  const flat = (p: Vec3, u: number): Vec3 => [u, p[1], p[2]];
  const between = (a: (p: Vec3) => Vec3, b: (p: Vec3) => Vec3): Face[] => {
    const [left, right] = out > 0 ? [a, b] : [b, a];
    return prism(
      corners.map(({ at }) => toSaw(right(at))),
      corners.map(({ at }) => toSaw(left(at))),
    );
  };
  const grown = (p: Vec3): Vec3 => {
    const middle = scale3(
      corners.reduce((sum, one) => add3(sum, one.at), [0, 0, 0] as Vec3),
      1 / corners.length,
    );
    return add3(middle, scale3(add3(p, scale3(middle, -1)), 1.22));
  };
  const atEnd = (beyond: number) => (p: Vec3) => plane(p, beyond);
  const onLine = corners.filter((one) => one.line === mark).map((one) => one.at);
  // Of the edges on that line the one that faces up, and towards the operator.
  const rank = (p: Vec3): number => toSaw(p)[2] * 10 - toSaw(p)[1];
  const marked = onLine.reduce((best, p) => (rank(p) > rank(best) ? p : best));
  const onFace = (p: Vec3): readonly [Vec3, Vec3] => [toSaw(flat(p, -out * long)), toSaw(plane(p, 0))];
  return {
    kept: between((p) => flat(p, -out * long), atEnd(0)),
    blade: between(
      (p) => plane(grown(p), 0),
      (p) => plane(grown(p), kerf),
    ),
    waste: between(atEnd(kerf), (p) => flat(p, out * long * 0.8)),
    edges: traitsOf(profile).sprung
      ? { wall: onFace(corners[3]!.at), ceiling: onFace(corners[2]!.at) }
      : undefined,
    edge: [toSaw(flat(marked, -out * long)), toSaw(plane(marked, 0))],
  };
}

const areas = (faces: readonly Face[], eye: Eye, side: ShapeRole, end: ShapeRole): Shape[] =>
  facing(faces, eye).map((face) =>
    area(face.kind === 'end' ? end : side, ...face.points.map((p) => seen(eye, p))),
  );

const middleOf = (faces: readonly Face[], eye: Eye): Vec2 => {
  const points = faces.flatMap((face) => face.points).map((p) => seen(eye, p));
  return {
    x: points.reduce((sum, p) => sum + p.x, 0) / points.length,
    y: points.reduce((sum, p) => sum + p.y, 0) / points.length,
  };
};

/** From above: the fence at the top of the sheet, the operator at its foot. */
const ABOVE: Eye = eyeFrom([0, 0, 1]);

/**
 * The cut as the piece lies: from above, or from the operator's side over the cut end. Fence behind, the kept part in wood,
 * what falls off hatched, the blade a band of its true width in the waste, the marked edge drawn strong up to the mark.
 */
export function cutDrawing(
  { profile, end, saw, mark }: Pick<CutStep, 'profile' | 'end' | 'saw' | 'mark'>,
  kerf: number,
  from: 'above' | 'operator',
): Drawing | undefined {
  const { seat } = saw;
  if (seat === null) return undefined;
  const wide = Math.max(profile.width, profile.thickness);
  const long =
    (seat === 'stand' ? 1.5 : 1.15) * wide +
    2 * Math.abs(tanDeg(Math.min(70, saw.miter))) * profile.thickness;
  const solids = cutSolids(profile, end, { ...saw, seat }, mark.line, kerf, long);
  const toKept = saw.keep === 'left' ? 1 : -1;
  const eye = from === 'above' ? ABOVE : eyeFrom([toKept * 0.42, -1, 0.7]);
  const names = edgeNames(profile);
  const points = [...solids.kept, ...solids.waste].flatMap((face) => face.points);
  const high = Math.max(...points.map((p) => p[2]));
  const low = Math.min(...points.map((p) => p[2]));
  const xs = points.map((p) => p[0]);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const thick = wide * 0.12;
  const fence = fenceShapes(eye, x0, x1, low, Math.max(high, low + wide * 0.6), thick);
  const kept = areas(solids.kept, eye, 'wood', 'wood-other');
  const waste = areas(solids.waste, eye, 'waste', 'waste');
  const blade = areas(solids.blade, eye, 'blade', 'blade');
  const far = (faces: readonly Face[]): number =>
    Math.min(...faces.flatMap((face) => face.points).map((p) => dot3(p, eye.to)));
  // Nearer things are drawn later; the blade stands between the two.
  const [behind, before] = far(solids.kept) < far(solids.waste) ? [kept, waste] : [waste, kept];
  const fenceEdge =
    seat === 'flatTopToFence' ? names.top : seat === 'flatBottomToFence' ? names.bottom : undefined;
  return {
    title: message('draw.keep-the-side', {
      view: from === 'above' ? message('draw.from-above') : message('draw.as-it-lies'),
      swing:
        saw.swing === 'none' ? message('draw.no-swing') : message('draw.swing', { side: wordOf(saw.swing) }),
      lean: saw.tilt === 'none' ? '' : message('draw.lean', { side: wordOf(saw.tilt) }),
      keep: wordOf(saw.keep),
    }),
    shapes: [
      ...fence,
      ...behind,
      ...blade,
      ...before,
      ...(solids.edges
        ? [
            line('wall-edge', ...solids.edges.wall.map((p) => seen(eye, p))),
            line('ceiling-edge', ...solids.edges.ceiling.map((p) => seen(eye, p))),
          ]
        : []),
      line('marked', seen(eye, solids.edge[0]), seen(eye, solids.edge[1])),
      { kind: 'mark', mark: 'point', at: seen(eye, solids.edge[1]) },
      label(middleOf(solids.kept, eye), message('draw.keep'), { as: from === 'above' ? 'name' : 'large' }),
      label(middleOf(solids.waste, eye), message('draw.waste'), { as: from === 'above' ? 'small' : 'note' }),
      label(seen(eye, [x0, thick / 2, Math.max(high, low + wide * 0.6)]), message('draw.fence'), {
        as: from === 'above' ? 'on-dark' : 'small',
        anchor: 'start',
        aside: { x: 8, y: from === 'above' ? 0 : 10 },
      }),
      ...(fenceEdge === undefined || from !== 'above'
        ? []
        : [label(seen(eye, [solids.edge[0][0] * 0.75, -thick * 1.1, high]), fenceEdge, { as: 'small' })]),
    ],
  };
}

/** The fence as a plate behind the piece; from above only its upper edge is seen. */
function fenceShapes(eye: Eye, x0: number, x1: number, low: number, high: number, thick: number): Shape[] {
  const at = (x: number, y: number, z: number): Vec3 => [x, y, z];
  const ring = (y: number): Vec3[] => [at(x0, y, low), at(x0, y, high), at(x1, y, high), at(x1, y, low)];
  return facing(prism(ring(0).reverse(), ring(thick).reverse()), eye).map((face) =>
    area(face.kind === 'end' ? 'fence-face' : 'fence', ...face.points.map((p) => seen(eye, p))),
  );
}

/** One end of a piece that meets no other at a corner, from above, true in its angle: the wall on top, the room below. */
export function endDrawing(end: PlanEnd, side: 'left' | 'right'): Drawing {
  const [width, height, band, top] = [150, 74, 34, 60];
  const out = side === 'right' ? 1 : -1;
  const x = side === 'right' ? 96 : 54;
  const base = side === 'right' ? -10 : width + 10;
  const near = { x, y: top };
  const far = { x: x + out * Math.max(-50, Math.min(50, -band * tanDeg(end.angle))), y: top - band };
  const cope = end.joint === 'cope';
  const bite = Array.from({ length: 7 }, (_, k): Vec2 => {
    const t = k / 6;
    return { x: x + (far.x - x) * t - out * 16 * Math.sin(t * Math.PI), y: top - band * t };
  });
  const shapes: Shape[] = [
    line('wall-line', { x: 0, y: top + 3 }, { x: width, y: top + 3 }),
    area('wood', { x: base, y: top }, ...(cope ? bite : [near, far]), { x: base, y: top - band }),
    ...(cope ? [line('ghost', near, far)] : []),
    ...(end.joint === 'return' ? [area('wood-other', near, far, { x: far.x, y: top })] : []),
  ];
  return {
    title: message('draw.end-from-above', { side: wordOf(side) }),
    frame: { min: { x: 0, y: 20 }, max: { x: width, y: height - 6 } },
    shapes,
  };
}
