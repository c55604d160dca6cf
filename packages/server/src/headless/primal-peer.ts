import { parentPort, Worker } from 'node:worker_threads';
import loadHighs from 'highs';
import {
  MessagePeer,
  primalWorker,
  agedMessage,
  type Peer,
  type PeerMessage,
  type PeerReport,
  type TimedMessage,
} from '@long-miter/optimiser';
import { highsSolver } from '@long-miter/optimiser/highs';

/** The peer of a search, in a thread of its own beside the one that plans. */

/** What a thread is started with to be that peer. */
export const PRIMAL_PEER = { kind: 'primal-peer' } as const;

/** What the thread does: answers each thing it is told by how far it has come since. */
export async function servePrimalPeer(clock: () => number): Promise<void> {
  // What is told while the solver is being loaded waits: nobody listens to the port yet.
  const answer = primalWorker(highsSolver(await loadHighs()), clock);
  parentPort!.on('message', ({ told, at }: TimedMessage) =>
    parentPort!.postMessage(answer(agedMessage(told, (Date.now() - at) / 1000))),
  );
}

/**
 * A peer that is started when it is first told something: most searches are over before.
 * @param program the file that does `workBeside` when it is started with `SECOND_LANE`
 */
export class PeerThread implements Peer {
  private thread: Worker | undefined;
  private readonly program: URL;
  private readonly peer = new MessagePeer((told) =>
    this.begun().postMessage({ told, at: Date.now() } satisfies TimedMessage),
  );

  constructor(program: URL) {
    this.program = program;
  }

  tell = (told: PeerMessage): ReturnType<Peer['tell']> => this.peer.tell(told);

  /** Ends the thread. */
  end(): void {
    this.thread?.terminate().catch(() => undefined);
  }

  private begun(): Worker {
    if (this.thread) return this.thread;
    const thread = new Worker(this.program, { workerData: PRIMAL_PEER });
    thread.on('message', (report: PeerReport) => this.peer.hear(report));
    // One side is enough for a plan: the search goes on without the other.
    thread.on('error', () => this.peer.lost());
    thread.on('exit', () => this.peer.lost());
    this.thread = thread;
    return thread;
  }
}
