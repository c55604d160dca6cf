import { useState } from 'react';
import { type Drawing, type Piece, type PieceKey, type StickDiagram } from '@long-miter/core';
import { Painted, type PartUse } from '../../drawing/Painted.tsx';
import type { Dragged } from '../../drawing/Parts.tsx';
import { t } from '../../messages/t.ts';

/** The stick's own edge is not cut off by the picture's. */
const EDGE = 1;

interface Props {
  readonly drawing: Drawing;
  readonly diagram: StickDiagram;
  readonly picked: string | undefined;
  readonly onPiece: (piece: Piece) => void;
  /** A piece is let go somewhere on the screen. */
  readonly onDrop?: (piece: PieceKey, at: Dragged) => void;
  /** A piece is moved by keyboard to the stick above or below. */
  readonly onNeighbour?: (piece: PieceKey, way: -1 | 1) => void;
}

/** A stick and its pieces; a piece can be dragged to another stick. */
export function StickPicture({ drawing, diagram, picked, onPiece, onDrop, onNeighbour }: Props) {
  const [held, setHeld] = useState<{ readonly piece: string; readonly dx: number; readonly dy: number }>();
  const byKey = new Map(diagram.pieces.map(({ piece }) => [piece.id as string, piece]));
  const handling = (piece: Piece): PartUse => ({
    picked: piece.id === picked,
    onPick: () => onPiece(piece),
    style:
      held?.piece === piece.id
        ? { transform: `translate(${held.dx}px, ${held.dy}px)`, pointerEvents: 'none' }
        : undefined,
    ...(onDrop && onNeighbour
      ? {
          hint: t('Shift and an arrow key move it to another stick'),
          moved: {
            onDrag: (dragged) => {
              setHeld(dragged.last ? undefined : { piece: piece.id, dx: dragged.dx, dy: dragged.dy });
              if (dragged.last && !dragged.off) onDrop(piece.id, dragged);
            },
            onNudge: (to) => onNeighbour(piece.id, to === 'up' || to === 'left' ? -1 : 1),
          },
        }
      : {}),
  });
  return (
    <Painted
      drawing={drawing}
      width={drawing.frame!.max.x + 2 * EDGE}
      height={drawing.frame!.max.y + 2 * EDGE}
      margin={EDGE}
      style={{ overflow: 'visible' }}
      use={({ ref }) => {
        const piece = ref.kind === 'piece' ? byKey.get(ref.piece) : undefined;
        return piece && handling(piece);
      }}
    />
  );
}
