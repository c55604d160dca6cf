/**
 * The next tag of a piece that is made again: 2-07, then 2-07 B, 2-07 C … 2-07 Z, 2-07 AA. A number written on wood is never
 * used again, so tags that are taken are passed over.
 */
export function nextTag(stem: string, taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) {
    const tag = `${stem} ${letters(n)}`;
    if (!taken.has(tag)) return tag;
  }
}

/** 0 A, 1 B … 25 Z, 26 AA: letters as a count. */
export function letters(n: number): string {
  const last = String.fromCharCode(65 + (n % 26));
  return n < 26 ? last : letters(Math.floor(n / 26) - 1) + last;
}
