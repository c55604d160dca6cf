import { Button, Group, NativeSelect, Switch, TextInput, Title, Text } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import { memo, useCallback, useEffect, useState } from 'react';
import {
  completeHouseRules,
  cornerAt,
  lengthAt,
  setClosed,
  type JobRecord,
  type Room,
} from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { wallPicked } from '../../session/slices/ui-slice.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { ClosureLine } from './ClosureLine.tsx';
import { Devices } from './Devices.tsx';
import { FirstWalk } from './FirstWalk.tsx';
import { RoomMenu } from './RoomMenu.tsx';
import { FigurePad } from './FigurePad.tsx';
import { useLater } from '../../shared/hooks/use-later.ts';
import { useMoveOpening } from './use-move-opening.ts';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import { WalkLine } from './WalkLine.tsx';
import { WallRow } from './wall/WallRow.tsx';
import { t } from '../../messages/t.ts';

/** Marks a tape is held at where its end cannot be hooked. */
const MARKS = { in: [0, 1, 2, 10], mm: [0, 10, 100] } as const;

const NONE: readonly never[] = [];
const Plan = memo(PlanDrawing);

/** Walk: record one room. The plan draws itself while typing. */
export function WalkPage({ job, roomId, room }: { job: JobRecord; roomId: string; room: Room | undefined }) {
  const { draft, edit, editSheet, rename, undo, redo } = useSheet(job, roomId);
  const [offset, setOffset] = useState(0);
  // What is typed is in its field at once; the drawing follows in a moment.
  const shown = useLater(room, room?.id);
  const [fitted, setFitted] = useState(false);
  const { unit } = job;
  const moveOpening = useMoveOpening(edit, unit);
  const { reveal } = completeHouseRules(job.settings.houseRules, unit);
  const dispatch = useAppDispatch();
  const selected = useAppSelector((state) => state.ui.wall);
  const select = useCallback((index: number) => void dispatch(wallPicked(index)), [dispatch]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      (event.target as HTMLElement).blur?.();
      if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  if (!draft) return null;
  const { survey, typed, notes } = draft;
  return (
    <main className="work">
      <section className="panel plan" aria-label={t('Plan')}>
        <div style={{ flex: 1, minHeight: 240 }}>
          {shown ? (
            <Plan
              room={shown}
              unit={unit}
              fitted={fitted}
              pieces={NONE}
              selectedWall={selected}
              selectedPiece={undefined}
              onWall={select}
              onMove={moveOpening}
            />
          ) : (
            <Text c="dimmed" p="xl" ta="center">
              {t(
                'The plan draws itself as you type. Start at the entry, face the wall to its right, and go round clockwise.',
              )}
            </Text>
          )}
        </div>
        <FirstWalk jobId={job.id} roomId={roomId} survey={survey} unit={unit} />
        <div style={{ padding: '4px 12px 8px' }}>
          {room && (
            <ClosureLine room={room} sheet={draft} unit={unit} editSheet={editSheet} onSelect={select} />
          )}
          {room?.closed && (
            <Switch
              size="xs"
              mt={4}
              label={t('draw it closed: the misfit shared out by least squares; cut lengths stay as read')}
              checked={fitted}
              onChange={(event) => setFitted(event.currentTarget.checked)}
            />
          )}
        </div>
      </section>
      <section className="panel scroll" aria-label={t('Walk sheet')} style={{ padding: 8 }}>
        <Group gap={6} className="walk-head" p="0 4px 6px">
          <Title order={2} size="h4" visibleFrom="sm">
            {t('Walk')}
          </Title>
          <TextInput
            size="sm"
            style={{ flex: '1 1 150px', minWidth: 0 }}
            aria-label={t('Name of the room')}
            value={draft.name}
            error={draft.name.trim() === '' ? t('give the room a name') : undefined}
            onChange={(event) => rename(event.currentTarget.value)}
          />
          <Switch
            size="sm"
            className="walk-closes"
            label={t('last wall meets the first')}
            checked={survey.closed}
            onChange={(event) => {
              const { checked } = event.currentTarget;
              edit((now) => setClosed(now, checked));
            }}
          />
          <Button
            size="compact-md"
            variant="default"
            aria-label={t('Undo')}
            title={t('Undo (Ctrl+Z)')}
            disabled={draft.past.length === 0}
            onClick={undo}
          >
            <IconArrowBackUp size={18} />
          </Button>
          <Button
            size="compact-md"
            variant="default"
            aria-label={t('Redo')}
            title={t('Redo (Ctrl+Shift+Z)')}
            disabled={draft.future.length === 0}
            onClick={redo}
          >
            <IconArrowForwardUp size={18} />
          </Button>
          <RoomMenu job={job} roomId={roomId} edit={edit} />
        </Group>
        <div className="wall-row" aria-hidden style={{ padding: '0 6px' }}>
          <span />
          <Text size="xs" c="dimmed">
            {t('wall length')}
          </Text>
          <Text size="xs" c="dimmed">
            {t('corner after')}
          </Text>
          <Text size="xs" c="dimmed" className="hide-narrow">
            {t('how it was read')}
          </Text>
        </div>
        {survey.walls.map((wall, index) => (
          <WallRow
            key={wall.id}
            unit={unit}
            profiles={job.settings.profiles}
            reveal={reveal}
            wall={wall}
            index={index}
            selected={selected === index}
            lengthText={typed[`/walls/${wall.id}/length`]}
            cornerText={typed[`/walls/${wall.id}/corner`]}
            sheet={selected === index ? draft : undefined}
            offset={offset}
            listed={notes.check?.[lengthAt(wall.id)] ?? notes.check?.[cornerAt(wall.id)]}
            edit={edit}
            editSheet={editSheet}
            onSelect={select}
          />
        ))}
        <WalkLine
          survey={survey}
          unit={unit}
          profiles={job.settings.profiles}
          offset={offset}
          editSheet={editSheet}
        />
        <Group gap={8} p="0 6px">
          <NativeSelect
            size="xs"
            aria-label={t('Where the tape is held')}
            value={String(offset)}
            data={MARKS[unit].map((mark) => ({
              value: String(mark),
              label:
                mark === 0 ? t('tape from its end') : t('tape from the {mark} {unit} mark', { mark, unit }),
            }))}
            onChange={(event) => setOffset(Number(event.currentTarget.value))}
          />
          {offset > 0 && (
            <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
              {t('{offset} {unit} is taken off every wall you type', { offset, unit })}
            </Text>
          )}
          <Devices unit={unit} />
          <FigurePad unit={unit} />
        </Group>
      </section>
    </main>
  );
}
