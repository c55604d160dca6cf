import { Button, Group, Switch, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconArchive, IconDownload, IconPrinter, IconSearch } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  closeRoom,
  closesWell,
  formatWithUnit,
  roomOf,
  toMeasure,
  type JobRecord,
  type RoomRecord,
} from '@long-miter/core';
import { errorOf } from '../../api/api.ts';
import { useChangeHeadMutation } from '../../session/commands-api.ts';
import { useGrowing } from '../../shared/hooks/use-growing.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { usePieceCounts } from './use-piece-counts.ts';
import { ImportRooms } from './ImportRooms.tsx';
import { saveWalls } from './wall-files.ts';
import { t } from '../../messages/t.ts';

/** What is known of a room, for the list. */
interface RoomState {
  readonly room: RoomRecord;
  readonly walls: number;
  readonly openings: number;
  readonly corners: number;
  readonly assumed: number;
  readonly check: number;
  readonly closes: string;
}

function stateOf(room: RoomRecord, job: JobRecord): RoomState {
  const { survey } = room;
  const list = toMeasure(room);
  const whole = roomOf(room);
  const closure = whole && closeRoom(whole);
  return {
    room,
    walls: survey.walls.length,
    openings: survey.walls.reduce((sum, wall) => sum + (wall.openings?.length ?? 0), 0),
    corners: survey.walls.filter((wall) => wall.corner).length,
    assumed: list.filter((one) => !one.byHand).length,
    check: list.filter((one) => one.byHand).length,
    closes:
      survey.walls.length === 0
        ? t('not walked yet')
        : closure === undefined
          ? t('open chain')
          : !closesWell(closure)
            ? t('misses by {gap}: a figure is wrong', { gap: formatWithUnit(closure.gap, job.unit) })
            : t('within {gap}', {
                gap: formatWithUnit(Math.max(closure.gap, job.unit === 'in' ? 1 / 16 : 1), job.unit),
              }),
  };
}

/** The job's home: every room with what is measured and what is still assumed, found by name; files in and out. */
export function RoomsPage({ job }: { job: JobRecord }) {
  const [search, setSearch] = useState('');
  const [open, setOpen] = useState(false);
  const [change] = useChangeHeadMutation();
  const counts = usePieceCounts(job);
  const states = useMemo(() => job.rooms.map((room) => stateOf(room, job)), [job]);
  const shown = states.filter(
    ({ room, assumed, check, walls }) =>
      room.name.toLowerCase().includes(search.trim().toLowerCase()) &&
      (!open || assumed + check > 0 || walls === 0),
  );
  const drawn = useGrowing(shown.length, `${search} ${open}`, 40);
  const sum = (of: (state: RoomState) => number): number => states.reduce((all, one) => all + of(one), 0);
  const archive = async (): Promise<void> => {
    const put = (archived: boolean) =>
      change({
        id: job.id,
        label: t('putting {name} away', { name: job.name }),
        set: { archived },
        was: { archived: !archived },
      });
    const done = await put(true);
    if ('error' in done)
      return void notifications.show({ color: 'red', message: errorOf(done.error).detail });
    undoNotice(
      t('{name} is put away; it is found under "put away" among the jobs', { name: job.name }),
      async () => void (await put(false)),
    );
  };
  return (
    <main className="rooms scroll">
      <Group justify="space-between" align="end" gap={10}>
        <div>
          <Title order={2} size="h3">
            {t('Rooms')}
          </Title>
          <Text c="dimmed">
            {t(
              '{count} rooms, {walls} walls, {openings} openings · {measured} of {corners} corners measured ·',
              {
                count: states.length,
                walls: sum((one) => one.walls),
                openings: sum((one) => one.openings),
                measured: sum((one) => one.corners - one.assumed),
                corners: sum((one) => one.corners),
              },
            )}{' '}
            <Link to={`/changes/${job.id}`} className="alone" style={{ color: 'var(--lm-picked)' }}>
              {t('who changed what')}
            </Link>
          </Text>
        </div>
        <Group gap={6}>
          <ImportRooms job={job} />
          <Button
            variant="default"
            leftSection={<IconDownload size={17} />}
            disabled={sum((one) => one.walls) === 0}
            onClick={() => saveWalls(job.name, job.rooms)}
          >
            {t('Save walls (CSV)')}
          </Button>
          <Button
            variant="default"
            component={Link}
            to={`/jobs/${job.id}/sheets`}
            leftSection={<IconPrinter size={17} />}
          >
            {t('Walk sheets')}
          </Button>
          <Button variant="default" leftSection={<IconArchive size={17} />} onClick={() => void archive()}>
            {t('Put the job away')}
          </Button>
        </Group>
      </Group>
      <Group gap={14} mt={10}>
        <TextInput
          style={{ flex: 1, maxWidth: 380 }}
          leftSection={<IconSearch size={17} />}
          aria-label={t('Find a room')}
          placeholder={t('find a room')}
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Switch
          label={t('only what is not finished')}
          checked={open}
          onChange={(event) => setOpen(event.currentTarget.checked)}
        />
      </Group>
      {states.length === 0 ? (
        <Text c="dimmed" mt="lg">
          {t('No room yet. Add one above and start at its entry, or open a table of walls.')}
        </Text>
      ) : shown.length === 0 ? (
        <Text c="dimmed" mt="lg">
          {t('No room of that name, or all of them are finished.')}
        </Text>
      ) : (
        <table className="panel list" aria-label={t('Rooms')}>
          <thead>
            <tr>
              <th>{t('Room')}</th>
              <th className="number">{t('Walls')}</th>
              <th className="number">{t('Openings')}</th>
              <th>{t('Corners measured')}</th>
              <th>{t('Closes')}</th>
              <th className="number">{t('Pieces planned')}</th>
              <th>{t('Still to do')}</th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(0, drawn).map((state) => (
              <RoomRow key={state.room.id} state={state} jobId={job.id} pieces={counts.get(state.room.id)} />
            ))}
          </tbody>
        </table>
      )}
    </main>
  );
}

function RoomRow({ state, jobId, pieces }: { state: RoomState; jobId: string; pieces: number | undefined }) {
  const { room, walls, openings, corners, assumed, check, closes } = state;
  const todo = [
    ...(walls === 0 ? [t('walk it')] : []),
    ...(assumed > 0 ? [t('{count} corners assumed', { count: assumed })] : []),
    ...(check > 0 ? [t('{check} to measure again', { check })] : []),
  ];
  return (
    <tr>
      <td>
        <Link
          to={`/jobs/${jobId}/walk/${encodeURIComponent(room.id)}`}
          style={{ fontWeight: 650, color: 'var(--lm-picked)' }}
        >
          {room.name || t('unnamed')}
        </Link>
      </td>
      <td className="number">{walls}</td>
      <td className="number">{openings}</td>
      <td>{corners === 0 ? '' : t('{corners} of {all}', { corners: corners - assumed, all: corners })}</td>
      <td>
        <Typeset text={closes} />
      </td>
      <td className="number">{pieces ?? ''}</td>
      <td>
        {todo.length === 0 ? (
          t('measured ✓')
        ) : (
          <span style={{ color: 'var(--lm-assumed)' }}>▲ {todo.join(', ')}</span>
        )}
      </td>
    </tr>
  );
}
