import { randomInt, randomUUID } from 'node:crypto';
import type { DeviceReading } from '@long-miter/core';

/**
 * Which device belongs to which page. A page asks for a code and shows it; a device that says the code sends its readings
 * to that page and to no other. A pairing lasts as long as its page listens.
 */

/** What a page is told of its devices: a reading, a line that is none, how many are paired with it. */
export type DeviceEvent =
  | { readonly kind: 'reading'; readonly reading: DeviceReading }
  | { readonly kind: 'unreadable'; readonly text: string }
  | { readonly kind: 'devices'; readonly connected: number };

export interface Pairing {
  /** Said by the device: six digits. */
  readonly code: string;
  /** Known to the page alone: opens its stream. */
  readonly key: string;
  /** Newest number of each device, by its name: a line that comes twice counts once. */
  readonly last: Map<string, number>;
  connected: number;
  listens: boolean;
}

/** Milliseconds that a pairing waits for its page to listen, at first or again. */
const WAITS = 120_000;
const MOST = 500;
const MOST_DEVICES = 16;

export class Pairings {
  private readonly byCode = new Map<string, Pairing>();
  private readonly byKey = new Map<string, Pairing>();

  /** A new pairing; undefined when there are too many. */
  make(): Pairing | undefined {
    if (this.byCode.size >= MOST) return undefined;
    let code: string;
    do code = String(randomInt(1_000_000)).padStart(6, '0');
    while (this.byCode.has(code));
    const pairing: Pairing = { code, key: randomUUID(), last: new Map(), connected: 0, listens: false };
    this.byCode.set(code, pairing);
    this.byKey.set(pairing.key, pairing);
    this.endUnlessHeard(pairing);
    return pairing;
  }

  withCode = (code: string): Pairing | undefined => this.byCode.get(code);
  withKey = (key: string): Pairing | undefined => this.byKey.get(key);

  /** The page has gone; it may come back. */
  endUnlessHeard(pairing: Pairing): void {
    const timer = setTimeout(() => {
      if (pairing.listens) return;
      this.byCode.delete(pairing.code);
      this.byKey.delete(pairing.key);
    }, WAITS);
    timer.unref();
  }

  /** Whether a reading is new; undefined when more devices than any page has say they are paired with it. */
  isNew({ last }: Pairing, { device, number }: DeviceReading): boolean | undefined {
    if (last.get(device) === number) return false;
    if (!last.has(device) && last.size >= MOST_DEVICES) return undefined;
    last.set(device, number);
    return true;
  }
}
