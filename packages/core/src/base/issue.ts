import type { Words } from '../messages/index.ts';

/**
 * One fault in what a person, a file or a device gave us.
 * `at` is a JSON pointer into the document (`""` is the whole of it); `text` says what is wrong and, where it
 * helps, what would put it right. Shown beside the field, printed by the headless commands, sent by the API.
 */
export interface Issue {
  readonly at: string;
  readonly text: Words;
  /** What kind of fault it is, where somebody decides by it; never decide by the text. */
  readonly code?: string;
  readonly data?: Readonly<Record<string, number | string>>;
}

/** An answer, or every reason why there is none. Faults that a user can cause are values, never exceptions. */
export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly [Issue, ...Issue[]] };

/** A good answer. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** A refusal with one reason or several. */
export const fail = (first: Issue, ...rest: Issue[]): Result<never> => ({
  ok: false,
  issues: [first, ...rest],
});

/** A refusal when there are faults, else the value. */
export const failIfAny = <T>(issues: readonly Issue[], value: T): Result<T> => {
  const [first, ...rest] = issues;
  return first ? fail(first, ...rest) : ok(value);
};

/**
 * Joins path steps to a JSON pointer, escaping `~` and `/` (RFC 6901).
 * @example pointer('rooms', 0, 'name') // "/rooms/0/name"
 */
export const pointer = (...steps: readonly PropertyKey[]): string =>
  steps.map((step) => '/' + String(step).replaceAll('~', '~0').replaceAll('/', '~1')).join('');
