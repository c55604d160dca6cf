import { message, type Words, wordOf } from '../../messages/index.ts';
import { sinDeg, cosDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, area, label, type Drawing } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER } from './corners.ts';
import type { Profile } from '../../job/index.ts';
import { cutIn, edgeNames, endNormal, seatSpring, type Seat } from '../../saw/index.ts';
import { cutDrawing, endSolidDrawing } from '../../drawings/index.ts';
import { deg, type Outcome, type Sheet } from './sheet.ts';
import { sizedBox, sawStock, sawTop } from '../pictures/shapes.ts';

/** "The saw stops at 50." */

const GROUP = message('calc-saw.the-saw-won-t-go-there');
const REACH = 10;

/** The stock on the saw from above, turned by a wedge between it and the fence; a positive wedge is thick at the right. */
function wedged(setting: number, wedge: number, words: Words): Drawing {
  const sign = wedge < 0 ? -1 : 1;
  const long = REACH * 0.8;
  const along = fromHeading(-wedge);
  const down = fromHeading(-wedge - 90);
  const pivot = scale(vec(-sign, 0), long);
  const board = (x: number, y: number) => add(pivot, add(scale(along, sign * x), scale(down, y)));
  return {
    title: message('calc-saw.the-saw-from-above'),
    shapes: [
      ...sawTop(setting, REACH),
      ...(wedge === 0
        ? []
        : [area('ghost', pivot, vec(sign * long * 0.2, 0), board(long * 1.2 * cosDeg(Math.abs(wedge)), 0))]),
      area(
        'wood',
        board(0, 0),
        board(long * 1.5, 0),
        board(long * 1.5, REACH * 0.13),
        board(0, REACH * 0.13),
      ),
      label(vec(REACH * 0.55 * sinDeg(setting) + REACH * 0.1, -REACH * 0.8), words),
    ],
  };
}

const CAPS = [
  { key: 'miterMax', label: message('calc-saw.the-saw-swings-to'), kind: 'angle', start: '50' },
  { key: 'bevelMax', label: message('calc-saw.it-tilts-to'), kind: 'angle', start: '45' },
  {
    key: 'standHeight',
    label: message('calc-saw.it-cuts-standing-up-to'),
    kind: 'length',
    start: { in: '4 3/4', mm: '120' },
  },
  {
    key: 'flatWidth',
    label: message('calc-saw.and-lying-flat-up-to'),
    kind: 'length',
    start: { in: '12', mm: '305' },
  },
] as const;

const limit: Sheet = {
  key: 'saw-limit',
  group: GROUP,
  name: message('calc-saw.the-saw-stops-short'),
  question: message('calc-saw.the-saw-stops-at-50-deg'),
  fields: [
    { ...CORNER, start: '60' },
    {
      key: 'height',
      label: message('calc-saw.height-of-the-trim'),
      kind: 'length',
      start: { in: '3 1/4', mm: '80' },
    },
    ...CAPS,
  ],
  asks: (g) => [
    {
      op: 'saw.plan',
      ...g.all('A', 'height'),
      caps: g.all('miterMax', 'bevelMax', 'standHeight', 'flatWidth'),
    },
  ],
  work: (g) => {
    const { A, height } = g.all('A', 'height');
    const caps = g.all('miterMax', 'bevelMax', 'standHeight', 'flatWidth');
    const plan = trade.planCut(A, height, caps);
    const m = Math.abs(180 - A) / 2;
    const words = {
      stand: message('calc-saw.standing-against-the-fence'),
      flat: message('calc-saw.lying-flat-with-the-bevel'),
      wedge: message('calc-saw.standing-against-a-wedge-block-on'),
      none: message('calc-saw.not-on-this-saw'),
    };
    return {
      outcomes: [
        { label: message('calc-saw.cut-it'), value: words[plan.method], as: 'text', strong: true },
        ...(plan.method === 'none'
          ? []
          : [
              { label: message('calc-saw.swing'), value: plan.miter, as: 'angle' as const, strong: true },
              { label: message('calc-saw.tilt'), value: plan.bevel, as: 'angle' as const },
              {
                label: message('calc-saw.wedge-block'),
                value: plan.wedge,
                as: 'angle' as const,
                strong: plan.wedge > 0,
              },
              ...(plan.method === 'wedge'
                ? [{ label: message('calc-saw.or-with-a-45-deg-block'), value: m - 45, as: 'angle' as const }]
                : []),
            ]),
      ],
      working: [
        message('calc-saw.the-corner-wants-standing-needs-a', {
          m: deg(m),
          standHeight: g.len(caps.standHeight),
          miterMax: deg(caps.miterMax),
          flatWidth: g.len(caps.flatWidth),
          bevelMax: deg(caps.bevelMax),
        }),
        plan.method === 'wedge'
          ? message('calc-saw.what-is-missing-goes-into-the', {
              wedge: deg(plan.wedge),
              m: deg(m),
              miterMax: deg(caps.miterMax),
            })
          : plan.method === 'none'
            ? message('calc-saw.it-is-too-tall-to-stand')
            : message('calc-saw.no-block-is-needed'),
      ],
      watch:
        plan.method === 'wedge' && plan.wedge > 0 ? [message('calc-saw.clamp-the-block-and-the-stock')] : [],
      drawings: [
        plan.method === 'flat'
          ? {
              title: message('calc-saw.the-saw-from-the-front-stock'),
              shapes: [
                sizedBox('fence', -REACH, -REACH * 0.08, 2 * REACH, REACH * 0.08),
                sizedBox('wood', -REACH * 0.9, 0, REACH * 1.8, REACH * 0.16),
                area(
                  'gap',
                  vec(0, 0),
                  vec(0.05 * REACH, 0),
                  vec(0.05 * REACH - sinDeg(plan.bevel) * REACH * 0.7, cosDeg(plan.bevel) * REACH * 0.7),
                  vec(-sinDeg(plan.bevel) * REACH * 0.7, cosDeg(plan.bevel) * REACH * 0.7),
                ),
                label(vec(REACH * 0.2, REACH * 0.5), message('calc-saw.tilt-2', { bevel: deg(plan.bevel) })),
              ],
            }
          : wedged(plan.miter, plan.wedge, deg(plan.miter)),
      ],
    };
  },
};

const wedge: Sheet = {
  key: 'wedge',
  group: GROUP,
  name: message('calc-saw.with-my-block'),
  question: message('calc-saw.i-have-a-block-of-this'),
  fields: [
    { key: 'wanted', label: message('calc-saw.wanted-swing-right'), kind: 'signed', start: '60' },
    { key: 'wedge', label: message('calc-saw.block-thick-end-at-the-right'), kind: 'signed', start: '45' },
    { key: 'max', label: message('calc-saw.the-saw-swings-to'), kind: 'angle', start: '50' },
  ],
  asks: (g) => [{ op: 'saw.wedge', ...g.all('wanted', 'wedge') }],
  faults: (g) => [
    ...(Math.abs(g.n('wanted')) >= 90
      ? [{ at: 'wanted', text: message('calc-saw.must-be-less-than-90-either') }]
      : []),
    ...(Math.abs(g.n('wedge')) > 90
      ? [{ at: 'wedge', text: message('calc-saw.must-be-at-most-90-either') }]
      : []),
  ],
  work: (g) => {
    const { wanted, wedge: block, max } = g.all('wanted', 'wedge', 'max');
    const { setting } = trade.wedgeSetting(wanted, block);
    const least = trade.smallestWedge(Math.abs(wanted), max);
    const way = setting < 0 ? 'left' : 'right';
    return {
      outcomes: [
        {
          label:
            setting === 0 ? message('calc-saw.swing') : message('calc-saw.swing-2', { way: wordOf(way) }),
          value: Math.abs(setting),
          as: 'angle',
          strong: true,
        },
        { label: message('calc-saw.smallest-block-that-would-do'), value: least.minWedge, as: 'angle' },
      ],
      working: [
        message('calc-saw.setting-wanted-less-block-to-the', {
          wanted: deg(wanted),
          block: deg(block),
          setting: deg(setting),
        }),
      ],
      watch:
        Math.abs(setting) > max
          ? [
              message('calc-saw.the-saw-stops-at-this-block', {
                max: deg(max),
                minWedge: deg(least.minWedge),
              }),
            ]
          : [],
      drawings: [
        wedged(
          setting,
          block,
          setting === 0
            ? deg(0)
            : message('calc-saw.joined', { setting: deg(Math.abs(setting)), way: wordOf(way) }),
        ),
      ],
    };
  },
};

export const PIECE = {
  key: 'piece',
  label: message('calc-saw.the-piece-on-the'),
  kind: 'choice' as const,
  start: 'left',
  options: [
    { value: 'left', label: message('calc-saw.left-of-the-corner') },
    { value: 'right', label: message('calc-saw.right-of-the-corner') },
  ],
};

interface SawSet {
  readonly miter: number;
  readonly bevel: number;
  readonly keep: 'left' | 'right';
}

/** A signed setting in words. */
export function settingOutcomes({ miter, bevel, keep }: SawSet): Outcome[] {
  const way = (angle: number, plus: Words, minus: Words): Words =>
    angle === 0
      ? message('calc-saw.straight')
      : message('calc-saw.joined-2', { angle: deg(Math.abs(angle)), choice: angle > 0 ? plus : minus });
  return [
    {
      label: message('calc-saw.swing'),
      value: way(miter, message('calc-saw.to-the-right'), message('calc-saw.to-the-left')),
      as: 'text',
      strong: true,
    },
    {
      label: message('calc-saw.tilt'),
      value: way(bevel, message('calc-saw.top-to-the-left'), message('calc-saw.top-to-the-right')),
      as: 'text',
      strong: true,
    },
    {
      label: message('calc-saw.keep'),
      value: message('calc-saw.the-piece-of-the-blade', { keep: wordOf(keep) }),
      as: 'text',
      strong: true,
    },
  ];
}

/** The saw set so, from above, with the part that is kept. */
export const settingDrawing = ({ miter, keep }: SawSet): Drawing => ({
  title: message('calc-saw.the-saw-from-above-you-at'),
  shapes: [
    ...sawStock(miter, keep, REACH * 0.25, REACH),
    ...sawTop(miter, REACH),
    label(vec(0, REACH * 0.2), message('draw.fence')),
  ],
});

/** Trims that the question may be about, with a size to draw them in. */
const TRIMS = {
  base: { use: 'base', width: 5.25, thickness: 0.75 },
  crown: { use: 'crown', width: 3.625, thickness: 0.75 },
} as const;

const LIES: readonly { readonly value: Seat; readonly label: Words }[] = [
  { value: 'stand', label: message('calc-saw.standing-back-on-the-fence') },
  { value: 'standUpsideDown', label: message('calc-saw.standing-upside-down') },
  { value: 'flatTopToFence', label: message('calc-saw.flat-top-edge-to-the-fence') },
  { value: 'flatBottomToFence', label: message('calc-saw.flat-bottom-edge-to-the-fence') },
];
const CROWN_LIES: typeof LIES = [
  { value: 'standUpsideDown', label: message('calc-saw.nested-upside-down-wall-edge-up') },
  { value: 'flatTopToFence', label: message('calc-saw.flat-ceiling-edge-to-the-fence') },
  { value: 'flatBottomToFence', label: message('calc-saw.flat-wall-edge-to-the-fence') },
];

const swing: Sheet = {
  key: 'swing',
  group: GROUP,
  name: message('calc-saw.which-way-to-swing'),
  question: message('calc-saw.which-way-do-i-swing-and'),
  fields: [
    {
      key: 'trim',
      label: message('calc-saw.the-trim-is'),
      kind: 'choice',
      start: 'base',
      options: [
        { value: 'base', label: message('calc-saw.base-rail-back-to-the-wall') },
        { value: 'crown', label: message('calc-saw.crown') },
      ],
    },
    { ...CORNER, start: '90' },
    PIECE,
    {
      key: 'setup',
      label: message('calc-saw.how-it-lies-on-the-saw'),
      kind: 'choice',
      start: 'stand',
      options: LIES,
      when: (choices) => choices['trim'] !== 'crown',
    },
    {
      key: 'crownSetup',
      label: message('calc-saw.how-it-lies-on-the-saw'),
      kind: 'choice',
      start: 'standUpsideDown',
      options: CROWN_LIES,
      when: (choices) => choices['trim'] === 'crown',
    },
    {
      key: 'spring',
      label: message('calc-saw.spring-angle'),
      kind: 'angle',
      start: '38',
      when: (choices) => choices['trim'] === 'crown',
    },
  ],
  asks: (g) =>
    g.c('trim') === 'crown'
      ? []
      : [{ op: 'flat.saw', A: g.n('A'), piece: g.c('piece'), setup: g.c('setup') }],
  work: (g) => {
    const A = g.n('A');
    const piece = g.c('piece') as 'left' | 'right';
    const crown = g.c('trim') === 'crown';
    const profile: Profile = {
      id: 'bench',
      name: '',
      material: 'softwood',
      finish: 'paint',
      ...TRIMS[crown ? 'crown' : 'base'],
      ...(crown ? { springAngle: g.n('spring') } : {}),
    };
    const seat = g.c(crown ? 'crownSetup' : 'setup') as Seat;
    const end = piece === 'left' ? 'right' : 'left';
    const normal = endNormal(profile, end, (180 - A) / 2);
    const cut = cutIn(seat, normal, seatSpring(profile));
    const signed = {
      miter: cut.swing === 'left' ? -cut.miter : cut.miter,
      bevel: cut.tilt === 'right' ? -cut.bevel : cut.bevel,
      keep: cut.keep,
    };
    const setting = { ...cut, way: 'standing', seat, dial: cut.miter, dialBevel: cut.bevel } as const;
    const mark = { length: 0, text: '', from: '', edge: '', line: 'near' } as const;
    const seen = cutDrawing({ profile, end, saw: setting, mark }, profile.thickness / 6, 'operator');
    return {
      outcomes: [
        ...settingOutcomes(signed),
        {
          label: message('calc-saw.long-edge'),
          value: edgeNames(profile)[A < 180 ? 'near' : 'far'],
          as: 'text',
        },
      ],
      working: [
        message('calc-saw.the-piece-has-its-end-cut', {
          piece: wordOf(piece),
          end: wordOf(end),
          near: edgeNames(profile).near,
          far: edgeNames(profile).far,
        }),
      ],
      drawings: [
        ...(seen ? [{ ...seen, title: message('calc-saw.on-the-saw-seen-from-where') }] : []),
        endSolidDrawing(profile, normal, message('calc-saw.the-end-as-it-hangs-from')),
      ],
    };
  },
};

export const saws: readonly Sheet[] = [limit, wedge, swing];
