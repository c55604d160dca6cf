import { Text, Title } from '@mantine/core';
import { Fragment, useEffect, useRef } from 'react';
import type { JobRecord, Piece, QuickPlan, Room } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { piecePicked, wallPicked } from '../../app/ui-slice.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { Figure } from '../../shared/Figure.tsx';
import { useSheet } from '../walk/use-sheet.ts';
import { PieceDetails } from './PieceDetails.tsx';
import { JOINT_WORDS, partText } from './words.ts';

interface Props {
  readonly job: JobRecord;
  readonly roomId: string;
  readonly room: Room;
  readonly quick: QuickPlan;
  /** The pieces to show: of the cut plan where it is up to date, else the quick ones. */
  readonly pieces: readonly Piece[];
}

/** Joints: every piece of the room, how its ends are joined, and why. */
export function JointsPage({ job, roomId, room, quick, pieces }: Props) {
  const { draft, edit } = useSheet(job, roomId);
  const dispatch = useAppDispatch();
  const { wall: selectedWall, piece: selectedPiece } = useAppSelector((state) => state.ui);
  const picked = pieces.find((piece) => piece.id === selectedPiece);
  const wallNumber = (piece: Piece): number => room.walls.findIndex((wall) => wall.id === piece.wall) + 1;
  const list = useRef<HTMLElement>(null);
  useEffect(() => {
    // Picked on the ribbon or the plan: bring its row into sight.
    list.current?.querySelector('[data-selected]')?.scrollIntoView({ block: 'nearest' });
  }, [selectedPiece]);
  const roomWatch = quick.watchOuts.filter((one) => one.piece === undefined);
  return (
    <main className="work">
      <section className="panel plan" aria-label="Plan">
        <PlanDrawing
          room={room}
          unit={job.unit}
          pieces={pieces}
          selectedWall={selectedWall}
          selectedPiece={selectedPiece}
          onWall={(index) => dispatch(wallPicked(index))}
        />
      </section>
      <section ref={list} className="panel scroll" aria-label="Pieces" style={{ padding: 8 }}>
        <Title order={2} size="h4" px={8}>
          {pieces.length} pieces, numbered from the left of the entry
        </Title>
        {!picked && (
          <Text size="sm" c="dimmed" px={8} pb={4}>
            Choose a piece to see its ends, the saw and the reasons, and to overrule a corner.
          </Text>
        )}
        {pieces.map((piece) => (
          <Fragment key={piece.id}>
            <button
              type="button"
              className="piece-row"
              data-selected={piece.id === selectedPiece || undefined}
              aria-pressed={piece.id === selectedPiece}
              onClick={() =>
                dispatch(
                  piecePicked({
                    piece: piece.id === selectedPiece ? undefined : piece.id,
                    wall: wallNumber(piece) - 1,
                  }),
                )
              }
            >
              <b>{piece.label}</b>
              <span>{partText(piece, wallNumber(piece))}</span>
              <span style={{ textAlign: 'right', fontWeight: 650 }}>
                {piece.near === 0 ? 'waste' : <Figure value={piece.near} unit={job.unit} />}
              </span>
              <span>
                {JOINT_WORDS[piece.left.joint]} → {JOINT_WORDS[piece.right.joint]}
              </span>
              <span
                style={{ textAlign: 'right', color: 'var(--mantine-color-dimmed)' }}
                title="order of installation"
              >
                {piece.order}
              </span>
            </button>
            {piece.id === selectedPiece && draft && (
              <PieceDetails piece={piece} room={room} unit={job.unit} quick={quick} edit={edit} />
            )}
          </Fragment>
        ))}
        {roomWatch.length > 0 && (
          <div style={{ padding: '10px 8px' }}>
            <Title order={3} size="h5">
              Watch out
            </Title>
            {roomWatch.map((one) => (
              <Text key={one.code + one.text} size="sm" style={{ color: 'var(--lm-assumed)' }}>
                ▲ {one.text}
              </Text>
            ))}
          </div>
        )}
      </section>
    </main>
  );
}
