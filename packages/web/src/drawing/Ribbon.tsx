import { useMemo, useState, type KeyboardEvent } from 'react';
import {
  layOutRibbon,
  RIBBON,
  ribbonDrawing,
  SAME_PLACE,
  splicePin,
  studPositions,
  type Piece,
  type Room,
  type SplicePlace,
  type Unit,
} from '@long-miter/core';
import { useWidth } from '../shared/hooks/use-width.ts';
import { movedAlong } from './along.ts';
import { Painted, type PartUse, type UseOfPart } from './Painted.tsx';
import { t } from '../messages/t.ts';

interface Props {
  readonly room: Room;
  readonly unit: Unit;
  readonly layer: 'measures' | 'pieces';
  readonly pieces: readonly Piece[];
  /** What hangs at the ceiling above them. */
  readonly upper?: readonly Piece[];
  readonly selectedWall: number | undefined;
  readonly selectedPiece: string | undefined;
  readonly onWall: (index: number) => void;
  readonly onPiece: (piece: Piece) => void;
  /** Lets splices be dragged along their wall; `from` is where one was pinned before. */
  readonly onSplice?: (trim: string, wall: string, from: number | undefined, to: number) => void;
  /** What a splice would be worth at a place, shown while it is dragged. */
  readonly spliceWorth?: (piece: Piece, at: number) => SplicePlace | undefined;
  /** Lets openings be dragged along their wall. */
  readonly onMove?: (wall: number, opening: string, at: number) => void;
}

const NONE: readonly Piece[] = [];
const HINT = t('Shift and an arrow key move it');
const SIDE = 12;

interface Held {
  readonly piece: string;
  readonly at: number;
}

/** The room's perimeter as one strip, always at the foot of the screen, always full width. */
export function Ribbon(props: Props) {
  const { room, unit, layer, pieces, upper = NONE, onSplice, spliceWorth } = props;
  const { ref, width } = useWidth();
  const inner = Math.max(0, width - 2 * SIDE);
  const [held, setHeld] = useState<Held>();
  const layout = useMemo(() => layOutRibbon(room, inner, RIBBON.band), [room, inner]);
  const heldPiece = held && pieces.find((piece) => piece.id === held.piece);
  const worth = heldPiece && spliceWorth?.(heldPiece, held.at);
  const movable = onSplice !== undefined;
  const drawing = useMemo(
    () =>
      ribbonDrawing(room, layout, {
        unit,
        layer,
        pieces,
        upper,
        ...(movable ? { splices: held ? { held: { ...held, worth } } : {} } : {}),
      }),
    [room, layout, unit, layer, pieces, upper, movable, held, worth],
  );
  /** The arrows go from part to part of the strip; the piece they come to is the one picked. */
  const pickReached = (event: KeyboardEvent<HTMLElement>): void => {
    if (event.shiftKey || !event.key.startsWith('Arrow')) return;
    const tag = (event.target as HTMLElement).dataset['piece'];
    const piece = tag === undefined ? undefined : pieces.find((one) => one.label === tag);
    if (piece && piece.id !== props.selectedPiece) props.onPiece(piece);
  };
  return (
    <div ref={ref} onKeyUp={pickReached} role="group" aria-label={t('Ribbon')}>
      {width > 0 && (
        <Painted
          drawing={drawing}
          width={width}
          height={RIBBON.height}
          margin={0}
          use={partsFor(props, layout.scale, setHeld)}
        />
      )}
    </div>
  );
}

/** What may be done with each part of the strip. */
function partsFor(props: Props, scale: number, setHeld: (held: Held | undefined) => void): UseOfPart {
  const { room, unit, pieces, upper = NONE, selectedWall, selectedPiece, onWall, onPiece, onMove } = props;
  const walls = new Map(room.walls.map((wall, index) => [wall.id, index]));
  const byKey = new Map([...upper, ...pieces].map((piece) => [piece.id as string, piece]));
  return ({ ref }): PartUse | undefined => {
    if (ref.kind === 'piece') {
      const piece = byKey.get(ref.piece);
      return piece && { picked: piece.id === selectedPiece, onPick: () => onPiece(piece) };
    }
    if (ref.kind === 'splice') {
      const piece = byKey.get(ref.piece);
      return piece && spliceUse(props, piece, scale, setHeld);
    }
    if (!('wall' in ref)) return undefined;
    const index = walls.get(ref.wall)!;
    const onPick = (): void => onWall(index);
    if (ref.kind !== 'opening') return { picked: ref.kind === 'wall' && index === selectedWall, onPick };
    const wall = room.walls[index]!;
    const opening = wall.openings!.find((one) => one.id === ref.opening)!;
    if (!onMove) return { onPick };
    return {
      onPick,
      hint: HINT,
      tip: t('drag it along the wall'),
      style: { cursor: 'ew-resize' },
      moved: movedAlong(`${wall.id} ${opening.id}`, {
        ...opening,
        length: wall.length,
        unit,
        along: (dx) => dx / scale,
        onMove: (at) => onMove(index, opening.id, at),
      }),
    };
  };
}

/** A splice snaps to the studs while it is moved, and is pinned where it is let go. */
function spliceUse(
  { room, unit, onSplice }: Props,
  piece: Piece,
  scale: number,
  setHeld: (held: Held | undefined) => void,
): PartUse {
  const wall = room.walls.find((one) => one.id === piece.wall)!;
  const studs = studPositions(wall) ?? [];
  const nearest = (at: number): number =>
    studs.reduce((best, stud) => (Math.abs(stud - at) < Math.abs(best - at) ? stud : best), studs[0] ?? at);
  const next = (at: number, way: 1 | -1): number =>
    (way > 0
      ? studs.find((stud) => stud > at + SAME_PLACE)
      : studs.findLast((stud) => stud < at - SAME_PLACE)) ?? at;
  return {
    hint: HINT,
    style: { cursor: 'ew-resize' },
    moved: movedAlong(piece.id, {
      at: piece.to!,
      width: 0,
      length: wall.length,
      unit,
      along: (dx) => dx / scale,
      ...(studs.length > 0 ? { snap: nearest, next } : {}),
      onMove: (at) => setHeld({ piece: piece.id, at }),
      onEnd: (at) => {
        setHeld(undefined);
        if (at !== undefined && at !== piece.to)
          onSplice?.(piece.trim, wall.id, splicePin(room, piece, unit), at);
      },
    }),
  };
}
