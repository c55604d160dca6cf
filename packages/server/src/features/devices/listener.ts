import { createServer, type Server, type Socket } from 'node:net';
import { parseDeviceLine, plainText } from '@long-miter/core';
import { Hub } from '../../http/hub.ts';
import { Pairings, type DeviceEvent, type Pairing } from './pairings.ts';

/** A line longer than this is noise; the connection is closed before it fills the memory. */
const LONGEST = 4096;
const MOST_CONNECTIONS = 64;
/** Milliseconds after which a silent line is taken down; a device opens a new one. */
const SILENT = 30 * 60_000;
/** Wrong lines before a pairing; a page or a scanner that talks to this port is gone at once. */
const MOST_WRONG = 3;

/**
 * Listens for measuring devices: each connects to a local port, says the code of the page it belongs to, and sends its
 * readings as lines of text. A line that comes twice, by device and number, counts once. Each line is answered: `paired`,
 * `ok 17`, `again 17` or `no` and the reason. The protocol is described in docs/devices.md.
 */
export class DeviceListener {
  readonly pairings = new Pairings();
  readonly hub = new Hub<DeviceEvent>();
  private readonly sockets = new Set<Socket>();
  private server: Server | undefined;
  private listening = 0;

  /** 0 while it does not listen. */
  get port(): number {
    return this.listening;
  }

  /** Takes a line of a paired device; the answer is what the device gets back. */
  private take(pairing: Pairing, line: string): string {
    const read = parseDeviceLine(line);
    if (!read.ok) {
      this.hub.tell(pairing.key, { kind: 'unreadable', text: plainText(read.issues[0].text) });
      return `no ${plainText(read.issues[0].text)}`;
    }
    const isNew = this.pairings.isNew(pairing, read.value);
    if (isNew === undefined) return 'no more devices than one page can have';
    if (!isNew) return `again ${read.value.number}`;
    if (!pairing.listens) {
      pairing.last.delete(read.value.device);
      return 'no the page is not listening: send it again when it is';
    }
    this.hub.tell(pairing.key, { kind: 'reading', reading: read.value });
    return `ok ${read.value.number}`;
  }

  /** Starts to listen on the loopback; a port that is taken is told and left alone, the rest of the server works. */
  listen(port: number): Promise<number> {
    const server = createServer((socket) => this.attend(socket));
    server.maxConnections = MOST_CONNECTIONS;
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
    let pending = '';
    let wrong = 0;
    let pairing: Pairing | undefined;
    const answer = (text: string): void => {
      if (!socket.destroyed && socket.writable) socket.write(`${text}\n`);
    };
    const leave = (): void => {
      if (!pairing) return;
      pairing.connected--;
      this.tellCount(pairing);
      pairing = undefined;
    };
    const onLine = (line: string): void => {
      const said = /^PAIR (\d{6})$/.exec(line);
      if (said) {
        const found = this.pairings.withCode(said[1]!);
        leave();
        pairing = found;
        if (found) {
          found.connected++;
          this.tellCount(found);
          return answer('paired');
        }
      } else if (pairing) return answer(this.take(pairing, line));
      wrong++;
      answer(said ? 'no page shows this code' : 'no pair first: PAIR and the six digits on the page');
      // Whoever does not know the protocol is not let go on: a page that posts here says its own headers first.
      if (!said || wrong >= MOST_WRONG) socket.end();
    };
    socket.setTimeout(SILENT, () => socket.destroy());
    socket.on('data', (chunk) => {
      pending += chunk.toString('latin1');
      const lines = pending.split('\n');
      pending = lines.pop()!;
      for (const line of lines) {
        if (socket.writableEnded || socket.destroyed) return;
        if (line.length > LONGEST) return void socket.destroy();
        if (line.trim() !== '') onLine(line.trim());
      }
      if (pending.length > LONGEST) socket.destroy();
    });
    socket.on('error', () => socket.destroy());
    socket.on('close', () => {
      leave();
      this.sockets.delete(socket);
    });
  }

  private tellCount(pairing: Pairing): void {
    this.hub.tell(pairing.key, { kind: 'devices', connected: pairing.connected });
  }

  close(): void {
    this.server?.close();
    for (const socket of this.sockets) socket.destroy();
  }
}
