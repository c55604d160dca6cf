import { Text } from '@mantine/core';
import { memo, useMemo } from 'react';
import {
  formatWithUnit,
  isPinned,
  STICK,
  stickDiagrams,
  stickDrawing,
  type Piece,
  type PieceKey,
  type PlanFile,
  type PlannedStick,
  type Profile,
  type StickDiagram,
  type StickPin,
  type StickRef,
  type Unit,
} from '@long-miter/core';
import { useSpoken } from '../../shared/words.tsx';
import type { Dragged } from '../../drawing/Parts.tsx';
import { Typeset } from '../../shared/Figure.tsx';
import { useWidth } from '../../shared/use-width.ts';
import { Windowed } from '../../shared/Windowed.tsx';
import { StickPicture } from './StickPicture.tsx';

interface Props {
  readonly plan: PlanFile;
  readonly profiles: readonly Profile[];
  readonly unit: Unit;
  readonly selectedPiece: string | undefined;
  readonly onPiece: (piece: Piece) => void;
  /** What a stick from the rack is called; its label where this is left out. */
  readonly rackName?: (stick: PlannedStick) => string;
  /** What may be done by hand; absent where one only looks. */
  readonly hand?: StickHand;
}

export interface StickHand {
  readonly pins: readonly StickPin[];
  readonly onPin: (stick: PlannedStick) => void;
  readonly onMove: (piece: PieceKey, stick: StickRef) => void;
  /** A stick is said to be cut; it is asked about before it counts. */
  readonly onCut: (stick: PlannedStick, number: number) => void;
  readonly onNotCut: (id: string) => void;
}

type Row =
  | { readonly kind: 'profile'; readonly profile: Profile }
  | { readonly kind: 'length'; readonly profile: Profile; readonly length: number; readonly count: number }
  | {
      readonly kind: 'stick';
      readonly diagram: StickDiagram;
      readonly number: number;
      readonly above: StickRef | undefined;
      readonly below: StickRef | undefined;
    };

/** Profile by profile, longest sticks first, each with the number it has on the cut list. */
function rowsOf(plan: PlanFile, profiles: readonly Profile[]): Row[] {
  const diagrams = stickDiagrams(plan).map((diagram, index) => ({ diagram, number: index + 1 }));
  const used = new Set(plan.sticks.map((stick) => stick.profile));
  const several = profiles.filter((profile) => used.has(profile.id)).length > 1;
  return profiles.flatMap((profile): Row[] => {
    const own = diagrams
      .filter(({ diagram }) => diagram.stick.profile === profile.id)
      .sort((a, b) => b.diagram.stick.length - a.diagram.stick.length || a.number - b.number);
    if (own.length === 0) return [];
    const rows: Row[] = several ? [{ kind: 'profile', profile }] : [];
    for (const [index, one] of own.entries()) {
      const { length } = one.diagram.stick;
      if (own[index - 1]?.diagram.stick.length !== length)
        rows.push({
          kind: 'length',
          profile,
          length,
          count: own.filter(({ diagram }) => diagram.stick.length === length).length,
        });
      rows.push({
        kind: 'stick',
        ...one,
        above: own[index - 1]?.diagram.stick.id,
        below: own[index + 1]?.diagram.stick.id,
      });
    }
    return rows;
  });
}

const keyOf = (row: Row): string =>
  row.kind === 'profile'
    ? `profile ${row.profile.id}`
    : row.kind === 'length'
      ? `${row.profile.id} of ${row.length}`
      : row.diagram.stick.id;

/** All sticks to scale, one under another: near line at the top (the fence), far line below, slants where they truly lie. */
export function Sticks({ plan, profiles, unit, selectedPiece, onPiece, rackName, hand }: Props) {
  const { ref, width } = useWidth();
  const rows = useMemo(() => rowsOf(plan, profiles), [plan, profiles]);
  const longest = useMemo(() => Math.max(1, ...plan.sticks.map((stick) => stick.length)), [plan]);
  const scale = Math.max(0, width - 4) / longest;
  const pinned = useMemo(
    () =>
      new Set(hand ? plan.sticks.filter((stick) => isPinned(hand.pins, stick)).map((stick) => stick.id) : []),
    [hand?.pins, plan], // eslint-disable-line react-hooks/exhaustive-deps
  );
  return (
    <div ref={ref}>
      {width > 0 && (
        <Windowed
          items={rows}
          keyOf={keyOf}
          height={STICK.height + 30}
          row={(row) => {
            if (row.kind === 'profile')
              return <h3 style={{ margin: '6px 0 2px', fontSize: '1rem' }}>{row.profile.name}</h3>;
            if (row.kind === 'length')
              return (
                <Text size="sm" fw={650} mt={4} role="heading" aria-level={4}>
                  {row.count} × <Typeset text={formatWithUnit(row.length, unit)} />
                </Text>
              );
            const { stick, pieces } = row.diagram;
            const picked = pieces.some((one) => one.piece.id === selectedPiece) ? selectedPiece : undefined;
            return (
              <Stick
                number={row.number}
                diagram={row.diagram}
                above={row.above}
                below={row.below}
                scale={scale}
                unit={unit}
                picked={picked}
                pinned={pinned.has(stick.id)}
                rackName={
                  stick.source === 'rack' ? (rackName?.(stick) ?? stick.label ?? stick.item) : undefined
                }
                onPiece={onPiece}
                hand={hand}
              />
            );
          }}
        />
      )}
    </div>
  );
}

interface StickProps {
  readonly number: number;
  readonly diagram: StickDiagram;
  /** The sticks of the same profile next to it, for pieces moved by keyboard. */
  readonly above: StickRef | undefined;
  readonly below: StickRef | undefined;
  readonly scale: number;
  readonly unit: Unit;
  readonly picked: string | undefined;
  readonly pinned: boolean;
  readonly rackName: string | undefined;
  readonly onPiece: (piece: Piece) => void;
  readonly hand: StickHand | undefined;
}

/** The stick under a place of the screen. */
const stickAt = ({ x, y }: Dragged): StickRef | undefined =>
  document
    .elementsFromPoint(x, y)
    .map((one) => one.closest<HTMLElement>('[data-stick]')?.dataset['stick'])
    .find((id) => id !== undefined) as StickRef | undefined;

const Stick = memo(function Stick({
  number,
  diagram,
  above,
  below,
  scale,
  unit,
  picked,
  pinned,
  rackName,
  onPiece,
  hand,
}: StickProps) {
  const inWords = useSpoken();
  const { stick } = diagram;
  const { cut } = stick;
  const drawing = useMemo(
    () => stickDrawing(diagram, number, unit, scale, pinned),
    [diagram, number, unit, scale, pinned],
  );
  return (
    <div style={{ paddingBottom: 4 }} data-stick={stick.id}>
      <div className="stick-head" style={{ width: Math.max(300, stick.length * scale) }}>
        <span>
          <b>
            {inWords('Stick')} {number}
          </b>{' '}
          · <Typeset text={formatWithUnit(stick.length, unit)} />
          {stick.source === 'rack' && (
            <>
              {' '}
              from the rack: <b>{rackName}</b>
            </>
          )}{' '}
          {hand && cut === undefined && (
            <button
              type="button"
              className="stick-act"
              aria-pressed={pinned}
              aria-label={`Pin stick ${number}`}
              onClick={() => hand.onPin(stick)}
            >
              {pinned ? 'pinned' : 'pin'}
            </button>
          )}
        </span>
        <span style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
          <span style={{ color: 'var(--mantine-color-dimmed)' }}>
            left over <Typeset text={formatWithUnit(stick.leftover, unit)} />
          </span>
          {hand &&
            (cut === undefined ? (
              <button
                type="button"
                className="stick-act"
                aria-label={`Stick ${number} is cut`}
                onClick={() => hand.onCut(stick, number)}
              >
                cut…
              </button>
            ) : (
              <>
                <b>cut ✓</b>
                <button
                  type="button"
                  className="stick-act"
                  aria-label={`Stick ${number} is not cut`}
                  onClick={() => hand.onNotCut(cut)}
                >
                  not cut
                </button>
              </>
            ))}
        </span>
      </div>
      <StickPicture
        drawing={drawing}
        diagram={diagram}
        picked={picked}
        onPiece={onPiece}
        {...(hand && cut === undefined
          ? {
              onDrop: (piece: PieceKey, at: Dragged) => {
                const to = stickAt(at);
                if (to !== undefined && to !== stick.id) hand.onMove(piece, to);
              },
              onNeighbour: (piece: PieceKey, way: -1 | 1) => {
                const to = way < 0 ? above : below;
                if (to !== undefined) hand.onMove(piece, to);
              },
            }
          : {})}
      />
    </div>
  );
});
