import { Text } from '@mantine/core';
import { memo, useMemo, useState } from 'react';
import {
  formatWithUnit,
  isPinned,
  stickDiagrams,
  stickDrawing,
  stickPatterns,
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
import type { Dragged } from '../../drawing/Parts.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { useWidth } from '../../shared/hooks/use-width.ts';
import { Windowed } from '../../shared/Windowed.tsx';
import { StickPicture } from './StickPicture.tsx';
import { t } from '../../messages/t.ts';

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

interface Numbered {
  readonly diagram: StickDiagram;
  readonly number: number;
  readonly above: StickRef | undefined;
  readonly below: StickRef | undefined;
}
interface Pattern {
  readonly kind: 'pattern';
  readonly sticks: readonly Numbered[];
}
type Row = { readonly kind: 'profile'; readonly profile: Profile } | Pattern;

/** Profile by profile, longest sticks first, those that are cut alike as one; each stick with its number on the cut list. */
function rowsOf(plan: PlanFile, profiles: readonly Profile[]): Row[] {
  const diagrams = stickDiagrams(plan).map((diagram, index) => ({ diagram, number: index + 1 }));
  const used = new Set(plan.sticks.map((stick) => stick.profile));
  const several = profiles.filter((profile) => used.has(profile.id)).length > 1;
  return profiles.flatMap((profile): Row[] => {
    const own = diagrams
      .filter(({ diagram }) => diagram.stick.profile === profile.id)
      .sort((a, b) => b.diagram.stick.length - a.diagram.stick.length || a.number - b.number);
    if (own.length === 0) return [];
    const ids = own.map(({ diagram }) => diagram.stick.id);
    const numbered = own.map((one, index): Numbered => ({
      ...one,
      above: ids[index - 1],
      below: ids[index + 1],
    }));
    return [
      ...(several ? [{ kind: 'profile' as const, profile }] : []),
      ...stickPatterns(numbered).map((sticks) => ({ kind: 'pattern' as const, sticks })),
    ];
  });
}

const keyOf = (row: Row): string =>
  row.kind === 'profile' ? `profile ${row.profile.id}` : row.sticks[0]!.diagram.stick.id;

/** What stands beside the picture of a closed line, in pixels. */
const BESIDE = 108 + 92 + 2 * 10;
/** How far in the sticks of an opened line stand. */
const OPENED_IN = 14;

/** All sticks to scale, a line for those cut alike, opened on demand: near line at the top (the fence), slants where they truly lie. */
export function Sticks({ plan, profiles, unit, selectedPiece, onPiece, rackName, hand }: Props) {
  const { ref, width } = useWidth();
  const rows = useMemo(() => rowsOf(plan, profiles), [plan, profiles]);
  const longest = useMemo(() => Math.max(1, ...plan.sticks.map((stick) => stick.length)), [plan]);
  // By piece, so that a line stays open when the plan is made anew and its sticks are others.
  const [opened, setOpened] = useState<ReadonlySet<PieceKey>>(new Set());
  const pinned = useMemo(
    () =>
      new Set(hand ? plan.sticks.filter((stick) => isPinned(hand.pins, stick)).map((stick) => stick.id) : []),
    [hand?.pins, plan], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const isOpen = ({ sticks }: Pattern): boolean =>
    sticks.some(({ diagram }) => diagram.pieces.some(({ piece }) => opened.has(piece.id)));
  const open = (these: readonly Pattern[], wanted: boolean): void =>
    setOpened((before) => {
      const after = new Set(before);
      for (const one of these)
        for (const { diagram } of one.sticks)
          for (const { piece } of diagram.pieces)
            if (wanted) after.add(piece.id);
            else after.delete(piece.id);
      return after;
    });
  const patterns = rows.filter((row) => row.kind === 'pattern');
  const allOpen = patterns.length > 0 && patterns.every(isOpen);
  const shown = { unit, selectedPiece, pinned, rackName, onPiece, hand };
  return (
    <div ref={ref}>
      <div className="sticks-head">
        <Text size="sm" c="dimmed">
          {hand
            ? t(
                'Back edge on top, to scale. Drag a piece to another stick; open a line to pin it or note it as cut.',
              )
            : t('Back edge on top, to scale.')}
        </Text>
        <button type="button" className="stick-act" onClick={() => open(patterns, !allOpen)}>
          {allOpen ? t('close all') : t('open all')}
        </button>
      </div>
      {width > 0 && (
        <Windowed
          items={rows}
          keyOf={keyOf}
          height={48}
          row={(row) => {
            if (row.kind === 'profile')
              return <h3 style={{ margin: '6px 0 2px', fontSize: '1rem' }}>{row.profile.name}</h3>;
            const here = isOpen(row);
            return (
              <>
                <PatternLine
                  {...shown}
                  sticks={row.sticks}
                  scale={Math.max(0, width - BESIDE) / longest}
                  opened={here}
                  onToggle={() => open([row], !here)}
                />
                {here &&
                  row.sticks.map((one) => (
                    <Stick
                      key={one.diagram.stick.id}
                      {...one}
                      scale={Math.max(0, width - 4 - OPENED_IN) / longest}
                      unit={unit}
                      picked={pickedOn(one.diagram, selectedPiece)}
                      pinned={pinned.has(one.diagram.stick.id)}
                      rackName={nameOnRack(one.diagram.stick, rackName)}
                      onPiece={onPiece}
                      hand={hand}
                    />
                  ))}
              </>
            );
          }}
        />
      )}
    </div>
  );
}

const pickedOn = ({ pieces }: StickDiagram, picked: string | undefined): string | undefined =>
  pieces.some((one) => one.piece.id === picked) ? picked : undefined;

const nameOnRack = (stick: PlannedStick, rackName: Props['rackName']): string | undefined =>
  stick.source === 'rack' ? (rackName?.(stick) ?? stick.label ?? stick.item) : undefined;

interface PatternProps {
  readonly sticks: readonly Numbered[];
  readonly unit: Unit;
  readonly selectedPiece: string | undefined;
  readonly rackName: Props['rackName'];
  readonly onPiece: Props['onPiece'];
  readonly hand: StickHand | undefined;
  readonly scale: number;
  readonly pinned: ReadonlySet<string>;
  readonly opened: boolean;
  readonly onToggle: () => void;
}

/** Sticks that are cut alike, as one line: how many, what they are, how one of them is divided, what is left of each. */
function PatternLine(props: PatternProps) {
  const { sticks, scale, unit, selectedPiece, pinned, rackName, onPiece, hand, opened, onToggle } = props;
  // Of several alike, the one that has the picked piece is the one drawn.
  const shown = sticks.find(({ diagram }) => pickedOn(diagram, selectedPiece)) ?? sticks[0]!;
  const { stick } = shown.diagram;
  const drawing = useMemo(
    () => stickDrawing(shown.diagram, shown.number, unit, scale, pinned.has(stick.id), true),
    [shown, unit, scale, pinned, stick.id],
  );
  const numbers = sticks.map((one) => one.number).join(', ');
  const name = `${sticks.length === 1 ? t('Stick') : t('Sticks')} ${numbers}`;
  const pins = sticks.filter((one) => pinned.has(one.diagram.stick.id)).length;
  const length = formatWithUnit(stick.length, unit);
  const rack = nameOnRack(stick, rackName);
  return (
    <div className="stick-line">
      <button
        type="button"
        className="stick-line-name"
        aria-expanded={opened}
        aria-label={`${name}, ${length}${rack === undefined ? '' : t(', from the rack: {rack}', { rack })}`}
        onClick={onToggle}
      >
        <b>
          <span aria-hidden="true">{opened ? '▾' : '▸'} </span>
          {sticks.length === 1 ? name : t('{count} × alike', { count: sticks.length })}
        </b>
        <span>
          <Typeset text={length} />
        </span>
      </button>
      {opened ? (
        <span>{sticks.length === 1 ? '' : name}</span>
      ) : (
        <div data-stick={stick.id}>
          <StickPicture
            drawing={drawing}
            diagram={shown.diagram}
            picked={pickedOn(shown.diagram, selectedPiece)}
            onPiece={onPiece}
            {...movesOf(shown, hand)}
          />
          {rack !== undefined && (
            <Text size="xs" c="dimmed" lh={1.2}>
              {t('from the rack:')} <b>{rack}</b>
            </Text>
          )}
        </div>
      )}
      {!opened && (
        <span className="stick-line-left">
          <span>
            <Typeset text={formatWithUnit(stick.leftover, unit)} /> {t('left')}
          </span>
          {stick.cut !== undefined ? (
            <b>{t('cut ✓')}</b>
          ) : pins > 0 ? (
            <b>{pins === sticks.length ? t('pinned') : t('{pins} pinned', { pins })}</b>
          ) : null}
        </span>
      )}
    </div>
  );
}

/** How a piece comes from this stick to another. */
function movesOf({ diagram, above, below }: Omit<Numbered, 'number'>, hand: StickHand | undefined) {
  const { stick } = diagram;
  if (!hand || stick.cut !== undefined) return {};
  return {
    onDrop: (piece: PieceKey, at: Dragged): void => {
      const to = stickAt(at);
      if (to !== undefined && to !== stick.id) hand.onMove(piece, to);
    },
    onNeighbour: (piece: PieceKey, way: -1 | 1): void => {
      const to = way < 0 ? above : below;
      if (to !== undefined) hand.onMove(piece, to);
    },
  };
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
  const { stick } = diagram;
  const { cut } = stick;
  const drawing = useMemo(
    () => stickDrawing(diagram, number, unit, scale, pinned),
    [diagram, number, unit, scale, pinned],
  );
  return (
    <div style={{ paddingBottom: 4, marginLeft: OPENED_IN }} data-stick={stick.id}>
      <div className="stick-head" style={{ width: Math.max(300, stick.length * scale) }}>
        <span>
          <b>
            {t('Stick')} {number}
          </b>{' '}
          · <Typeset text={formatWithUnit(stick.length, unit)} />
          {stick.source === 'rack' && (
            <>
              {' '}
              {t('from the rack:')} <b>{rackName}</b>
            </>
          )}{' '}
          {hand && cut === undefined && (
            <button
              type="button"
              className="stick-act"
              aria-pressed={pinned}
              aria-label={t('Pin stick {number}', { number })}
              onClick={() => hand.onPin(stick)}
            >
              {pinned ? t('pinned') : t('pin')}
            </button>
          )}
        </span>
        <span style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
          <span style={{ color: 'var(--mantine-color-dimmed)' }}>
            {t('left over')} <Typeset text={formatWithUnit(stick.leftover, unit)} />
          </span>
          {hand &&
            (cut === undefined ? (
              <button
                type="button"
                className="stick-act"
                aria-label={t('Stick {number} is cut', { number })}
                onClick={() => hand.onCut(stick, number)}
              >
                {t('cut…')}
              </button>
            ) : (
              <>
                <b>{t('cut ✓')}</b>
                <button
                  type="button"
                  className="stick-act"
                  aria-label={t('Stick {number} is not cut', { number })}
                  onClick={() => hand.onNotCut(cut)}
                >
                  {t('not cut')}
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
        {...movesOf({ diagram, above, below }, hand)}
      />
    </div>
  );
});
