import { afterEach, beforeEach } from '@jest/globals';

/** One request the page made: `POST /api/rack`, and what it carried. */
export interface Asked {
  readonly what: string;
  readonly body: unknown;
}

type Answers = Readonly<Record<string, (body: unknown) => unknown>>;

/** An answer that says no, as the server says it. */
export const problem = (status: number, detail: string) => ({ __problem: status, detail });

/**
 * Plays the server for component tests: answers by `METHOD /path`, everything else with an empty list. Returns what was
 * asked, newest last.
 */
export function playServer(): { readonly asked: Asked[]; answers: Answers } {
  const play: { asked: Asked[]; answers: Answers } = { asked: [], answers: {} };
  const own = { fetch: globalThis.fetch, Request: globalThis.Request };
  beforeEach(() => {
    play.asked.length = 0;
    // Addresses without a host have no meaning outside a browser.
    globalThis.Request = class extends own.Request {
      constructor(input: string | URL | Request, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://127.0.0.1') : input, init);
      }
    };
    globalThis.fetch = async (input) => {
      const request = input as Request;
      const what = `${request.method} ${new URL(request.url).pathname}`;
      const text = await request.text();
      const body: unknown = text === '' ? undefined : JSON.parse(text);
      if (request.method !== 'GET') play.asked.push({ what, body });
      // What a test says nothing of is a list with nothing in it; a shop log has two.
      const nothing = what.endsWith('/shop') ? { issues: [], events: [] } : [];
      const answer = (await play.answers[what]?.(body)) ?? nothing;
      const refused = answer as { __problem?: number; detail?: string };
      return new Response(
        JSON.stringify(
          refused.__problem
            ? {
                code: refused.__problem >= 500 ? 'unavailable' : 'invalid',
                detail: refused.detail,
                issues: [],
              }
            : answer,
        ),
        { status: refused.__problem ?? 200, headers: { 'content-type': 'application/json' } },
      );
    };
  });
  afterEach(() => {
    globalThis.fetch = own.fetch;
    globalThis.Request = own.Request;
  });
  return play;
}
