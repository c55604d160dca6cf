import type { z } from 'zod';
import { pointer, type Issue } from '../base/index.ts';

type ZodIssue = z.core.$ZodIssue;

function describe(issue: ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type': {
      const missing = issue.input === undefined;
      const expected = issue.expected === 'int' ? 'whole number' : issue.expected;
      const article = /^[aeiou]/.test(expected) ? 'an' : 'a';
      return missing ? `is missing: ${article} ${expected} is needed` : `must be ${article} ${expected}`;
    }
    case 'invalid_value':
      return issue.message.startsWith('Invalid')
        ? `must be one of ${issue.values.map((value) => JSON.stringify(value)).join(', ')}`
        : issue.message;
    case 'invalid_union':
      return issue.discriminator
        ? `"${issue.discriminator}" must name one of the known kinds`
        : 'has a form that is not known here';
    default:
      return issue.message;
  }
}

function expand(issue: ZodIssue): Issue[] {
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({
      at: pointer(...issue.path, key),
      text: 'is not a known key: check its spelling',
    }));
  if (issue.code === 'invalid_key')
    return [{ at: pointer(...issue.path), text: 'is not a known key: check its spelling' }];
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
