import { message, lengthFigure } from '../messages/index.ts';
import { area, label, line, size, type Drawing, type Shape, vec } from '../geometry/index.ts';
import { dropLine, markEvery, type TrimFrame } from '../joinery/index.ts';
import { formatLength } from '../measure/index.ts';
import { studPositions } from '../survey/index.ts';

/** A ceiling's unevenness is drawn this much steeper than it is. */
const STEEPER = 12;

/**
 * One wall's strip for marking crown: the ceiling as it was read, the line of the crown's lower edge, what to mark down from the
 * ceiling at both ends and every couple of feet, and the studs just below the line, where crown will hide nothing.
 * @returns undefined where the crown does not run on that wall, or has drop lines of its own under slopes
 */
export function dropLineDrawing(frame: TrimFrame, wallIndex: number): Drawing | undefined {
  const { unit, rules } = frame;
  const every = markEvery(unit);
  const found = dropLine(frame, rules.ceilingLine, every);
  const wall = found?.walls.find((one) => one.wallIndex === wallIndex);
  if (!found || !wall) return undefined;
  const { marks } = wall;
  const text = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  const length = marks.at(-1)!.at;
  const lowest = Math.min(...marks.map((one) => one.ceiling));
  const drop = Math.min(...marks.map((one) => one.below));
  // Strip places: x along the wall; y up from the line of the lowest mark, what is uneven drawn steeper.
  const high = length / 14;
  const ceilingAt = (height: number): number => high + Math.min(high, (height - lowest) * STEEPER);
  const lineAt = (above: number): number => (above - Math.min(...marks.map((one) => one.above))) * STEEPER;
  const ceiling = marks.map((one) => vec(one.at, ceilingAt(one.ceiling)));
  const held = marks.map((one) => vec(one.at, lineAt(one.above)));
  const shapes: Shape[] = [
    area('wall', ...held, ...[...ceiling].reverse()),
    line('wall-line', ...ceiling),
    line('wall-edge', ...held),
    ...(studPositions(frame.room.walls[wallIndex]!, 0, length) ?? []).map((stud) =>
      line('stud', vec(stud, -high * 0.12), vec(stud, -high * 0.34)),
    ),
    ...marks.flatMap((one, k): Shape[] => [
      line('guide', vec(one.at, ceilingAt(one.ceiling)), vec(one.at, lineAt(one.above))),
      label(vec(one.at, lineAt(one.above)), text(one.below), {
        as: k === 0 || k === marks.length - 1 ? 'name' : 'small',
        anchor: k === marks.length - 1 ? 'end' : 'start',
        aside: { x: k === marks.length - 1 ? -4 : 4, y: 26 },
        room: length / Math.max(1, marks.length - 1),
      }),
    ]),
    size(vec(0, -high * 1.1), vec(length, -high * 1.1), text(length)),
  ];
  const level = rules.ceilingLine === 'level';
  const uneven = found.gap > 0 || found.presses > 0;
  return {
    title: message('draw.wall-mark-this-far-down-from', {
      wall: wallIndex + 1,
      level:
        level && uneven
          ? message('draw.it-is-level-above-the-floor', { above: lengthFigure(marks[0]!.above, unit) })
          : '',
      open: uneven
        ? message('draw.up-to-stays-open-above-drawn', {
            most: lengthFigure(Math.max(...marks.map((one) => one.gap), 0), unit),
            times: STEEPER,
          })
        : '',
      gap:
        drop > 0 && rules.lightGap > 0
          ? message('draw.of-it-is-the-light-gap', { lightGap: lengthFigure(rules.lightGap, unit) })
          : '',
    }),
    shapes,
  };
}
