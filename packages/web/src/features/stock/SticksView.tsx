import { Button, Group, Modal, NativeSelect, Stack, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  coinOfJob,
  completeHouseRules,
  formatWithUnit,
  leavings,
  movePiece,
  outdatedCuts,
  recordOf,
  roomOf,
  togglePin,
  type JobFile,
  type JobPin,
  type JobRecord,
  type KeptCut,
  type Piece,
  type PieceKey,
  type PlanFile,
  type PlannedStick,
  type StickPin,
  type StickRef,
} from '@long-miter/core';
import { useCutSticksQuery, useShopLogQuery } from '../../api/api.ts';
import { useAppSelector } from '../../session/store.ts';
import { useRackWords } from '../../session/shop/use-rack-words.ts';
import { useCommands } from '../../session/use-commands.ts';
import { newId } from '../../session/outbox/tab-tag.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { useSteady } from '../../shared/hooks/use-steady.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { AssumedLine } from './AssumedLine.tsx';
import { Sticks, type StickHand } from './Sticks.tsx';
import { BuyList, Headline, RuleOfThumbLine, Verdict, Working } from './Summary.tsx';
import type { LivePlan } from '../../session/use-plan.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly live: LivePlan;
  readonly onPiece: (piece: Piece) => void;
}

const NO_CUTS: readonly KeptCut[] = [];

/** What of the pins is new, and which are gone, between two states. */
function pinChanges(
  before: readonly JobPin[],
  after: readonly StickPin[],
): { add: Omit<JobPin, 'id'>[]; drop: string[] } {
  const stay = new Set<StickPin>(after);
  return {
    drop: before.filter((pin) => !stay.has(pin)).map((pin) => pin.id),
    add: after
      .filter((pin) => !before.includes(pin as JobPin))
      .map(({ profile, source, stock, pieces }) => ({ profile, source, stock, pieces })),
  };
}

/** The sticks to scale, with what they cost and why it cannot be less; pieces move, sticks are pinned and ticked off. */
export function SticksView({ job, file, live, onPiece }: Props) {
  const issues = useAppSelector((state) => state.plan.issues);
  const selectedPiece = useAppSelector((state) => state.ui.piece);
  const { plan, latest, working, cancel } = live;
  const shown = plan ?? latest;
  const { pins } = job.settings;
  const { changePins, stickCut, stickNotCut } = useCommands(job.id);
  const rackName = useRackWords(job, shown);
  const { data: cuts = NO_CUTS } = useCutSticksQuery(job.id);
  const { data: log } = useShopLogQuery(job.id);
  const [asked, setAsked] = useState<{ readonly stick: PlannedStick; readonly number: number }>();
  const coin = useMemo(() => coinOfJob(file), [file]);
  const { minReusable } = completeHouseRules(job.settings.houseRules, job.unit);
  const say = (message: string): void => void notifications.show({ color: 'red', message });
  const pinAsIn = (wanted: readonly StickPin[]): void => {
    const { add, drop } = pinChanges(pins, wanted);
    changePins(add, drop);
  };
  const pinOrRelease = (stick: PlannedStick): void => {
    if (!plan) return;
    pinAsIn(togglePin(plan, pins, stick));
  };
  const move = (pieceId: PieceKey, stickId: StickRef): void => {
    if (!plan) return;
    const target = plan.sticks.find((stick) => stick.id === stickId);
    if (target?.cut !== undefined) return say(t('That stick has been cut already'));
    const moved = movePiece(file, plan, pins, pieceId, stickId);
    if (!moved.ok) return say(translate(moved.issues[0].text));
    pinAsIn(moved.value);
  };
  const notCut = async (id: string): Promise<void> => {
    const sent = await stickNotCut(id);
    if (!sent.ok) say(sent.error.detail);
  };
  const tickOff = async (stick: PlannedStick): Promise<void> => {
    if (!plan) return;
    const left = leavings(plan, minReusable).find((one) => one.stick === stick.id);
    const record = recordOf(plan, stick, newId());
    const sent = await stickCut(record, left && { length: left.length, left: left.left, right: left.right });
    if (!sent.ok) return say(sent.error.detail);
    undoNotice(
      sent.offcut
        ? t('Noted as cut. {label} is on the rack: write that on it', { label: sent.offcut.label })
        : t('Noted as cut; nothing is left of it'),
      () => notCut(record.id),
    );
  };
  const acts = useSteadyHand({
    onPin: pinOrRelease,
    onMove: move,
    onCut: (stick, number) => setAsked({ stick, number }),
    onNotCut: (id) => void notCut(id),
  });
  const hand = useMemo(() => (plan ? { pins, ...acts } : undefined), [plan, pins, acts]);
  return (
    <main className="work" style={{ gridTemplateColumns: 'minmax(0, 1.75fr) minmax(0, 1fr)' }}>
      <section
        className="panel scroll"
        aria-label={t('Sticks')}
        tabIndex={0}
        aria-busy={!plan}
        style={{ padding: '8px 12px' }}
      >
        {shown ? (
          <Headline plan={shown} working={working} />
        ) : (
          <Title order={2} size="h3">
            {t('Sticks')}
          </Title>
        )}
        {shown && <CutForOlder job={job} plan={shown} cuts={cuts} onNotCut={(id) => void notCut(id)} />}
        {shown ? (
          <Sticks
            plan={shown}
            profiles={job.settings.profiles}
            unit={job.unit}
            selectedPiece={selectedPiece}
            onPiece={onPiece}
            rackName={rackName}
            {...(hand ? { hand } : {})}
          />
        ) : (
          <Text c="dimmed">{t('The sticks appear here with the first cut plan.')}</Text>
        )}
      </section>
      <section
        className="panel scroll"
        aria-label={t('Stock and cost')}
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        <AssumedLine job={job} />
        {working && <Working job={job} coin={coin} onCancel={cancel} />}
        {plan && !working && <Verdict plan={plan} job={job} />}
        {shown && <RuleOfThumbLine job={file} plan={shown} />}
        {[
          ...issues.map((issue) => translate(issue.text)),
          ...new Set(shown?.refused.map((one) => translate(one.text))),
        ].map((text) => (
          <Text key={text} role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
            {text}
          </Text>
        ))}
        {pins.length > 0 && (
          <Button
            size="compact-md"
            variant="default"
            mt={6}
            onClick={() => {
              changePins(
                [],
                pins.map((pin) => pin.id),
              );
              undoNotice(
                t('{count} pins are released', { count: pins.length }),
                () =>
                  void changePins(
                    pins.map(({ id: _id, ...pin }) => pin),
                    [],
                  ),
              );
            }}
          >
            {t('Release all pins')}
          </Button>
        )}
        {plan && <PickedPiece job={job} plan={plan} pieceId={selectedPiece} onMove={move} />}
        {shown && <BuyList job={job} plan={shown} />}
      </section>
      {asked && (
        <AskCut
          {...asked}
          job={job}
          leaves={
            shown
              ? leavings(shown, minReusable).find((one) => one.stick === asked.stick.id)?.length
              : undefined
          }
          onClose={() => setAsked(undefined)}
          waiting={waitingOn(plan, asked.stick)}
          onCut={() => void tickOff(asked.stick)}
          given={(log?.issues.length ?? 0) > 0}
        />
      )}
    </main>
  );
}

const waitingOn = (plan: PlanFile | undefined, stick: PlannedStick): string[] =>
  (plan?.pieces ?? []).flatMap((piece) =>
    piece.held && stick.cuts.some((cut) => cut.piece === piece.id) ? [piece.label] : [],
  );

type Acts = Omit<StickHand, 'pins'>;

/** What one does to sticks, as the same functions at every drawing. */
function useSteadyHand(acts: Acts): Acts {
  const onPin = useSteady(acts.onPin);
  const onMove = useSteady(acts.onMove);
  const onCut = useSteady(acts.onCut);
  const onNotCut = useSteady(acts.onNotCut);
  return useMemo(() => ({ onPin, onMove, onCut, onNotCut }), [onPin, onMove, onCut, onNotCut]);
}

/** Before a stick counts as cut: what that means is said, and it is asked once. */
function AskCut({
  stick,
  number,
  job,
  leaves,
  waiting,
  given,
  onClose,
  onCut,
}: {
  stick: PlannedStick;
  number: number;
  job: JobRecord;
  leaves: number | undefined;
  /** What is cut of this job is noted at the saw. */
  given: boolean;
  /** Pieces on it that cannot be cut before they are measured. */
  waiting: readonly string[];
  onClose: () => void;
  onCut: () => void;
}) {
  if (given)
    return (
      <Modal
        opened
        onClose={onClose}
        title={<Text fw={650}>{t('This job is at the saw')}</Text>}
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        <Stack gap={10}>
          <Text>
            {t(
              'It has been given to the saw: what is cut is noted there piece by piece, or entered afterwards from paper. Opened sticks come in here by themselves.',
            )}
          </Text>
          <Group>
            <Button component={Link} to={`/jobs/${job.id}/saw`}>
              {t('Go to the saw')}
            </Button>
            <Button variant="default" component={Link} to={`/jobs/${job.id}/paper`}>
              {t('Paper')}
            </Button>
          </Group>
        </Stack>
      </Modal>
    );
  if (waiting.length > 0)
    return (
      <Modal
        opened
        onClose={onClose}
        title={<Text fw={650}>{t('Stick {number} waits', { number })}</Text>}
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        <Text>
          {t(
            '{waiting} wait until the legs are up: measure over both, outside to outside, and write it under Walk, Openings. Then the whole stick can be noted as cut.',
            { count: waiting.length, waiting: waiting.join(', ') },
          )}
        </Text>
      </Modal>
    );
  return (
    <Modal
      opened
      onClose={onClose}
      title={<Text fw={650}>{t('Is stick {number} cut?', { number })}</Text>}
      closeButtonProps={{ 'aria-label': t('Close') }}
    >
      <Stack gap={10}>
        <Text>
          {t('Its {count} pieces count as cut and are not planned again. {leaves}{label}', {
            count: stick.cuts.length,
            leaves:
              leaves === undefined
                ? t('Nothing worth keeping is left of it.')
                : t('What is left of it, {leaves}, goes on the rack.', {
                    leaves: formatWithUnit(leaves, job.unit),
                  }),
            label: stick.label === undefined ? '' : t(' {label} is used up.', { label: stick.label }),
          })}
        </Text>
        <Group>
          <Button
            onClick={() => {
              onClose();
              onCut();
            }}
          >
            {t('Yes, it is cut')}
          </Button>
          <Button variant="default" onClick={onClose}>
            {t('Not yet')}
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}

/** Pieces that were cut for a measure that is another now: what they were cut to, and what they should be. */
function CutForOlder({
  job,
  plan,
  cuts,
  onNotCut,
}: {
  job: JobRecord;
  plan: PlanFile;
  cuts: readonly KeptCut[];
  onNotCut: (id: string) => void;
}) {
  const list = useMemo(() => outdatedCuts(plan, cuts), [plan, cuts]);
  if (list.length === 0) return null;
  return (
    <div className="older-cuts" role="region" aria-label={t('Cut for an older measure')}>
      <Text fw={650}>{t('Cut for an older measure')}</Text>
      {list.map(({ record, cut, now }) => (
        <Group key={`${record.id} ${cut.id}`} gap={8} justify="space-between">
          <Text size="sm">
            <b>{cut.label}</b> {t('was cut to')} <Typeset text={formatWithUnit(cut.near, job.unit)} />
            {now ? (
              <>
                {t(', it is')} <Typeset text={formatWithUnit(now.near, job.unit)} />{' '}
                {t('now ({label}) and is planned anew', { label: now.label })}
              </>
            ) : (
              t('; there is no such piece any more')
            )}
            {(record as KeptCut).left === undefined ? '' : `. ${(record as KeptCut).left} stays on the rack`}.
          </Text>
          <Button size="compact-sm" variant="default" onClick={() => onNotCut(record.id)}>
            {t('That stick is not cut')}
          </Button>
        </Group>
      ))}
    </div>
  );
}

/** The selected piece in its room, and another stick for it by choice where one does not drag. */
function PickedPiece({
  job,
  plan,
  pieceId,
  onMove,
}: {
  job: JobRecord;
  plan: PlanFile;
  pieceId: string | undefined;
  onMove: (piece: PieceKey, stick: StickRef) => void;
}) {
  const piece = plan.pieces.find((one) => one.id === pieceId);
  const record = job.rooms.find((one) => one.id === piece?.room);
  const room = record && roomOf(record);
  if (!piece || !room) return null;
  const on = plan.sticks.find((stick) => stick.cuts.some((cut) => cut.piece === piece.id));
  const wall = room.walls.findIndex((one) => one.id === piece.wall);
  return (
    <div
      role="region"
      aria-label={t('{label} in its room', { label: piece.label })}
      style={{ margin: '8px 0' }}
    >
      <Text fw={650}>
        {piece.label}: {room.name}
        {wall >= 0 ? t(', wall {wall}', { wall: wall + 1 }) : ''}
      </Text>
      <div style={{ height: 230 }}>
        <PlanDrawing
          room={room}
          unit={job.unit}
          pieces={plan.pieces.filter((one) => one.room === room.id && one.trim === piece.trim)}
          selectedWall={wall < 0 ? undefined : wall}
          selectedPiece={piece.id}
        />
      </div>
      {on && on.cut === undefined && (
        <NativeSelect
          size="sm"
          label={t('Stick of {label}', { label: piece.label })}
          value={on.id}
          data={plan.sticks.flatMap((stick, index) =>
            stick.profile === piece.profile && stick.cut === undefined
              ? [{ value: stick.id, label: t('stick {index}', { index: index + 1 }) }]
              : [],
          )}
          onChange={(event) => onMove(piece.id, event.currentTarget.value as StickRef)}
        />
      )}
    </div>
  );
}
