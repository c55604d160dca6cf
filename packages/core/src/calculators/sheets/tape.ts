import { message } from '../../messages/index.ts';
import { vec, label, line, type Shape } from '../../geometry/index.ts';
import { optimise, type CutProblem } from '@long-miter/optimiser';
import { convertLength, formatLength, type Unit } from '../../measure/index.ts';
import * as trade from '../../trade/index.ts';
import { type Given, type Sheet } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "What does the tape say?", "how much do I buy?" */

const GROUP = message('calc-tape.tape-and-sticks');

const tape: Sheet = {
  key: 'tape',
  group: GROUP,
  name: message('calc-tape.tape-and-fractions'),
  question: message('calc-tape.i-measured-from-the-10-mark'),
  fields: [
    {
      key: 'reading',
      label: message('calc-tape.the-tape-reads'),
      kind: 'length',
      start: { in: '152 3/8', mm: '3717' },
    },
    {
      key: 'mark',
      label: message('calc-tape.held-at-the-mark'),
      kind: 'position',
      start: { in: '10', mm: '100' },
    },
    {
      key: 'den',
      label: message('calc-tape.fractions-to'),
      kind: 'choice',
      start: '16',
      options: ['8', '16', '32', '64'].map((value) => ({ value, label: `1/${value}` })),
    },
  ],
  asks: (g) => [{ op: 'tape.burn', ...g.all('reading', 'mark') }],
  faults: (g) =>
    g.n('reading') <= g.n('mark')
      ? [
          {
            at: 'reading',
            text: message('calc-tape.must-be-more-than-the-mark', { value: g.len(g.n('mark')) }),
          },
        ]
      : [],
  work: (g) => {
    const { reading, mark } = g.all('reading', 'mark');
    const { true: exact } = trade.burnedTape(reading, mark);
    const inches = convertLength(exact, g.unit, 'in');
    const f = trade.tapeFraction(inches, Number(g.c('den')));
    const mm = trade.tapeMm(exact, g.unit);
    const feet = Math.floor(inches / 12 + 1e-9);
    const rest = formatLength(inches - 12 * feet, 'in');
    return {
      outcomes: [
        { label: message('calc-tape.true-length'), value: exact, as: 'length', strong: true },
        {
          label: message('calc-tape.in-inches'),
          value: message('calc-tape.in', { text: f.text }),
          as: 'text',
          strong: true,
        },
        {
          label: message('calc-tape.in-feet'),
          value: message('calc-tape.ft-in', { feet, rest }),
          as: 'text',
        },
        {
          label: message('calc-tape.in-millimeters'),
          value: message('calc-tape.mm', { mm: mm.mm }),
          as: 'text',
          strong: true,
        },
        {
          label: message('calc-tape.left-over-the-fraction'),
          value: message('calc-tape.in-2', {
            choice: f.remainder < 0 ? '−' : '+',
            remainder: Math.abs(f.remainder).toFixed(4),
          }),
          as: 'text',
        },
        {
          label: message('calc-tape.exactly'),
          value: message('calc-tape.in-3', { inches: Number(inches.toFixed(5)) }),
          as: 'text',
        },
      ],
      working: [message('calc-tape.less-the-mark-1-in-is', { reading: g.len(reading), mark: g.len(mark) })],
      drawings: [
        {
          title: message(
            g.unit === 'in' ? 'calc-tape.the-nearest-mark-inch' : 'calc-tape.the-nearest-mark-cm',
          ),
          shapes: tapeShapes(exact, g.unit),
        },
      ],
    };
  },
};

/** A stretch of tape round a length: an inch in sixteenths, or a centimetre in millimetres. */
function tapeShapes(value: number, unit: Unit): Shape[] {
  const span = unit === 'in' ? 1 : 10;
  const parts = unit === 'in' ? 16 : 10;
  const start = Math.floor(value / span) * span;
  const x = (at: number): number => (at - start) / span;
  const heights = unit === 'in' ? [0.5, 0.16, 0.22, 0.16, 0.3] : [0.45, 0.2];
  const tall = (i: number): number =>
    unit === 'in'
      ? i % 16 === 0
        ? heights[0]!
        : i % 8 === 0
          ? 0.36
          : i % 4 === 0
            ? heights[4]!
            : i % 2 === 0
              ? heights[2]!
              : heights[1]!
      : i % 10 === 0
        ? heights[0]!
        : i % 5 === 0
          ? 0.32
          : heights[1]!;
  const shapes: Shape[] = [sizedBox('ghost', -0.12, -0.5, 1.24, 0.5)];
  for (let i = 0; i <= parts; i++) shapes.push(line('line', vec(i / parts, 0), vec(i / parts, -tall(i))));
  shapes.push(
    line('line', vec(x(value), 0.02), vec(x(value), 0.25)),
    label(vec(x(value), 0.34), formatLength(value, unit)),
    label(vec(0, -0.44), ` ${start}`),
    label(vec(1, -0.44), ` ${start + span}`),
  );
  return shapes;
}

/** The plan is shown here only: nobody reads its name. */
const PROBLEM = 'bench';

/** The cheapest plan where every stick costs the same: the one with the fewest sticks. Lengths in the sheet's unit. */
function shareOut(g: Given): readonly (readonly { readonly at: number; readonly length: number }[])[] {
  const lengths = g.list('lengths');
  const units = g.unit === 'in' ? 64 : 10;
  const problem: CutProblem = {
    name: PROBLEM,
    depth: 0,
    kerf: g.n('kerf') * units,
    endTrim: 0,
    minOffcut: 0,
    sticks: [
      {
        id: 'stick',
        length: Math.floor(g.n('stick') * units + 1e-6),
        price: 1,
        count: undefined,
        rack: false,
      },
    ],
    blanks: lengths.map((length, i) => ({ id: String(i), near: length * units, left: 0, right: 0, qty: 1 })),
    walls: [],
  };
  const solved = optimise(problem, undefined, { seconds: 1, clock: () => 0 });
  if (!solved.ok) return [];
  return solved.value.sticks.map((stick) =>
    stick.placed.map((one) => ({ at: one.start / units, length: lengths[Number(one.id)]! })),
  );
}

const buy: Sheet = {
  key: 'sticks',
  group: GROUP,
  name: message('calc-tape.sticks-to-buy'),
  question: message('calc-tape.how-many-sticks-is-that-with'),
  fields: [
    {
      key: 'lengths',
      label: message('calc-tape.the-pieces'),
      kind: 'lengths',
      start: { in: '3 x 74, 2 x 61 1/2, 52, 38, 2 x 33', mm: '3 x 1880, 2 x 1560, 1320, 965, 2 x 840' },
    },
    { key: 'stick', label: message('calc-tape.a-stick'), kind: 'length', start: { in: '144', mm: '3600' } },
    {
      key: 'kerf',
      label: message('calc-tape.the-saw-takes'),
      kind: 'position',
      start: { in: '1/8', mm: '3' },
    },
    { key: 'over', label: message('calc-tape.by-rule-so-much-over'), kind: 'count', start: '10' },
  ],
  faults: (g) => {
    const long = g.list('lengths').find((length) => length > g.n('stick'));
    return long === undefined
      ? []
      : [{ at: 'lengths', text: message('calc-tape.is-longer-than-a-stick-splice', { long: g.len(long) }) }];
  },
  work: (g) => {
    const { stick, kerf, over } = g.all('stick', 'kerf', 'over');
    const lengths = g.list('lengths');
    const sum = lengths.reduce((all, one) => all + one, 0);
    const rule = Math.ceil((sum * (1 + over / 100)) / stick - 1e-9);
    const sticks = shareOut(g);
    const exact = sticks.length;
    const bound = Math.ceil(sum / stick - 1e-9);
    return {
      outcomes: [
        { label: message('calc-tape.fewest-sticks-that-do'), value: String(exact), as: 'text', strong: true },
        { label: message('calc-tape.left-over'), value: exact * stick - sum, as: 'length' },
        { label: message('calc-tape.the-pieces-together'), value: sum, as: 'length' },
        { label: message('calc-tape.no-plan-can-do-with-fewer'), value: String(bound), as: 'text' },
      ],
      working: [
        message('calc-tape.every-way-of-sharing-the-pieces', { length: lengths.length, kerf: g.len(kerf) }),
      ],
      thumbs: [
        {
          rule: message('calc-tape.over', { over }),
          says: message('calc-tape.sticks', { rule }),
          exact: message('calc-tape.sticks-2', { exact }),
          error:
            rule < exact
              ? message('calc-tape.short-the-pieces-do-not-share', { exact: exact - rule })
              : rule > exact
                ? message('calc-tape.too-many-bought', { rule: rule - exact })
                : message('calc-tape.none-this-time'),
        },
      ],
      drawings: [
        {
          title: message('calc-tape.the-sticks-to-scale'),
          shapes: stickShapes(g, sticks, stick),
        },
      ],
    };
  },
};

function stickShapes(g: Given, sticks: ReturnType<typeof shareOut>, stick: number): Shape[] {
  const row = stick / 14;
  return sticks.flatMap((pieces, i) => [
    sizedBox('ghost', 0, -i * row * 1.3, stick, row),
    ...pieces.flatMap(({ at, length }) => [
      sizedBox('wood', at, -i * row * 1.3, length, row),
      label(vec(at + length / 2, -i * row * 1.3 + row * 0.5), g.len(length)),
    ]),
  ]);
}

export const tapes: readonly Sheet[] = [tape, buy];
