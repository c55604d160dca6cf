import { publishedPlan, type JobFile, type PlanFile } from '../../src/index.ts';

const rad = Math.PI / 180;
const EPS = 1e-6;

/**
 * An independent reading of the plan format: shares nothing with the planner but the published rules. Answers every
 * breach it finds, in words.
 */
export function checkPlan(job: JobFile, planned: PlanFile): string[] {
  // The published form: money in decimals, as a stranger reads it.
  const plan = publishedPlan(planned) as PlanFile;
  const bad: string[] = [];
  const rules = {
    endTrim: job.houseRules?.endTrim ?? (job.unit === 'in' ? 1 / 16 : 2),
    kerf: job.saws?.find((one) => one.id === job.saw)?.kerf ?? (job.unit === 'in' ? 1 / 8 : 3),
    splicePrice: job.houseRules?.splicePrice ?? 3,
  };
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  if (byId.size !== plan.pieces.length) bad.push('two pieces share an id');
  if (new Set(plan.pieces.map((piece) => piece.label)).size !== plan.pieces.length)
    bad.push('two pieces share a label');
  const orders = plan.pieces.map((piece) => piece.order).sort((a, b) => a - b);
  if (orders.some((order, index) => order !== index + 1)) bad.push('the order of installation has gaps');
  const onStick = new Map<string, number>();
  for (const stick of plan.sticks) {
    let before: { nearEnd: number; farEnd: number; angle: number } | undefined;
    stick.cuts.forEach(({ piece: id, start }, index) => {
      const piece = byId.get(id);
      if (!piece) return void bad.push(`${stick.id}: unknown piece ${id}`);
      onStick.set(id, (onStick.get(id) ?? 0) + 1);
      const farStart = start - piece.left.reach;
      const nearEnd = start + piece.near;
      const farEnd = nearEnd + piece.right.reach;
      if (index === 0 && Math.min(start, farStart) < rules.endTrim - EPS)
        bad.push(`${stick.id}: ${id} enters the left trim`);
      if (index === stick.cuts.length - 1 && Math.max(nearEnd, farEnd) > stick.length - rules.endTrim + EPS)
        bad.push(`${stick.id}: ${id} enters the right trim`);
      if (before) {
        const need =
          rules.kerf / Math.cos(Math.max(Math.abs(before.angle), Math.abs(piece.left.angle)) * rad);
        if (start - before.nearEnd < need - EPS) bad.push(`${stick.id}: near gap before ${id}`);
        if (farStart - before.farEnd < need - EPS) bad.push(`${stick.id}: far gap before ${id}`);
      }
      before = { nearEnd, farEnd, angle: piece.right.angle };
    });
  }
  for (const piece of plan.pieces) {
    const times = onStick.get(piece.id) ?? 0;
    if (times !== (piece.near === 0 ? 0 : 1)) bad.push(`${piece.id} lies on ${times} sticks`);
    for (const end of [piece.left, piece.right]) {
      if (end.mate !== undefined && !byId.has(end.mate))
        bad.push(`${piece.id}: its mate ${end.mate} is no piece`);
      const mate = end.mate === undefined ? undefined : byId.get(end.mate);
      if (end.joint === 'cope' && mate && mate.order > piece.order)
        bad.push(`${piece.id} is coped over a piece that hangs later`);
    }
  }
  const scarfs = plan.pieces.flatMap((piece) =>
    piece.right.joint === 'scarf' ? [[piece, byId.get(piece.right.mate!)!] as const] : [],
  );
  for (const [left, right] of scarfs) {
    if (Math.abs(left.to! - right.from!) > EPS) bad.push(`${left.id} and ${right.id} do not meet`);
    if (Math.abs(left.right.angle + right.left.angle) > EPS || left.right.over === right.left.over)
      bad.push(`${left.id} and ${right.id} do not lap`);
    if ((left.right.over ? left.right : right.left).angle > 0)
      bad.push(`${left.id}: the piece over must have the negative angle`);
  }
  const stock = plan.sticks.reduce((sum, stick) => sum + stick.price, 0);
  const listed = plan.buy.reduce((sum, line) => sum + line.count * line.price, 0);
  const joints =
    scarfs.length +
    plan.pieces.filter(
      (piece) =>
        piece.right.joint === 'butt' &&
        piece.right.angle === 0 &&
        byId.get(piece.right.mate!)?.wall === piece.wall,
    ).length;
  if (Math.abs(stock - plan.cost.stock) > 0.005 || Math.abs(listed - stock) > 0.005)
    bad.push('the stock does not add up');
  if (Math.abs(joints * rules.splicePrice - plan.cost.splices) > 0.005) bad.push('the splices do not add up');
  if (Math.abs(plan.cost.stock + plan.cost.splices - plan.cost.total) > 0.005)
    bad.push('the total does not add up');
  const bounds = plan.bounds.reduce((sum, bound) => sum + bound.cost, 0);
  if (Math.abs(bounds - plan.cost.total) > 0.005) bad.push('the bounds are about another cost');
  if (plan.bounds.some((bound) => bound.lowerBound > bound.cost + 0.005))
    bad.push('a bound lies above its cost');
  const racks = plan.sticks.filter((stick) => stick.source === 'rack');
  for (const profile of job.profiles) {
    const have = (job.rack ?? []).filter((item) => item.profile === profile.id).map((item) => item.length);
    for (const stick of racks.filter((one) => one.profile === profile.id)) {
      const at = have.indexOf(stick.length);
      if (at < 0) bad.push(`${stick.id}: no such offcut is left on the rack`);
      else have.splice(at, 1);
    }
  }
  return bad;
}
