import type { Room } from '../job/index.ts';
import type { Draft } from './draft.ts';
import { walkKey } from './walk-key.ts';

const byWalk =
  (room: Room) =>
  (a: Draft, b: Draft): number => {
    const [aw, ax] = walkKey(room, a.walk);
    const [bw, bx] = walkKey(room, b.walk);
    return aw - bw || ax - bx;
  };

/** Drafts of one room in reading order: trim by trim as listed, clockwise from the entry. */
export function inReadingOrder(room: Room, drafts: readonly Draft[]): Draft[] {
  const trimAt = new Map(room.trims.map((trim, index) => [trim.id, index]));
  // Parts that belong to no trim of the room come last.
  const at = (draft: Draft): number => trimAt.get(draft.trimId) ?? room.trims.length;
  return [...drafts].sort((a, b) => at(a) - at(b) || byWalk(room)(a, b));
}

/** Steps of waiting before each piece can hang: 0 needs nothing. A circle (pinned by hand) is cut where it is met. */
function waitingSteps(drafts: readonly Draft[]): Map<string, number> {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  const steps = new Map<string, number>();
  const open = new Set<string>();
  const visit = (draft: Draft): number => {
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
export function inHangingOrder(room: Room, drafts: readonly Draft[]): Draft[] {
  const steps = waitingSteps(drafts);
  const trimAt = new Map(room.trims.map((trim, index) => [trim.id, index]));
  const reading = byWalk(room);
  return [...drafts].sort(
    (a, b) =>
      a.layer - b.layer ||
      (a.layer >= 10 ? trimAt.get(a.trimId)! - trimAt.get(b.trimId)! : 0) ||
      steps.get(a.id)! - steps.get(b.id)! ||
      reading(a, b),
  );
}
