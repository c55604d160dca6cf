import {
  type Words,
  message,
  checkShape,
  fromMinor,
  orderAnswerSchema,
  quoteAnswerSchema,
  readJson,
  toMinor,
  type Coin,
  type PlaceOrder,
  type QuoteLine,
  type Supplier,
  type TrimKindRecord,
} from '@long-miter/core';
import type { z } from 'zod';
import { HttpProblem } from '../../http/problem.ts';

/** Asks suppliers over HTTP. Whatever goes wrong is said in the crew's words, with what still holds and what to do. */

/** Milliseconds after which a supplier counts as silent. */
const PATIENCE = 4000;

const LOOPBACK = /^http:\/\/(127\.0\.0\.1|localhost)(:\d{1,5})?$/;
let allowed: ReadonlySet<string> | undefined;

/** Which addresses may be asked at all: those named where the server was started, else those on this machine. */
export function allowSuppliers(origins: readonly string[] | undefined): void {
  allowed = origins && new Set(origins);
}

/** Whether a supplier's address may be asked. */
export function mayAsk(url: string): boolean {
  if (!URL.canParse(url)) return false;
  const { origin } = new URL(url);
  return allowed ? allowed.has(origin) : LOOPBACK.test(origin);
}

/** What an error of a supplier's means. What he writes beside it is not passed on: it is his, not ours to show. */
const MEANS: Readonly<Record<number, Words>> = {
  409: message('server.means-409'),
  422: message('server.means-422'),
  429: message('server.means-429'),
  500: message('server.means-500'),
  503: message('server.means-503'),
};

/** Longest answer that is read. */
const LONGEST = 2_000_000;

async function boundedText(answer: Response): Promise<string> {
  let text = '';
  const decoder = new TextDecoder();
  for await (const part of answer.body ?? []) {
    text += decoder.decode(part as Uint8Array, { stream: true });
    if (text.length > LONGEST) throw new Error('too long an answer');
  }
  return text + decoder.decode();
}

async function ask<S extends z.ZodType>(
  supplier: Supplier,
  path: string,
  body: object,
  schema: S,
  patience: number,
): Promise<z.infer<S>> {
  if (!mayAsk(supplier.url))
    throw new HttpProblem('forbidden', message('server.is-at-an-address-that-may', { name: supplier.name }));
  let answer: Response;
  let text: string;
  try {
    answer = await fetch(supplier.url.replace(/\/$/, '') + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(patience),
      redirect: 'error',
    });
    text = await boundedText(answer);
  } catch (error) {
    const silent = (error as Error).name === 'TimeoutError';
    throw new HttpProblem(
      'unavailable',
      silent
        ? message('server.did-not-answer-within-seconds-try', {
            name: supplier.name,
            patience: patience / 1000,
          })
        : message('server.cannot-be-reached-try-again-later', { name: supplier.name }),
    );
  }
  if (!answer.ok)
    throw new HttpProblem(
      'unavailable',
      message('server.joined', {
        name: supplier.name,
        answer: MEANS[answer.status] ?? message('server.refuses-it-with-error', { status: answer.status }),
      }),
    );
  const json = readJson(text);
  const checked = json.ok ? checkShape(schema, json.value) : undefined;
  if (!checked?.ok)
    throw new HttpProblem(
      'unavailable',
      message('server.the-answer-of-cannot-be-read', {
        name: supplier.name,
        where: checked ? message('server.at', { at: checked.issues[0].at.slice(0, 80) }) : '',
      }),
    );
  return checked.value;
}

/** Prices and counts for kinds of trim. */
export const fetchQuote = async (
  supplier: Supplier,
  wanted: readonly TrimKindRecord[],
  patience = PATIENCE,
): Promise<QuoteLine[]> => (await ask(supplier, '/quote', { wanted }, quoteAnswerSchema, patience)).lines;

/**
 * Sends an order, prices in decimals as people write them. The reference makes a repeat harmless: a supplier delivers one
 * reference once.
 * @returns the supplier's number, and the sum in smallest coins
 */
export async function sendOrder(
  supplier: Supplier,
  reference: string,
  lines: PlaceOrder['lines'],
  coin: Coin,
  patience = PATIENCE,
): Promise<{ confirmation: string; total: number }> {
  const answer = await ask(
    supplier,
    '/orders',
    {
      reference,
      lines: lines.map(({ profile: _own, ...line }) => ({ ...line, price: fromMinor(line.price, coin) })),
    },
    orderAnswerSchema,
    patience,
  );
  return { confirmation: answer.confirmation, total: toMinor(answer.total, coin) };
}
