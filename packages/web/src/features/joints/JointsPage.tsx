import { Button, Group, SegmentedControl, Text, Title } from '@mantine/core';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  openingNameOf,
  sideOfLoop,
  type JobRecord,
  type Piece,
  type QuickPlan,
  type Room,
  type Warning,
} from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { piecePicked, trimPicked, wallPicked } from '../../session/slices/ui-slice.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { LengthText } from '../../shared/fields/Figure.tsx';
import { Windowed } from '../../shared/Windowed.tsx';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import type { LivePlan } from '../../session/use-plan.ts';
import { PieceDetails } from './PieceDetails.tsx';
import { TrimsEditor } from './TrimsEditor.tsx';
import { WatchList } from './WatchList.tsx';
import { jointText, partText } from '../../shared/text/joint-words.ts';
import { moneyText } from '../../messages/money.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly roomId: string;
  readonly room: Room;
  readonly quick: QuickPlan;
  /** The pieces to show: of the cut plan where it is up to date, else the quick ones. */
  readonly pieces: readonly Piece[];
  readonly live: LivePlan;
  /** Everything to look out for in the whole job. */
  readonly watchOuts: readonly Warning[];
  /** The house rules, in a drawer of their own. */
  readonly rules: (props: { opened: boolean; onClose: () => void; onOpen: () => void }) => ReactNode;
}

/** Joints: every piece of the room, how its ends are joined, and why. */
export function JointsPage({ job, roomId, room, quick, pieces, live, watchOuts, rules }: Props) {
  const [open, setOpen] = useState<'trims' | 'rules' | 'watch'>();
  const navigate = useNavigate();
  const shownTrim = useAppSelector((state) => state.ui.trim);
  const { draft, edit } = useSheet(job, roomId);
  const dispatch = useAppDispatch();
  const { wall: selectedWall, piece: selectedPiece } = useAppSelector((state) => state.ui);
  const picked = pieces.find((piece) => piece.id === selectedPiece);
  const side = useRef<HTMLElement>(null);
  // On a phone everything is one column: what was asked for comes into sight.
  useEffect(() => {
    if (picked && window.innerWidth < 760) side.current?.scrollIntoView({ block: 'nearest' });
    side.current?.scrollTo({ top: 0 });
  }, [picked?.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const wallNumber = (piece: Piece): number => room.walls.findIndex((wall) => wall.id === piece.wall) + 1;
  const named = useMemo(
    () => ({ rooms: job.rooms.map(({ id, name, survey }): Room => ({ id, name, ...survey })) }),
    [job.rooms],
  );
  const roomWatch = watchOuts.filter((one) => one.room === roomId);
  const pick = (piece: Piece | undefined): void =>
    void dispatch(
      piecePicked({
        piece: piece?.id,
        wall: piece === undefined ? selectedWall : wallNumber(piece) - 1,
      }),
    );
  return (
    <main className="work joints">
      <div className="joints-side">
        <section className="panel plan" aria-label={t('Plan')}>
          <PlanDrawing
            room={room}
            unit={job.unit}
            pieces={pieces}
            selectedWall={selectedWall}
            selectedPiece={selectedPiece}
            onWall={(index) => dispatch(wallPicked(index))}
            onPiece={(id) => pick(pieces.find((one) => one.id === id))}
          />
        </section>
        <section
          ref={side}
          className="panel scroll"
          aria-label={open === 'trims' ? t('Trims') : t('The piece')}
          tabIndex={0}
        >
          {open === 'trims' && draft ? (
            <div style={{ padding: 10 }}>
              <TrimsEditor job={job} survey={draft.survey} edit={edit} />
            </div>
          ) : picked && draft ? (
            <PieceDetails
              piece={picked}
              room={room}
              unit={job.unit}
              quick={quick}
              edit={edit}
              pieces={pieces}
            />
          ) : (
            <div style={{ padding: '10px 14px' }}>
              <Text c="dimmed">
                {t(
                  'Choose a piece, in the list or on the ribbon, to see its ends, the saw and the reasons, and to overrule a corner. Arrow keys go from piece to piece.',
                )}
              </Text>
              <div className="room-watch">
                {roomWatch.length > 0 && (
                  <Title order={2} size="h5" mt="sm">
                    {t('Watch out in this room')}
                  </Title>
                )}
                {roomWatch.map((one, index) => (
                  <Text key={`${one.code}${index}`} size="sm" style={{ color: 'var(--lm-assumed)' }}>
                    ▲ {translate(one.text)}
                  </Text>
                ))}
              </div>
            </div>
          )}
        </section>
      </div>
      <section className="panel scroll" aria-label={t('Pieces')} style={{ padding: 8 }}>
        <Group justify="space-between" px={8} pb={6} gap={8}>
          <Title order={2} size="h4">
            {t('{count} pieces, numbered {numbering}', {
              count: pieces.length,
              numbering:
                job.settings.houseRules.numbering === 'installation'
                  ? t('by order of installation')
                  : t('from the left of the entry'),
            })}
          </Title>
          <Group gap={6}>
            <Button
              variant={open === 'trims' ? 'filled' : 'default'}
              aria-pressed={open === 'trims'}
              onClick={() => setOpen(open === 'trims' ? undefined : 'trims')}
            >
              {t('Trims')}
            </Button>
            <Button variant="default" onClick={() => setOpen('rules')}>
              {t('House rules')}
            </Button>
            <Button variant="default" onClick={() => setOpen('watch')}>
              {t('Watch-outs {here} here, {all} in all', {
                here: roomWatch.length,
                all: watchOuts.length,
              })}
            </Button>
          </Group>
        </Group>
        {room.trims.length > 1 && (
          <SegmentedControl
            mx={8}
            mb={6}
            size="sm"
            aria-label={t('Trim shown')}
            value={room.trims.some((trim) => trim.id === shownTrim) ? shownTrim! : ''}
            data={[
              { value: '', label: t('all') },
              ...room.trims.map((trim) => ({
                value: trim.id,
                label: job.settings.profiles.find((one) => one.id === trim.profile)?.name ?? trim.id,
              })),
            ]}
            onChange={(value) => dispatch(trimPicked(value === '' ? undefined : value))}
          />
        )}
        <CostLine live={live} />
        <div
          role="group"
          aria-label={t('Pieces of this room')}
          onKeyDown={(event) => {
            const way = { ArrowDown: 1, ArrowUp: -1 }[event.key];
            const at = pieces.findIndex((piece) => piece.id === selectedPiece);
            const next = way === undefined || at < 0 ? undefined : pieces[at + way];
            if (!next) return;
            event.preventDefault();
            pick(next);
            const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('.piece-row')];
            rows.find((row) => row.dataset['row'] === next.id)?.focus();
          }}
        >
          <Windowed
            items={pieces}
            keyOf={(piece) => piece.id}
            height={44}
            show={pieces.findIndex((piece) => piece.id === selectedPiece)}
            row={(piece) => (
              <button
                type="button"
                className="piece-row"
                data-row={piece.id}
                data-selected={piece.id === selectedPiece || undefined}
                aria-pressed={piece.id === selectedPiece}
                onClick={() => pick(piece.id === selectedPiece ? undefined : piece)}
              >
                <b>{piece.label}</b>
                <span>
                  {translateIfAny(sideOfLoop(room, piece)) ??
                    partText(piece, wallNumber(piece), openingNameOf(named, piece))}
                </span>
                <span style={{ textAlign: 'right', fontWeight: 650 }}>
                  {piece.near === 0 ? t('waste') : <LengthText value={piece.near} unit={job.unit} />}
                </span>
                <span>
                  {jointText(piece.left.joint)} → {jointText(piece.right.joint)}
                </span>
                <span
                  style={{ textAlign: 'right', color: 'var(--mantine-color-dimmed)' }}
                  title={t('order of installation')}
                >
                  {piece.order}
                </span>
              </button>
            )}
          />
        </div>
      </section>
      {draft &&
        rules({
          opened: open === 'rules',
          onClose: () => setOpen(undefined),
          onOpen: () => setOpen('rules'),
        })}
      <WatchList
        opened={open === 'watch'}
        onClose={() => setOpen(undefined)}
        list={watchOuts}
        job={job}
        onPick={(one) => {
          const at = job.rooms.find((other) => other.id === one.room)?.survey.walls ?? [];
          const index = at.findIndex((wall) => wall.id === one.wall);
          dispatch(
            one.piece === undefined
              ? wallPicked(index < 0 ? undefined : index)
              : piecePicked({ piece: one.piece, wall: index < 0 ? undefined : index }),
          );
          if (one.room !== undefined && one.room !== roomId)
            void navigate(`/jobs/${job.id}/joints/${encodeURIComponent(one.room)}`);
        }}
      />
    </main>
  );
}

/** What the pieces cost by the cut plan of the moment, and how that compares with the plan before the last change. */
function CostLine({ live }: { live: LivePlan }) {
  const { plan, latest, working } = live;
  const now = plan?.cost.total;
  const [costs, setCosts] = useState<{
    readonly now: number | undefined;
    readonly before?: number | undefined;
  }>({
    now,
  });
  if (now !== undefined && now !== costs.now) setCosts({ now, before: costs.now });
  const cost = now ?? latest?.cost.total;
  const coin = (plan ?? latest)?.coin;
  if (cost === undefined || !coin) return null;
  const change = costs.before === undefined ? 0 : cost - costs.before;
  return (
    <Text size="sm" c="dimmed" px={8} pb={4} role="status">
      {plan
        ? t('Stock and splices come to {cost}{change}.', {
            cost: moneyText(cost, coin),
            change:
              change === 0
                ? ''
                : t(', {change} {way} than before', {
                    change: moneyText(Math.abs(change), coin),
                    way: change > 0 ? t('more') : t('less'),
                  }),
          })
        : working
          ? t('Came to {cost}; the new cut plan is being worked out.', { cost: moneyText(cost, coin) })
          : t('Came to {cost}.', { cost: moneyText(cost, coin) })}
    </Text>
  );
}
