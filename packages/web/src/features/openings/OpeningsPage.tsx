import { Button, Group, SegmentedControl, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconDownload } from '@tabler/icons-react';
import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useStore } from 'react-redux';
import {
  addTrim,
  OPENING_FIELDS,
  placeKey,
  type JobFile,
  type JobRecord,
  type Opening,
  type OpeningField,
  type RoomRecord,
} from '@long-miter/core';
import { sheetEditor } from '../../session/drafts/edit-sheet.ts';
import type { Store } from '../../session/store.ts';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import { refuseFile } from '../../shared/text/files.ts';
import { OpenFile } from '../../shared/OpenFile.tsx';
import { useGrowing } from '../../shared/hooks/use-growing.ts';
import { useLater } from '../../shared/hooks/use-later.ts';
import { NewRow } from './NewRow.tsx';
import { OpeningPanel } from './OpeningPanel.tsx';
import { listOpenings, type Listed } from './openings-of.ts';
import { readOpenings, saveOpenings } from './opening-files.ts';
import { SheetRow } from './SheetRow.tsx';
import { useRoomPlans } from './use-room-plans.ts';
import { t, translate } from '../../messages/t.ts';

const GROUPS: readonly { value: OpeningField['group']; label: string }[] = [
  { value: 'size', label: t('Size') },
  { value: 'depth', label: t('Depth and gaps') },
  { value: 'true', label: t('Out of true') },
  { value: 'stool', label: t('Stool, reveal, head') },
];

/** All openings of a job in walking order: figures by keyboard on the left, the picked one drawn and dressed on the right. */
export function OpeningsPage({
  job,
  file,
  roomId,
}: {
  job: JobRecord;
  file: JobFile;
  roomId: string | undefined;
}) {
  const [group, setGroup] = useState<OpeningField['group']>('size');
  const [picked, setPicked] = useState<string>();
  const sheet = useRef<HTMLTableElement>(null);
  const listed = useMemo(() => listOpenings(job), [job]);
  const fields = useMemo(() => OPENING_FIELDS.filter((field) => field.group === group), [group]);
  // Typing is seen at once; what follows from it in a moment.
  const later = useLater(file, roomId);
  const plans = useRoomPlans(later, listed);
  const { warnings, waiting } = useMemo(() => {
    const warnings = new Map<string, number>();
    const keyOf = (room: string | undefined, wall: string | undefined, opening: string): string =>
      placeKey({ room: room ?? '', wall: wall ?? '', opening });
    const all = [...plans.values()];
    for (const one of all.flatMap((plan) => plan.watchOuts))
      for (const opening of one.openings ??
        (one.opening === undefined || one.piece !== undefined ? [] : [one.opening])) {
        const key = keyOf(one.room, one.wall, opening);
        warnings.set(key, (warnings.get(key) ?? 0) + 1);
      }
    const waiting = new Set(
      all
        .flatMap((plan) => plan.pieces)
        .flatMap((piece) =>
          piece.held && piece.side === 'this' && piece.opening !== undefined
            ? [keyOf(piece.room, piece.wall, piece.opening)]
            : [],
        ),
    );
    return { warnings, waiting };
  }, [plans]);
  const current = job.rooms.find((room) => room.id === roomId) ?? job.rooms[0];
  const one =
    listed.find((row) => row.key === picked) ??
    listed.find((row) => row.room.id === current?.id) ??
    listed[0];
  const pick = useCallback((key: string): void => setPicked(key), []);
  const drawn = useGrowing(listed.length, group, 60);
  const taken = useMemo(() => new Set(listed.map((row) => row.name)), [listed]);
  const rooms = job.rooms.filter((room) => room.survey.walls.length > 0);
  const doors = listed.filter((row) => row.opening.kind !== 'window').length;
  /** Puts the cursor into a figure of the picked opening, whatever columns it is in. */
  const toFigure = (key: string): void => {
    const field = OPENING_FIELDS.find((item) => item.key === key);
    if (!field || !one) return;
    setGroup(field.group);
    setTimeout(() => {
      const cell = sheet.current?.querySelector<HTMLInputElement>(
        `tr[data-row="${CSS.escape(one.key)}"] input[data-column="${CSS.escape(key)}"]`,
      );
      cell?.focus();
      cell?.select();
    });
  };
  const onArrow = (event: KeyboardEvent<HTMLTableElement>): void => {
    const input = event.target as HTMLInputElement;
    const column = input.dataset['column'];
    if (column === undefined || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    const cells = [
      ...event.currentTarget.querySelectorAll<HTMLInputElement>(`input[data-column="${CSS.escape(column)}"]`),
    ];
    const next = cells[cells.indexOf(input) + (event.key === 'ArrowUp' ? -1 : 1)];
    if (!next) return;
    event.preventDefault();
    next.focus();
    next.select();
  };
  let shown = 0;
  return (
    <main className="openings">
      <section className="panel scroll" aria-label={t('Openings sheet')}>
        <Group justify="space-between" gap={8} p="8px 12px" wrap="wrap">
          <div>
            <Title order={2} size="h4">
              {t('Openings')}
            </Title>
            <Text size="sm" c="dimmed">
              {t('{count} doors', { count: doors })}, {t('{count} windows', { count: listed.length - doors })}
              {waiting.size > 0 && t('; {count} heads wait for a measure', { count: waiting.size })}
            </Text>
          </div>
          <Group gap={6}>
            <Button
              size="compact-md"
              variant="default"
              leftSection={<IconDownload size={16} />}
              disabled={listed.length === 0}
              onClick={() => saveOpenings(job)}
            >
              {t('Save CSV')}
            </Button>
            <TakeIn job={job} />
          </Group>
        </Group>
        <SegmentedControl
          mx={12}
          mb={6}
          size="sm"
          aria-label={t('Columns')}
          value={group}
          data={GROUPS.map(({ value, label }) => ({ value, label }))}
          onChange={(value) => setGroup(value)}
        />
        {rooms.length === 0 && (
          <Text c="dimmed" p="md">
            {t('Walk a room first: openings stand on its walls.')}
          </Text>
        )}
        <table ref={sheet} className="sheet" data-many={fields.length > 5 || undefined} onKeyDown={onArrow}>
          <thead>
            <tr>
              <th scope="col">{t('name')}</th>
              <th scope="col">{t('where')}</th>
              {fields.map((field) => (
                <th key={field.key} scope="col" title={translate(field.tip)}>
                  {translate(field.short)}
                </th>
              ))}
            </tr>
          </thead>
          {rooms.map((room) => {
            const own = listed.filter((row) => row.room.id === room.id);
            const seen = own.slice(0, Math.max(0, drawn - shown));
            shown += own.length;
            if (own.length === 0 && room.id !== current?.id) return null;
            return (
              <tbody key={room.id} aria-label={room.name}>
                <tr>
                  <th colSpan={fields.length + 2} scope="rowgroup" className="room-head">
                    {room.name}
                    <Uncased job={job} room={room} rows={own} />
                  </th>
                </tr>
                {seen.map((row) => (
                  <SheetRow
                    key={row.key}
                    job={job}
                    listed={row}
                    fields={fields}
                    picked={row.key === one?.key}
                    warnings={warnings.get(row.key) ?? 0}
                    headToMeasure={waiting.has(row.key)}
                    onPick={pick}
                  />
                ))}
                {room.id === current?.id && group === 'size' && (
                  <NewRow
                    job={job}
                    room={room}
                    fields={fields}
                    taken={taken}
                    casing={job.settings.profiles.find((profile) => profile.use === 'casing')?.id ?? null}
                    like={lastLike(own)}
                    onAdded={(wall, opening) => setPicked(placeKey({ room: room.id, wall, opening }))}
                  />
                )}
              </tbody>
            );
          })}
        </table>
        <Text size="xs" c="dimmed" p="6px 12px 10px">
          {t(
            'Enter goes to the next figure, arrows up and down stay in a column. New ones go into {name}: choose another room above. A new one is dressed like the last of its room.',
            { name: current?.name ?? t('a room') },
          )}
        </Text>
      </section>
      {one ? (
        <OpeningPanel
          key={one.key}
          job={job}
          file={later}
          listed={one}
          quick={plans.get(one.room.id)}
          taken={taken}
          onFigure={toFigure}
          onPicked={pick}
        />
      ) : (
        <section className="panel" aria-label={t('View')}>
          <Text c="dimmed" p="xl" ta="center">
            {t(
              'The first opening is drawn here as soon as it is in: write what it is, the number of its wall and its figures.',
            )}
          </Text>
        </section>
      )}
    </main>
  );
}

/** What a new opening of a room is dressed like: the last one that is no plain hole. */
const lastLike = (rows: readonly Listed[]): Opening | undefined =>
  [...rows].reverse().find((row) => row.opening.kit !== undefined || row.opening.casing)?.opening;

/** Casing that no trim of the room carries is taken as fixed already; one button plans it. */
function Uncased({ job, room, rows }: { job: JobRecord; room: RoomRecord; rows: readonly Listed[] }) {
  const store = useStore() as unknown as Store;
  const carried = new Set(
    room.survey.trims.filter((trim) => trim.on === 'openings').map((trim) => trim.profile),
  );
  const missing = [...new Set(rows.flatMap((row) => row.opening.casing ?? []))].filter(
    (id) => !carried.has(id),
  );
  if (missing.length === 0) return null;
  const plan = (): void => {
    const edit = sheetEditor(store, job, room.id);
    const profiles = job.settings.profiles.filter((profile) => missing.includes(profile.id));
    edit((sheet) => ({
      ...sheet,
      survey: profiles.reduce(
        (survey, profile) => addTrim(survey, profile, job.settings.profiles, job.unit, TAB_TAG),
        sheet.survey,
      ),
    }));
  };
  return (
    <span className="uncased">
      {t('its casing is taken as fixed already')}{' '}
      <Button size="compact-xs" variant="default" onClick={plan}>
        {t('Plan it')}
      </Button>
    </span>
  );
}

/** Takes in a table of openings: known names are changed, others added. */
function TakeIn({ job }: { job: JobRecord }) {
  const store = useStore() as unknown as Store;
  const take = async (file: File): Promise<void> => {
    const read = readOpenings(await file.text(), job);
    if (!read.ok) return refuseFile(file.name, read.issues);
    const faults = read.value.flatMap(({ room, survey }) => {
      const { name } = job.rooms.find((one) => one.id === room)!;
      return sheetEditor(
        store,
        job,
        room,
      )((sheet) => ({ ...sheet, survey, typed: sheet.typed })).map((issue) => ({
        ...issue,
        at: name,
      }));
    });
    if (faults.length > 0) return refuseFile(file.name, faults);
    const sum = (of: 'added' | 'changed'): number => read.value.reduce((all, one) => all + one[of], 0);
    notifications.show({
      message: t('{name}: {added} openings added, {changed} changed', {
        name: file.name,
        added: sum('added'),
        changed: sum('changed'),
      }),
    });
  };
  return (
    <OpenFile accept=".csv,.tsv,.txt,text/csv" size="compact-md" onFile={take}>
      {t('Open CSV')}
    </OpenFile>
  );
}
