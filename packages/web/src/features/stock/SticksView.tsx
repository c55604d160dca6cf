import { Button, Group, NativeSelect, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import {
  completeHouseRules,
  leavings,
  movePiece,
  pinKey,
  roomOf,
  stickKey,
  togglePin,
  type JobFile,
  type JobRecord,
  type Piece,
  type PlanFile,
  type PlannedStick,
} from '@long-miter/core';
import { errorOf, useCutSticksQuery, useStickCutMutation } from '../../api/api.ts';
import { useAppSelector } from '../../app/store.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { StockEditor } from './StockEditor.tsx';
import { Sticks } from './Sticks.tsx';
import { BuyList, ThumbLine, Verdict, Working } from './Summary.tsx';
import { useChoices } from './use-choices.ts';
import type { LivePlan } from './use-plan.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly live: LivePlan;
  readonly onPiece: (piece: Piece) => void;
}

const nothing = (): void => undefined;

/** The sticks to scale, with what they cost and why it cannot be less; pieces move, sticks are pinned and ticked off. */
export function SticksView({ job, file, live, onPiece }: Props) {
  const { issues } = useAppSelector((state) => state.plan);
  const selectedPiece = useAppSelector((state) => state.ui.piece);
  const { plan, latest, working, cancel } = live;
  const shown = plan ?? latest;
  const { pins, change, fault } = useChoices(job);
  const { data: cut = [] } = useCutSticksQuery(job.id);
  const [stickCut] = useStickCutMutation();
  // What has been cut cannot be planned anew.
  const stillCut = pins.filter((pin) => cut.includes(pinKey(pin)));
  const { minReusable } = completeHouseRules(job.settings.houseRules, job.unit);
  const move = (pieceId: string, stickId: string): void => {
    if (!plan) return;
    const target = plan.sticks.find((stick) => stick.id === stickId);
    if (target && cut.includes(stickKey(target)))
      return void notifications.show({ color: 'red', message: 'That stick has been cut already' });
    const moved = movePiece(file, plan, pins, pieceId, stickId);
    if (!moved.ok) notifications.show({ color: 'red', message: moved.issues[0].text });
    else void change({ pins: moved.value as [] });
  };
  const tickOff = async (stick: PlannedStick): Promise<void> => {
    if (!plan) return;
    const key = stickKey(stick);
    const left = leavings(plan, minReusable).find((one) => one.key === key);
    const done = await stickCut({
      job: job.id,
      key,
      profile: stick.profile,
      ...(left ? { leaving: { length: left.length, left: left.left, right: left.right } } : {}),
      ...(stick.source === 'rack' ? { fromRack: stick.length } : {}),
    });
    if ('error' in done && done.error)
      return void notifications.show({ color: 'red', message: errorOf(done.error).detail });
    const offcut = done.data?.offcut;
    notifications.show({
      message: offcut
        ? `${offcut.label} is on the rack: write that on it`
        : 'Noted as cut; nothing is left of it',
    });
    // What has been cut stays as it is, whatever is planned anew.
    if (!pins.some((pin) => pin.pieces.some((piece) => piece.id === stick.cuts[0]!.piece)))
      void change({ pins: togglePin(plan, pins, stick) as [] });
  };
  return (
    <main className="work" style={{ gridTemplateColumns: 'minmax(0, 1.5fr) minmax(0, 1fr)' }}>
      <section
        className="panel scroll"
        aria-label="Sticks"
        tabIndex={0}
        style={{ padding: '8px 12px', opacity: plan ? 1 : 0.6 }}
      >
        <Group justify="space-between" align="baseline">
          <Title order={2} size="h4">
            Sticks
          </Title>
          <Text size="sm" c="dimmed">
            back edge on top, to scale; drag a piece to another stick
          </Text>
        </Group>
        {shown ? (
          <Sticks
            plan={shown}
            profiles={job.settings.profiles}
            unit={job.unit}
            selectedPiece={selectedPiece}
            onPiece={onPiece}
            {...(plan
              ? {
                  hand: {
                    pins,
                    cut: new Set(cut),
                    onPin: (stick) => void change({ pins: togglePin(plan, pins, stick) as [] }),
                    onMove: move,
                    onCut: (stick) => void tickOff(stick),
                  },
                }
              : {})}
          />
        ) : (
          <Text c="dimmed">The sticks appear here with the first cut plan.</Text>
        )}
      </section>
      <section
        className="panel scroll"
        aria-label="Stock and cost"
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        {working && <Working job={job} onCancel={cancel} />}
        {plan && !working && <Verdict plan={plan} job={job} />}
        {shown && <ThumbLine job={file} plan={shown} />}
        {[...issues.map((issue) => issue.text), ...(fault ? [fault] : [])].map((text) => (
          <Text key={text} role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
            {text}
          </Text>
        ))}
        {pins.length > 0 && (
          <Button
            size="compact-md"
            variant="default"
            mt={6}
            onClick={() => void change({ pins: stillCut as [] })}
          >
            Release all pins but of sticks that are cut
          </Button>
        )}
        {plan && <PickedPiece job={job} plan={plan} pieceId={selectedPiece} onMove={move} />}
        {shown && <BuyList job={job} plan={shown} />}
        <Title order={3} size="h5" mt="md">
          What is for sale
        </Title>
        <StockEditor job={job} />
      </section>
    </main>
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
  onMove: (piece: string, stick: string) => void;
}) {
  const piece = plan.pieces.find((one) => one.id === pieceId);
  const record = job.rooms.find((one) => one.id === piece?.room);
  const room = record && roomOf(record);
  if (!piece || !room) return null;
  const on = plan.sticks.find((stick) => stick.cuts.some((cut) => cut.piece === piece.id));
  const wall = room.walls.findIndex((one) => one.id === piece.wall);
  return (
    <div role="region" aria-label={`${piece.label} in its room`} style={{ margin: '8px 0' }}>
      <Text fw={650}>
        {piece.label}: {room.name}
        {wall >= 0 ? `, wall ${wall + 1}` : ''}
      </Text>
      <div style={{ height: 230 }}>
        <PlanDrawing
          room={room}
          unit={job.unit}
          pieces={plan.pieces.filter((one) => one.room === room.id && one.trim === piece.trim)}
          selectedWall={wall < 0 ? undefined : wall}
          selectedPiece={piece.id}
          onWall={nothing}
        />
      </div>
      {on && (
        <NativeSelect
          size="sm"
          label={`Stick of ${piece.label}`}
          value={on.id}
          data={plan.sticks.flatMap((stick, index) =>
            stick.profile === piece.profile ? [{ value: stick.id, label: `stick ${index + 1}` }] : [],
          )}
          onChange={(event) => onMove(piece.id, event.currentTarget.value)}
        />
      )}
    </div>
  );
}
