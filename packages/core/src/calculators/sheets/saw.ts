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

const GROUP = 'The saw won’t go there';
const REACH = 10;

/** The stock on the saw from above, turned by a wedge between it and the fence; a positive wedge is thick at the right. */
function wedged(setting: number, wedge: number, words: string): Drawing {
  const sign = wedge < 0 ? -1 : 1;
  const long = REACH * 0.8;
  const along = fromHeading(-wedge);
  const down = fromHeading(-wedge - 90);
  const pivot = scale(vec(-sign, 0), long);
  const board = (x: number, y: number) => add(pivot, add(scale(along, sign * x), scale(down, y)));
  return {
    title: 'the saw from above',
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
  { key: 'miterMax', label: 'the saw swings to', kind: 'angle', start: '50' },
  { key: 'bevelMax', label: 'it tilts to', kind: 'angle', start: '45' },
  { key: 'standHeight', label: 'it cuts standing up to', kind: 'length', start: { in: '4 3/4', mm: '120' } },
  { key: 'flatWidth', label: 'and lying flat up to', kind: 'length', start: { in: '12', mm: '305' } },
] as const;

const limit: Sheet = {
  key: 'saw-limit',
  group: GROUP,
  name: 'the saw stops short',
  question: 'The saw stops at 50°. How do I cut this corner?',
  fields: [
    { ...CORNER, start: '60' },
    { key: 'height', label: 'height of the trim', kind: 'length', start: { in: '3 1/4', mm: '80' } },
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
      stand: 'standing against the fence',
      flat: 'lying flat, with the bevel',
      wedge: 'standing, against a wedge block on the fence',
      none: 'not on this saw',
    };
    return {
      outcomes: [
        { label: 'cut it', value: words[plan.method], as: 'text', strong: true },
        ...(plan.method === 'none'
          ? []
          : [
              { label: 'swing', value: plan.miter, as: 'angle' as const, strong: true },
              { label: 'tilt', value: plan.bevel, as: 'angle' as const },
              { label: 'wedge block', value: plan.wedge, as: 'angle' as const, strong: plan.wedge > 0 },
              ...(plan.method === 'wedge'
                ? [{ label: 'or with a 45° block, swing', value: m - 45, as: 'angle' as const }]
                : []),
            ]),
      ],
      working: [
        `The corner wants ${deg(m)}. Standing needs a height up to ${g.len(caps.standHeight)} and a swing up to ${deg(caps.miterMax)}; lying flat a width up to ${g.len(caps.flatWidth)} and a tilt up to ${deg(caps.bevelMax)}.`,
        plan.method === 'wedge'
          ? `What is missing, ${deg(plan.wedge)}, goes into the block: ${deg(m)} − ${deg(caps.miterMax)}.`
          : plan.method === 'none'
            ? 'It is too tall to stand and too steep to lie: mark it and cut it by hand, or plane it to the line.'
            : 'No block is needed.',
      ],
      watch:
        plan.method === 'wedge' && plan.wedge > 0
          ? ['Clamp the block and the stock; a short piece is cut off a long one.']
          : [],
      drawings: [
        plan.method === 'flat'
          ? {
              title: 'the saw from the front, stock lying flat',
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
                label(vec(REACH * 0.2, REACH * 0.5), `tilt ${deg(plan.bevel)}`),
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
  name: 'with my block',
  question: 'I have a block of this angle. What do I set with it?',
  fields: [
    { key: 'wanted', label: 'wanted, + swing right', kind: 'signed', start: '60' },
    { key: 'wedge', label: 'block, + thick end at the right', kind: 'signed', start: '45' },
    { key: 'max', label: 'the saw swings to', kind: 'angle', start: '50' },
  ],
  asks: (g) => [{ op: 'saw.wedge', ...g.all('wanted', 'wedge') }],
  faults: (g) => [
    ...(Math.abs(g.n('wanted')) >= 90 ? [{ at: 'wanted', text: 'must be less than 90 either way' }] : []),
    ...(Math.abs(g.n('wedge')) > 90 ? [{ at: 'wedge', text: 'must be at most 90 either way' }] : []),
  ],
  work: (g) => {
    const { wanted, wedge: block, max } = g.all('wanted', 'wedge', 'max');
    const { setting } = trade.wedgeSetting(wanted, block);
    const least = trade.smallestWedge(Math.abs(wanted), max);
    const way = setting < 0 ? 'left' : setting > 0 ? 'right' : '';
    return {
      outcomes: [
        { label: `swing ${way}`.trim(), value: Math.abs(setting), as: 'angle', strong: true },
        { label: 'smallest block that would do', value: least.minWedge, as: 'angle' },
      ],
      working: [
        `Setting = wanted less block: ${deg(wanted)} − ${deg(block)} = ${deg(setting)}, + to the right.`,
      ],
      watch:
        Math.abs(setting) > max
          ? [
              `The saw stops at ${deg(max)}: this block does not do, take one of ${deg(least.minWedge)} or more.`,
            ]
          : [],
      drawings: [wedged(setting, block, `${deg(Math.abs(setting))} ${way}`.trim())],
    };
  },
};

export const PIECE = {
  key: 'piece',
  label: 'the piece on the',
  kind: 'choice' as const,
  start: 'left',
  options: [
    { value: 'left', label: 'left of the corner' },
    { value: 'right', label: 'right of the corner' },
  ],
};

interface SawSet {
  readonly miter: number;
  readonly bevel: number;
  readonly keep: 'left' | 'right';
}

/** A signed setting in words. */
export function settingOutcomes({ miter, bevel, keep }: SawSet): Outcome[] {
  const way = (angle: number, plus: string, minus: string): string =>
    angle === 0 ? 'straight' : `${deg(Math.abs(angle))} ${angle > 0 ? plus : minus}`;
  return [
    { label: 'swing', value: way(miter, 'to the right', 'to the left'), as: 'text', strong: true },
    { label: 'tilt', value: way(bevel, 'top to the left', 'top to the right'), as: 'text', strong: true },
    { label: 'keep', value: `the piece ${keep} of the blade`, as: 'text', strong: true },
  ];
}

/** The saw set so, from above, with the part that is kept. */
export const settingDrawing = ({ miter, keep }: SawSet): Drawing => ({
  title: 'the saw from above, you at the bottom',
  shapes: [
    ...sawStock(miter, keep, REACH * 0.25, REACH),
    ...sawTop(miter, REACH),
    label(vec(0, REACH * 0.2), 'fence'),
  ],
});

/** Trims that the question may be about, with a size to draw them in. */
const TRIMS = {
  base: { use: 'base', width: 5.25, thickness: 0.75 },
  crown: { use: 'crown', width: 3.625, thickness: 0.75 },
} as const;

const LIES: readonly { readonly value: Seat; readonly label: string }[] = [
  { value: 'stand', label: 'standing, back on the fence' },
  { value: 'standUpsideDown', label: 'standing, upside down' },
  { value: 'flatTopToFence', label: 'flat, top edge to the fence' },
  { value: 'flatBottomToFence', label: 'flat, bottom edge to the fence' },
];
const CROWN_LIES: typeof LIES = [
  { value: 'standUpsideDown', label: 'nested upside down, wall edge up the fence' },
  { value: 'flatTopToFence', label: 'flat, ceiling edge to the fence' },
  { value: 'flatBottomToFence', label: 'flat, wall edge to the fence' },
];

const swing: Sheet = {
  key: 'swing',
  group: GROUP,
  name: 'which way to swing',
  question: 'Which way do I swing, and which side do I keep?',
  fields: [
    {
      key: 'trim',
      label: 'the trim is',
      kind: 'choice',
      start: 'base',
      options: [
        { value: 'base', label: 'base, rail: back to the wall' },
        { value: 'crown', label: 'crown' },
      ],
    },
    { ...CORNER, start: '90' },
    PIECE,
    {
      key: 'setup',
      label: 'how it lies on the saw',
      kind: 'choice',
      start: 'stand',
      options: LIES,
      when: (choices) => choices['trim'] !== 'crown',
    },
    {
      key: 'crownSetup',
      label: 'how it lies on the saw',
      kind: 'choice',
      start: 'standUpsideDown',
      options: CROWN_LIES,
      when: (choices) => choices['trim'] === 'crown',
    },
    {
      key: 'spring',
      label: 'spring angle',
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
        { label: 'long edge', value: edgeNames(profile)[A < 180 ? 'near' : 'far'], as: 'text' },
      ],
      working: [
        `The ${piece} piece has its ${end} end cut. Inside corners leave the ${edgeNames(profile).near} long, outside corners the ${edgeNames(profile).far}.`,
      ],
      drawings: [
        ...(seen ? [{ ...seen, title: 'on the saw, seen from where you stand' }] : []),
        endSolidDrawing(profile, normal, 'the end as it hangs, from the room'),
      ],
    };
  },
};

export const saws: readonly Sheet[] = [limit, wedge, swing];
