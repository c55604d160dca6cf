import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express, { type Express } from 'express';
import { z } from 'zod';
import {
  checkShape,
  convertLength,
  orderLineSchema,
  trimKindSchema,
  type QuoteLine,
  type StandInBehaviour,
  type TrimKindRecord,
} from '@long-miter/core';

/**
 * Stand-ins for two suppliers, as programs of their own on a local port: they price whatever trim they are asked for by
 * its section and material, have so many of each length, take orders, and can be made slow or faulty.
 */

const askSchema = z.strictObject({ wanted: z.array(trimKindSchema).max(200) });
const orderSchema = z.strictObject({
  reference: z.string().min(1).max(80),
  lines: z.array(orderLineSchema.omit({ profile: true }).extend({ price: z.number().min(0) })).min(1),
});

const LENGTHS = { in: [96, 120, 144, 168, 192], mm: [2400, 3000, 3600, 4200, 4800] } as const;

/** Money for a cubic decimetre of trim, by material. */
const RATE: Readonly<Record<TrimKindRecord['material'], number>> = {
  mdf: 1.7,
  softwood: 2.3,
  hardwood: 5.2,
  polyurethane: 3,
  pvc: 3.4,
  other: 3,
};

interface Yard {
  /** Against the usual price; the longest lengths cost a little more for their length. */
  readonly factor: number;
  /** How many of a length are there to begin with. */
  readonly stocked: number;
}
export const YARDS: Readonly<Record<string, Yard>> = {
  north: { factor: 1, stocked: 40 },
  south: { factor: 0.94, stocked: 12 },
};

const keyOf = (trim: TrimKindRecord, length: number): string =>
  [trim.use, trim.width, trim.thickness, trim.material, trim.finish, trim.unit, length].join('|');

export class SupplierStandIn {
  behaviour: StandInBehaviour = { delay: 0, failure: 'none' };
  private readonly sold = new Map<string, number>();
  private readonly orders = new Map<string, { confirmation: string; total: number }>();
  private server: Server | undefined;
  private listening = 0;

  /** 0 while it does not listen. */
  get port(): number {
    return this.listening;
  }

  private linesFor(yardName: string, yard: Yard, trim: TrimKindRecord): QuoteLine[] {
    return LENGTHS[trim.unit].map((length, index) => {
      const mm = (value: number): number => convertLength(value, trim.unit, 'mm');
      const volume = (mm(trim.width) * mm(trim.thickness) * mm(length)) / 1e6;
      const price = volume * RATE[trim.material] * yard.factor * (1 + 0.02 * index);
      return {
        trim,
        length,
        price: Math.round(price * 100) / 100,
        available: Math.max(0, yard.stocked - (this.sold.get(`${yardName}|${keyOf(trim, length)}`) ?? 0)),
      };
    });
  }

  private take(
    yardName: string,
    yard: Yard,
    { reference, lines }: z.infer<typeof orderSchema>,
  ): { confirmation: string; total: number } | string {
    const known = this.orders.get(reference);
    if (known) return known;
    let total = 0;
    for (const line of lines) {
      const have = this.linesFor(yardName, yard, line.trim).find(
        (one) => Math.abs(one.length - line.length) < 0.5,
      );
      if (!have || have.available < line.count)
        return `only ${have?.available ?? 0} of ${line.trim.name}, ${line.length} ${line.trim.unit}, are left`;
      total += have.price * line.count;
    }
    for (const line of lines) {
      const key = `${yardName}|${keyOf(line.trim, line.length)}`;
      this.sold.set(key, (this.sold.get(key) ?? 0) + line.count);
    }
    const answer = {
      confirmation: `${yardName[0]!.toUpperCase()}-${1000 + this.orders.size + 1}`,
      total: Math.round(total * 100) / 100,
    };
    this.orders.set(reference, answer);
    return answer;
  }

  private app(): Express {
    const app = express();
    app.use(express.json({ limit: '1mb' }));
    app.use(async (_request, response, next) => {
      const { delay, failure } = this.behaviour;
      if (delay > 0) await new Promise((resolve) => setTimeout(resolve, delay));
      if (failure === 'silent') return;
      if (failure === 'error') return void response.status(500).json({ detail: 'the till is down' });
      if (failure === 'garbled') return void response.send('{"lines": [{"price": "abc"');
      next();
    });
    for (const [name, yard] of Object.entries(YARDS)) {
      app.post(`/${name}/quote`, (request, response) => {
        const asked = checkShape(askSchema, request.body);
        if (!asked.ok) return void response.status(422).json({ detail: asked.issues[0].text });
        response.json({ lines: asked.value.wanted.flatMap((trim) => this.linesFor(name, yard, trim)) });
      });
      app.post(`/${name}/orders`, (request, response) => {
        const asked = checkShape(orderSchema, request.body);
        if (!asked.ok) return void response.status(422).json({ detail: asked.issues[0].text });
        const taken = this.take(name, yard, asked.value);
        if (typeof taken === 'string') return void response.status(409).json({ detail: taken });
        response.status(201).json(taken);
      });
    }
    return app;
  }

  /** Starts to listen on the loopback; a port that is taken is told and left alone. */
  listen(port: number): Promise<number> {
    const server = createServer(this.app());
    this.server = server;
    return new Promise((resolve) => {
      server.on('error', (error) => {
        process.stderr.write(`No stand-in for suppliers: ${error.message}\n`);
        resolve(0);
      });
      server.on('clientError', (_error, socket) => socket.destroy());
      server.listen(port, '127.0.0.1', () => {
        this.listening = (server.address() as AddressInfo).port;
        resolve(this.listening);
      });
    });
  }

  close(): void {
    this.server?.closeAllConnections();
    this.server?.close();
  }
}
