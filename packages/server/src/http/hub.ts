import type { Request, Response } from 'express';

/** How often an open stream is written to, so that a dead one is noticed and none is cut for silence. */
const BEAT = 20_000;

/** Streams of events to pages (text/event-stream), by topic. One process serves all pages, so memory is enough. */
export class Hub<Event> {
  private readonly listeners = new Map<string, Set<Response>>();

  /** Keeps a request open and sends it everything told on a topic until the page goes away. */
  open(topic: string, request: Request, response: Response): void {
    response.set({
      'Content-Type': 'text/event-stream',
      // Compression would hold events back until its buffer is full.
      'Cache-Control': 'no-cache, no-transform',
    });
    response.flushHeaders();
    response.write(': open\n\n');
    const others = this.listeners.get(topic) ?? new Set();
    this.listeners.set(topic, others.add(response));
    const beat = setInterval(() => response.write(': beat\n\n'), BEAT);
    beat.unref();
    request.on('close', () => {
      clearInterval(beat);
      others.delete(response);
      if (others.size === 0) this.listeners.delete(topic);
    });
  }

  tell(topic: string, event: Event): void {
    for (const response of this.listeners.get(topic) ?? [])
      response.write(`data: ${JSON.stringify(event)}\n\n`);
  }
}
