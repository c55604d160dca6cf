import { notFound } from './problem.ts';

const UUID = /^[0-9a-f-]{36}$/;

/** An id from the address; anything that cannot be one names nothing. */
export const idOf = (params: Record<string, unknown>, what: string, key = 'id'): string => {
  const id = params[key];
  if (typeof id !== 'string' || !UUID.test(id)) throw notFound(what);
  return id;
};
