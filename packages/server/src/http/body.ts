import type { z } from 'zod';
import { checkShape } from '@long-miter/core';
import { invalid } from './problem.ts';

/** The request's body, checked; throws the problem that names every fault. */
export function readBody<S extends z.ZodType>(schema: S, body: unknown): z.infer<S> {
  const checked = checkShape(schema, body ?? {});
  if (!checked.ok) throw invalid(checked.issues);
  return checked.value;
}
