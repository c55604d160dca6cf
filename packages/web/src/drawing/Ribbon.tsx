import { Fragment, useMemo } from 'react';
import {
  formatAngle,
  formatWithUnit,
  layOutRibbon,
  pieceOutline,
  ribbonX,
  studPositions,
  type Point,
  type RibbonLayout,
} from '@long-miter/core';
import { movedAlong } from './along.ts';
import { Part, PartsSvg } from './Parts.tsx';
import { CasingBands, SpliceHandles } from './RibbonParts.tsx';
import { BAND, HEIGHT, TOP, type Layered, type RibbonProps } from './ribbon-props.ts';
import { SvgFigure } from '../shared/Figure.tsx';
import { useWidth } from '../shared/use-width.ts';

const path = (points: readonly Point[], dy: number): string =>
  `M${points.map((point) => `${point.x.toFixed(2)} ${(point.y + dy).toFixed(2)}`).join('L')}Z`;

/** The room's perimeter as one strip, always at the foot of the screen, always full width. */
export function Ribbon(props: RibbonProps) {
  const { ref, width } = useWidth();
  const inner = Math.max(0, width - 24);
  const layout = useMemo(() => layOutRibbon(props.room, inner, BAND), [props.room, inner]);
  return (
    <div ref={ref}>
      {width > 0 && (
        <PartsSvg
          width={width}
          height={HEIGHT}
          label={`Ribbon of ${props.room.name}: ${props.room.walls.length} walls unrolled, left to right`}
        >
          <g transform="translate(12 0)">
            <WallBands {...props} layout={layout} />
            {props.layer === 'pieces' ? (
              <>
                <PieceBands {...props} layout={layout} />
                <CasingBands {...props} layout={layout} />
                {props.onSplice && <SpliceHandles {...props} layout={layout} onSplice={props.onSplice} />}
              </>
            ) : (
              <Measures {...props} layout={layout} />
            )}
            <CornerMarks layout={layout} />
          </g>
        </PartsSvg>
      )}
    </div>
  );
}

function WallBands({ room, layout, selectedWall, onWall, onMove, unit }: Layered) {
  return layout.walls.map((wall) => {
    const full = room.walls[wall.index]!;
    return (
      <Fragment key={wall.id}>
        <Part
          of={`wall ${wall.id}`}
          data-wall={wall.index + 1}
          label={`wall ${wall.index + 1}, ${formatWithUnit(full.length, unit)}`}
          picked={selectedWall === wall.index}
          onPick={() => onWall(wall.index)}
        >
          <rect
            x={wall.x}
            y={TOP - 6}
            width={wall.width}
            height={BAND + 12}
            fill={selectedWall === wall.index ? 'var(--lm-picked-fill)' : 'var(--lm-void)'}
          />
          <line
            x1={wall.x}
            x2={wall.x + wall.width}
            y1={TOP - 6}
            y2={TOP - 6}
            stroke={selectedWall === wall.index ? 'var(--lm-picked)' : 'var(--lm-wall)'}
            strokeWidth={3}
          />
          {wall.width > 26 && (
            <text
              x={wall.x + wall.width / 2}
              y={TOP - 14}
              textAnchor="middle"
              fontSize={13}
              fontWeight={selectedWall === wall.index ? 700 : 500}
            >
              {wall.width > 84 ? `wall ${wall.index + 1}` : wall.index + 1}
            </text>
          )}
          {(studPositions(full) ?? []).map((at) => (
            <line
              key={at}
              x1={ribbonX(layout, wall.index, at)}
              x2={ribbonX(layout, wall.index, at)}
              y1={TOP - 6}
              y2={TOP - 1}
              stroke="var(--lm-wall)"
              strokeOpacity={0.55}
            />
          ))}
          {(full.interruptions ?? []).map((item) => (
            <rect
              key={item.id}
              x={ribbonX(layout, wall.index, item.at)}
              y={TOP + 2}
              width={item.width * layout.scale}
              height={BAND + 4}
              fill="var(--lm-panel)"
              stroke="var(--lm-wall)"
              strokeDasharray="2 2"
            >
              <title>{item.name ?? 'built-in'}</title>
            </rect>
          ))}
          {(full.furniture ?? []).map((item, k) => (
            <rect
              key={`furniture${k}`}
              x={ribbonX(layout, wall.index, item.at)}
              y={TOP + BAND + 6}
              width={item.width * layout.scale}
              height={5}
              fill="none"
              stroke="var(--lm-wall)"
              strokeDasharray="1 3"
            >
              <title>{`${item.name ?? 'furniture'} will stand here`}</title>
            </rect>
          ))}
          {(full.points ?? []).map((point, k) => (
            <PointMark
              key={`${point.kind}${k}`}
              kind={point.kind}
              x={ribbonX(layout, wall.index, point.at + (point.width ?? 0) / 2)}
            />
          ))}
        </Part>
        {(full.openings ?? []).map((opening) => {
          const x = ribbonX(layout, wall.index, opening.at);
          const w = opening.width * layout.scale;
          const window = opening.kind === 'window';
          return (
            <Part
              key={opening.id}
              of={`opening ${wall.id} ${opening.id}`}
              data-opening={opening.id}
              label={`${opening.kind} on wall ${wall.index + 1}, ${formatWithUnit(opening.at, unit)} from its left${onMove ? '; Shift and an arrow key move it' : ''}`}
              onPick={() => onWall(wall.index)}
              style={onMove ? { cursor: 'ew-resize' } : undefined}
              moved={
                onMove &&
                movedAlong(`${wall.id} ${opening.id}`, {
                  ...opening,
                  length: full.length,
                  unit,
                  along: (dx) => dx / layout.scale,
                  onMove: (at) => onMove(wall.index, opening.id, at),
                })
              }
            >
              {onMove && <title>drag it along the wall</title>}
              <rect
                x={x}
                y={TOP - 6}
                width={w}
                height={window ? 7 : BAND + 12}
                fill="var(--lm-panel)"
                stroke="var(--lm-wall)"
                strokeDasharray={window ? undefined : '4 3'}
              />
              {!window && w > 30 && (
                <text
                  x={x + w / 2}
                  y={TOP + 15}
                  textAnchor="middle"
                  fontSize={12}
                  fill="var(--mantine-color-dimmed)"
                >
                  {opening.kind}
                </text>
              )}
            </Part>
          );
        })}
      </Fragment>
    );
  });
}

/** Sockets are squares, switches upright, pipes round, registers lying: told apart without colour. */
function PointMark({ kind, x }: { kind: 'socket' | 'switch' | 'pipe' | 'register'; x: number }) {
  const y = TOP + BAND - 4;
  const box = { socket: [8, 8], switch: [5, 10], pipe: [9, 9], register: [14, 6] } as const;
  const [w, h] = box[kind];
  return (
    <rect
      x={x - w / 2}
      y={y - h / 2}
      width={w}
      height={h}
      rx={kind === 'pipe' ? w / 2 : 1}
      fill="var(--lm-panel)"
      stroke="var(--lm-wall)"
      strokeWidth={1.4}
    >
      <title>{kind}</title>
    </rect>
  );
}

function Measures({ room, layout, unit }: Layered) {
  return layout.walls.map((wall) =>
    wall.width < 44 ? null : (
      <text
        key={wall.id}
        x={wall.x + wall.width / 2}
        y={TOP + BAND + 24}
        textAnchor="middle"
        fontSize={15}
        fontWeight={600}
      >
        <SvgFigure value={room.walls[wall.index]!.length} unit={unit} />
      </text>
    ),
  );
}

function PieceBands({ room, layout, pieces, selectedPiece, onPiece, unit }: Layered) {
  const indexOf = new Map(room.walls.map((wall, index) => [wall.id, index]));
  return pieces.map((piece) => {
    const wall = indexOf.get(piece.wall ?? '');
    if (piece.role !== 'wall' || wall === undefined) return null;
    const from = ribbonX(layout, wall, piece.from!);
    const to = ribbonX(layout, wall, piece.to!);
    const picked = piece.id === selectedPiece;
    return (
      <Part
        key={piece.id}
        of={piece.id}
        data-piece={piece.label}
        label={`${piece.label}, ${formatWithUnit(piece.near, unit)}, ${piece.left.joint} to ${piece.right.joint}`}
        picked={picked}
        onPick={() => onPiece(piece)}
      >
        <title>{`${piece.label}: ${piece.left.joint} to ${piece.right.joint}`}</title>
        <path
          d={path(pieceOutline(piece, layout, wall, BAND), TOP)}
          fill={picked ? 'var(--lm-picked-fill)' : 'var(--lm-wood)'}
          stroke={picked ? 'var(--lm-picked)' : 'var(--lm-wood-edge)'}
          strokeWidth={picked ? 2.2 : 1.2}
          strokeLinejoin="round"
        />
        {[piece.left, piece.right].map((end, side) =>
          end.joint === 'return' ? (
            <ReturnEnd
              key={side}
              x={side === 0 ? from : to}
              outward={side === 0 ? -1 : 1}
              halves={end.angle > -45}
            />
          ) : null,
        )}
        {to - from > 30 && (
          <text
            x={(from + to) / 2}
            y={TOP + 16}
            textAnchor="middle"
            fontSize={13}
            fontWeight={650}
            style={{ fill: picked ? 'var(--mantine-color-text)' : undefined }}
          >
            {piece.label}
          </text>
        )}
        {to - from > 52 && (
          <text x={(from + to) / 2} y={TOP + BAND + 24} textAnchor="middle" fontSize={14}>
            <SvgFigure value={piece.near} unit={unit} />
          </text>
        )}
      </Part>
    );
  });
}

/** The little piece that turns back to the wall. */
const ReturnEnd = ({ x, outward, halves }: { x: number; outward: 1 | -1; halves: boolean }) => {
  const end = x + outward * BAND;
  const half = BAND * Math.tan(Math.PI / 8);
  return (
    <path
      d={
        halves
          ? `M${x} ${TOP}L${x + outward * half} ${TOP + BAND}L${end} ${TOP + half}L${x} ${TOP}L${end} ${TOP + half}V${TOP}Z`
          : `M${x} ${TOP}L${end} ${TOP + BAND}L${end} ${TOP}Z`
      }
      fill="var(--lm-wood-other)"
      stroke="var(--lm-wood-edge)"
      strokeLinejoin="round"
    />
  );
};

/** Room that an angle's figure takes on the strip. */
const ANGLE_WIDTH = 40;

/** Which of two lines each angle is written on, so that none runs into another; undefined where there is no room. */
function angleRows(layout: RibbonLayout): (0 | 1 | undefined)[] {
  const last = [-Infinity, -Infinity];
  return layout.corners.map((corner) => {
    const x = corner.x + corner.width / 2;
    const row = x - last[0]! >= ANGLE_WIDTH ? 0 : x - last[1]! >= ANGLE_WIDTH ? 1 : undefined;
    if (row !== undefined) last[row] = x;
    return row;
  });
}

function CornerMarks({ layout }: { layout: RibbonLayout }) {
  const rows = angleRows(layout);
  return layout.corners.map((corner, k) => {
    const x = corner.x + corner.width / 2;
    const outside = corner.angle >= 180;
    const row = rows[k];
    return (
      <g key={corner.index} data-corner={corner.index + 1}>
        <path
          d={
            outside
              ? `M${x - 5} ${TOP - 6}L${x} ${TOP - 13}L${x + 5} ${TOP - 6}`
              : `M${x - 5} ${TOP - 13}L${x} ${TOP - 6}L${x + 5} ${TOP - 13}`
          }
          fill="none"
          stroke={corner.assumed ? 'var(--lm-assumed)' : 'var(--lm-wall)'}
          strokeWidth={2}
          strokeDasharray={corner.assumed ? '2 2' : undefined}
        />
        {row !== undefined && (
          <text
            x={x}
            y={row === 0 ? 12 : 24}
            textAnchor="middle"
            fontSize={12}
            style={{ fill: corner.assumed ? 'var(--lm-assumed)' : 'var(--mantine-color-dimmed)' }}
          >
            {corner.assumed ? '90° ?' : formatAngle(corner.angle)}
          </text>
        )}
      </g>
    );
  });
}
