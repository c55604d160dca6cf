import { CountedProof } from './counted.ts';
import { patternsOf, type Master, type Priced } from './master.ts';
import { Proof } from './proof.ts';
import type { Search } from './search.ts';
import type { LinearSolver } from './solver-port.ts';

/** So close to its end, cents, a relaxation is worth a proof by counts. */
const NEARLY = 1;

/** Part of the gap that a turn of the proof by counts has to close for another one to come before anything else. */
const RISE = 0.04;

/** The search for a bound, a turn at a time: a proof by counts, and one by the patterns that a better plan could use. */
export class BoundTurns {
  private readonly search: Search;
  private readonly proof: Proof;
  /** Often a few counts decide, and show the way to plans. */
  private readonly counted: CountedProof | undefined;

  constructor(search: Search, solver: LinearSolver, master: Master, relaxed: Priced) {
    this.search = search;
    this.proof = new Proof(search, master, relaxed.converged);
    this.counted =
      relaxed.outcome.objective - relaxed.bound < NEARLY && !search.model.weighed
        ? new CountedProof(search, solver, patternsOf(master))
        : undefined;
  }

  dispose(): void {
    this.counted?.dispose();
  }

  /** A first turn, before the search for plans goes on: what is at its end here needs no more of it. */
  begin(): void {
    this.counted?.turn();
    if (!this.search.stop()) this.proof.look();
  }

  /** All patterns that a better plan could use, where they are few, for a short time. @returns whether they were tried */
  look = (): boolean => this.proof.look();

  /** Whether the next turn is likely to be a long one: an integer programme is still to be tried. */
  isLong = (): boolean => !this.proof.isDone();

  /** The proof by counts, and the one by patterns where that hardly raises the bound. @returns whether there was anything to try */
  turn(): boolean {
    const { search } = this;
    const before = search.bound;
    const cost = search.best?.cost ?? Infinity;
    const counted = this.counted?.turn() ?? false;
    if (search.stop() || search.bound - before >= RISE * (cost - before)) return true;
    return this.proof.next() || counted;
  }
}
