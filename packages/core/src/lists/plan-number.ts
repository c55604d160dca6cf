import type { PlanFile } from '../plan/index.ts';

/**
 * A short number that two plans share only if they ask for the same cuts: what is on paper is told from what is on the
 * screen. Made of pieces, lengths, angles and sticks; not of prices or words.
 * @example "4F-21C"
 */
export function planNumber(plan: Pick<PlanFile, 'pieces' | 'sticks'>): string {
  const text = JSON.stringify([
    plan.pieces.map((piece) => [piece.id, piece.label, piece.near, piece.left.angle, piece.right.angle]),
    plan.sticks.map((stick) => [stick.profile, stick.length, stick.cuts]),
  ]);
  // FNV-1a, 32 bits, shown as five hexadecimal figures of it.
  let hash = 0x811c9dc5;
  for (let k = 0; k < text.length; k++) hash = Math.imul(hash ^ text.charCodeAt(k), 0x01000193);
  const figures = (hash >>> 0).toString(16).toUpperCase().padStart(8, '0').slice(-5);
  return `${figures.slice(0, 2)}-${figures.slice(2)}`;
}
