/**
 * Small cutting problems of every kind, a search for the best plan that tries everything, and a check of a plan. Nothing
 * here is shared with the optimiser: figures of pieces on a stick are worked out anew from the description of the format.
 */

export interface SmallPiece {
  readonly id: string;
  readonly length: number;
  readonly left: number;
  readonly right: number;
  readonly held?: boolean;
}
export interface SmallWall extends SmallPiece {
  readonly splice: {
    readonly angle: number;
    readonly lap: 'left' | 'right';
    readonly positions: readonly number[];
    readonly max: number;
    readonly penalty: number;
    readonly minPiece: number;
    readonly when: 'needed' | 'allowed';
  };
}
type KeptPart =
  { readonly piece: string } | { readonly wall: string; readonly from: number; readonly to: number };
export interface SmallProblem {
  readonly profile: { readonly thickness: number };
  readonly kerf: number;
  readonly endTrim: number;
  readonly cutMargin?: number;
  readonly stock: readonly {
    readonly id: string;
    readonly length: number;
    readonly price: number;
    readonly count: number | null;
  }[];
  readonly rack: readonly { readonly id: string; readonly length: number; readonly price: number }[];
  readonly opened?: readonly {
    readonly stick: string;
    readonly from: number;
    readonly remains: number;
    readonly endAngle: number;
  }[];
  readonly keep?: {
    readonly weight: number;
    readonly sticks: readonly { readonly stock: string; readonly pieces: readonly KeptPart[] }[];
  };
  readonly trips?: { readonly order: readonly (readonly string[])[]; readonly weight: number };
  readonly pieces: readonly SmallPiece[];
  readonly walls: readonly SmallWall[];
}

/** A piece as it is cut: of itself, or of a part of a wall. */
interface Part extends SmallPiece {
  readonly name: string;
}
/** Where on a stick cutting may begin: its end trim, or the slant of an opened end. */
interface Begin {
  readonly near: number;
  readonly far: number;
}

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const cos = (deg: number): number => Math.cos((deg * Math.PI) / 180);
const up = (x: number): number => Math.ceil(x - 1e-9);

const turnOf = (problem: SmallProblem, part: Part): [number, number] => {
  const trip = problem.trips?.order.findIndex((ids) => ids.includes(part.id)) ?? 0;
  return [part.held ? 1 : 0, trip < 0 ? problem.trips!.order.length : trip];
};
const mayFollow = (problem: SmallProblem, a: Part, b: Part): boolean => {
  const [heldA, tripA] = turnOf(problem, a);
  const [heldB, tripB] = turnOf(problem, b);
  return heldA < heldB || (heldA === heldB && tripA <= tripB);
};

/** Least near start of what follows a piece, or begins a stick. */
function startAfter(
  problem: SmallProblem,
  last: Part | undefined,
  end: number,
  next: Part,
  begin: Begin,
): number {
  const t = problem.profile.thickness;
  const far = t * tan(next.left);
  if (!last) return up(Math.max(begin.near, begin.far - far));
  const along = Math.max(problem.kerf / cos(last.right), problem.kerf / cos(next.left));
  const farEnd = -t * tan(last.right);
  return end + up(Math.max(along, farEnd + along - far));
}

/** Where the last line of a stick's pieces lies at the earliest, over all orders that are allowed; trim and margins added. */
function leastEnd(problem: SmallProblem, parts: readonly Part[], begin: Begin): number {
  const t = problem.profile.thickness;
  let best = Infinity;
  const place = (left: readonly Part[], end: number, last: Part | undefined): void => {
    if (end >= best) return;
    if (left.length === 0) {
      best = Math.min(best, up(end + Math.max(0, -t * tan(last!.right)) + problem.endTrim));
      return;
    }
    left.forEach((next, index) => {
      if (last && !mayFollow(problem, last, next)) return;
      const start = startAfter(problem, last, end, next, begin);
      place(
        left.filter((_, k) => k !== index),
        start + next.length,
        next,
      );
    });
  };
  place(parts, 0, undefined);
  return best + parts.length * (problem.cutMargin ?? 0);
}

interface Kind {
  readonly id: string;
  readonly price: number;
  readonly begin: Begin;
  /** From the stick's left end to its right end. */
  readonly end: number;
  readonly forSale: boolean;
  left: number;
}

function kindsOf(problem: SmallProblem): Kind[] {
  const plain = { near: problem.endTrim, far: problem.endTrim };
  return [
    ...problem.stock.map((one) => ({
      id: one.id,
      price: one.price,
      begin: plain,
      end: one.length,
      forSale: true,
      left: one.count ?? Infinity,
    })),
    ...problem.rack.map((one) => ({
      id: one.id,
      price: one.price,
      begin: plain,
      end: one.length,
      forSale: false,
      left: 1,
    })),
    ...(problem.opened ?? []).map((one) => ({
      id: one.stick,
      price: 0,
      begin: { near: one.from, far: one.from + problem.profile.thickness * tan(one.endAngle) },
      end: one.from + one.remains,
      forSale: false,
      left: 1,
    })),
  ];
}

const partOf = (piece: SmallPiece): Part => ({ ...piece, name: `p:${piece.id}` });

/** Every way to make a wall of pieces, with what its splices cost. */
function waysOf(problem: SmallProblem, wall: SmallWall): { parts: Part[]; penalty: number }[] {
  const { positions, angle, lap, max, minPiece, penalty, when } = wall.splice;
  const kinds = kindsOf(problem).filter((kind) => kind.left > 0);
  const fits = (part: Part, among: readonly Kind[]): boolean =>
    among.some((kind) => leastEnd(problem, [part], kind.begin) <= kind.end);
  const named = (length: number, left: number, right: number, from: number): Part => ({
    id: wall.id,
    name: `w:${wall.id}:${from}:${from + length}`,
    length,
    left,
    right,
    ...(wall.held ? { held: true } : {}),
  });
  const whole = named(wall.length, wall.left, wall.right, 0);
  const all = fits(whole, kinds) ? [{ parts: [whole], penalty: 0 }] : [];
  const forSale = kinds.filter((kind) => kind.forSale);
  if (max === 0 || (when === 'needed' && fits(whole, forSale))) return all;
  const at = [...new Set(positions)].sort((a, b) => a - b);
  const over = lap === 'left' ? -angle : angle;
  for (let set = 1; set < 1 << at.length; set++) {
    const cuts = at.filter((_, k) => (set >> k) & 1);
    if (cuts.length > max) continue;
    const points = [0, ...cuts, wall.length];
    const parts = points
      .slice(1)
      .map((to, k) =>
        named(
          to - points[k]!,
          k === 0 ? wall.left : -over,
          k === cuts.length ? wall.right : over,
          points[k]!,
        ),
      );
    if (parts.every((part) => part.length >= minPiece && fits(part, kinds)))
      all.push({ parts, penalty: cuts.length * penalty });
  }
  return all;
}

const keptName = (part: KeptPart): string =>
  'piece' in part ? `p:${part.piece}` : `w:${part.wall}:${part.from}:${part.to}`;

/** The least that a plan can count: sticks, splices, sticks of the plan before that are not found again, sticks that wait. */
export function leastTotal(problem: SmallProblem): number {
  const dividing = (k: number, parts: readonly Part[], penalty: number): number =>
    k === problem.walls.length
      ? penalty + sharing(problem, parts)
      : Math.min(
          Infinity,
          ...waysOf(problem, problem.walls[k]!).map((one) =>
            dividing(k + 1, [...parts, ...one.parts], penalty + one.penalty),
          ),
        );
  return dividing(0, problem.pieces.map(partOf), 0);
}

/** The best way to share pieces among sticks: every one is tried. */
function sharing(problem: SmallProblem, parts: readonly Part[]): number {
  const kinds = kindsOf(problem);
  const full = (1 << parts.length) - 1;
  const ends = new Map<Kind, Map<number, number>>();
  const own = (set: number): Part[] => parts.filter((_, i) => (set >> i) & 1);
  const holds = (kind: Kind, set: number): boolean => {
    const known = ends.get(kind) ?? new Map<number, number>();
    ends.set(kind, known);
    let end = known.get(set);
    if (end === undefined) {
      const list = own(set);
      const net = list.reduce((sum, part) => sum + part.length, 0);
      // What is longer than the stick before any cut need not be put in order.
      end = net > kind.end ? Infinity : leastEnd(problem, list, kind.begin);
      known.set(set, end);
    }
    return end <= kind.end;
  };
  const before = (problem.keep?.sticks ?? []).map((stick) => ({
    key: [stick.stock, ...stick.pieces.map(keptName).sort()].join('|'),
    found: false,
  }));
  const weight = problem.keep?.weight ?? 0;
  const wait = problem.trips?.weight ?? 0;
  const waits = (set: number): number => {
    const trips = own(set).map((part) => turnOf(problem, part)[1]);
    return Math.max(...trips) - Math.min(...trips);
  };
  let best = Infinity;
  const cover = (left: number, count: number): void => {
    // At most everything that is still open can be kept.
    if (count - before.filter((one) => !one.found).length * weight >= best) return;
    if (left === 0) {
      best = Math.min(best, count);
      return;
    }
    const lowest = left & -left;
    for (let set = left; set > 0; set = (set - 1) & left) {
      if (!(set & lowest)) continue;
      for (const kind of kinds) {
        if (kind.left === 0 || !holds(kind, set)) continue;
        const key = [
          kind.id,
          ...own(set)
            .map((part) => part.name)
            .sort(),
        ].join('|');
        const same = before.find((one) => !one.found && one.key === key);
        kind.left--;
        if (same) same.found = true;
        cover(left & ~set, count + kind.price + (wait > 0 ? wait * waits(set) : 0) - (same ? weight : 0));
        if (same) same.found = false;
        kind.left++;
      }
    }
  };
  cover(full, before.length * weight);
  return best;
}

/** A solution as `cut` writes it. */
export interface SmallSolution {
  readonly sticks: readonly {
    readonly stock: string;
    readonly pieces: readonly (
      | { readonly piece: string; readonly start: number }
      | { readonly wall: string; readonly from: number; readonly to: number; readonly start: number }
    )[];
  }[];
  readonly objective: {
    readonly cost: number;
    readonly moved?: number;
    readonly waiting?: number;
    readonly total?: number;
  };
}

/**
 * What a solution counts, worked out from where its pieces lie.
 * @throws where something is cut twice or not at all, lies where it cannot, or a figure of the objective is another
 */
export function checkSmall(problem: SmallProblem, solution: SmallSolution): number {
  const bad = (text: string): never => {
    throw new Error(text);
  };
  const kinds = new Map(kindsOf(problem).map((kind) => [kind.id, kind]));
  const pieces = new Map(problem.pieces.map((one) => [one.id, one]));
  const walls = new Map(problem.walls.map((one) => [one.id, one]));
  const served = new Map<string, [number, number][]>();
  const cut = new Set<string>();
  let [cost, waiting] = [0, 0];
  const keys: string[] = [];
  for (const stick of solution.sticks) {
    const kind = kinds.get(stick.stock) ?? bad(`no stick ${stick.stock}`);
    if (kind.left-- <= 0) bad(`too many of ${stick.stock}`);
    cost += kind.price;
    const laid = stick.pieces.map((one): Part & { start: number } => {
      if ('piece' in one) {
        const piece = pieces.get(one.piece) ?? bad(`no piece ${one.piece}`);
        if (cut.has(one.piece)) bad(`${one.piece} is cut twice`);
        cut.add(one.piece);
        return { ...partOf(piece), start: one.start };
      }
      const wall = walls.get(one.wall) ?? bad(`no wall ${one.wall}`);
      served.set(one.wall, [...(served.get(one.wall) ?? []), [one.from, one.to]]);
      const over = wall.splice.lap === 'left' ? -wall.splice.angle : wall.splice.angle;
      return {
        id: wall.id,
        name: `w:${one.wall}:${one.from}:${one.to}`,
        length: one.to - one.from,
        left: one.from === 0 ? wall.left : -over,
        right: one.to === wall.length ? wall.right : over,
        ...(wall.held ? { held: true } : {}),
        start: one.start,
      };
    });
    laid.forEach((one, k) => {
      const last = laid[k - 1];
      if (last && !mayFollow(problem, last, one)) bad(`${one.name} may not follow ${last.name}`);
      const least = startAfter(problem, last, last ? last.start + last.length : 0, one, kind.begin);
      if (one.start < least) bad(`${one.name} starts at ${one.start}, not from ${least} on`);
    });
    const last = laid.at(-1) ?? bad('an empty stick');
    const end = last.start + last.length + Math.max(0, -problem.profile.thickness * tan(last.right));
    if (up(end + problem.endTrim) + laid.length * (problem.cutMargin ?? 0) > kind.end)
      bad(`${last.name} overruns ${stick.stock}`);
    const trips = laid.map((one) => turnOf(problem, one)[1]);
    if (problem.trips) waiting += Math.max(...trips) - Math.min(...trips);
    keys.push([stick.stock, ...laid.map((one) => one.name).sort()].join('|'));
  }
  for (const piece of problem.pieces) if (!cut.has(piece.id)) bad(`${piece.id} is not cut`);
  for (const wall of problem.walls) {
    const own = [...(served.get(wall.id) ?? [])].sort((a, b) => a[0] - b[0]);
    let at = 0;
    for (const [from, to] of own) {
      if (from !== at) bad(`${wall.id} does not go on at ${at}`);
      at = to;
    }
    if (at !== wall.length) bad(`${wall.id} ends at ${at}`);
    const splices = own.length - 1;
    const inner = own.slice(1).map(([from]) => from);
    if (splices > wall.splice.max || inner.some((one) => !wall.splice.positions.includes(one)))
      bad(`${wall.id} is divided where it may not be`);
    cost += splices * wall.splice.penalty;
  }
  let moved = 0;
  for (const stick of problem.keep?.sticks ?? []) {
    const at = keys.indexOf([stick.stock, ...stick.pieces.map(keptName).sort()].join('|'));
    if (at < 0) moved++;
    else keys.splice(at, 1);
  }
  const total = cost + moved * (problem.keep?.weight ?? 0) + waiting * (problem.trips?.weight ?? 0);
  const told = solution.objective;
  if (told.cost !== cost) bad(`cost ${cost}, said to be ${told.cost}`);
  if ((told.moved ?? 0) !== moved) bad(`${moved} moved, said to be ${told.moved}`);
  if ((told.waiting ?? 0) !== waiting) bad(`${waiting} waiting, said to be ${told.waiting}`);
  if ((told.total ?? cost) !== total) bad(`counts ${total}, said to be ${told.total}`);
  return total;
}
