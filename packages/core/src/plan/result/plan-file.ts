import type { PieceKey, StickRef, StockRef } from '../../base/index.ts';
import type { Vec3 } from '../../geometry/index.ts';
import type { EndJoint } from '../../joinery/index.ts';
import { fromMinor, readerOf, type Coin, type Unit } from '../../measure/index.ts';
import type { Box, OpeningPart, PartPlace, PartRole, SideName } from '../../openings/index.ts';
import type { SawSetting } from '../../saw/index.ts';
import type { Suspect } from '../../survey/index.ts';
import { formatAll, type Vocabulary, type WarningCode, type Words } from '../../messages/index.ts';

/** The plan file, version 1: what the `plan` command prints and what every screen after Walk is drawn from. */

export interface PlanEnd {
  readonly joint: EndJoint;
  /** Signed: positive where the near line is the long one; 0 square. */
  readonly angle: number;
  /** −depth·tan(angle): how much farther the far line extends. */
  readonly reach: number;
  /** Scarf: this piece lies over. */
  readonly over?: boolean;
  /** Key of the piece it meets. */
  readonly mate?: PieceKey;
  /** Square ends of shoe: how much of the nose is snipped off at 45°. */
  readonly snip?: number;
  /** Outward normal [u, z, n] in the piece's own axes of a cut that is not plumb, as in a corner of leaning walls. */
  readonly plane?: Vec3;
  readonly saw: SawSetting;
}

type PieceRole = 'wall' | 'transition' | 'test' | 'backer' | PartRole;

export interface Piece {
  readonly id: PieceKey;
  readonly label: string;
  readonly room: string;
  readonly trim: string;
  readonly wall?: string;
  readonly opening?: string;
  readonly profile: string;
  readonly role: PieceRole;
  /** A small piece of a return: the piece whose end it turns back to the wall. */
  readonly returnOf?: PieceKey;
  readonly from?: number;
  readonly to?: number;
  readonly near: number;
  readonly allowance: number;
  /** Crown hung at another spring than its profile's. */
  readonly spring?: number;
  /** Degrees it climbs to the right. */
  readonly slope?: number;
  /** Parts of an opening: which face of the wall, and where they stand as seen from there. */
  readonly side?: SideName;
  readonly place?: PartPlace;
  /** What it is ripped to, where that is not its profile's width: the wider end of a taper, the depth of a stool. */
  readonly width?: number;
  /** Widths at its own ends. */
  readonly taper?: OpeningPart['taper'];
  /** Of a stool, at its own ends: along it and from its back edge. */
  readonly notches?: OpeningPart['notches'];
  /** Waits for a measure; until then `near` is what was predicted and an allowance. */
  readonly held?: OpeningPart['held'];
  /** What it covers of its room's wall, along it and above the floor. */
  readonly box?: Box;
  readonly left: PlanEnd;
  readonly right: PlanEnd;
  readonly order: number;
  readonly reason: readonly Words[];
}

export interface PlannedStick {
  readonly id: StickRef;
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  /** The line for sale, the piece of the rack, or the stick that has been cut. */
  readonly stock: StockRef;
  /** Id of that line or piece in the job. */
  readonly item: string;
  /** Id of its record, where it has been cut. */
  readonly cut?: string;
  /** What is written on a piece of the rack. */
  readonly label?: string;
  readonly length: number;
  /** Smallest units of the plan's money. */
  readonly price: number;
  readonly cuts: readonly { readonly piece: PieceKey; readonly start: number }[];
  /** What is kept free on it for cuts that lose a little. */
  readonly margin: number;
  /** The figures to mark, as a tape shows them, in the order of the cuts. */
  readonly marked: readonly number[];
  /** What is left of it once all is cut as marked. */
  readonly leftover: number;
}

export interface Warning {
  readonly code: WarningCode;
  readonly data: Readonly<Record<string, unknown>>;
  readonly room?: string;
  readonly wall?: string;
  /** The wall whose right corner it is about. */
  readonly corner?: string;
  readonly opening?: string;
  /** Where it is about several. */
  readonly openings?: readonly string[];
  readonly piece?: PieceKey;
  /** Every piece it is about, where they are several. */
  readonly pieces?: readonly PieceKey[];
  readonly text: Words;
}

/** What could not be planned while the rest was: a run, or everything of a profile. */
export interface Refusal {
  readonly profile?: string;
  readonly room?: string;
  readonly trim?: string;
  readonly code: RefusalCode;
  readonly text: Words;
}
export type RefusalCode =
  /** Nothing is for sale of the profile, and nothing on the rack. */
  | 'no-stock'
  /** A piece or a wall fits no stick, spliced or not. */
  | 'too-long'
  /** Proven: what there is does not hold all pieces. */
  | 'not-enough'
  /** No plan was found in the time; there may be one. */
  | 'not-found-yet'
  /** A stick fixed by hand does not hold its pieces. */
  | 'pinned'
  /** Crown on a ceiling that slopes. */
  | 'sloped-ceiling';

/** A plan as the screens have it: money in smallest units of its coin. `publishedPlan` makes the plan file of it. */
export interface PlanFile {
  readonly format: 'longmiter-plan';
  readonly version: 1;
  readonly unit: Unit;
  readonly coin: Coin;
  readonly pieces: readonly Piece[];
  readonly sticks: readonly PlannedStick[];
  readonly buy: readonly {
    readonly profile: string;
    readonly length: number;
    readonly count: number;
    readonly price: number;
  }[];
  readonly cost: { readonly stock: number; readonly splices: number; readonly total: number };
  readonly bounds: readonly {
    readonly profile: string;
    readonly lowerBound: number;
    readonly cost: number;
    readonly proven: boolean;
    /** In one sentence with its figure: why nothing can cost less than the bound. */
    readonly why?: Words;
  }[];
  readonly closure: readonly {
    readonly room: string;
    readonly angleGap: number;
    readonly gap: number;
    readonly perimeter: number;
    readonly suspect?: readonly Suspect[];
  }[];
  readonly watchOuts: readonly Warning[];
  readonly refused: readonly Refusal[];
}

/** The plan in the open format: money in decimals, what only the screens need left out. */
export function publishedPlan({ coin, ...plan }: PlanFile, vocabulary?: Vocabulary): object {
  const money = (minor: number): number => fromMinor(minor, coin);
  return formatAll(
    {
      ...plan,
      pieces: plan.pieces.map(({ returnOf: _of, box: _box, ...piece }) => piece),
      sticks: plan.sticks.map(({ stock: _stock, item: _item, cut: _cut, ...stick }) => ({
        ...stick,
        price: money(stick.price),
      })),
      buy: plan.buy.map((line) => ({ ...line, price: money(line.price) })),
      cost: {
        stock: money(plan.cost.stock),
        splices: money(plan.cost.splices),
        total: money(plan.cost.total),
      },
      bounds: plan.bounds.map(({ why: _why, ...bound }) => ({
        ...bound,
        lowerBound: money(bound.lowerBound),
        cost: money(bound.cost),
      })),
    },
    readerOf(vocabulary),
  );
}
