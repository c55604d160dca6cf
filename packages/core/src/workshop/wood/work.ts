import { joinKey, NOISE, stickRef, stockRef, type PieceKey } from '../../base/index.ts';
import { completeHouseRules, kerfOf, sawOf, type HouseRules, type JobFile } from '../../job/index.ts';
import { sawnAs, stickMarks, type Piece, type PlanEnd, type PlannedStick } from '../../plan/index.ts';
import { sawSetting } from '../../saw/index.ts';
import { newestTags, openSticks } from './opened.ts';
import type { Shop, ShopPiece, ShopStick } from '../log/state.ts';
import { layNext, UNTOUCHED_END, type KerfSettings } from './wood.ts';

/** What there is to do at the saw, stick by stick, from what was given and what has happened: never from a newer plan. */

/** A stick at the saw: one that is being cut, by its letter, or one still to be taken, by its place in an issue. */
export interface WorkStick {
  readonly stick: PlannedStick;
  readonly letter: string | undefined;
  /** Where it is named in the issues, for taking it. */
  readonly from: { readonly revision: number; readonly stick: string };
  /** Tags still to be cut from it, in order. */
  readonly todo: readonly string[];
  /** What remains of an opened one. */
  readonly remains: number;
}

export interface Work {
  /** Pieces as they are cut: their key is their tag. */
  readonly pieces: readonly Piece[];
  /** Opened sticks first, in the order they were taken; then those still to be taken, as planned. */
  readonly sticks: readonly WorkStick[];
  /** Ready pieces that lie on no stick: they want a place before they can be cut. */
  readonly loose: readonly ShopPiece[];
}

const isDone = ({ state }: ShopPiece): boolean =>
  state !== 'held' && state !== 'ready' && state !== 'in-hand';

interface Rules {
  readonly job: JobFile;
  readonly house: HouseRules;
  readonly bench: KerfSettings;
}

/** A piece of the workshop as the saw's screens have pieces: named by its tag, as long as it is asked for or was taken. */
function asPiece(rules: Rules, piece: ShopPiece, newest: ReadonlyMap<string, ShopPiece>): Piece {
  const plan = piece.plan as unknown as Piece;
  const tagOf = (key: PieceKey | undefined): PieceKey | undefined =>
    key === undefined ? undefined : ((newest.get(key)?.tag ?? key) as PieceKey);
  const profile = rules.job.profiles.find((one) => one.id === plan.profile);
  const end = (side: 'left' | 'right'): PlanEnd => {
    const { mate, ...rest } = plan[side];
    const met = tagOf(mate);
    // A plan from elsewhere may leave the setting out: it follows from the angle.
    const saw =
      (rest.saw as PlanEnd['saw'] | undefined) ??
      (profile && sawSetting(profile, side, rest.angle, sawOf(rules.job), rules.house));
    return {
      ...rest,
      reach: rest.reach ?? 0,
      ...(saw ? { saw } : {}),
      ...(met === undefined ? {} : { mate: met }),
    };
  };
  const { held, returnOf, ...rest } = plan;
  const of = tagOf(returnOf);
  return {
    ...rest,
    id: piece.tag as PieceKey,
    label: piece.tag,
    near: isDone(piece) ? (piece.took ?? piece.near) : piece.near,
    left: end('left'),
    right: end('right'),
    ...(held && piece.state === 'held' ? { held } : {}),
    ...(of === undefined ? {} : { returnOf: of }),
  };
}

function plannedStick(
  { job, house, bench }: Rules,
  pieces: ReadonlyMap<string, Piece>,
  of: Pick<ShopStick, 'profile' | 'source' | 'length'> & { readonly label?: string | undefined },
  cuts: readonly { readonly tag: string; readonly start: number }[],
  id: string,
): PlannedStick {
  const profile = job.profiles.find((one) => one.id === of.profile);
  const laid = cuts.map((cut) => ({ piece: cut.tag as PieceKey, start: cut.start }));
  const last = laid.at(-1);
  const piece = last && pieces.get(last.piece);
  const end = last && piece ? last.start + piece.near + Math.max(0, piece.right.reach) : 0;
  const marks = profile
    ? stickMarks(laid, Math.max(0, of.length - house.endTrim - end), {
        pieceOf: (key) => pieces.get(key)!,
        profileOf: (one) => sawnAs(one, profile),
        kerf: bench.kerf,
        unit: job.unit,
      })
    : [];
  return {
    id: id as PlannedStick['id'],
    profile: of.profile,
    source: of.source,
    stock: stockRef(of.source, of.label ?? String(of.length)),
    item: of.label ?? String(of.length),
    ...(of.label === undefined ? {} : { label: of.label }),
    length: of.length,
    price: 0,
    cuts: laid,
    margin: laid.length * house.cutMargin,
    marked: marks.map((mark) => mark.length),
    leftover: Math.max(0, of.length - end - (laid.length > 0 ? bench.kerf : 0)),
  };
}

/**
 * The work at the saw. A stick that is open keeps what was planned on it; one that nobody has taken is laid out as the newest
 * issue has it, with the figures asked for now.
 */
export function workOf(shop: Shop): Work {
  const { job } = shop;
  const house = completeHouseRules(job.houseRules, job.unit);
  const bench: KerfSettings = { kerf: kerfOf(sawOf(job), job.unit), endTrim: house.endTrim };
  const rules = { job, house, bench };
  const newest = newestTags(shop);
  const pieces = new Map(shop.pieces.map((piece) => [piece.tag, asPiece(rules, piece, newest)]));
  const byTag = new Map(shop.pieces.map((piece) => [piece.tag, piece]));
  const placed = new Set<string>();
  const open = shop.sticks.filter((stick) => stick.open);
  const opened = openSticks(shop, open, newest, bench, true).map(({ stick, kept }): WorkStick => {
    for (const cut of kept) placed.add(cut.tag);
    const before = stick.cut.map((tag) => ({ tag, start: byTag.get(tag)?.start ?? 0 }));
    const own = kept.filter((cut) => !byTag.get(cut.tag)!.fromBlank);
    return {
      stick: plannedStick(
        rules,
        pieces,
        { ...stick, ...(stick.source === 'rack' ? { label: stick.from } : { label: undefined }) },
        [...before, ...own],
        joinKey('letter', stick.letter),
      ),
      letter: stick.letter,
      from: { revision: stick.revision, stick: stick.stick },
      todo: kept.map((cut) => cut.tag),
      remains: stick.remains,
    };
  });
  const taken = new Set(shop.sticks.map((stick) => stick.stick));
  const fresh = (shop.issue?.plan.sticks ?? []).flatMap((stick): WorkStick[] => {
    if (stick.source === 'opened' || taken.has(stick.id)) return [];
    const { source } = stick;
    let end: ShopStick['end'] = UNTOUCHED_END;
    const cuts: { tag: string; start: number }[] = [];
    for (const { piece: id } of stick.cuts) {
      const piece = newest.get(id);
      if (!piece || placed.has(piece.tag) || (piece.state !== 'ready' && piece.state !== 'held')) continue;
      const laid = layNext(end, piece.plan, piece.near, bench);
      if (laid.end.near + Math.max(0, laid.end.reach) > stick.length - bench.endTrim + NOISE) continue;
      cuts.push({ tag: piece.tag, start: laid.start });
      placed.add(piece.tag);
      end = laid.end;
    }
    return cuts.length === 0
      ? []
      : [
          {
            stick: plannedStick(rules, pieces, { ...stick, source, label: stick.label }, cuts, stick.id),
            letter: undefined,
            from: { revision: shop.issue!.revision, stick: stick.id },
            todo: cuts.map((cut) => cut.tag),
            remains: stick.length,
          },
        ];
  });
  return {
    pieces: [...pieces.values()],
    sticks: [...opened, ...fresh],
    loose: shop.pieces.filter(
      (piece) =>
        (piece.state === 'ready' || piece.state === 'held') && piece.near > 0 && !placed.has(piece.tag),
    ),
  };
}

/** A key for a stick that a new plan of what is left brings in. */
export const remainingStickId = (profile: string, tags: readonly string[]): string =>
  stickRef(profile, tags as readonly PieceKey[]);
