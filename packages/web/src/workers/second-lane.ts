import { BesideByMessages, type Beside, type LaneTold, type Report, type Sent } from '@long-miter/core';

/** The second lane of a search in a worker of its own, which is started when it is first told something. */
export class SecondLane implements Beside {
  private worker: Worker | undefined;
  private readonly lane = new BesideByMessages((told) =>
    this.begun().postMessage({ told, at: Date.now() } satisfies Sent),
  );

  tell = (told: LaneTold): ReturnType<Beside['tell']> => this.lane.tell(told);

  end(): void {
    this.worker?.terminate();
  }

  private begun(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(new URL('./second-lane.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Report>) => this.lane.hear(data);
    // One lane is enough for a plan: the search goes on without the other.
    worker.onerror = () => this.lane.lost();
    this.worker = worker;
    return worker;
  }
}
