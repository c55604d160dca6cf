import { checkLogFile, type LogEvent, type LogFile } from '../../src/index.ts';

/** Two invented days at the saw, written down as their logs. Figures of the worked states stand in the tests. */

const at = (time: string): string => `2026-03-02T${time}:00Z`;

type Loose = Record<string, unknown>;
const end = (angle = 0, depth = 0.625): Loose => ({
  joint: angle === 0 ? 'square' : 'miter',
  angle,
  reach: angle === 0 ? 0 : -depth * Math.tan((angle * Math.PI) / 180),
});
const piece = (id: string, profile: string, near: number, more: Loose = {}): Loose => ({
  id,
  label: id,
  room: 'r',
  trim: profile,
  profile,
  role: 'wall',
  near,
  allowance: 0,
  left: end(),
  right: end(),
  order: 1,
  reason: [],
  ...more,
});
const stick = (id: string, profile: string, length: number, cuts: readonly [string, number][]): Loose => ({
  id,
  profile,
  source: 'buy',
  length,
  price: 10,
  cuts: cuts.map(([one, start]) => ({ piece: one, start })),
  leftover: 0,
});

const job = (extra: Loose = {}): Loose => ({
  format: 'longmiter-job',
  version: 2,
  name: 'Workshop',
  unit: 'in',
  houseRules: { endTrim: 0, cutMargin: 0 },
  saws: [
    {
      id: 'saw',
      maxMiterLeft: 50,
      maxMiterRight: 50,
      maxBevelLeft: 45,
      maxBevelRight: 45,
      standingHeight: 6,
      flatWidth: 12,
      kerf: 0.125,
    },
  ],
  saw: 'saw',
  profiles: [
    {
      id: 'base',
      name: 'Base',
      use: 'base',
      width: 5.25,
      thickness: 0.625,
      material: 'mdf',
      finish: 'paint',
    },
    {
      id: 'casing',
      name: 'Casing',
      use: 'casing',
      width: 2.5,
      thickness: 0.75,
      material: 'mdf',
      finish: 'paint',
    },
  ],
  stock: [
    { id: 's144', profile: 'base', length: 144, price: 10 },
    { id: 's204', profile: 'casing', length: 204, price: 14 },
  ],
  rooms: [],
  ...extra,
});

/** Base pieces of the first day; a wall that was read again has other figures. */
const dayPieces = (three: number, five: number): Loose[] => {
  const leg = { depth: 2.5 };
  return [
    piece('p1', 'base', 92.25),
    piece('p2', 'base', 48),
    piece('p3', 'base', three),
    piece('p4', 'base', 70),
    piece('p5', 'base', five),
    piece('p6', 'base', 30),
    // Left leg: its top is its right end; right leg: its top is its left end. The inner edge is near.
    piece('p7', 'casing', 80.6875, { role: 'leg-left', right: end(-45, leg.depth) }),
    piece('p8', 'casing', 80.6875, { role: 'leg-right', left: end(-45, leg.depth) }),
    piece('p9', 'casing', 31.875, {
      role: 'head',
      left: end(-45, leg.depth),
      right: end(-45, leg.depth),
      held: { until: 'legs', predicted: 31.375, allowance: 0.5 },
    }),
  ];
};
const daySticks = [
  stick('b1', 'base', 144, [
    ['p1', 0],
    ['p2', 92.375],
  ]),
  stick('b2', 'base', 144, [
    ['p3', 0],
    ['p4', 70.625],
  ]),
  stick('b3', 'base', 144, [
    ['p5', 0],
    ['p6', 86.125],
  ]),
  stick('c1', 'casing', 204, [
    ['p7', 0],
    ['p8', 85.864],
    ['p9', 169.229],
  ]),
];
const dayTags = Object.fromEntries(Array.from({ length: 9 }, (_, k) => [`p${k + 1}`, `1-0${k + 1}`]));

/** One event; devices count by themselves. */
const counter = () => {
  const counts = new Map<string, number>();
  let n = 0;
  return (device: string, time: string, kind: string, more: Loose = {}): Loose => {
    counts.set(device, (counts.get(device) ?? 0) + 1);
    return { id: `e${++n}`, device, deviceSeq: counts.get(device), at: at(time), kind, ...more };
  };
};

const both = (
  e: ReturnType<typeof counter>,
  times: readonly [string, string, string],
  tag: string,
  letter: string,
) => [
  e('saw', times[0], 'end-cut', { tag, end: 'left', letter }),
  e('saw', times[1], 'end-cut', { tag, end: 'right', letter }),
  e('saw', times[2], 'written', { tag }),
];

/** The first day, all of it; `until` leaves out what came later. */
export function dayAtTheSaw(
  until = '23:59',
  change: (events: Loose[]) => Loose[] = (events) => events,
): LogFile {
  const e = counter();
  const events = [
    e('saw', '08:00', 'stick-taken', { letter: 'A', stick: 'b1', revision: 1 }),
    ...both(e, ['08:02', '08:03', '08:04'], '1-01', 'A'),
    e('saw', '08:06', 'end-cut', { tag: '1-02', end: 'left', letter: 'A' }),
    e('saw', '08:07', 'end-cut', { tag: '1-02', end: 'right', letter: 'A' }),
    e('saw', '08:08', 'miscut', { tag: '1-02', what: 'short', usable: 45.5 }),
    e('saw', '08:10', 'piece-reused', { tag: '1-02', as: '1-06' }),
    e('saw', '08:11', 'end-cut', { tag: '1-06', end: 'right', letter: 'A' }),
    e('saw', '08:12', 'written', { tag: '1-06' }),
    e('saw', '08:20', 'stick-taken', { letter: 'B', stick: 'b2', revision: 1 }),
    ...both(e, ['08:22', '08:23', '08:24'], '1-03', 'B'),
    ...both(e, ['08:34', '08:35', '08:36'], '1-04', 'B'),
    e('hang', '08:50', 'dry-fitted', { tag: '1-04' }),
    e('hang', '08:53', 'trimmed', { tag: '1-04', end: 'right', by: 0.0625 }),
    e('hang', '08:55', 'fixed', { tag: '1-04' }),
    e('hang', '08:58', 'sent-back', { tag: '1-03', near: 70.875 }),
    e('saw', '09:10', 'stick-taken', { letter: 'C', stick: 'c1', revision: 1 }),
    ...both(e, ['09:12', '09:13', '09:14'], '1-07', 'C'),
    ...both(e, ['09:15', '09:16', '09:17'], '1-08', 'C'),
    e('hang', '09:30', 'fixed', { tag: '1-07' }),
    e('hang', '09:36', 'fixed', { tag: '1-08' }),
    e('hang', '09:40', 'measured-in-place', { tag: '1-09', near: 31.4375 }),
    ...both(e, ['09:44', '09:45', '09:46'], '1-09', 'C'),
    e('saw', '09:50', 'remainder-racked', { letter: 'A', length: 5.875, label: 'R2' }),
  ].filter((one) => (one['at'] as string) <= at(until));
  const issues = [
    { revision: 1, at: at('07:30'), plan: { pieces: dayPieces(70.5, 86), sticks: daySticks }, tags: dayTags },
    {
      revision: 2,
      at: at('08:30'),
      plan: { pieces: dayPieces(70.875, 85.5), sticks: daySticks },
      tags: dayTags,
    },
  ].filter((one) => one.at <= at(until));
  return read({
    format: 'longmiter-log',
    version: 1,
    job: job({ rack: [{ id: 'r1', profile: 'base', length: 72, label: 'R1' }] }),
    issues,
    events: change(events),
  });
}

/** One more event at the end of the day. */
export const late = (kind: string, more: Loose): Loose => ({
  id: 'late',
  device: 'late',
  deviceSeq: 1,
  at: at('10:00'),
  kind,
  ...more,
});

/** Two devices, merged in the wrong order, with doubles and two things taken back; by the names of its events. */
export const TWO_DEVICES = 'p4 t7 p1 t1 t10 p7 t3 p2 t2 p3 t5 p5 t4 t8 p6 t6 t9 t3 p4 t1'.split(' ');

export function twoDevices(names: readonly string[] = TWO_DEVICES, numbered = false): LogFile {
  const e = (id: string, time: string, kind: string, more: Loose = {}): Loose => ({
    id,
    device: id.startsWith('t') ? 'tablet' : 'phone',
    deviceSeq: Number(id.slice(1)),
    at: at(time),
    kind,
    ...more,
  });
  const cut = (id: string, time: string, tag: string, side: string) =>
    e(id, time, 'end-cut', { tag, end: side, letter: 'A' });
  const events = [
    e('t1', '08:00', 'stick-taken', { letter: 'A', stick: 's1', revision: 1 }),
    cut('t2', '08:02', '2-01', 'left'),
    cut('t3', '08:03', '2-01', 'right'),
    e('t4', '08:04', 'miscut', { tag: '2-01', what: 'slant' }),
    e('t5', '08:05', 'undone', { event: 't4' }),
    e('t6', '08:06', 'written', { tag: '2-01' }),
    cut('t7', '08:20', '2-02', 'left'),
    cut('t8', '08:21', '2-02', 'right'),
    e('t9', '08:21', 'note', { text: 'short of glue' }),
    e('t10', '08:22', 'written', { tag: '2-02' }),
    e('p1', '08:10', 'dry-fitted', { tag: '2-01' }),
    e('p2', '08:15', 'fixed', { tag: '2-01' }),
    e('p3', '08:22', 'written', { tag: '2-02' }),
    e('p4', '08:30', 'dry-fitted', { tag: '2-02' }),
    e('p5', '08:31', 'trimmed', { tag: '2-02', end: 'left', by: 0.0625 }),
    e('p6', '08:33', 'undone', { event: 'p5' }),
    e('p7', '08:40', 'fixed', { tag: '2-03' }),
  ];
  const byId = new Map(events.map((one) => [one['id'] as string, one]));
  const once = [...new Set(names)];
  return read({
    format: 'longmiter-log',
    version: 1,
    job: job(),
    issues: [
      {
        revision: 1,
        at: at('07:00'),
        plan: {
          pieces: [piece('q1', 'base', 61.5), piece('q2', 'base', 54.25), piece('q3', 'base', 40)],
          sticks: [
            stick('s1', 'base', 144, [
              ['q1', 0],
              ['q2', 61.625],
            ]),
            stick('s2', 'base', 144, [['q3', 0]]),
          ],
        },
        tags: { q1: '2-01', q2: '2-02', q3: '2-03' },
      },
    ],
    events: names.map((name) => ({
      ...byId.get(name)!,
      ...(numbered ? { seq: once.indexOf(name) } : {}),
    })),
  });
}

function read(value: unknown): LogFile {
  const log = checkLogFile(value);
  if (!log.ok) throw new Error(JSON.stringify(log.issues));
  return log.value;
}

export const withEvent = (log: LogFile, event: Loose): LogFile => ({
  ...log,
  events: [...log.events, event as unknown as LogEvent],
});
