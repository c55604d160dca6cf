import { message, plainText } from '@long-miter/core';
import type { Issue, ProblemCode, Words } from '@long-miter/core';

const STATUS: Readonly<Record<ProblemCode, number>> = {
  invalid: 422,
  'sign-in': 401,
  forbidden: 403,
  'not-found': 404,
  conflict: 409,
  deleted: 410,
  'too-large': 413,
  unavailable: 503,
  internal: 500,
};

/** A failure that the client is told about; the error handler writes it as problem+json. */
export class HttpProblem extends Error {
  readonly code: ProblemCode;
  readonly issues: readonly Issue[];
  /** What is said of it; as text in English it is the message of the error. */
  readonly detail: Words;

  constructor(code: ProblemCode, detail: Words, issues: readonly Issue[] = []) {
    super(plainText(detail));
    this.detail = detail;
    this.code = code;
    this.issues = issues;
  }

  get status(): number {
    return STATUS[this.code];
  }
}

export const notFound = (what: Words): HttpProblem =>
  new HttpProblem('not-found', message('server.there-is-no-such-it-may', { what }));
export const invalid = (issues: readonly Issue[]): HttpProblem =>
  new HttpProblem('invalid', issues[0]?.text ?? message('server.the-request-is-not-valid'), issues);
export const conflict = (what: Words): HttpProblem =>
  new HttpProblem('conflict', message('server.this-was-changed-by-someone-else', { what }));
