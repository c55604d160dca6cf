import { message } from '@long-miter/core';
import type { Request, Response } from 'express';
import { HttpProblem } from './problem.ts';

/** How often an open stream is written to, so that a dead one is noticed and none is cut for silence. */
const BEAT = 20_000;
/** Bytes that may wait for one listener; one that does not read is let go, and catches up when it comes again. */
const MOST_WAITING = 512 * 1024;
const MOST_LISTENERS = 2_000;

/** Streams of events to pages (text/event-stream), by topic. One process serves all pages, so memory is enough. */
export class Hub<Event> {
  private readonly listeners = new Map<string, Set<Response>>();
  private count = 0;

  /** Keeps a request open and sends it everything told on a topic until the page goes away. */
  open(topic: string, request: Request, response: Response, gone?: () => void): void {
    if (this.count >= MOST_LISTENERS)
      throw new HttpProblem('unavailable', message('server.too-many-pages-listen-just-now'));
    response.set({
      'Content-Type': 'text/event-stream',
      // Compression would hold events back until its buffer is full.
      'Cache-Control': 'no-cache, no-transform',
    });
    response.flushHeaders();
    response.write(': open\n\n');
    const others = this.listeners.get(topic) ?? new Set();
    this.listeners.set(topic, others.add(response));
    this.count++;
    const beat = setInterval(() => this.write(response, ': beat\n\n'), BEAT);
    beat.unref();
    let closed = false;
    const close = (): void => {
      if (closed) return;
      closed = true;
      this.count--;
      clearInterval(beat);
      others.delete(response);
      if (others.size === 0 && this.listeners.get(topic) === others) this.listeners.delete(topic);
      gone?.();
    };
    response.on('error', close);
    request.on('close', close);
    response.on('close', close);
  }

  private write(response: Response, text: string): void {
    if (response.destroyed) return;
    if (response.writableLength > MOST_WAITING) response.destroy();
    else response.write(text);
  }

  /** Written once for all who listen. */
  tell(topic: string, event: Event): void {
    const listeners = this.listeners.get(topic);
    if (!listeners) return;
    const text = `data: ${JSON.stringify(event)}\n\n`;
    for (const response of [...listeners]) this.write(response, text);
  }

  /** What anybody listens to. */
  topics(): string[] {
    return [...this.listeners.keys()];
  }

  /** How many listen on a topic. */
  listening(topic: string): number {
    return this.listeners.get(topic)?.size ?? 0;
  }
}
