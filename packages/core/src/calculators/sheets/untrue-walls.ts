import { message } from '../../messages/index.ts';
import { cosDeg, sinDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, arc, area, label, line, size } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER, CORNER_GROUP, fitInWords, THICK } from './corners.ts';
import { deg, type Sheet } from './sheet.ts';
import { along, angleMark, cornerFrame, cornerWalls } from '../pictures/shapes.ts';

/** Corners whose walls are not true: hollow or humped, leaning, curved. */

const hollow: Sheet = {
  key: 'hollow',
  group: CORNER_GROUP,
  name: message('calc-untrue-walls.bevel-on-a-hollow'),
  question: message('calc-untrue-walls.the-bevel-rocks-on-a-hollow'),
  fields: [
    CORNER,
    {
      key: 'kind',
      label: message('calc-untrue-walls.the-wall-under-its-leg'),
      kind: 'choice',
      start: 'hollow',
      options: [
        { value: 'hollow', label: message('calc-untrue-walls.hollow') },
        { value: 'proud', label: message('calc-untrue-walls.hump') },
      ],
    },
    {
      key: 'd',
      label: message('calc-untrue-walls.deep-or-high'),
      kind: 'position',
      start: { in: '1/16', mm: '1.5' },
    },
    {
      key: 'l',
      label: message('calc-untrue-walls.at-this-distance-from-the-corner'),
      kind: 'length',
      start: { in: '6', mm: '150' },
    },
    THICK,
  ],
  asks: (g) => [{ op: 'fit.bevelShift', ...g.all('A', 'd', 'l'), kind: g.c('kind') }],
  work: (g) => {
    const { A, d, l, t } = g.all('A', 'd', 'l', 't');
    const kind = g.c('kind') as 'hollow' | 'proud';
    const { shift, reading: read } = trade.bevelShift(A, d, l, kind);
    const cut = Math.abs(180 - read) / 2;
    const frame = cornerFrame(A);
    const dip = kind === 'hollow' ? -d : d;
    return {
      outcomes: [
        { label: message('calc-untrue-walls.the-bevel-reads'), value: read, as: 'angle', strong: true },
        { label: message('calc-untrue-walls.out-by'), value: shift, as: 'angle' },
        { label: message('calc-untrue-walls.cut-by-that-reading'), value: cut, as: 'angle' },
      ],
      working: [
        message('calc-untrue-walls.in-tilts-the-leg-by', {
          d: g.len(d),
          l: g.len(l),
          shift: deg(Math.abs(shift)),
        }),
        message('calc-untrue-walls.lay-a-straightedge-across-the-high'),
      ],
      thumbs: [
        {
          rule: message('calc-untrue-walls.cut-what-the-bevel-says'),
          says: deg(cut),
          exact: deg(Math.abs(180 - A) / 2),
          error: message('calc-untrue-walls.where-the-trim-bridges-it', { fitIn: fitInWords(g, A, t, cut) }),
        },
      ],
      drawings: [
        {
          title: message('calc-untrue-walls.the-corner-from-above'),
          shapes: [
            ...cornerWalls(A, l * 1.6, l * 0.12),
            area(
              kind === 'hollow' ? 'gap' : 'wall',
              along(frame.left, frame.leftOut, l * 0.6, 0),
              along(frame.left, frame.leftOut, l, dip),
              along(frame.left, frame.leftOut, l * 1.4, 0),
            ),
            line('line', vec(0, 0), along(frame.left, frame.leftOut, l * 1.5, dip * 1.5)),
            line('line', vec(0, 0), scale(frame.right, l * 1.5)),
            ...angleMark(A, l * 0.4, message('calc-untrue-walls.reads', { read: deg(read) })),
          ],
        },
      ],
    };
  },
};

const lean: Sheet = {
  key: 'lean',
  group: CORNER_GROUP,
  name: message('calc-untrue-walls.leaning-walls'),
  question: message('calc-untrue-walls.the-walls-lean-why-does-the'),
  fields: [
    { ...CORNER, start: '90' },
    {
      key: 'tilt',
      label: message('calc-untrue-walls.off-plumb-with-the-top-into'),
      kind: 'signed',
      start: '1',
    },
    {
      key: 'h',
      label: message('calc-untrue-walls.height-of-the-trim'),
      kind: 'length',
      start: { in: '5 1/4', mm: '140' },
    },
  ],
  asks: (g) => [{ op: 'flat.lean', ...g.all('A', 'tilt', 'h') }],
  work: (g) => {
    const { A, tilt, h } = g.all('A', 'tilt', 'h');
    const figures = trade.leaningMiter(A, tilt, h);
    const shift = figures.topShorten;
    const w = h * 1.4;
    return {
      outcomes: [
        {
          label: message('calc-untrue-walls.miter'),
          value: Math.abs(figures.miter),
          as: 'angle',
          strong: true,
        },
        {
          label: message('calc-untrue-walls.bevel-with-it'),
          value: Math.abs(figures.bevel),
          as: 'angle',
          strong: true,
        },
        {
          label: message('calc-untrue-walls.top-edge-by', {
            choice: shift < 0 ? message('calc-untrue-walls.longer') : message('calc-untrue-walls.shorter'),
          }),
          value: Math.abs(shift),
          as: 'gap',
        },
      ],
      working: [
        message('calc-untrue-walls.standing-with-its-back-tight-to'),
        message('calc-untrue-walls.the-sine-of-the-bevel-is'),
      ],
      thumbs: [
        {
          rule: message('calc-untrue-walls.cut-it-plumb'),
          says: message('calc-untrue-walls.no-bevel', { value: deg(Math.abs(180 - A) / 2) }),
          exact: message('calc-untrue-walls.with-of-bevel', {
            miter: deg(Math.abs(figures.miter)),
            bevel: deg(Math.abs(figures.bevel)),
          }),
          error:
            shift > 0
              ? message('calc-untrue-walls.the-tops-meet-first-each-too', { shift: g.gap(shift) })
              : message('calc-untrue-walls.the-floor-meets-first-each-top', { shift: g.gap(shift) }),
        },
      ].filter(() => tilt !== 0),
      drawings: [
        {
          title: message('calc-untrue-walls.one-end-seen-square-to-its'),
          shapes: [
            area('wood', vec(-w, 0), vec(0, 0), vec(-shift, h), vec(-w, h)),
            ...(shift > 0 ? [area('gap', vec(0, 0), vec(0, h), vec(-shift, h))] : []),
            line('guide', vec(0, 0), vec(0, h * 1.08)),
            size(vec(-w, 0), vec(-w, h), g.len(h)),
          ],
        },
      ],
      sends: [
        { to: 'corner-lean', what: message('calc-untrue-walls.a-lean-of', { tilt: deg(tilt) }), lean: tilt },
      ],
    };
  },
};

const curve: Sheet = {
  key: 'curve',
  group: CORNER_GROUP,
  name: message('calc-untrue-walls.curved-wall'),
  question: message('calc-untrue-walls.the-wall-is-curved-how-many'),
  fields: [
    {
      key: 'kind',
      label: message('calc-untrue-walls.the-wall'),
      kind: 'choice',
      start: 'hollow',
      options: [
        { value: 'hollow', label: message('calc-untrue-walls.curves-round-you') },
        { value: 'bulge', label: message('calc-untrue-walls.bulges-into-the-room') },
      ],
    },
    {
      key: 'R',
      label: message('calc-untrue-walls.radius-of-the-wall'),
      kind: 'length',
      start: { in: '60', mm: '1500' },
    },
    { key: 'turn', label: message('calc-untrue-walls.it-turns-through'), kind: 'angle', start: '90' },
    { key: 'N', label: message('calc-untrue-walls.straight-pieces'), kind: 'count', start: '6' },
  ],
  asks: (g) => [{ op: 'bullnose.pieces', R: g.n('R'), turn: g.n('turn'), N: g.n('N'), t: 0 }],
  faults: (g) => (g.n('N') < 1 ? [{ at: 'N', text: message('calc-untrue-walls.must-be-at-least-1') }] : []),
  work: (g) => {
    const { R, turn, N: n } = g.all('R', 'turn', 'N');
    const kind = g.c('kind') as 'hollow' | 'bulge';
    const { cut, back, off } = trade.curvedWall(R, turn, n, kind);
    const up = 90 + turn / 2;
    const radius = kind === 'hollow' ? R : R / cosDeg(cut);
    const corners = Array.from({ length: n + 1 }, (_, i) => scale(fromHeading(up - (turn * i) / n), radius));
    return {
      outcomes: [
        { label: message('calc-untrue-walls.cut-between-the-pieces'), value: cut, as: 'angle', strong: true },
        { label: message('calc-untrue-walls.each-piece-back'), value: back, as: 'length', strong: true },
        { label: message('calc-untrue-walls.cut-against-the-straight-walls'), value: cut / 2, as: 'angle' },
        { label: message('calc-untrue-walls.hollow-behind-each'), value: off, as: 'gap' },
      ],
      working: [
        message('calc-untrue-walls.shared-by-pieces-turns-at-each', {
          turn: deg(turn),
          n,
          turn2: deg(turn / n),
        }),
        kind === 'hollow'
          ? message('calc-untrue-walls.each-back-is-a-chord-2')
          : message('calc-untrue-walls.each-back-touches-the-wall-at'),
      ],
      drawings: [
        {
          title: message('calc-untrue-walls.from-above'),
          shapes: [
            line('line', ...arc(vec(0, 0), R, up - turn, up)),
            line('guide', ...corners),
            ...corners.slice(1).map((p, i) => {
              const q = corners[i]!;
              const out = scale(fromHeading(up - (turn * (i + 0.5)) / n), R * 0.03);
              const into = kind === 'hollow' ? scale(out, -1) : out;
              return area('wood', q, p, add(p, into), add(q, into));
            }),
            label(vec(0, R * (sinDeg(up) * 0.55)), message('calc-untrue-walls.each', { back: g.len(back) })),
          ],
        },
      ],
    };
  },
};

export const untrueWalls: readonly Sheet[] = [hollow, lean, curve];
