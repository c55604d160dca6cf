/** A small repeatable source of numbers from 0 to 1 (a multiplicative hash of seed and count). */
export function numbersFrom(seed: number): () => number {
  let state = (Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ 0x27d4eb2f) >>> 0;
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 0x2c1b3c6d) + 0x6d2b79f5) >>> 0;
    return ((state ^ (state >>> 13)) >>> 0) / 4294967296;
  };
}
