import type { LoggedPlan } from '../log/log-file.ts';

/** In which order the sticks of a plan are taken at the saw. Stairs and set-ups decide; the lead chooses. */
export const STICK_ORDERS = ['set-ups', 'rooms', 'long'] as const;
export type StickOrder = (typeof STICK_ORDERS)[number];

type Stick = LoggedPlan['sticks'][number];
type Piece = LoggedPlan['pieces'][number];

/** What the saw is set to for an end, as far as two settings differ. */
function settingOf({ saw, angle }: Piece['left']): string {
  const { way, swing, dial, tilt, dialBevel } = (saw ?? {}) as Record<string, unknown>;
  return saw === undefined ? String(angle) : JSON.stringify([way, swing, dial, tilt, dialBevel]);
}

/** The settings of a stick's cuts, one after another. */
const settingsOf = (stick: Stick, pieces: ReadonlyMap<string, Piece>): string[] =>
  stick.cuts.flatMap(({ piece }) => {
    const one = pieces.get(piece);
    return one ? [settingOf(one.left), settingOf(one.right)] : [];
  });

const byId = ({ pieces }: LoggedPlan): Map<string, Piece> =>
  new Map(pieces.map((piece) => [piece.id, piece]));

/** How often the saw is set anew when the sticks of a plan are cut in their order. */
export function setUps(plan: LoggedPlan): number {
  const pieces = byId(plan);
  const all = plan.sticks.flatMap((stick) => settingsOf(stick, pieces));
  return all.filter((one, index) => index > 0 && one !== all[index - 1]).length;
}

/**
 * The plan with its sticks in another order. Sticks with test pieces stay first whatever is chosen: the others are tried with them.
 * @param how `set-ups`: each next one begins as the last one ended, as far as there is one; `rooms`: room by room in the job's
 * order; `long`: the longest first, as they are carried
 * @param first a stick that is to be taken before all others
 */
export function orderSticks(
  plan: LoggedPlan,
  how: StickOrder,
  rooms: readonly string[],
  first?: string,
): LoggedPlan {
  const pieces = byId(plan);
  const isTest = ({ cuts }: Stick): boolean =>
    cuts.some(({ piece }) => pieces.get(piece)?.['role'] === 'test');
  const rank = new Map(rooms.map((room, index) => [room, index]));
  const roomOf = ({ cuts }: Stick): number =>
    Math.min(Infinity, ...cuts.map(({ piece }) => rank.get(pieces.get(piece)?.room ?? '') ?? Infinity));
  const ordered =
    how === 'rooms'
      ? [...plan.sticks].sort((a, b) => roomOf(a) - roomOf(b))
      : how === 'long'
        ? [...plan.sticks].sort((a, b) => b.length - a.length)
        : bySetting(plan.sticks, pieces);
  const before = (stick: Stick): number => (isTest(stick) ? 0 : stick.id === first ? 1 : 2);
  return { ...plan, sticks: [...ordered].sort((a, b) => before(a) - before(b)) };
}

function bySetting(sticks: readonly Stick[], pieces: ReadonlyMap<string, Piece>): Stick[] {
  const ends = sticks.map((stick) => {
    const settings = settingsOf(stick, pieces);
    return { stick, begins: settings[0], ends: settings.at(-1) };
  });
  const order: Stick[] = [];
  let now: string | undefined;
  let left = ends;
  while (left.length > 0) {
    const next = left.find((one) => one.begins === now) ?? left[0]!;
    order.push(next.stick);
    now = next.ends;
    left = left.filter((one) => one !== next);
  }
  return order;
}
