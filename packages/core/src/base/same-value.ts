type Json = unknown;
type Fields = Readonly<Record<string, Json>>;

const isFields = (value: Json): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether two values are the same, whatever the order of their keys. A key with no value is an absent one. */
export function sameValue(a: Json, b: Json): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((one, index) => sameValue(one, b[index]));
  if (!isFields(a) || !isFields(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => sameValue(a[key], b[key]));
}
