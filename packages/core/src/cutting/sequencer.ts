import type { Clearances } from './end-classes.ts';

/**
 * A multiset of end classes lying on one stick, with the least length that leads, gaps and tail can take over all orders.
 * Nodes are shared: every multiset has exactly one.
 */
export interface ClassSet {
  readonly counts: Uint16Array;
  readonly size: number;
  /** Least total of lead, gaps and tail; 0 for the empty set. */
  readonly extra: number;
  /** Least lead and gaps of an order that ends in each class (Infinity where the class is absent). */
  readonly endingIn: Float64Array;
  readonly children: (ClassSet | undefined)[];
}

/**
 * Finds the order of blanks on a stick that wastes least between them. Exact: a dynamic programme over counts per class
 * and the last class, remembered for every multiset met. Adding a blank never shortens a stick.
 */
export class Sequencer {
  readonly empty: ClassSet;
  private readonly known = new Map<string, ClassSet>();
  private readonly clear: Clearances;

  constructor(clear: Clearances) {
    this.clear = clear;
    const n = clear.classes.length;
    this.empty = {
      counts: new Uint16Array(n),
      size: 0,
      extra: 0,
      endingIn: new Float64Array(n).fill(Infinity),
      children: [],
    };
  }

  /** The multiset with one more blank of class `c`. */
  with(set: ClassSet, c: number): ClassSet {
    const held = set.children[c];
    if (held) return held;
    const counts = set.counts.slice();
    counts[c]!++;
    const key = counts.join();
    const node = this.known.get(key) ?? this.build(counts, set.size + 1, key);
    set.children[c] = node;
    return node;
  }

  private build(counts: Uint16Array, size: number, key: string): ClassSet {
    const { gap, lead, tail } = this.clear;
    const endingIn = new Float64Array(counts.length).fill(Infinity);
    let extra = Infinity;
    for (let last = 0; last < counts.length; last++) {
      if (counts[last] === 0) continue;
      let best = lead[last]!;
      if (size > 1) {
        const before = this.without(counts, size, last);
        best = Infinity;
        for (let p = 0; p < counts.length; p++) {
          const reach = before.endingIn[p]! + gap[p]![last]!;
          if (reach < best) best = reach;
        }
      }
      endingIn[last] = best;
      extra = Math.min(extra, best + tail[last]!);
    }
    const node: ClassSet = { counts, size, extra, endingIn, children: [] };
    this.known.set(key, node);
    return node;
  }

  private without(counts: Uint16Array, size: number, c: number): ClassSet {
    const fewer = counts.slice();
    fewer[c]!--;
    const key = fewer.join();
    return this.known.get(key) ?? this.build(fewer, size - 1, key);
  }

  /** The classes of a multiset in their best order, left to right on the stick. */
  order(set: ClassSet): number[] {
    if (set.size === 0) return [];
    const { gap, tail } = this.clear;
    const order: number[] = [];
    let node = set;
    let last = -1;
    set.endingIn.forEach((value, c) => {
      if (last < 0 || value + tail[c]! < set.endingIn[last]! + tail[last]!) last = c;
    });
    for (;;) {
      order.push(last);
      if (node.size === 1) return order.reverse();
      const before = this.without(node.counts, node.size, last);
      const target = node.endingIn[last]!;
      const from = last;
      last = before.endingIn.findIndex((value, p) => value + gap[p]![from]! === target);
      node = before;
    }
  }
}
