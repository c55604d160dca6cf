import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Problem } from '@long-miter/core';
import { HttpProblem } from './problem.ts';

const TITLES: Readonly<Record<number, string>> = {
  404: 'Not found',
  409: 'Conflict',
  413: 'Too large',
  422: 'Not valid',
  500: 'Server error',
  503: 'Unavailable',
};

function send(response: Response, problem: HttpProblem): void {
  const body: Problem = {
    type: 'about:blank',
    title: TITLES[problem.status] ?? 'Error',
    status: problem.status,
    detail: problem.message,
    code: problem.code,
    issues: problem.issues,
  };
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(body));
}

/** Codes with which mysql2 says that the database is not there (any more). */
const DATABASE_GONE = new Set([
  'ECONNREFUSED',
  'PROTOCOL_CONNECTION_LOST',
  'ECONNRESET',
  'EPIPE',
  'ENOENT',
  'ER_SERVER_SHUTDOWN',
  'ETIMEDOUT',
]);

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  const { status, type, code } = error as { status?: number; type?: string; code?: string };
  if (type === 'entity.too.large')
    return new HttpProblem('too-large', 'the request is larger than the server reads (6 MB)');
  if (type === 'entity.parse.failed')
    return new HttpProblem('invalid', 'the request is not JSON', [{ at: '', text: 'is not JSON' }]);
  if (code !== undefined && DATABASE_GONE.has(code))
    return new HttpProblem('unavailable', 'the database does not answer; try again in a moment');
  if (status !== undefined && status >= 400 && status < 500)
    return new HttpProblem(status === 404 ? 'not-found' : 'invalid', 'the request cannot be read');
  return new HttpProblem('internal', 'something went wrong on the server; nothing was changed');
}

/** Writes every failure as problem+json; our own mistakes go to the log with their stack, never to the client. */
export const errorHandler: ErrorRequestHandler = (error, _request, response, next) => {
  if (response.headersSent) return next(error);
  const problem = problemOf(error);
  if (problem.status >= 500) process.stderr.write(`${(error as Error).stack ?? String(error)}\n`);
  send(response, problem);
};

/** Unknown addresses of the API; without it Express answers HTML. */
export const unknownAddress: RequestHandler = (request, response) =>
  send(response, new HttpProblem('not-found', `there is nothing at ${request.method} ${request.path}`));
