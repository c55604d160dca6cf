import { CountedProof } from './counted.ts';
import { patternsOf, type Master, type Priced } from './master.ts';
import { Proof } from './proof.ts';
import type { Search } from './search.ts';
import type { LinearSolver } from './solver-port.ts';

/** So close to its end, cents, a relaxation is worth a proof by counts. */
const NEARLY = 1;

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

  /** A first look, before the search for plans goes on: what is at its end here needs no more of it. */
  begin(): void {
    this.counted?.turn();
    if (!this.search.stop()) this.proof.look();
  }

  /** All patterns, where they are few. @returns whether they were tried */
  few = (): boolean => this.proof.few();

  /** @returns whether there was anything to try */
  turn(): boolean {
    const counted = this.counted?.turn() ?? false;
    return (!this.search.stop() && this.proof.next()) || counted;
  }
}
