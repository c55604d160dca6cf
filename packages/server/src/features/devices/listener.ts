import { createServer, type Server, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { parseDeviceLine, type DeviceReading } from '@long-miter/core';
import { Hub } from '../../http/hub.ts';

/** What a page is told of the devices: a reading, a line that is none, a device that came or went. */
export type DeviceEvent =
  | { readonly kind: 'reading'; readonly reading: DeviceReading }
  | { readonly kind: 'unreadable'; readonly text: string }
  | { readonly kind: 'devices'; readonly connected: number };

export const TOPIC = 'devices';
/** A line longer than this is noise; the connection is closed before it fills the memory. */
const LONGEST = 4096;

/**
 * Listens for measuring devices: each connects to a local port and sends its readings as lines of text. A line that
 * comes twice, by device and number, counts once. Each line is answered: `ok 17`, `again 17` or `no` and the reason.
 * The protocol is described in docs/devices.md.
 */
export class DeviceListener {
  readonly hub = new Hub<DeviceEvent>();
  private readonly last = new Map<string, number>();
  private readonly sockets = new Set<Socket>();
  private server: Server | undefined;
  private listening = 0;

  /** 0 while it does not listen. */
  get port(): number {
    return this.listening;
  }

  /** Takes a line as if a device had sent it; the answer is what the device gets back. */
  take(line: string): string {
    const read = parseDeviceLine(line);
    if (!read.ok) {
      this.hub.tell(TOPIC, { kind: 'unreadable', text: read.issues[0].text });
      return `no ${read.issues[0].text}`;
    }
    const { device, number } = read.value;
    if (this.last.get(device) === number) return `again ${number}`;
    this.last.set(device, number);
    this.hub.tell(TOPIC, { kind: 'reading', reading: read.value });
    return `ok ${number}`;
  }

  /** Starts to listen on the loopback; a port that is taken is told and left alone, the rest of the server works. */
  listen(port: number): Promise<number> {
    const server = createServer((socket) => this.attend(socket));
    this.server = server;
    return new Promise((resolve) => {
      server.on('error', (error) => {
        process.stderr.write(`No measuring devices: ${error.message}\n`);
        resolve(0);
      });
      server.listen(port, '127.0.0.1', () => {
        const address = server.address();
        this.listening = typeof address === 'object' && address ? address.port : 0;
        resolve(this.listening);
      });
    });
  }

  private attend(socket: Socket): void {
    this.sockets.add(socket);
    this.tellCount();
    let pending = 0;
    socket.on('data', (chunk) => {
      pending = chunk.includes(10) ? 0 : pending + chunk.length;
      if (pending > LONGEST) socket.destroy();
    });
    const lines = createInterface({ input: socket });
    lines.on('line', (line) => {
      if (line.trim() !== '') socket.write(`${this.take(line)}\n`);
    });
    socket.on('error', () => socket.destroy());
    socket.on('close', () => {
      lines.close();
      this.sockets.delete(socket);
      this.tellCount();
    });
  }

  private tellCount(): void {
    this.hub.tell(TOPIC, { kind: 'devices', connected: this.sockets.size });
  }

  close(): void {
    this.server?.close();
    for (const socket of this.sockets) socket.destroy();
  }
}
