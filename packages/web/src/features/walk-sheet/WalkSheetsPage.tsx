import { Button, Center, Group, Loader, NativeSelect, Text } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { memo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  formatAngle,
  formatLength,
  isAssumed,
  roomOf,
  wallAngle,
  type JobRecord,
  type RoomRecord,
  type Unit,
} from '@long-miter/core';
import { PlanDrawing } from '../../drawing/PlanDrawing.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { useGrowing } from '../../shared/hooks/use-growing.ts';
import { useJob } from '../../session/use-job.ts';
import { openingWord, pointWord, sideWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

/** Rows of a blank sheet: what fits a page. */
const BLANK_ROWS = 16;

/** Walk sheets on paper: one a room with what is recorded, or blank ones to fill in by hand. */
export function WalkSheetsPage() {
  const { jobId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { job, missing } = useJob(jobId);
  const which = params.get('room') ?? '';
  const rooms = job?.rooms.filter((room) => which === '' || room.id === which) ?? [];
  useTitle(t('Sheets to walk with'), job?.name);
  const ready = useGrowing(rooms.length, `${jobId} ${which}`);
  if (!job)
    return (
      <Center h="100%">
        {missing ? <Text>{t('This job cannot be opened.')}</Text> : <Loader aria-label={t('Opening')} />}
      </Center>
    );
  const blank = which === 'blank';
  return (
    <main className="sheets">
      <h1 className="said-only">{t('Sheets to walk with, {name}', { name: job.name })}</h1>
      <Group className="no-print" gap={10} p="10px 16px">
        <Link to={`/jobs/${job.id}/rooms`} className="alone" style={{ color: 'inherit', fontWeight: 600 }}>
          {t('back to {name}', { name: job.name })}
        </Link>
        <NativeSelect
          aria-label={t('Which sheets')}
          value={which}
          data={[
            { value: '', label: t('all rooms') },
            { value: 'blank', label: t('a blank sheet') },
            ...job.rooms.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(event) => {
            const room = event.currentTarget.value;
            setParams(room === '' ? {} : { room }, { replace: true });
          }}
        />
        <Button leftSection={<IconPrinter size={17} />} onClick={() => window.print()}>
          {t('Print')}
        </Button>
        {ready < rooms.length && (
          <Text size="sm" c="dimmed" role="status">
            {t('{ready} of {count} sheets are drawn', { ready, count: rooms.length })}
          </Text>
        )}
      </Group>
      {blank ? (
        <BlankSheet job={job} />
      ) : (
        rooms.slice(0, ready).map((room) => <RoomSheetPaper key={room.id} job={job} room={room} />)
      )}
      {!blank && rooms.length === 0 && (
        <Text p="lg" c="dimmed">
          {t('This job has no room yet; print a blank sheet to walk the first one on paper.')}
        </Text>
      )}
    </main>
  );
}

const HEADS = [
  t('Wall'),
  t('Length'),
  t('Corner after it'),
  t('Openings: from left, width, head, sill'),
  t('Studs'),
  t('Also on it'),
];

function SheetTable({ rows }: { rows: readonly (readonly string[])[] }) {
  return (
    <table className="sheet-table">
      <thead>
        <tr>
          {HEADS.map((head) => (
            <th key={head}>{head}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={index}>
            {row.map((cell, column) => (
              <td key={column}>
                <Typeset text={cell} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function rowsOf(room: RoomRecord, unit: Unit): string[][] {
  const len = (value: number): string => formatLength(value, unit);
  return room.survey.walls.map((wall, index) => [
    String(index + 1),
    len(wall.length),
    wall.corner
      ? isAssumed(wall.corner)
        ? t('90° assumed: ________')
        : `${formatAngle(wallAngle(wall.corner.reading))}${wall.corner.form && wall.corner.form.kind !== 'crisp' ? `, ${wall.corner.form.kind === 'bullnose' ? t('bullnose') : t('rounded')} ${len(wall.corner.form.radius)}` : ''}`
      : t('end'),
    (wall.openings ?? [])
      .map((one) =>
        [
          `${openingWord(one.kind)} ${len(one.at)}`,
          len(one.width),
          len(one.headHeight),
          ...(one.sillHeight === undefined ? [] : [len(one.sillHeight)]),
        ].join(', '),
      )
      .join('; '),
    wall.studs
      ? 'at' in wall.studs
        ? wall.studs.at.map(len).join(', ')
        : t('{first}, every {spacing}', { first: len(wall.studs.first), spacing: len(wall.studs.spacing) })
      : '',
    [
      ...(wall.interruptions ?? []).map(
        (one) => `${one.name ?? t('built-in')} ${len(one.at)}–${len(one.at + one.width)}`,
      ),
      ...(wall.points ?? []).map((one) => `${pointWord(one.kind)} ${len(one.at)}`),
      ...(wall.hollow ?? []).map((one) =>
        t('{depth} {kind} over {over}, {near}', {
          depth: one.depth < 0 ? t('bulge') : t('hollow'),
          kind: len(Math.abs(one.depth)),
          over: len(one.over),
          near: sideWord(one.near),
        }),
      ),
    ].join('; '),
  ]);
}

const RoomSheetPaper = memo(function RoomSheetPaper({ job, room }: { job: JobRecord; room: RoomRecord }) {
  const whole = roomOf(room);
  return (
    <section className="sheet-page" aria-label={t('Walk sheet of {name}', { name: room.name })}>
      <h2 className="sheet-head">
        {room.name}{' '}
        <small>
          {job.name}, {job.unit === 'in' ? t('inches') : t('millimeters')}
        </small>
      </h2>
      {whole ? (
        <>
          <div style={{ height: 300 }}>
            <PlanDrawing
              room={whole}
              unit={job.unit}
              pieces={[]}
              selectedWall={undefined}
              selectedPiece={undefined}
            />
          </div>
          <SheetTable rows={rowsOf(room, job.unit)} />
        </>
      ) : (
        <SheetTable
          rows={Array.from({ length: BLANK_ROWS }, (_, i) => [String(i + 1), '', '', '', '', ''])}
        />
      )}
    </section>
  );
});

function BlankSheet({ job }: { job: JobRecord }) {
  return (
    <section className="sheet-page" aria-label={t('Blank walk sheet')}>
      <h2 className="sheet-head">
        {t('Room: ______________________')}{' '}
        <small>
          {job.name}, {job.unit === 'in' ? t('inches') : t('millimeters')}
        </small>
      </h2>
      <p>
        {t(
          'Stand in the doorway. Walls left to right from the entry, each at its foot. After each wall the corner: what was read, and on which scale. Mark assumed corners with a question mark.',
        )}
      </p>
      <SheetTable rows={Array.from({ length: BLANK_ROWS }, (_, i) => [String(i + 1), '', '', '', '', ''])} />
      <p>{t('Ceiling height ____________ Ceiling slopes ____________ Read by ____________')}</p>
    </section>
  );
}
