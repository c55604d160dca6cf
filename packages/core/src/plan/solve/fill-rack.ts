import {
  layOnStick,
  partDimensions,
  type CutProblem,
  type FixedStick,
  type StickPart,
} from '@long-miter/optimiser';

/**
 * Fills the rack before anything is bought: shortest offcut first, each with the longest pieces that fit. What a lead does
 * who wants the rack empty; it may cost more than the best plan, which uses an offcut only where it saves.
 * @param fixed sticks that are settled already, with what lies on them
 */
export function fillRack(problem: CutProblem, fixed: readonly FixedStick[]): FixedStick[] {
  const figures = partDimensions(problem);
  const gone = new Set(fixed.flatMap((one) => one.parts.map((part) => part.id)));
  const used = new Set(fixed.map((one) => one.stick));
  const open: StickPart[] = [
    ...problem.blanks.map((blank): StickPart => ({ kind: 'blank', id: blank.id })),
    ...problem.walls.map((wall): StickPart => ({
      kind: 'wall',
      id: wall.id,
      fromPoint: 0,
      toPoint: wall.points.length + 1,
    })),
  ]
    .filter((part) => !gone.has(part.id))
    .sort((a, b) => figures(b).near - figures(a).near);
  const racks = problem.sticks
    .filter((kind) => kind.rack && !used.has(kind.id))
    .sort((a, b) => a.length - b.length);
  return racks.flatMap((rack): FixedStick[] => {
    const parts: StickPart[] = [];
    for (const part of [...open]) {
      if (!layOnStick(problem, rack.length, [...parts, part].map(figures))) continue;
      parts.push(part);
      open.splice(open.indexOf(part), 1);
    }
    return parts.length > 0 ? [{ stick: rack.id, parts }] : [];
  });
}
