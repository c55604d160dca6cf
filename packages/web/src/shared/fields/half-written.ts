import { createContext, useSyncExternalStore } from 'react';

/**
 * Texts that stand in fields and are not taken: half-written, or refused with a reason. They outlive their screen, so that
 * going to another stage and back loses nothing, and the head can say that something is not saved.
 */

/** Where one is: the job and its room. Fields of the same name elsewhere are other fields. */
export const FieldScope = createContext('');

const texts = new Map<string, string>();
const listeners = new Set<() => void>();

const keyOf = (scope: string, field: string): string => `${scope}\n${field}`;

export const halfWritten = {
  find: (scope: string, field: string): string | undefined =>
    field === '' ? undefined : texts.get(keyOf(scope, field)),
  keep(scope: string, field: string, text: string | undefined): void {
    if (field === '') return;
    const key = keyOf(scope, field);
    if (texts.get(key) === text) return;
    if (text === undefined) texts.delete(key);
    else texts.set(key, text);
    for (const tell of listeners) tell();
  },
  clear(): void {
    texts.clear();
    for (const tell of listeners) tell();
  },
};

const subscribe = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

/** Names of the fields of a job that hold a text which is not taken, as one text; empty when there is none. */
export const useHalfWritten = (job: string): string =>
  useSyncExternalStore(subscribe, () =>
    [...texts.keys()]
      .filter((key) => key.startsWith(job))
      .map((key) => key.slice(key.indexOf('\n') + 1))
      .join(', '),
  );
