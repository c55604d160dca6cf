import type { Pattern, IntegerSolution } from '../model/integer-solution.ts';
import type { BoundGround, CutProblem } from '../model/problem.ts';

/**
 * The search for one plan on two cores: one side bounds, its peer looks for plans. They exchange what they have at the
 * end of rounds that are counted in steps of work, so the answer does not depend on which of them is the quicker.
 */

/** How far a peer has come. */
export interface Incumbent {
  readonly plan: IntegerSolution | undefined;
  readonly bound: number;
  readonly ground: BoundGround;
}

/** What the search for plans begins from; it makes the same model of the problem, so patterns mean the same in both sides. */
export interface InitialState {
  readonly problem: CutProblem;
  readonly patterns: readonly Pattern[];
  readonly standing: Incumbent;
  readonly seconds: number;
}

/** What the peer is asked for: to go on from there for so many steps. */
export interface ContinueRequest {
  readonly standing: Incumbent;
  readonly turns: number;
}

export type PeerMessage =
  | { readonly kind: 'begin'; readonly beginning: InitialState }
  | ({ readonly kind: 'go-on' } & ContinueRequest);

/** What is told, and when it was sent (milliseconds since 1970). */
export interface TimedMessage {
  readonly told: PeerMessage;
  readonly at: number;
}

/** What was told so many seconds ago: on the way, and before the peer is there, its time goes by as well. */
export const agedMessage = (told: PeerMessage, seconds: number): PeerMessage =>
  told.kind === 'begin'
    ? { ...told, beginning: { ...told.beginning, seconds: told.beginning.seconds - seconds } }
    : told;

/**
 * A search that now and then tells the peer something, and is answered where that stands: at the beginning what it was
 * told itself, later what the other has come to since it was told before. Undefined: there is no other peer.
 */
export type SearchCoroutine<T> = Generator<PeerMessage, T, Incumbent | undefined>;

/** The search without a peer. */
export function runSequential<T>(coroutine: SearchCoroutine<T>): T {
  for (let step = coroutine.next(); ; step = coroutine.next(undefined)) if (step.done) return step.value;
}

/** The peer, wherever it runs. */
export interface Peer {
  /** Asks for what it has come to; undefined where it is gone. */
  readonly tell: (told: PeerMessage) => Promise<Incumbent | undefined>;
}

/** The search with a peer. */
export async function runParallel<T>(coroutine: SearchCoroutine<T>, other: Peer): Promise<T> {
  let step = coroutine.next();
  while (!step.done) step = coroutine.next(await other.tell(step.value));
  return step.value;
}

/** What a peer that looks for plans sends back for what it is told: where it stands, or nothing where it has ended. */
export interface PeerReport {
  readonly standing: Incumbent | undefined;
}

/**
 * The peer behind a pair of message ports: each thing told is answered by one report, and the report of the round before
 * is what is heard. Whoever owns the ports says when they are lost.
 */
export class MessagePeer implements Peer {
  private readonly heard: PeerReport[] = [];
  private waiting: ((report: PeerReport) => void) | undefined;
  private isGone = false;
  /** Reports of an earlier search that are still to come: they are of no use any more. */
  private owed = 0;
  /** Things told that no report was waited for yet. */
  private open = 0;
  private readonly post: (told: PeerMessage) => void;

  constructor(post: (told: PeerMessage) => void) {
    this.post = post;
  }

  /** A report has come in. */
  hear(report: PeerReport): void {
    if (this.owed > 0) {
      this.owed--;
      return;
    }
    const { waiting } = this;
    this.waiting = undefined;
    if (waiting) waiting(report);
    else this.heard.push(report);
  }

  /** The peer is gone: the search goes on without. */
  lost(): void {
    this.isGone = true;
    this.waiting?.({ standing: undefined });
    this.waiting = undefined;
  }

  async tell(told: PeerMessage): Promise<Incumbent | undefined> {
    if (this.isGone) return undefined;
    if (told.kind === 'begin') {
      // What an earlier search did not wait for.
      this.owed += this.open - this.heard.length;
      this.heard.length = 0;
      this.open = 1;
      return this.send(told) ? told.beginning.standing : undefined;
    }
    const { standing } =
      this.heard.shift() ?? (await new Promise<PeerReport>((done) => (this.waiting = done)));
    this.open--;
    if (!standing || this.isGone) return undefined;
    this.open++;
    this.send(told);
    // What it came to counts, even if it cannot be told any more.
    return standing;
  }

  /** A peer that cannot be begun or told anything is gone: the plan is made without it. */
  private send(told: PeerMessage): boolean {
    try {
      this.post(told);
      return true;
    } catch {
      this.lost();
      return false;
    }
  }
}
