import { message } from '../../messages/index.ts';
import { sinDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, type Vec2, area, label, line, size } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CASING, CASING_GROUP, miterThumb, poly, REVEAL, WIDTH } from './casings.ts';
import { deg, type Sheet } from './sheet.ts';

/** Window frames out of square, stools, and jambs that taper. */

const quad: Sheet = {
  key: 'quad',
  group: CASING_GROUP,
  name: message('calc-frames.frame-out-of-square'),
  question: message('calc-frames.the-window-is-no-rectangle-what'),
  fields: [
    { key: 'left', label: message('calc-frames.left-side'), kind: 'length', start: { in: '40', mm: '1000' } },
    { key: 'top', label: message('calc-frames.top'), kind: 'length', start: { in: '30', mm: '760' } },
    {
      key: 'right',
      label: message('calc-frames.right-side'),
      kind: 'length',
      start: { in: '40', mm: '1000' },
    },
    { key: 'bottom', label: message('calc-frames.bottom'), kind: 'length', start: { in: '30', mm: '760' } },
    {
      key: 'diag',
      label: message('calc-frames.bottom-left-to-top-right'),
      kind: 'length',
      start: { in: '50 1/8', mm: '1259' },
    },
    REVEAL,
    CASING,
  ],
  asks: (g) => [{ op: 'casing.quad', ...g.all('left', 'top', 'right', 'bottom', 'diag', 'r', 'c') }],
  work: (g) => {
    const { left, top, right, bottom, diag, r, c } = g.all(
      'left',
      'top',
      'right',
      'bottom',
      'diag',
      'r',
      'c',
    );
    const f = trade.quadCasing(left, top, right, bottom, diag, r, c);
    // Corners of the opening: bottom left at (0, 0), bottom along +x.
    const TR = scale(fromHeading(trade.angleBetween(bottom, diag, right)), diag);
    const inner: Vec2[] = [vec(0, 0), scale(fromHeading(f.angleBL), left), TR, vec(bottom, 0)];
    const angles = [f.angleBL, f.angleTL, f.angleTR, f.angleBR];
    const grown = (by: number): Vec2[] =>
      inner.map((p, i) => {
        const before = inner[(i + 3) % 4]!;
        const after = inner[(i + 1) % 4]!;
        const unit = (q: Vec2): Vec2 => {
          const d = vec(q.x - p.x, q.y - p.y);
          return scale(d, 1 / Math.hypot(d.x, d.y));
        };
        const bisector = add(unit(before), unit(after));
        const long = Math.hypot(bisector.x, bisector.y);
        return add(p, scale(bisector, -by / (long * sinDeg(angles[i]! / 2))));
      });
    const near = grown(r);
    const far = grown(r + c);
    return {
      outcomes: [
        { label: message('calc-frames.left-short-points'), value: f.leftShort, as: 'length', strong: true },
        { label: message('calc-frames.top-short-points'), value: f.topShort, as: 'length', strong: true },
        { label: message('calc-frames.right-short-points'), value: f.rightShort, as: 'length', strong: true },
        {
          label: message('calc-frames.bottom-short-points'),
          value: f.bottomShort,
          as: 'length',
          strong: true,
        },
        { label: message('calc-frames.left-long-points'), value: f.leftLong, as: 'length' },
        { label: message('calc-frames.top-long-points'), value: f.topLong, as: 'length' },
        { label: message('calc-frames.right-long-points'), value: f.rightLong, as: 'length' },
        { label: message('calc-frames.bottom-long-points'), value: f.bottomLong, as: 'length' },
        { label: message('calc-frames.top-left-cut'), value: f.miterTL, as: 'angle' },
        { label: message('calc-frames.top-right-cut'), value: f.miterTR, as: 'angle' },
        { label: message('calc-frames.bottom-left-cut'), value: f.miterBL, as: 'angle' },
        { label: message('calc-frames.bottom-right-cut'), value: f.miterBR, as: 'angle' },
      ],
      working: [message('calc-frames.the-diagonal-makes-two-triangles-their')],
      thumbs: miterThumb(
        g,
        [
          [message('calc-frames.top-left'), f.angleTL],
          [message('calc-frames.top-right'), f.angleTR],
          [message('calc-frames.bottom-left'), f.angleBL],
          [message('calc-frames.bottom-right'), f.angleBR],
        ],
        c,
      ),
      drawings: [
        {
          title: message('calc-frames.from-the-room-to-scale'),
          shapes: [
            area('ghost', ...inner),
            ...near.map((p, i) => {
              const next = (i + 1) % 4;
              return area(i % 2 === 0 ? 'wood' : 'wood-other', p, near[next]!, far[next]!, far[i]!);
            }),
            line('guide', inner[0]!, inner[2]!),
            ...inner.map((p, i) => label(add(scale(p, 0.86), scale(TR, 0.07)), deg(angles[i]!))),
          ],
        },
      ],
    };
  },
};

const stool: Sheet = {
  key: 'stool',
  group: CASING_GROUP,
  name: message('calc-frames.stool-and-apron'),
  question: message('calc-frames.what-size-is-the-stool-and'),
  fields: [
    { ...WIDTH, start: { in: '36', mm: '900' } },
    REVEAL,
    CASING,
    {
      key: 'horn',
      label: message('calc-frames.horn-past-the-casing'),
      kind: 'position',
      start: { in: '3/4', mm: '20' },
    },
    {
      key: 'jambDepth',
      label: message('calc-frames.from-the-sash-to-the-wall'),
      kind: 'length',
      start: { in: '4 9/16', mm: '116' },
    },
    {
      key: 'casingT',
      label: message('calc-frames.thickness-of-the-casing'),
      kind: 'length',
      start: { in: '11/16', mm: '17' },
    },
    {
      key: 'nose',
      label: message('calc-frames.nose-past-the-casing-s-face'),
      kind: 'position',
      start: { in: '3/4', mm: '20' },
    },
    {
      key: 'apronT',
      label: message('calc-frames.thickness-of-the-apron'),
      kind: 'position',
      start: { in: '11/16', mm: '17' },
    },
  ],
  asks: (g) => [
    { op: 'casing.stool', ...g.all('W', 'r', 'c', 'horn', 'jambDepth', 'casingT', 'nose', 'apronT') },
  ],
  work: (g) => {
    const input = g.all('W', 'r', 'c', 'horn', 'jambDepth', 'casingT', 'nose', 'apronT');
    const f = trade.stoolFigures(input);
    const n = f.notchLength;
    const d = f.notchDepth;
    return {
      outcomes: [
        { label: message('calc-frames.length'), value: f.length, as: 'length', strong: true },
        { label: message('calc-frames.depth'), value: f.depth, as: 'length', strong: true },
        { label: message('calc-frames.notch-along'), value: f.notchLength, as: 'length', strong: true },
        { label: message('calc-frames.notch-deep'), value: f.notchDepth, as: 'length', strong: true },
        { label: message('calc-frames.tongue-between-the-notches'), value: f.tongue, as: 'length' },
        { label: message('calc-frames.apron-face'), value: f.apronFront, as: 'length' },
        { label: message('calc-frames.apron-back'), value: f.apronBack, as: 'length' },
        { label: message('calc-frames.apron-returns'), value: f.apronReturnFront, as: 'length' },
      ],
      working: [message('calc-frames.outside-of-casing-to-outside-of', { apronFront: g.len(f.apronFront) })],
      watch: [message('calc-frames.measure-the-depth-of-the-notch')],
      drawings: [
        {
          title: message('calc-frames.the-stool-from-above-to-scale'),
          shapes: [
            poly(
              'wood',
              [0, 0],
              [f.length, 0],
              [f.length, f.depth - d],
              [f.length - n, f.depth - d],
              [f.length - n, f.depth],
              [n, f.depth],
              [n, f.depth - d],
              [0, f.depth - d],
            ),
            size(vec(0, -f.depth * 0.25), vec(f.length, -f.depth * 0.25), g.len(f.length)),
            size(vec(n, f.depth * 1.2), vec(f.length - n, f.depth * 1.2), g.len(f.tongue)),
            size(vec(-f.depth * 0.2, 0), vec(-f.depth * 0.2, f.depth - d), g.len(f.depth - d)),
          ],
        },
      ],
      sends: [
        {
          to: 'opening',
          what: message('calc-frames.width', { W: g.len(input.W) }),
          change: { width: input.W },
        },
      ],
    };
  },
};

const taper: Sheet = {
  key: 'taper',
  group: CASING_GROUP,
  name: message('calc-frames.tapered-jamb'),
  question: message('calc-frames.the-extension-jamb-runs-from-deep'),
  fields: [
    {
      key: 'd1',
      label: message('calc-frames.depth-at-one-end'),
      kind: 'position',
      start: { in: '5/8', mm: '16' },
    },
    {
      key: 'd2',
      label: message('calc-frames.depth-at-the-other'),
      kind: 'position',
      start: { in: '7/8', mm: '22' },
    },
    { key: 'L', label: message('calc-frames.its-length'), kind: 'length', start: { in: '60', mm: '1500' } },
    {
      key: 'x',
      label: message('calc-frames.width-wanted-at'),
      kind: 'position',
      start: { in: '24', mm: '600' },
    },
  ],
  asks: (g) => [{ op: 'casing.taper', ...g.all('d1', 'd2', 'L', 'x') }],
  work: (g) => {
    const { d1, d2, L, x } = g.all('d1', 'd2', 'L', 'x');
    const f = trade.taperFigures(d1, d2, L, x);
    const k = L / 8 / Math.max(d1, d2, L / 400);
    return {
      outcomes: [
        { label: message('calc-frames.taper'), value: f.angle, as: 'angle', strong: true },
        {
          label: message('calc-frames.wide-at', { x: g.len(x) }),
          value: f.widthAt,
          as: 'length',
          strong: true,
        },
        { label: message('calc-frames.ripped-edge'), value: f.cutEdge, as: 'length' },
      ],
      working: [message('calc-frames.it-gains-over-mark-both-ends', { d2: g.len(d2 - d1), L: g.len(L) })],
      drawings: [
        {
          title: message('calc-frames.the-jamb-width-drawn-larger'),
          shapes: [
            area('wood', vec(0, 0), vec(L, 0), vec(L, d2 * k), vec(0, d1 * k)),
            size(vec(-L * 0.04, 0), vec(-L * 0.04, d1 * k), g.len(d1)),
            size(vec(L * 1.04, 0), vec(L * 1.04, d2 * k), g.len(d2)),
            line('guide', vec(x, 0), vec(x, f.widthAt * k)),
            label(vec(x, -L * 0.035), g.len(x)),
          ],
        },
      ],
    };
  },
};

export const frames: readonly Sheet[] = [quad, stool, taper];
