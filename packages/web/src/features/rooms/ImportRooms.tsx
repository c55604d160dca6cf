import { Button, Group, Modal, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  closeRoom,
  closesWell,
  emptySurvey,
  formatWithUnit,
  planDrawing,
  roomOf,
  type JobRecord,
  type TableRoom,
} from '@long-miter/core';
import { errorOf, useReadTableMutation } from '../../api/api.ts';
import { Painted } from '../../drawing/Painted.tsx';
import { useCommands } from '../../session/use-commands.ts';
import { refuseFile } from '../../shared/text/files.ts';
import { OpenFile } from '../../shared/OpenFile.tsx';
import { readRooms } from './room-files.ts';
import { t } from '../../messages/t.ts';

/** Rooms from a table or a drawing: shown first, taken in when one says so. */
export function ImportRooms({ job }: { readonly job: JobRecord }) {
  const { addRoom } = useCommands(job.id);
  const [readTable] = useReadTableMutation();
  const [found, setFound] = useState<{ file: string; rooms: readonly TableRoom[] }>();
  const take = async (file: File): Promise<void> => {
    const read = await readRooms(file, job.unit, emptySurvey(job.settings), async (sheet) => {
      const rows = await readTable(sheet);
      return rows.data ?? { at: '', text: errorOf(rows.error).detail };
    });
    if ('issues' in read) return refuseFile(file.name, read.issues);
    setFound({ file: file.name, rooms: read.rooms });
  };
  const rename = (at: number, name: string): void =>
    setFound(
      found && {
        ...found,
        rooms: found.rooms.map((room, index) => (index === at ? { ...room, name } : room)),
      },
    );
  const unnamed = found?.rooms.some((room) => room.name.trim() === '') ?? false;
  return (
    <>
      <OpenFile accept=".csv,.tsv,.txt,.xlsx,.dxf,text/csv" onFile={take}>
        {t('Open rooms (CSV, XLSX, DXF)')}
      </OpenFile>
      <Modal
        opened={found !== undefined}
        onClose={() => setFound(undefined)}
        size="lg"
        title={<Text fw={650}>{t('Rooms in {file}', { file: found?.file })}</Text>}
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        <Stack gap={10}>
          {found?.rooms.map((room, index) => (
            <Group key={index} gap={12} wrap="nowrap" align="flex-start">
              <Preview job={job} room={room} />
              <div style={{ flex: 1 }}>
                <TextInput
                  aria-label={t('Name of room {index}', { index: index + 1 })}
                  value={room.name}
                  error={room.name.trim() === '' ? t('give it a name') : undefined}
                  onChange={(event) => rename(index, event.currentTarget.value)}
                />
                <Text size="sm">{saidOf(job, room)}</Text>
                {job.rooms.some((one) => one.name === room.name.trim()) && (
                  <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
                    {t('There is a room of this name already; it stays as it is, this one comes beside it.')}
                  </Text>
                )}
              </div>
            </Group>
          ))}
          <Group>
            <Button
              disabled={unnamed}
              onClick={() => {
                for (const { name, ...sheet } of found?.rooms ?? []) addRoom(name.trim(), sheet);
                setFound(undefined);
              }}
            >
              {t('Add {count} rooms', { count: found?.rooms.length ?? 0 })}
            </Button>
            <Button variant="default" onClick={() => setFound(undefined)}>
              {t('Leave it')}
            </Button>
          </Group>
        </Stack>
      </Modal>
    </>
  );
}

const wholeOf = ({ name, survey }: TableRoom) => roomOf({ id: 'new', name, survey });

function saidOf(job: JobRecord, room: TableRoom): string {
  const { walls } = room.survey;
  const openings = walls.reduce((sum, wall) => sum + (wall.openings?.length ?? 0), 0);
  const around = walls.reduce((sum, wall) => sum + wall.length, 0);
  const whole = wholeOf(room);
  const closure = whole && closeRoom(whole);
  return [
    t('{count} walls, {around} around', { count: walls.length, around: formatWithUnit(around, job.unit) }),
    ...(openings > 0 ? [t('{openings} openings', { openings })] : []),
    ...(closure && !closesWell(closure)
      ? [t('misses closing by {gap}', { gap: formatWithUnit(closure.gap, job.unit) })]
      : []),
  ].join(' · ');
}

function Preview({ job, room }: { readonly job: JobRecord; readonly room: TableRoom }) {
  const whole = wholeOf(room);
  if (!whole) return <div style={{ width: 130 }} />;
  const { shapes, ...drawing } = planDrawing(whole, { unit: job.unit, pieces: [] });
  // The outline alone: figures would not be legible.
  return (
    <Painted
      drawing={{
        ...drawing,
        shapes: shapes.map((shape) =>
          shape.kind === 'part'
            ? { ...shape, shapes: shape.shapes.filter((one) => one.kind !== 'label') }
            : shape,
        ),
      }}
      width={130}
      height={100}
      margin={8}
      still
    />
  );
}
