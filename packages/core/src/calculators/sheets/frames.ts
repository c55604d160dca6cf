import { sinDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, type Vec2, area, label, line, size } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CASING, CASING_GROUP, miterThumb, poly, REVEAL, WIDTH } from './casings.ts';
import { deg, type Sheet } from './sheet.ts';

/** Window frames out of square, stools, and jambs that taper. */

const quad: Sheet = {
  key: 'quad',
  group: CASING_GROUP,
  name: 'frame out of square',
  question: 'The window is no rectangle. What do I cut for a picture frame?',
  fields: [
    { key: 'left', label: 'left side', kind: 'length', start: { in: '40', mm: '1000' } },
    { key: 'top', label: 'top', kind: 'length', start: { in: '30', mm: '760' } },
    { key: 'right', label: 'right side', kind: 'length', start: { in: '40', mm: '1000' } },
    { key: 'bottom', label: 'bottom', kind: 'length', start: { in: '30', mm: '760' } },
    { key: 'diag', label: 'bottom left to top right', kind: 'length', start: { in: '50 1/8', mm: '1259' } },
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
        { label: 'left, short points', value: f.leftShort, as: 'length', strong: true },
        { label: 'top, short points', value: f.topShort, as: 'length', strong: true },
        { label: 'right, short points', value: f.rightShort, as: 'length', strong: true },
        { label: 'bottom, short points', value: f.bottomShort, as: 'length', strong: true },
        { label: 'left, long points', value: f.leftLong, as: 'length' },
        { label: 'top, long points', value: f.topLong, as: 'length' },
        { label: 'right, long points', value: f.rightLong, as: 'length' },
        { label: 'bottom, long points', value: f.bottomLong, as: 'length' },
        { label: 'top left, cut', value: f.miterTL, as: 'angle' },
        { label: 'top right, cut', value: f.miterTR, as: 'angle' },
        { label: 'bottom left, cut', value: f.miterBL, as: 'angle' },
        { label: 'bottom right, cut', value: f.miterBR, as: 'angle' },
      ],
      working: [
        'The diagonal makes two triangles; their angles by the law of cosines give the four corners. Each cut is 90 less half of its corner.',
      ],
      thumbs: miterThumb(
        g,
        [
          ['top left', f.angleTL],
          ['top right', f.angleTR],
          ['bottom left', f.angleBL],
          ['bottom right', f.angleBR],
        ],
        c,
      ),
      drawings: [
        {
          title: 'from the room, to scale',
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
  name: 'stool and apron',
  question: 'What size is the stool, and where do I notch it?',
  fields: [
    { ...WIDTH, start: { in: '36', mm: '900' } },
    REVEAL,
    CASING,
    { key: 'horn', label: 'horn past the casing', kind: 'position', start: { in: '3/4', mm: '20' } },
    {
      key: 'jambDepth',
      label: 'from the sash to the wall’s face',
      kind: 'length',
      start: { in: '4 9/16', mm: '116' },
    },
    { key: 'casingT', label: 'thickness of the casing', kind: 'length', start: { in: '11/16', mm: '17' } },
    { key: 'nose', label: 'nose past the casing’s face', kind: 'position', start: { in: '3/4', mm: '20' } },
    { key: 'apronT', label: 'thickness of the apron', kind: 'position', start: { in: '11/16', mm: '17' } },
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
        { label: 'length', value: f.length, as: 'length', strong: true },
        { label: 'depth', value: f.depth, as: 'length', strong: true },
        { label: 'notch, along', value: f.notchLength, as: 'length', strong: true },
        { label: 'notch, deep', value: f.notchDepth, as: 'length', strong: true },
        { label: 'tongue between the notches', value: f.tongue, as: 'length' },
        { label: 'apron, face', value: f.apronFront, as: 'length' },
        { label: 'apron, back', value: f.apronBack, as: 'length' },
        { label: 'apron returns', value: f.apronReturnFront, as: 'length' },
      ],
      working: [
        `Outside of casing to outside of casing, ${g.len(f.apronFront)}, and a horn at each end. The casing decides the size though the stool goes in first.`,
      ],
      watch: ['Measure the depth of the notch left and right separately: walls are seldom of one thickness.'],
      drawings: [
        {
          title: 'the stool from above, to scale',
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
      sends: [{ to: 'opening', what: `width ${g.len(input.W)}`, change: { width: input.W } }],
    };
  },
};

const taper: Sheet = {
  key: 'taper',
  group: CASING_GROUP,
  name: 'tapered jamb',
  question: 'The extension jamb runs from deep to shallow. How do I rip it?',
  fields: [
    { key: 'd1', label: 'depth at one end', kind: 'position', start: { in: '5/8', mm: '16' } },
    { key: 'd2', label: 'depth at the other', kind: 'position', start: { in: '7/8', mm: '22' } },
    { key: 'L', label: 'its length', kind: 'length', start: { in: '60', mm: '1500' } },
    { key: 'x', label: 'width wanted at', kind: 'position', start: { in: '24', mm: '600' } },
  ],
  asks: (g) => [{ op: 'casing.taper', ...g.all('d1', 'd2', 'L', 'x') }],
  work: (g) => {
    const { d1, d2, L, x } = g.all('d1', 'd2', 'L', 'x');
    const f = trade.taperFigures(d1, d2, L, x);
    const k = L / 8 / Math.max(d1, d2, L / 400);
    return {
      outcomes: [
        { label: 'taper', value: f.angle, as: 'angle', strong: true },
        { label: `wide at ${g.len(x)}`, value: f.widthAt, as: 'length', strong: true },
        { label: 'ripped edge', value: f.cutEdge, as: 'length' },
      ],
      working: [`It gains ${g.len(d2 - d1)} over ${g.len(L)}: mark both ends, snap the line, rip to it.`],
      drawings: [
        {
          title: 'the jamb, width drawn larger',
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
