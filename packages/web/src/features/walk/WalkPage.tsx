import { Button, Group, Switch, TextInput, Title, Text } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import { useCallback, useEffect } from 'react';
import { setClosed, type JobRecord, type Room, type Typed } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { wallPicked } from '../../app/ui-slice.ts';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { ClosureLine } from './ClosureLine.tsx';
import { NextWall } from './NextWall.tsx';
import { RoomMenu } from './RoomMenu.tsx';
import { useSheet } from './use-sheet.ts';
import { WallRow } from './WallRow.tsx';

/** One object for all rows that need no texts: a new one each time would have them all drawn again. */
const NO_TEXTS: Typed = {};

/** Walk: record one room. The plan draws itself while typing. */
export function WalkPage({ job, roomId, room }: { job: JobRecord; roomId: string; room: Room | undefined }) {
  const { draft, edit, rename, undo, redo } = useSheet(job, roomId);
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
  const { survey, typed } = draft;
  return (
    <main className="work">
      <section className="panel plan" aria-label="Plan">
        <div style={{ flex: 1, minHeight: 240 }}>
          {room ? (
            <PlanDrawing
              room={room}
              unit={job.unit}
              pieces={[]}
              selectedWall={selected}
              selectedPiece={undefined}
              onWall={select}
            />
          ) : (
            <Text c="dimmed" p="xl" ta="center">
              The plan draws itself as you type. Start at the entry, face the wall to its right, and go round
              clockwise.
            </Text>
          )}
        </div>
        <div style={{ padding: '4px 12px 8px' }}>{room && <ClosureLine room={room} unit={job.unit} />}</div>
      </section>
      <section className="panel scroll" aria-label="Walk sheet" style={{ padding: 8 }}>
        <Group gap={6} wrap="nowrap" p="0 4px 6px">
          <Title order={2} size="h4" visibleFrom="sm">
            Walk
          </Title>
          <TextInput
            size="sm"
            style={{ flex: 1 }}
            aria-label="Name of the room"
            value={draft.name}
            error={draft.name.trim() === '' ? 'give the room a name' : undefined}
            onChange={(event) => rename(event.currentTarget.value)}
          />
          <Switch
            size="sm"
            label="closes"
            title="The last wall meets the first one"
            checked={survey.closed}
            onChange={(event) => {
              const { checked } = event.currentTarget;
              edit((now) => setClosed(now, checked));
            }}
          />
          <Button
            size="compact-md"
            variant="default"
            aria-label="Undo"
            title="Undo (Ctrl+Z)"
            disabled={draft.past.length === 0}
            onClick={undo}
          >
            <IconArrowBackUp size={18} />
          </Button>
          <Button
            size="compact-md"
            variant="default"
            aria-label="Redo"
            title="Redo (Ctrl+Shift+Z)"
            disabled={draft.future.length === 0}
            onClick={redo}
          >
            <IconArrowForwardUp size={18} />
          </Button>
          <RoomMenu job={job} roomId={roomId} />
        </Group>
        <div className="wall-row" aria-hidden style={{ padding: '0 6px' }}>
          <span />
          <Text size="xs" c="dimmed">
            wall length
          </Text>
          <Text size="xs" c="dimmed">
            corner after
          </Text>
          <Text size="xs" c="dimmed" className="hide-narrow">
            how it was read
          </Text>
        </div>
        {survey.walls.map((wall, index) => (
          <WallRow
            key={wall.id}
            unit={job.unit}
            profiles={job.settings.profiles}
            wall={wall}
            entry={selected === index ? survey.entry : undefined}
            index={index}
            selected={selected === index}
            lengthText={typed[`/walls/${wall.id}/length`]}
            cornerText={typed[`/walls/${wall.id}/corner`]}
            typed={selected === index ? typed : NO_TEXTS}
            edit={edit}
            onSelect={select}
          />
        ))}
        <NextWall survey={survey} unit={job.unit} edit={edit} />
      </section>
    </main>
  );
}
