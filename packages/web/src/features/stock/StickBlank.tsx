import { useState } from 'react';
import { formatAngle, formatWithUnit, type StickPiece, type Unit } from '@long-miter/core';
import { Part, type Dragged } from '../../drawing/Parts.tsx';
import { SvgFigure } from '../../shared/Figure.tsx';

/** Height of the band a stick is drawn as, in pixels. */
export const BAND = 30;

interface Props {
  readonly one: StickPiece;
  readonly scale: number;
  readonly unit: Unit;
  readonly picked: boolean;
  readonly onPick: () => void;
  /** Let go somewhere on the screen. */
  readonly onDrop?: (at: Dragged) => void;
  /** Moved by keyboard to the stick above or below. */
  readonly onNeighbour?: (way: -1 | 1) => void;
}

/** A piece on its stick: both long edges, the slants of its ends, its number and length. It can be dragged to another stick. */
export function StickBlank({ one, scale, unit, picked, onPick, onDrop, onNeighbour }: Props) {
  const [held, setHeld] = useState<{ readonly dx: number; readonly dy: number }>();
  const x = (at: number): number => 1 + at * scale;
  const mid = (x(one.nearFrom) + x(one.nearTo)) / 2;
  const wide = x(one.nearTo) - x(one.nearFrom);
  const angle = (value: number): string => (value === 0 ? 'sq' : formatAngle(Math.abs(value)));
  const ends = `${angle(one.piece.left.angle)} to ${angle(one.piece.right.angle)}`;
  return (
    <Part
      of={one.piece.id}
      data-piece={one.piece.label}
      label={`${one.piece.label}, ${formatWithUnit(one.piece.near, unit)}, ${ends}${onDrop ? '; Shift and an arrow key move it to another stick' : ''}`}
      picked={picked}
      onPick={onPick}
      style={held ? { transform: `translate(${held.dx}px, ${held.dy}px)`, pointerEvents: 'none' } : undefined}
      moved={
        onDrop &&
        onNeighbour && {
          onDrag: (dragged) => {
            setHeld(dragged.last ? undefined : { dx: dragged.dx, dy: dragged.dy });
            if (dragged.last && !dragged.off) onDrop(dragged);
          },
          onNudge: (to) => onNeighbour(to === 'up' || to === 'left' ? -1 : 1),
        }
      }
    >
      <title>{`${one.piece.label}: ${ends}`}</title>
      <path
        d={`M${x(one.nearFrom)} 1L${x(one.nearTo)} 1L${x(one.farTo)} ${BAND + 1}L${x(one.farFrom)} ${BAND + 1}Z`}
        fill={picked ? 'var(--lm-picked-fill)' : 'var(--lm-wood)'}
        stroke={picked ? 'var(--lm-picked)' : 'var(--lm-wood-edge)'}
        strokeWidth={picked ? 2.2 : 1.2}
      />
      {wide > 34 && (
        <text x={mid} y={BAND / 2 + 6} textAnchor="middle" fontSize={14}>
          <tspan fontWeight={700}>{one.piece.label}</tspan>
          {wide > 104 && (
            <>
              {'  '}
              <SvgFigure value={one.piece.near} unit={unit} />
            </>
          )}
        </text>
      )}
      {wide > 90 &&
        (
          [
            [x(one.nearFrom) + 3, 'start', one.piece.left.angle],
            [x(one.nearTo) - 3, 'end', one.piece.right.angle],
          ] as const
        ).map(([at, anchor, value]) => (
          <text
            key={anchor}
            x={at}
            y={BAND + 14}
            fontSize={11.5}
            textAnchor={anchor}
            style={{ fill: 'var(--mantine-color-dimmed)' }}
          >
            {angle(value)}
          </text>
        ))}
    </Part>
  );
}
