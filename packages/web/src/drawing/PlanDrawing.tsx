import { useMemo } from 'react';
import {
  drawRoomPlan,
  fittedRoom,
  formatAngle,
  formatWithUnit,
  isAssumed,
  wallAngle,
  type Piece,
  type Room,
  type RoomPlan,
  type Unit,
  type Vec2,
} from '@long-miter/core';
import { movedAlong } from './along.ts';
import { Part, PartsSvg, type Moved } from './Parts.tsx';
import { SvgFigure } from '../shared/Figure.tsx';
import { useWidth } from '../shared/use-width.ts';

interface Props {
  readonly room: Room;
  readonly unit: Unit;
  /** Draw it closed by least squares instead of as read. */
  readonly fitted?: boolean;
  readonly pieces: readonly Piece[];
  readonly selectedWall: number | undefined;
  readonly selectedPiece: string | undefined;
  readonly onWall: (index: number) => void;
  /** Lets openings be dragged along their wall. */
  readonly onMove?: (wall: number, opening: string, at: number) => void;
}

const MARGIN = 62;

/** The room from above, to scale, walls as read. The gap, if the readings leave one, is drawn where it is. */
export function PlanDrawing({
  room: read,
  unit,
  fitted,
  pieces,
  selectedWall,
  selectedPiece,
  onWall,
  onMove,
}: Props) {
  // Figures are always those that were read; only the lines move.
  const room = useMemo(() => (fitted ? fittedRoom(read) : read), [read, fitted]);
  const { ref, width, height } = useWidth();
  const size = useMemo(() => boxOf(drawRoomPlan(room, 0)), [room]);
  const scale = Math.max(0.01, Math.min((width - 2 * MARGIN) / size.w, (height - 2 * MARGIN) / size.h));
  const plan = useMemo(() => drawRoomPlan(room, 15 / scale), [room, scale]);
  const at = (point: Vec2): { x: number; y: number } => ({
    x: (width - size.w * scale) / 2 + (point.x - size.x) * scale,
    y: (height - size.h * scale) / 2 + (size.y + size.h - point.y) * scale,
  });
  const outline = plan.walls.map((wall) => at(wall.from));
  return (
    <div ref={ref} style={{ width: '100%', height: '100%', minHeight: 220 }}>
      {width > 0 && height > 0 && (
        <PartsSvg width={width} height={height} label={`Plan of ${room.name}, to scale`}>
          <path
            d={`M${outline.map((p) => `${p.x} ${p.y}`).join('L')}Z`}
            fill="var(--lm-room)"
            stroke="none"
          />
          {plan.walls.map((wall) => (
            <PlanWall
              key={wall.id}
              id={wall.id}
              label={`wall ${wall.index + 1}, ${formatWithUnit(read.walls[wall.index]!.length, unit)}`}
              from={at(wall.from)}
              to={at(wall.to)}
              picked={selectedWall === wall.index}
              onClick={() => onWall(wall.index)}
            />
          ))}
          {plan.openings.map((opening) => (
            <PlanOpening
              key={`${opening.wall}-${opening.id}`}
              from={at(opening.from)}
              to={at(opening.to)}
              inward={opening.inward}
              door={opening.kind !== 'window'}
              id={`${room.walls[opening.wall]!.id} ${opening.id}`}
              label={`${opening.kind} on wall ${opening.wall + 1}${onMove ? '; Shift and an arrow key move it' : ''}`}
              onPick={() => onWall(opening.wall)}
              moved={onMove && openingMoved(room, opening, unit, scale, onMove)}
            />
          ))}
          <TrimLines room={room} plan={plan} pieces={pieces} selectedPiece={selectedPiece} at={at} />
          {plan.walls.map((wall) => {
            const p = at(wall.label);
            const picked = selectedWall === wall.index;
            // The shortest walls would write over their neighbours; the sheet and the ribbon name them.
            if (room.walls[wall.index]!.length * scale < 36 && !picked) return null;
            return (
              <text
                key={wall.id}
                x={p.x}
                y={p.y + 5}
                textAnchor={anchorOf(wall.heading)}
                fontSize={15}
                fontWeight={picked ? 750 : 600}
              >
                <SvgFigure value={read.walls[wall.index]!.length} unit={unit} />
              </text>
            );
          })}
          {/* Where trim is drawn the ribbon names the angles. */}
          {(pieces.length > 0 ? [] : plan.corners).map((corner) => {
            const p = at(corner.label);
            const assumed = isAssumed(read.walls[corner.index]!.corner);
            const legs = [corner.index, (corner.index + 1) % room.walls.length];
            const cramped =
              legs.some((index) => room.walls[index]!.length * scale < 40) &&
              !legs.includes(selectedWall ?? -1);
            if (cramped && !assumed) return null;
            return (
              <text
                key={corner.index}
                x={p.x}
                y={p.y + 4}
                textAnchor="middle"
                fontSize={12}
                style={{ fill: assumed ? 'var(--lm-assumed)' : 'var(--mantine-color-dimmed)' }}
              >
                {assumed ? '90° ?' : formatAngle(wallAngle(read.walls[corner.index]!.corner!.reading))}
              </text>
            );
          })}
          {plan.entry && <EntryArrow at={at(plan.entry.at)} inward={plan.entry.inward} />}
          {plan.gap && (
            <GapMark
              from={at(plan.gap.from)}
              to={at(plan.gap.to)}
              text={formatWithUnit(Math.hypot(plan.gap.from.x, plan.gap.from.y), unit)}
            />
          )}
        </PartsSvg>
      )}
    </div>
  );
}

interface Xy {
  readonly x: number;
  readonly y: number;
}

/** Labels of upright walls stand beside them, others are centred. The label lies outside: left of a wall that goes up. */
const anchorOf = (heading: number): 'start' | 'middle' | 'end' => {
  const up = Math.sin((heading * Math.PI) / 180);
  return up > 0.5 ? 'end' : up < -0.5 ? 'start' : 'middle';
};

const boxOf = (plan: RoomPlan) => ({
  x: plan.box.min.x,
  y: plan.box.min.y,
  w: Math.max(1, plan.box.max.x - plan.box.min.x),
  h: Math.max(1, plan.box.max.y - plan.box.min.y),
});

const PlanWall = ({
  from,
  to,
  picked,
  onClick,
  id,
  label,
}: {
  id: string;
  label: string;
  from: Xy;
  to: Xy;
  picked: boolean;
  onClick: () => void;
}) => (
  <Part of={`wall ${id}`} label={label} picked={picked} onPick={onClick}>
    <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="transparent" strokeWidth={18} />
    <line
      x1={from.x}
      y1={from.y}
      x2={to.x}
      y2={to.y}
      stroke={picked ? 'var(--lm-picked)' : 'var(--lm-wall)'}
      strokeWidth={picked ? 6 : 4}
      strokeLinecap="round"
    />
  </Part>
);

/** Lets an opening be moved along its wall. */
function openingMoved(
  room: Room,
  opening: RoomPlan['openings'][number],
  unit: Unit,
  scale: number,
  onMove: NonNullable<Props['onMove']>,
): Moved {
  const wall = room.walls[opening.wall]!;
  const own = wall.openings!.find((one) => one.id === opening.id)!;
  // Out of the wall into the room is to the right of the way one walks along it.
  const u = { x: -opening.inward.y, y: opening.inward.x };
  return movedAlong(`${wall.id} ${own.id}`, {
    ...own,
    length: wall.length,
    unit,
    along: (dx, dy) => (dx * u.x - dy * u.y) / scale,
    onMove: (at) => onMove(opening.wall, own.id, at),
  });
}

/** A door is a break in the wall, a window a double line. */
function PlanOpening({
  from,
  to,
  inward,
  door,
  id,
  label,
  onPick,
  moved,
}: {
  id: string;
  label: string;
  onPick: () => void;
  moved: Moved | undefined;
  from: Xy;
  to: Xy;
  inward: Vec2;
  door: boolean;
}) {
  const n = { x: inward.x * 3, y: -inward.y * 3 };
  return (
    <Part
      of={`opening ${id}`}
      label={label}
      onPick={onPick}
      moved={moved}
      style={moved ? { cursor: 'move' } : undefined}
    >
      {moved && <title>drag it along the wall</title>}
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="transparent" strokeWidth={22} />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="var(--lm-panel)" strokeWidth={door ? 8 : 3} />
      {door ? (
        <line
          x1={from.x}
          y1={from.y}
          x2={to.x}
          y2={to.y}
          stroke="var(--lm-wall)"
          strokeDasharray="4 4"
          strokeWidth={1.2}
        />
      ) : (
        [-1, 1].map((s) => (
          <line
            key={s}
            x1={from.x + s * n.x}
            y1={from.y + s * n.y}
            x2={to.x + s * n.x}
            y2={to.y + s * n.y}
            stroke="var(--lm-wall)"
            strokeWidth={1.2}
          />
        ))
      )}
    </Part>
  );
}

/** Pieces as lines just inside their walls; splices show as breaks. */
function TrimLines({
  room,
  plan,
  pieces,
  selectedPiece,
  at,
}: {
  room: Room;
  plan: RoomPlan;
  pieces: readonly Piece[];
  selectedPiece: string | undefined;
  at: (p: Vec2) => Xy;
}) {
  return pieces.map((piece) => {
    const wall = plan.walls.find((one) => one.id === piece.wall);
    if (piece.role !== 'wall' || !wall) return null;
    const length = room.walls[wall.index]!.length;
    const a = at(wall.from);
    const b = at(wall.to);
    const u = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
    const run = Math.hypot(u.x, u.y) || 1;
    // On the page the room lies on the right-hand side of a wall walked left to right.
    const n = { x: (-u.y / run) * 6, y: (u.x / run) * 6 };
    const picked = piece.id === selectedPiece;
    const end = (x: number, inset: number): Xy => ({
      x: a.x + u.x * x + n.x + (u.x / run) * inset,
      y: a.y + u.y * x + n.y + (u.y / run) * inset,
    });
    const from = end(piece.from!, 2);
    const to = end(piece.to!, -2);
    return (
      <line
        key={piece.id}
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={picked ? 'var(--lm-picked)' : 'var(--lm-wood-edge)'}
        strokeWidth={picked ? 6 : 3.5}
        pointerEvents="none"
      />
    );
  });
}

const EntryArrow = ({ at, inward }: { at: Xy; inward: Vec2 }) => {
  const tip = { x: at.x + inward.x * 16, y: at.y - inward.y * 16 };
  const tail = { x: at.x - inward.x * 14, y: at.y + inward.y * 14 };
  const side = { x: inward.y * 5, y: inward.x * 5 };
  return (
    <path
      d={`M${tail.x} ${tail.y}L${tip.x} ${tip.y}M${tip.x - inward.x * 8 + side.x} ${tip.y + inward.y * 8 + side.y}L${tip.x} ${tip.y}L${tip.x - inward.x * 8 - side.x} ${tip.y + inward.y * 8 - side.y}`}
      stroke="var(--lm-picked)"
      strokeWidth={2.4}
      fill="none"
    >
      <title>You come in here</title>
    </path>
  );
};

function GapMark({ from, to, text }: { from: Xy; to: Xy; text: string }) {
  if (Math.hypot(from.x - to.x, from.y - to.y) < 3) return null;
  return (
    <g>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke="var(--lm-assumed)"
        strokeWidth={2.5}
        strokeDasharray="5 4"
      />
      <text
        x={(from.x + to.x) / 2 + 8}
        y={(from.y + to.y) / 2 - 8}
        fontSize={13}
        style={{ fill: 'var(--lm-assumed)' }}
      >
        gap {text}
      </text>
    </g>
  );
}
