import { faultText } from '@long-miter/core';
import { connect } from 'node:net';
import { z } from 'zod';

/**
 * Stand-ins for a laser distance meter and a digital angle finder: what one sends from their panel goes out as lines over
 * a real local connection, with the faults real devices have. They send to the same port a real device would.
 */

const share = z
  .number()
  .min(0, faultText('fault.must-not-be-negative'))
  .max(1, faultText('fault.must-be-at-most-1'));

export const standInSchema = z.strictObject({
  instrument: z.enum(['laser', 'finder']),
  /** Of the page it belongs to. */
  code: z.string().regex(/^\d{6}$/, faultText('server.must-be-the-six-digits')),
  value: z
    .number()
    .gt(0, faultText('fault.must-be-greater-than-0'))
    .lt(1_000_000, faultText('fault.is-more-than-any-device-reads')),
  unit: z.enum(['in', 'mm', 'deg']),
  /** Largest error that is added or taken off, in the unit. */
  noise: z.number().min(0, faultText('fault.must-not-be-negative')).max(1000).default(0),
  /** Shares of readings that are lost, sent twice, or garbled. */
  dropOut: share.default(0),
  twice: share.default(0),
  garbled: share.default(0),
});
type StandInRequest = z.infer<typeof standInSchema>;

interface StandInResult {
  /** What went over the line; none when the reading was lost. */
  readonly sent: readonly string[];
  /** What the listener answered to each. */
  readonly answers: readonly string[];
}

const counts = new Map<string, number>();

/** The lines a stand-in sends for one press of its button. */
export function linesOf(request: StandInRequest, number: number, random: () => number): string[] {
  const { instrument, value, unit, noise, dropOut, twice, garbled } = request;
  if (random() < dropOut) return [];
  const read = Math.max(0.001, value + noise * (2 * random() - 1));
  const digits = unit === 'in' ? 4 : unit === 'deg' ? 2 : 1;
  const line = `${instrument}-1 ${number} ${unit === 'deg' ? 'ANG' : 'LEN'} ${Number(read.toFixed(digits))} ${unit}`;
  if (random() < garbled) return [line.slice(0, Math.max(3, Math.floor(line.length * random()))) + '#'];
  return random() < twice ? [line, line] : [line];
}

/** Pairs, sends lines to the device port, and waits for the answers. */
function deliver(port: number, code: string, lines: readonly string[]): Promise<string[]> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    let text = '';
    const answers = (): string[] => text.split('\n').slice(1, -1);
    const end = (): void => {
      socket.destroy();
      const [first = ''] = text.split('\n');
      resolve(first === 'paired' ? answers() : [first === '' ? 'no answer' : first]);
    };
    socket.setTimeout(3000, end);
    socket.on('connect', () => socket.write([`PAIR ${code}`, ...lines].map((line) => `${line}\n`).join('')));
    socket.on('data', (chunk) => {
      text += chunk.toString('utf8');
      if (answers().length >= lines.length) end();
    });
    socket.on('error', end);
    socket.on('close', end);
  });
}

/** One press of a stand-in's button. */
export async function press(port: number, request: StandInRequest): Promise<StandInResult> {
  // Numbers go on from the clock, so that a restart does not repeat the last one.
  const number = (counts.get(request.instrument) ?? Math.floor(Date.now() / 1000) % 100_000_000) + 1;
  counts.set(request.instrument, number);
  const sent = linesOf(request, number, Math.random);
  return { sent, answers: sent.length > 0 ? await deliver(port, request.code, sent) : [] };
}
