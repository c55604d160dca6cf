import { Text } from '@mantine/core';
import type { PointerEvent } from 'react';
import {
  formatAngle,
  formatWithUnit,
  isPinned,
  stickKey,
  stickDiagrams,
  type Piece,
  type PlanFile,
  type PlannedStick,
  type Profile,
  type StickDiagram,
  type StickPiece,
  type StickPin,
  type Unit,
} from '@long-miter/core';
import { SvgFigure, Typeset } from '../../shared/Figure.tsx';
import { useWidth } from '../../shared/use-width.ts';

const BAND = 30;

interface Props {
  readonly plan: PlanFile;
  readonly profiles: readonly Profile[];
  readonly unit: Unit;
  readonly selectedPiece: string | undefined;
  readonly onPiece: (piece: Piece) => void;
  /** What may be done by hand; absent where one only looks. */
  readonly hand?: StickHand;
}

export interface StickHand {
  readonly pins: readonly StickPin[];
  /** Names of the sticks that have been cut. */
  readonly cut: ReadonlySet<string>;
  readonly onPin: (stick: PlannedStick) => void;
  readonly onMove: (pieceId: string, stickId: string) => void;
  readonly onCut: (stick: PlannedStick) => void;
}

/** All sticks to scale, one under another: near line at the top (the fence), far line below, slants where they truly lie. */
export function Sticks({ plan, profiles, unit, selectedPiece, onPiece, hand }: Props) {
  const { ref, width } = useWidth();
  const diagrams = stickDiagrams(plan);
  const longest = Math.max(1, ...plan.sticks.map((stick) => stick.length));
  const scale = Math.max(0, width - 4) / longest;
  return (
    <div ref={ref}>
      {profiles
        .filter((profile) => diagrams.some((one) => one.stick.profile === profile.id))
        .map((profile) => (
          <div key={profile.id}>
            {profiles.length > 1 && <h3 style={{ margin: '6px 0 2px', fontSize: '1rem' }}>{profile.name}</h3>}
            {width > 0 &&
              lengthsOf(diagrams, profile.id).map((length) => {
                const group = diagrams.flatMap((diagram, index) =>
                  diagram.stick.profile === profile.id && diagram.stick.length === length
                    ? [{ diagram, number: index + 1 }]
                    : [],
                );
                return (
                  <div
                    key={length}
                    role="group"
                    aria-label={`${profile.name} of ${formatWithUnit(length, unit)}`}
                  >
                    <Text size="sm" fw={650} mt={4}>
                      {group.length} × <Typeset text={formatWithUnit(length, unit)} />
                    </Text>
                    {group.map(({ diagram, number }) => (
                      <Stick
                        key={diagram.stick.id}
                        number={number}
                        diagram={diagram}
                        scale={scale}
                        unit={unit}
                        selectedPiece={selectedPiece}
                        onPiece={onPiece}
                        hand={hand}
                      />
                    ))}
                  </div>
                );
              })}
          </div>
        ))}
    </div>
  );
}

/** Stock lengths of a profile, longest first. */
const lengthsOf = (diagrams: readonly StickDiagram[], profile: string): number[] =>
  [...new Set(diagrams.filter((one) => one.stick.profile === profile).map((one) => one.stick.length))].sort(
    (a, b) => b - a,
  );

interface StickProps {
  readonly number: number;
  readonly diagram: StickDiagram;
  readonly scale: number;
  readonly unit: Unit;
  readonly selectedPiece: string | undefined;
  readonly onPiece: (piece: Piece) => void;
  readonly hand: StickHand | undefined;
}

/** Lets a piece be dragged to another stick: where it is let go, that stick is asked to take it. */
function dragToStick(event: PointerEvent<SVGGElement>, drop: (stickId: string) => void): void {
  const { clientX, clientY, currentTarget } = event;
  let moved = false;
  const onMove = (at: globalThis.PointerEvent): void => {
    moved ||= Math.hypot(at.clientX - clientX, at.clientY - clientY) > 6;
    currentTarget.style.transform = moved
      ? `translate(${at.clientX - clientX}px, ${at.clientY - clientY}px)`
      : '';
  };
  const onUp = (at: globalThis.PointerEvent): void => {
    window.removeEventListener('pointermove', onMove);
    currentTarget.style.transform = '';
    if (!moved) return;
    const under = document
      .elementsFromPoint(at.clientX, at.clientY)
      .map((one) => one.closest<HTMLElement>('[data-stick]')?.dataset['stick'])
      .find((id) => id !== undefined);
    if (under !== undefined) drop(under);
  };
  window.addEventListener('pointermove', onMove);
  window.addEventListener('pointerup', onUp, { once: true });
}

function Stick({ number, diagram, scale, unit, selectedPiece, onPiece, hand }: StickProps) {
  const { stick } = diagram;
  const pinned = hand ? isPinned(hand.pins, stick) : false;
  const isCut = hand?.cut.has(stickKey(stick)) ?? false;
  return (
    <div style={{ marginBottom: 4 }} data-stick={stick.id}>
      <div
        style={{
          display: 'flex',
          justifyContent: 'space-between',
          width: Math.max(300, stick.length * scale),
          fontSize: '0.86rem',
          whiteSpace: 'nowrap',
        }}
      >
        <span>
          <b>Stick {number}</b> · <Typeset text={formatWithUnit(stick.length, unit)} />{' '}
          {stick.source === 'rack' ? 'from the rack' : ''}
        </span>
        <span style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
          <span style={{ color: 'var(--mantine-color-dimmed)' }}>
            left over <Typeset text={formatWithUnit(stick.leftover, unit)} />
          </span>
          {hand && (
            <>
              <button
                type="button"
                className="stick-act"
                aria-pressed={pinned}
                disabled={isCut}
                aria-label={`Pin stick ${number}`}
                onClick={() => hand.onPin(stick)}
              >
                {pinned ? 'pinned' : 'pin'}
              </button>
              <button
                type="button"
                className="stick-act"
                aria-pressed={isCut}
                disabled={isCut}
                aria-label={`Stick ${number} is cut`}
                onClick={() => hand.onCut(stick)}
              >
                {isCut ? 'cut ✓' : 'cut'}
              </button>
            </>
          )}
        </span>
      </div>
      <svg
        width={stick.length * scale + 2}
        height={BAND + 16}
        role="img"
        aria-label={`Stick ${number}, ${formatWithUnit(stick.length, unit)}, ${diagram.pieces.length} pieces`}
      >
        <rect
          x={1}
          y={1}
          strokeWidth={pinned ? 2.5 : 1}
          width={stick.length * scale}
          height={BAND}
          fill="var(--lm-void)"
          stroke={pinned ? 'var(--lm-picked)' : 'var(--lm-line)'}
        />
        {diagram.pieces.map((one) => (
          <StickBlank
            key={one.piece.id}
            one={one}
            scale={scale}
            unit={unit}
            picked={one.piece.id === selectedPiece}
            onPick={() => onPiece(one.piece)}
            onDrag={
              hand && !isCut
                ? (event) => dragToStick(event, (id) => hand.onMove(one.piece.id, id))
                : undefined
            }
          />
        ))}
      </svg>
    </div>
  );
}

function StickBlank({
  one,
  scale,
  unit,
  picked,
  onPick,
  onDrag,
}: {
  one: StickPiece;
  scale: number;
  unit: Unit;
  picked: boolean;
  onPick: () => void;
  onDrag: ((event: PointerEvent<SVGGElement>) => void) | undefined;
}) {
  const x = (at: number): number => 1 + at * scale;
  const mid = (x(one.nearFrom) + x(one.nearTo)) / 2;
  const wide = x(one.nearTo) - x(one.nearFrom);
  const angle = (value: number): string => (value === 0 ? 'sq' : formatAngle(Math.abs(value)));
  return (
    <g
      className="click"
      onClick={onPick}
      data-piece={one.piece.label}
      style={onDrag ? { touchAction: 'none' } : undefined}
      onPointerDown={onDrag}
    >
      <title>{`${one.piece.label}: ${angle(one.piece.left.angle)} to ${angle(one.piece.right.angle)}`}</title>
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
      {wide > 90 && (
        <>
          <text
            x={x(one.nearFrom) + 3}
            y={BAND + 14}
            fontSize={11.5}
            style={{ fill: 'var(--mantine-color-dimmed)' }}
          >
            {angle(one.piece.left.angle)}
          </text>
          <text
            x={x(one.nearTo) - 3}
            y={BAND + 14}
            fontSize={11.5}
            textAnchor="end"
            style={{ fill: 'var(--mantine-color-dimmed)' }}
          >
            {angle(one.piece.right.angle)}
          </text>
        </>
      )}
    </g>
  );
}
