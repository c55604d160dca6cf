import { plainText } from '@long-miter/core';
import type { Issue, ProblemCode } from '@long-miter/core';

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

  constructor(code: ProblemCode, detail: string, issues: readonly Issue[] = []) {
    super(detail);
    this.code = code;
    this.issues = issues;
  }

  get status(): number {
    return STATUS[this.code];
  }
}

export const notFound = (what: string): HttpProblem =>
  new HttpProblem('not-found', `there is no such ${what}; it may have been deleted`);
export const invalid = (issues: readonly Issue[]): HttpProblem =>
  new HttpProblem('invalid', issues[0] ? plainText(issues[0].text) : 'the request is not valid', issues);
export const conflict = (what: string): HttpProblem =>
  new HttpProblem('conflict', `this ${what} was changed by someone else meanwhile; load it again`);
