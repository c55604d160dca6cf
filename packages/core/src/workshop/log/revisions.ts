import { SAME_LENGTH } from '../../base/index.ts';
import type { LoggedPiece, ShopIssue } from './log-file.ts';
import type { ShopPiece } from './state.ts';
import type { Workshop } from './workshop.ts';

const waits = ({ state }: ShopPiece): boolean => state === 'held' || state === 'ready';

const fresh = (tag: string, plan: LoggedPiece, revision: number): ShopPiece => ({
  tag,
  stem: tag,
  piece: plan.id,
  revision,
  state: plan.held ? 'held' : 'ready',
  near: plan.near,
  asked: plan.near,
  ...(plan.held ? { predicted: plan.held.predicted } : {}),
  measured: false,
  cutEnds: [],
  fromBlank: false,
  plan,
});

/**
 * What a revision makes of a piece that waits: its new figure. What was measured in place, or sent back with its measure,
 * keeps that as long as the plan asks for the same as before.
 */
function renewed(held: ShopPiece, plan: LoggedPiece, revision: number): ShopPiece {
  const before = held.plan;
  const same = Math.abs(before.near - plan.near) < SAME_LENGTH;
  if (held.measured && (same || plan.held)) return { ...held, revision, plan };
  return {
    ...held,
    revision,
    plan,
    near: plan.near,
    asked: plan.near,
    measured: false,
    state: plan.held ? 'held' : 'ready',
    ...(plan.held ? { predicted: plan.held.predicted } : {}),
  };
}

/**
 * A new revision: new pieces get their tags, pieces that wait take the new figure, what is in somebody's hands or later keeps
 * its own, and what waits and is not asked for any more is superseded.
 * Source: workshop, sections 3, 7 and 11.
 */
export function applyIssue(shop: Workshop, issue: ShopIssue): void {
  shop.issue = issue;
  const byId = new Map(issue.plan.pieces.map((piece) => [piece.id, piece]));
  for (const [id, tag] of Object.entries(issue.tags)) {
    const plan = byId.get(id);
    if (!plan || shop.pieces.has(tag)) continue;
    // A tag that is new for a piece that waits under another: that one has been withdrawn.
    const waiting = shop.newest(id);
    if (waiting && waits(waiting)) shop.setPiece({ ...waiting, state: 'superseded' });
    shop.setPiece(fresh(tag, plan, issue.revision));
  }
  for (const piece of [...shop.pieces.values()]) {
    if (!waits(piece)) continue;
    const plan = byId.get(piece.piece);
    shop.setPiece(plan ? renewed(piece, plan, issue.revision) : { ...piece, state: 'superseded' });
  }
}
