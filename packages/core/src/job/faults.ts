import { message, listOf, unpacked, type Words } from '../messages/index.ts';
import type { z } from 'zod';
import { pointer, type Issue } from '../base/index.ts';

type ZodIssue = z.core.$ZodIssue;

/** Kinds of values with their article, as a sentence has them. */
const KINDS: Readonly<Record<string, Words>> = {
  int: message('fault.a-whole-number'),
  number: message('fault.a-number'),
  string: message('fault.a-string'),
  boolean: message('fault.a-boolean'),
  object: message('fault.an-object'),
  array: message('fault.an-array'),
  record: message('fault.a-record'),
  tuple: message('fault.a-tuple'),
};

function describe(issue: ZodIssue): Words {
  switch (issue.code) {
    case 'invalid_type': {
      const missing = issue.input === undefined;
      const { expected } = issue;
      const what = KINDS[expected] ?? expected;
      return missing ? message('fault.is-missing', { what }) : message('fault.must-be', { what });
    }
    case 'invalid_value':
      return issue.message.startsWith('Invalid')
        ? message('fault.must-be-one-of', {
            values: listOf(
              issue.values.map((value) => JSON.stringify(value)),
              ', ',
            ),
          })
        : unpacked(issue.message);
    case 'invalid_union':
      return issue.discriminator
        ? message('fault.must-name-a-known-kind', { key: issue.discriminator })
        : message('fault.has-an-unknown-form');
    default:
      return unpacked(issue.message);
  }
}

function expand(issue: ZodIssue): Issue[] {
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({
      at: pointer(...issue.path, key),
      text: message('fault.is-not-a-known-key'),
    }));
  if (issue.code === 'invalid_key')
    return [{ at: pointer(...issue.path), text: message('fault.is-not-a-known-key') }];
  if (issue.code === 'invalid_union' && !issue.discriminator) {
    // Faults inside the branch that came nearest say more than "matches none".
    const nearest = [...issue.errors].sort((a, b) => depth(b) - depth(a) || a.length - b.length)[0];
    if (nearest && depth(nearest) > 0)
      return nearest.flatMap((inner) => expand({ ...inner, path: [...issue.path, ...inner.path] }));
  }
  return [{ at: pointer(...issue.path), text: describe(issue) }];
}

const depth = (issues: readonly ZodIssue[]): number =>
  Math.max(0, ...issues.map((inner) => inner.path.length + (inner.code === 'unrecognized_keys' ? 1 : 0)));

/** Every fault that a schema found, as places and plain sentences. */
const faultsOf = (error: z.ZodError): Issue[] => error.issues.flatMap(expand);

/** Checks a value against a schema and answers with the value or every fault. */
export function checkShape<S extends z.ZodType>(
  schema: S,
  value: unknown,
): { ok: true; value: z.infer<S> } | { ok: false; issues: [Issue, ...Issue[]] } {
  const parsed = schema.safeParse(value, { reportInput: true });
  return parsed.success
    ? { ok: true, value: parsed.data }
    : { ok: false, issues: faultsOf(parsed.error) as [Issue, ...Issue[]] };
}
