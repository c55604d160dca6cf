import type { Clearances } from './end-classes.ts';

/**
 * A multiset of end classes lying on one stick, with the least length that leads, gaps and tail can take over all orders.
 * Nodes are shared. A stick holds few classes of the many that a job has, so only those
 * present are kept.
 */
export interface ClassSet {
  /** Classes present, in rising order. */
  readonly classes: readonly number[];
  /** How often each of them is there. */
  readonly counts: readonly number[];
  readonly size: number;
  /** Least total of lead, gaps and tail; 0 for the empty set. */
  readonly extra: number;
  /** Least lead and gaps of an order that ends in each class present. */
  readonly endingIn: readonly number[];
  readonly children: Map<number, ClassSet>;
}

/** Multisets that are remembered, some 50 MB; with hundreds of classes there would be millions. What is forgotten is worked out anew. */
const MOST_KNOWN = 100_000;

/**
 * Finds the order of blanks on a stick that wastes least between them. Exact: a dynamic programme over counts per class
 * and the last class, remembered for the multisets met. Adding a blank never shortens a stick.
 */
export class Sequencer {
  readonly empty: ClassSet;
  private readonly known = new Map<string, ClassSet>();
  private readonly clear: Clearances;

  constructor(clear: Clearances) {
    this.clear = clear;
    this.empty = { classes: [], counts: [], size: 0, extra: 0, endingIn: [], children: new Map() };
  }

  /** The multiset with one more blank of class `c`. */
  with(set: ClassSet, c: number): ClassSet {
    const held = set.children.get(c);
    if (held) return held;
    let at = 0;
    while (at < set.classes.length && set.classes[at]! < c) at++;
    const present = set.classes[at] === c;
    const classes = present ? set.classes : [...set.classes.slice(0, at), c, ...set.classes.slice(at)];
    const counts = present
      ? set.counts.map((count, k) => (k === at ? count + 1 : count))
      : [...set.counts.slice(0, at), 1, ...set.counts.slice(at)];
    const node = this.node(classes, counts, set.size + 1);
    set.children.set(c, node);
    return node;
  }

  private node(classes: readonly number[], counts: readonly number[], size: number): ClassSet {
    if (size === 0) return this.empty;
    const key = `${classes.join()};${counts.join()}`;
    return this.known.get(key) ?? this.build(classes, counts, size, key);
  }

  private build(classes: readonly number[], counts: readonly number[], size: number, key: string): ClassSet {
    const { gap, lead, tail } = this.clear;
    let extra = Infinity;
    const endingIn = classes.map((last, k) => {
      let best = lead[last]!;
      if (size > 1) {
        const before = this.without(classes, counts, size, k);
        best = Infinity;
        for (let p = 0; p < before.classes.length; p++)
          best = Math.min(best, before.endingIn[p]! + gap(before.classes[p]!, last));
      }
      extra = Math.min(extra, best + tail[last]!);
      return best;
    });
    const node: ClassSet = { classes, counts, size, extra, endingIn, children: new Map() };
    if (this.known.size >= MOST_KNOWN) {
      this.known.clear();
      this.empty.children.clear();
    }
    this.known.set(key, node);
    return node;
  }

  /** The multiset with one blank less of the class at a place. */
  private without(classes: readonly number[], counts: readonly number[], size: number, at: number): ClassSet {
    const fewer = counts[at]! > 1;
    return this.node(
      fewer ? classes : classes.filter((_, k) => k !== at),
      fewer ? counts.map((count, k) => (k === at ? count - 1 : count)) : counts.filter((_, k) => k !== at),
      size - 1,
    );
  }

  /** The classes of a multiset in their best order, left to right on the stick. */
  order(set: ClassSet): number[] {
    if (set.size === 0) return [];
    const { gap, tail } = this.clear;
    const order: number[] = [];
    let node = set;
    let at = 0;
    set.endingIn.forEach((value, k) => {
      if (value + tail[set.classes[k]!]! < set.endingIn[at]! + tail[set.classes[at]!]!) at = k;
    });
    for (;;) {
      const last = node.classes[at]!;
      order.push(last);
      if (node.size === 1) return order.reverse();
      const before = this.without(node.classes, node.counts, node.size, at);
      const target = node.endingIn[at]!;
      at = before.endingIn.findIndex((value, p) => value + gap(before.classes[p]!, last) === target);
      node = before;
    }
  }
}
