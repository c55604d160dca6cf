import type { LoggedPlan } from './log-file.ts';
import type { Shop } from './state.ts';

/**
 * The tags of an issue. A piece that has a tag keeps it, whatever is renumbered; a new one gets its label of the plan, or where
 * that is written on wood already, the next free number of its room.
 * @param rooms only pieces of these rooms are given now; undefined: all. What was given before stays given.
 */
export function tagsFor(
  plan: LoggedPlan,
  shop: Pick<Shop, 'pieces'>,
  rooms?: ReadonlySet<string>,
): Record<string, string> {
  const stems = new Map(shop.pieces.map((piece) => [piece.piece, piece.stem]));
  const taken = new Set(shop.pieces.map((piece) => piece.stem));
  const tags: Record<string, string> = {};
  for (const piece of plan.pieces) {
    const known = stems.get(piece.id);
    if (known !== undefined) tags[piece.id] = known;
  }
  for (const piece of plan.pieces) {
    if (tags[piece.id] !== undefined || (rooms && !rooms.has(piece.room))) continue;
    const label = typeof piece['label'] === 'string' && piece['label'] !== '' ? piece['label'] : '1-01';
    const room = label.split('-')[0]!;
    let tag = label;
    for (let n = 1; taken.has(tag); n++) tag = `${room}-${String(n).padStart(2, '0')}`;
    taken.add(tag);
    tags[piece.id] = tag;
  }
  return tags;
}
