import { useState } from 'react';
import { casingOnRibbon, formatWithUnit, ribbonX, SAME_PLACE, studPositions } from '@long-miter/core';
import { movedAlong } from './along.ts';
import { Part } from './Parts.tsx';
import { BAND, HEIGHT, TOP, type Layered } from './ribbon-props.ts';

/** Casing from above: legs beside their opening; heads, sills, stools and aprons lie across it. */
export function CasingBands({ room, layout, pieces, profiles, selectedPiece, onPiece }: Layered) {
  const alone = pieces.every((piece) => piece.role !== 'wall');
  return pieces.map((piece) => {
    const mark = casingOnRibbon(piece, room, layout, profiles.get(piece.profile)?.width ?? 0, BAND, alone);
    if (!mark) return null;
    const picked = piece.id === selectedPiece;
    return (
      <Part
        key={piece.id}
        of={piece.id}
        data-piece={piece.label}
        label={`${piece.label}, ${piece.role.replace('-', ' ')}`}
        picked={picked}
        onPick={() => onPiece(piece)}
      >
        <rect
          x={mark.x}
          y={TOP + mark.y}
          width={mark.width}
          height={mark.height}
          fill={picked ? 'var(--lm-picked-fill)' : 'var(--lm-wood-other)'}
          stroke={picked ? 'var(--lm-picked)' : 'var(--lm-wood-edge)'}
          strokeWidth={picked ? 2.2 : 1}
        >
          <title>{`${piece.label}: ${piece.role.replace('-', ' ')}`}</title>
        </rect>
      </Part>
    );
  });
}

/** A handle on every splice: dragged along its wall it snaps to the studs, and pins the splice where it is let go. */
export function SpliceHandles({
  room,
  layout,
  pieces,
  unit,
  onSplice,
  spliceWorth,
}: Layered & { onSplice: NonNullable<Layered['onSplice']> }) {
  const indexOf = new Map(room.walls.map((wall, index) => [wall.id, index]));
  const [held, setHeld] = useState<{ readonly piece: string; readonly at: number }>();
  return pieces.map((piece) => {
    const index = indexOf.get(piece.wall ?? '');
    if (piece.right.joint !== 'scarf' || piece.role !== 'wall' || index === undefined) return null;
    const wall = room.walls[index]!;
    const pins = room.trims.find((trim) => trim.id === piece.trim)?.splices ?? [];
    const pin = pins
      .filter((one) => one.wall === wall.id)
      .find((one) => Math.abs(one.at - piece.to!) < (unit === 'in' ? 2 : 50));
    const studs = studPositions(wall) ?? [];
    const snap = (at: number): number =>
      studs.length > 0
        ? studs.reduce((best, stud) => (Math.abs(stud - at) < Math.abs(best - at) ? stud : best))
        : at;
    const shown = held?.piece === piece.id ? held.at : piece.to!;
    const x = ribbonX(layout, index, shown);
    const worth = held?.piece === piece.id ? spliceWorth?.(piece, held.at) : undefined;
    const what = pin ? 'pinned splice' : 'splice';
    return (
      <Part
        key={piece.id}
        of={`splice ${piece.id}`}
        data-splice={piece.label}
        label={`${what} right of ${piece.label}, at ${formatWithUnit(piece.to!, unit)}; Shift and an arrow key move it`}
        style={{ cursor: 'ew-resize' }}
        moved={movedAlong(piece.id, {
          at: piece.to!,
          width: 0,
          length: wall.length,
          unit,
          along: (dx) => dx / layout.scale,
          snap,
          ...(studs.length > 0
            ? {
                next: (at: number, way: 1 | -1): number =>
                  (way > 0
                    ? studs.find((stud) => stud > at + SAME_PLACE)
                    : studs.findLast((stud) => stud < at - SAME_PLACE)) ?? at,
              }
            : {}),
          onMove: (at) => setHeld({ piece: piece.id, at }),
          onEnd: (at) => {
            setHeld(undefined);
            if (at !== undefined && at !== piece.to) onSplice(piece.trim, wall.id, pin?.at, at);
          },
        })}
      >
        <title>{`${what}: drag it to a stud${pin ? '' : ' to pin it there'}`}</title>
        <rect x={x - 12} y={TOP - 6} width={24} height={BAND + 12} fill="transparent" />
        <circle
          cx={x}
          cy={TOP - 9}
          r={5}
          fill={pin ? 'var(--lm-picked)' : 'var(--lm-panel)'}
          stroke="var(--lm-picked)"
          strokeWidth={2}
        />
        {worth && (
          <text x={x} y={HEIGHT - 4} textAnchor="middle" fontSize={13} fontWeight={650}>
            {`${formatWithUnit(worth.centre, unit)}: score ${worth.score}${worth.notes.length > 0 ? `, ${worth.notes[0]}` : ''}`}
          </text>
        )}
      </Part>
    );
  });
}
