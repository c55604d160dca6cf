import { message, publishedIssue } from '@long-miter/core';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Problem } from '@long-miter/core';
import { whyUnavailable } from '../db/sql-errors.ts';
import { HttpProblem } from './problem.ts';

const TITLES: Readonly<Record<number, string>> = {
  401: 'Sign in',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Conflict',
  410: 'Deleted',
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
    ...(typeof problem.detail === 'string' ? {} : { message: problem.detail }),
    code: problem.code,
    issues: problem.issues.map(publishedIssue),
  };
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(body));
}

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  const { status, type } = error as { status?: number; type?: string };
  if (type === 'entity.too.large')
    return new HttpProblem('too-large', message('server.the-request-is-larger-than-the'));
  if (type === 'entity.parse.failed')
    return new HttpProblem('invalid', message('server.the-request-is-not-json'), [
      { at: '', text: message('server.is-not-json') },
    ]);
  // Before the driver is asked: a missing file is no missing database.
  if (status !== undefined && status >= 400 && status < 500)
    return status === 404
      ? new HttpProblem('not-found', message('server.there-is-nothing-at-this-address'))
      : new HttpProblem('invalid', message('server.the-request-cannot-be-read'));
  const why = whyUnavailable(error);
  if (why !== undefined) return new HttpProblem('unavailable', why);
  return new HttpProblem('internal', message('server.something-went-wrong-on-the-server'));
}

/** Writes every failure as problem+json; our own mistakes go to the log with their stack, never to the client. */
export const errorHandler: ErrorRequestHandler = (error, _request, response, next) => {
  if (response.headersSent) return next(error);
  const problem = problemOf(error);
  if (problem.status === 500) process.stderr.write(`${(error as Error).stack ?? String(error)}\n`);
  send(response, problem);
};

/** Unknown addresses; without it Express answers HTML. */
export const unknownAddress: RequestHandler = (request, response) =>
  send(
    response,
    new HttpProblem(
      'not-found',
      message('server.there-is-nothing-at', { method: request.method, slice: request.path.slice(0, 200) }),
    ),
  );
