import type { ClassSet, Sequencer } from '../model/sequencer.ts';
import type { CutModel } from '../model/model-types.ts';

/** What may lie together on one stick, for a search that looks at it by the million. */

/** A stick counts a hair on top of its price, a long one a hair of that more. */
const HAIR = 1e-4;
const EVEN = 1e-6;
/** What a pattern may be better than the dual values of its contents, by rounding; more, and they are no bound. */
const ROUNDING = 1e-4;

/** What contents are worth at least: by their length, or as a relaxation weighs them. */
export interface DualValues {
  /** For each item, cents. No stick holds more than its price and what it saves. */
  readonly items: ArrayLike<number>;
  /** For each way: what each of its sticks saves, of those that there are only so many of. */
  readonly saves: readonly number[];
}

/** A way to use a stick for a pattern. */
export interface PatternUse {
  readonly way: number;
  /** What it counts. */
  readonly price: number;
  /** What it costs beyond what lies on it is worth. */
  readonly loss: number;
}

/** What may lie on one stick: pieces by their bits, parts of walls beside them. */
export interface StickPattern {
  readonly mask: number;
  /** The item that was added last, and what lay there before; nothing lies on an empty stick. */
  readonly item: number;
  readonly before: StickPattern | undefined;
  readonly length: number;
  readonly worth: number;
  /** One for each sequencer of the patterns. */
  readonly sets: readonly ClassSet[];
  /** Of the way that loses least. */
  readonly loss: number;
  /** Ways worth using, once they have been asked for. */
  uses?: readonly PatternUse[];
}

/** The items of a pattern. */
export function itemsOfPattern(filling: StickPattern): number[] {
  const list: number[] = [];
  for (let at = filling; at.before; at = at.before) list.push(at.item);
  return list;
}

/** Patterns by what they lose, with what is asked of each of them side by side. */
export interface PatternList {
  readonly all: readonly StickPattern[];
  readonly masks: Int32Array;
  readonly losses: Float64Array;
}
export const patternList = (made: StickPattern[]): PatternList => {
  const all = made.sort((a, b) => a.loss - b.loss);
  return {
    all,
    masks: Int32Array.from(all, (one) => one.mask),
    losses: Float64Array.from(all, (one) => one.loss),
  };
};

/** Worths that a pattern exceeds. */
export class BoundInvalid extends Error {}

/** Makes patterns of one problem, and knows the ways to use a stick for them. */
export class PatternEnumerator {
  readonly nothing: StickPattern;
  readonly model: CutModel;
  private readonly dualValues: DualValues;
  private readonly sequencers: readonly Sequencer[];
  /** Ways of which there are sticks, by price. */
  private readonly ways: readonly {
    readonly way: number;
    readonly length: number;
    readonly price: number;
    readonly save: number;
    readonly sequencer: number;
    readonly endless: boolean;
  }[];

  /**
   * @param there how many sticks there are of each way
   * @param fewest of two plans of one cost the one with fewer sticks wins, then the one with the more even ones
   */
  constructor(model: CutModel, dualValues: DualValues, there: readonly number[], fewest: boolean) {
    this.model = model;
    this.dualValues = dualValues;
    this.sequencers = [...new Set(model.sticks.map((one) => one.sequencer))];
    this.ways = model.sticks.flatMap(({ length, price, sequencer }, way) =>
      there[way] === 0
        ? []
        : [
            {
              way,
              length,
              price: price + (fewest ? HAIR + EVEN * (length / model.longest) ** 2 : 0),
              save: dualValues.saves[way]!,
              sequencer: this.sequencers.indexOf(sequencer),
              endless: there[way] === Infinity,
            },
          ],
    );
    this.nothing = {
      mask: 0,
      item: -1,
      before: undefined,
      length: 0,
      worth: 0,
      sets: this.sequencers.map((one) => one.empty),
      loss: 0,
    };
  }

  /**
   * With one more item; undefined where no stick holds it.
   * @param bit of the piece; 0 for a part of a wall
   * @throws NoBound where it is worth more than it costs
   */
  with(held: StickPattern, item: number, bit: number): StickPattern | undefined {
    const { length: own, cls } = this.model.items[item]!;
    const length = held.length + own;
    const worth = held.worth + this.dualValues.items[item]!;
    const sets = held.sets.map((set, k) => this.sequencers[k]!.with(set, cls));
    let loss = Infinity;
    for (const way of this.ways) {
      if (length + sets[way.sequencer]!.extra > way.length) continue;
      loss = Math.min(loss, way.price - worth + way.save);
      // They stand by price: behind one that there is as much of as wanted nothing loses less.
      if (way.endless) break;
    }
    if (loss === Infinity) return undefined;
    if (loss < -ROUNDING) throw new BoundInvalid();
    return { mask: held.mask | bit, item, before: held, length, worth, sets, loss };
  }

  /** Ways worth using for a pattern, the one that loses least first. */
  usesOf(filling: StickPattern): readonly PatternUse[] {
    if (filling.uses) return filling.uses;
    const { length, worth, sets } = filling;
    const uses: PatternUse[] = [];
    for (const { way, price, save, ...one } of this.ways) {
      if (length + sets[one.sequencer]!.extra > one.length) continue;
      uses.push({ way, price, loss: price - worth + save });
      if (one.endless) break;
    }
    // They stand by price: of like pieces the first named gets the cheaper stick.
    filling.uses = uses.sort((a, b) => Math.round((a.loss - b.loss) / ROUNDING));
    return filling.uses;
  }

  /**
   * What patterns must be like to lose less than so much with something beside them: for each way to use a stick the length
   * that is left for them, and what they have to be worth.
   */
  roomBeside(
    length: number,
    worth: number,
    spare: number,
  ): { readonly length: number; readonly worth: number }[] {
    return this.ways
      .filter((way) => length <= way.length)
      .map((way) => ({ length: way.length - length, worth: way.price + way.save - worth - spare }));
  }

  /** Whether one more item would fit a stick used in a way. */
  fits({ length, sets }: StickPattern, way: number, item: number): boolean {
    const stick = this.model.sticks[way]!;
    const own = this.model.items[item]!;
    if (length + own.length > stick.length) return false;
    const k = this.sequencers.indexOf(stick.sequencer);
    return length + own.length + this.sequencers[k]!.with(sets[k]!, own.cls).extra <= stick.length;
  }
}

/** Patterns to be looked up by what they have to be like. */
export class PatternsByDual {
  private readonly all: readonly StickPattern[];
  private readonly dualValues: Float64Array;
  private readonly lengths: Float64Array;

  constructor(patterns: readonly StickPattern[]) {
    this.all = [...patterns].sort((a, b) => b.worth - a.worth);
    this.dualValues = Float64Array.from(this.all, (one) => one.worth);
    this.lengths = Float64Array.from(this.all, (one) => one.length);
  }

  /** Those that are worth more than, and no longer than, one of some rooms asks for. */
  within(rooms: readonly { readonly length: number; readonly worth: number }[]): StickPattern[] {
    const found: StickPattern[] = [];
    const least = Math.min(...rooms.map((room) => room.worth));
    const { all, dualValues, lengths } = this;
    for (let k = 0; k < all.length && dualValues[k]! > least; k++)
      for (const room of rooms)
        if (lengths[k]! <= room.length && dualValues[k]! > room.worth) {
          found.push(all[k]!);
          break;
        }
    return found;
  }
}
