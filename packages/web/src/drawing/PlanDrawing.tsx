import { useMemo } from 'react';
import { planDrawing, type Piece, type PieceKey, type Room, type Unit } from '@long-miter/core';
import { useWidth } from '../shared/hooks/use-width.ts';
import { movedAlong } from './along.ts';
import type { Fit } from './fit.ts';
import { Painted, type UseOfPart } from './Painted.tsx';
import type { Moved } from './Parts.tsx';
import { t } from '../messages/t.ts';

interface Props {
  readonly room: Room;
  readonly unit: Unit;
  /** Draw it closed by least squares instead of as read. */
  readonly fitted?: boolean;
  readonly pieces: readonly Piece[];
  readonly selectedWall: number | undefined;
  readonly selectedPiece: string | undefined;
  /** What a wall does when it is picked; without it the plan is a picture to look at. */
  readonly onWall?: (index: number) => void;
  readonly onPiece?: (piece: PieceKey) => void;
  /** Lets openings be dragged along their wall. */
  readonly onMove?: (wall: number, opening: string, at: number) => void;
}

/** Space for the figures around the room. */
const MARGIN = 62;

/** The room from above, to scale, walls as read. The gap, if the readings leave one, is drawn where it is. */
export function PlanDrawing(props: Props) {
  const { room, unit, fitted = false, pieces, selectedWall, selectedPiece, onWall, onPiece, onMove } = props;
  const { ref, width, height } = useWidth();
  const drawing = useMemo(() => planDrawing(room, { unit, fitted, pieces }), [room, unit, fitted, pieces]);
  const use: UseOfPart = ({ ref: what, shapes }, fit) => {
    if (what.kind === 'piece')
      return {
        picked: what.piece === selectedPiece,
        onPick: onPiece && (() => onPiece(what.piece)),
        style: onPiece ? undefined : { pointerEvents: 'none' },
      };
    if (!('wall' in what)) return undefined;
    const wall = room.walls.findIndex((one) => one.id === what.wall);
    const onPick = (): void => onWall?.(wall);
    if (what.kind !== 'opening') return { picked: wall === selectedWall && what.kind === 'wall', onPick };
    if (!onMove) return { onPick };
    const hole = shapes.find((shape) => shape.kind === 'line')!.points;
    return {
      onPick,
      hint: t('Shift and an arrow key move it'),
      tip: t('drag it along the wall'),
      style: { cursor: 'move' },
      moved: openingMoved(room, wall, what.opening, unit, [hole[0]!, hole[1]!], fit, onMove),
    };
  };
  return (
    <div ref={ref} style={{ width: '100%', height: '100%', minHeight: 220 }}>
      {width > 0 && height > 0 && (
        <Painted
          drawing={drawing}
          width={width}
          height={height}
          margin={MARGIN}
          use={use}
          still={onWall === undefined}
        />
      )}
    </div>
  );
}

/** Lets an opening be moved along its wall, wherever on the page that runs. */
function openingMoved(
  room: Room,
  index: number,
  id: string,
  unit: Unit,
  [from, to]: readonly [{ x: number; y: number }, { x: number; y: number }],
  { scale }: Fit,
  onMove: NonNullable<Props['onMove']>,
): Moved {
  const wall = room.walls[index]!;
  const own = wall.openings!.find((one) => one.id === id)!;
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const u = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
  return movedAlong(`${wall.id} ${own.id}`, {
    ...own,
    length: wall.length,
    unit,
    along: (dx, dy) => (dx * u.x - dy * u.y) / scale,
    onMove: (at) => onMove(index, own.id, at),
  });
}
