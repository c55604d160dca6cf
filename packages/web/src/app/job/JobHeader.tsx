import { ActionIcon, Button, Text } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { IconDeviceMobile, IconDownload, IconPlus, IconSettings } from '@tabler/icons-react';
import { memo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Unit } from '@long-miter/core';
import { SchemeButton } from '../../shared/SchemeButton.tsx';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { wallPicked } from '../../session/slices/ui-slice.ts';
import { useWhyNot } from '../../session/rights.ts';
import { useCommands } from '../../session/use-commands.ts';
import { RoomPicker } from './RoomPicker.tsx';
import { SaveMark } from './SaveMark.tsx';
import { MoreMenu, StageMenu } from './NarrowMenus.tsx';
import { PersonHere } from './PersonHere.tsx';
import { FILES, HOME, OPENINGS, PAPER, STAGES, type Stage } from './stages.ts';
import { t } from '../../messages/t.ts';

interface Props {
  /** Said of the screen; what is seen says it already. */
  readonly heading: string;
  readonly jobId: string;
  readonly name: string;
  readonly unit: Unit;
  readonly stage: Stage;
  readonly roomId: string | undefined;
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  /** How many corners are measured, in words. */
  readonly measured: string;
  readonly onSetup: () => void;
  readonly onHelp: () => void;
  readonly onPhone: () => void;
}

/** To the Bench and back: what is selected goes along, so that a figure can be sent to it. */
function useBench(jobId: string, roomId: string | undefined): string {
  const wall = useAppSelector((state) => state.ui.wall);
  const query = new URLSearchParams({
    job: jobId,
    ...(roomId ? { room: roomId } : {}),
    ...(wall !== undefined && wall >= 0 ? { wall: String(wall) } : {}),
  });
  return `/bench?${query.toString()}`;
}

/** The job, its stages and its rooms on two slim lines. Drawn anew only when one of them changes, not while one types. */
export const JobHeader = memo(function JobHeader(props: Props) {
  const { heading, jobId, name, unit, stage, roomId, rooms, measured, onSetup, onHelp, onPhone } = props;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const commands = useCommands(jobId);
  const bench = useBench(jobId, roomId);
  const narrow = useMediaQuery('(max-width: 760px)');
  const mayMeasure = useWhyNot('measure') === undefined;
  const to = (next: string, target = roomId): string =>
    `/jobs/${jobId}/${next}${target ? `/${encodeURIComponent(target)}` : ''}`;
  const addRoom = (): void => {
    const made = commands.addRoom(t('Room {count}', { count: rooms.length + 1 }));
    dispatch(wallPicked(undefined));
    void navigate(to('walk', made.id));
  };
  return (
    <header>
      <h1 className="said-only">{heading}</h1>
      <div className="bar">
        <Link to="/" aria-label={t('All jobs')} title={t('All jobs')} className="back">
          ‹
        </Link>
        <Link
          to={`/jobs/${jobId}/rooms`}
          className="job-name"
          title={t('All rooms of this job')}
          aria-current={stage === HOME ? 'page' : undefined}
        >
          {name}
        </Link>
        {narrow ? (
          <StageMenu stage={stage} to={to} bench={bench} />
        ) : (
          <nav aria-label={t('Stages')} style={{ display: 'flex', gap: 2 }}>
            {STAGES.map(({ key, label }) => (
              <Link
                key={key}
                className="stage"
                to={to(key)}
                aria-current={key === (stage === OPENINGS ? 'walk' : stage) ? 'page' : undefined}
              >
                {label}
              </Link>
            ))}
          </nav>
        )}
        {!narrow && (
          <Link className="stage bench-link" to={bench}>
            {t('Bench')}
          </Link>
        )}
        <span className="bar-space" style={{ flex: 1 }} />
        <span className="save-mark">
          <SaveMark jobId={jobId} />
        </span>
        {(stage === 'saw' || stage === 'hang' || stage === PAPER) && <PersonHere />}
        <Text size="sm" c="dimmed" className="hide-narrow">
          {unit === 'in' ? t('inches') : t('millimeters')}
        </Text>
        {narrow ? (
          <MoreMenu jobId={jobId} onSetup={onSetup} onHelp={onHelp} />
        ) : (
          <>
            <ActionIcon
              size={44}
              variant="default"
              component={Link}
              to={`/jobs/${jobId}/${FILES}`}
              aria-label={t('Files')}
              title={t('Files: lists, pictures, paper, the job file')}
            >
              <IconDownload size={19} />
            </ActionIcon>
            <ActionIcon
              size={44}
              variant="default"
              aria-label={t('Set-up')}
              title={t('Profiles, saw, house rules')}
              onClick={onSetup}
            >
              <IconSettings size={19} />
            </ActionIcon>
            <ActionIcon
              size={44}
              variant="default"
              aria-label={t('On a phone')}
              title={t('On a phone: a code to scan')}
              onClick={onPhone}
            >
              <IconDeviceMobile size={19} />
            </ActionIcon>
            <SchemeButton />
            <ActionIcon
              size={44}
              variant="default"
              aria-label={t('Help')}
              title={t('Help with this screen, and the keys (?)')}
              onClick={onHelp}
            >
              ?
            </ActionIcon>
          </>
        )}
      </div>
      {/* At the saw the cut says which room it is for. */}
      {stage !== 'saw' && (
        <div className="bar" style={{ padding: '3px 16px' }}>
          <RoomPicker
            rooms={rooms}
            current={stage === HOME || stage === FILES ? undefined : roomId}
            to={(id) => to(stage === HOME || stage === FILES ? 'walk' : stage, id)}
          />
          {(stage === 'walk' || stage === OPENINGS) && (
            <nav aria-label={t('Parts of the walk')} className="walk-parts">
              <Link to={to('walk')} aria-current={stage === 'walk' ? 'page' : undefined}>
                {t('Walls')}
              </Link>
              <Link to={to(OPENINGS)} aria-current={stage === OPENINGS ? 'page' : undefined}>
                {t('Openings')}
              </Link>
            </nav>
          )}
          {mayMeasure && (
            <Button size="compact-sm" variant="subtle" leftSection={<IconPlus size={15} />} onClick={addRoom}>
              {t('Add room')}
            </Button>
          )}
          <span style={{ flex: 1 }} />
          <Text size="sm" c="dimmed" className="hide-narrow">
            {measured}
          </Text>
        </div>
      )}
    </header>
  );
});
