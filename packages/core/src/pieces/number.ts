import { traitsOf, type Room } from '../job/index.ts';
import type { PieceDraft } from './draft.ts';
import { walkKey } from './walk-key.ts';

const byWalk =
  (room: Room) =>
  (a: PieceDraft, b: PieceDraft): number => {
    const [aw, ax] = walkKey(room, a.walk);
    const [bw, bx] = walkKey(room, b.walk);
    return aw - bw || ax - bx;
  };

/** Drafts of one room in reading order: trim by trim as listed, clockwise from the entry. */
export function inReadingOrder(room: Room, drafts: readonly PieceDraft[]): PieceDraft[] {
  const trimAt = new Map(room.trims.map((trim, index) => [trim.id, index]));
  // Parts that belong to no trim of the room come last.
  const at = (draft: PieceDraft): number => trimAt.get(draft.trimId) ?? room.trims.length;
  return [...drafts].sort((a, b) => at(a) - at(b) || byWalk(room)(a, b));
}

/** Steps of waiting before each piece can hang: 0 needs nothing. A circle (pinned by hand) is cut where it is met. */
function waitingSteps(drafts: readonly PieceDraft[]): Map<string, number> {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  const steps = new Map<string, number>();
  const open = new Set<string>();
  const visit = (draft: PieceDraft): number => {
    const known = steps.get(draft.id);
    if (known !== undefined) return known;
    if (open.has(draft.id)) return 0;
    open.add(draft.id);
    const before = draft.after.flatMap((id) => byId.get(id) ?? []);
    const step = before.reduce((most, one) => Math.max(most, visit(one) + 1), 0);
    open.delete(draft.id);
    steps.set(draft.id, step);
    return step;
  };
  drafts.forEach(visit);
  return steps;
}

/** Drafts of one room in order of installation: layers, then whatever waits for nothing, then its neighbours outward. */
export function inHangingOrder(room: Room, drafts: readonly PieceDraft[]): PieceDraft[] {
  const steps = waitingSteps(drafts);
  const trimAt = new Map(room.trims.map((trim, index) => [trim.id, index]));
  const reading = byWalk(room);
  return turnsBetween(
    [...drafts].sort(
      (a, b) =>
        a.layer - b.layer ||
        (a.layer >= 10 ? trimAt.get(a.trimId)! - trimAt.get(b.trimId)! : 0) ||
        steps.get(a.id)! - steps.get(b.id)! ||
        reading(a, b),
    ),
  );
}

/**
 * The turn pieces of crown around a rounded corner go in as soon as both neighbours are up, while their glue is still soft and
 * the ladder stands there. Source: crown, section 7.
 */
function turnsBetween(drafts: readonly PieceDraft[]): PieceDraft[] {
  const isTurn = (draft: PieceDraft): boolean =>
    draft.role === 'transition' && draft.slope === undefined && traitsOf(draft.profile).atCeiling;
  const turns = drafts.filter(isTurn);
  const hung = drafts.filter((draft) => !isTurn(draft));
  const at = new Map(hung.map((draft, index) => [draft.id, index]));
  const since = (turn: PieceDraft): number =>
    Math.max(-1, ...turn.after.map((id) => at.get(id) ?? hung.length - 1));
  return [
    ...turns.filter((turn) => since(turn) < 0),
    ...hung.flatMap((draft, index) => [draft, ...turns.filter((turn) => since(turn) === index)]),
  ];
}
