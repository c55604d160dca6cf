import {
  formatAngle,
  formatWithUnit,
  stickDiagrams,
  type Piece,
  type PlanFile,
  type Profile,
  type StickDiagram,
  type StickPiece,
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
}

/** All sticks to scale, one under another: near line at the top (the fence), far line below, slants where they truly lie. */
export function Sticks({ plan, profiles, unit, selectedPiece, onPiece }: Props) {
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
              diagrams.map((diagram, index) =>
                diagram.stick.profile === profile.id ? (
                  <Stick
                    key={diagram.stick.id}
                    number={index + 1}
                    diagram={diagram}
                    scale={scale}
                    unit={unit}
                    selectedPiece={selectedPiece}
                    onPiece={onPiece}
                  />
                ) : null,
              )}
          </div>
        ))}
    </div>
  );
}

interface StickProps {
  readonly number: number;
  readonly diagram: StickDiagram;
  readonly scale: number;
  readonly unit: Unit;
  readonly selectedPiece: string | undefined;
  readonly onPiece: (piece: Piece) => void;
}

function Stick({ number, diagram, scale, unit, selectedPiece, onPiece }: StickProps) {
  const { stick } = diagram;
  return (
    <div style={{ marginBottom: 4 }}>
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
        <span style={{ color: 'var(--mantine-color-dimmed)' }}>
          left over <Typeset text={formatWithUnit(stick.leftover, unit)} />
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
          width={stick.length * scale}
          height={BAND}
          fill="var(--lm-void)"
          stroke="var(--lm-line)"
        />
        {diagram.pieces.map((one) => (
          <StickBlank
            key={one.piece.id}
            one={one}
            scale={scale}
            unit={unit}
            picked={one.piece.id === selectedPiece}
            onPick={() => onPiece(one.piece)}
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
}: {
  one: StickPiece;
  scale: number;
  unit: Unit;
  picked: boolean;
  onPick: () => void;
}) {
  const x = (at: number): number => 1 + at * scale;
  const mid = (x(one.nearFrom) + x(one.nearTo)) / 2;
  const wide = x(one.nearTo) - x(one.nearFrom);
  const angle = (value: number): string => (value === 0 ? 'sq' : formatAngle(Math.abs(value)));
  return (
    <g className="click" onClick={onPick} data-piece={one.piece.label}>
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
