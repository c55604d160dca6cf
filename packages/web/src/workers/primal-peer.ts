import {
  MessagePeer,
  type Peer,
  type PeerMessage,
  type PeerReport,
  type TimedMessage,
} from '@long-miter/optimiser';

/** The peer of a search in a worker of its own, which is started when it is first told something. */
export class PeerWorker implements Peer {
  private worker: Worker | undefined;
  private readonly peer = new MessagePeer((told) =>
    this.begun().postMessage({ told, at: Date.now() } satisfies TimedMessage),
  );

  tell = (told: PeerMessage): ReturnType<Peer['tell']> => this.peer.tell(told);

  end(): void {
    this.worker?.terminate();
  }

  private begun(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(new URL('./primal-peer.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<PeerReport>) => this.peer.hear(data);
    // One side is enough for a plan: the search goes on without the other.
    worker.onerror = () => this.peer.lost();
    this.worker = worker;
    return worker;
  }
}
