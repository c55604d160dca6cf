import '@mantine/spotlight/styles.css';
import { Spotlight, spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { IconSearch } from '@tabler/icons-react';
import { useEffect, useMemo } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { benchSheets } from '@long-miter/core';
import { useJobQuery, useJobsQuery } from '../api/api.ts';
import { useAppDispatch, useAppSelector } from '../session/store.ts';
import { piecePicked } from '../session/slices/ui-slice.ts';
import { FILES, HOME, OPENINGS, PAPER, STAGES } from './job/stages.ts';
import { t, translate } from '../messages/t.ts';

/** Something that was found, in the list under the field. */
const FOUND = '.mantine-Spotlight-action';

/** Finds a screen, a job, a room, a piece, a calculator by its name: Ctrl K. */
export function Palette() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const { data: jobs = [] } = useJobsQuery();
  const jobId = /^\/jobs\/([^/]+)/.exec(pathname)?.[1];
  const { data: job } = useJobQuery(jobId ?? '', { skip: jobId === undefined });
  // Pieces by their numbers, where the job has been planned here.
  const plan = useAppSelector((state) => (state.plan.job === jobId ? state.plan.plan : undefined));
  const dispatch = useAppDispatch();
  // It comes when it is first asked for.
  useEffect(() => spotlight.open(), []);
  const actions = useMemo((): SpotlightActionData[] => {
    const to = (id: string, label: string, path: string, description?: string): SpotlightActionData => ({
      id,
      label,
      ...(description === undefined ? {} : { description }),
      onClick: () => void navigate(path),
    });
    const of = (room: string): string => job?.rooms.find((one) => one.id === room)?.name ?? room;
    const here = job
      ? [
          ...job.rooms.map((room) =>
            to(
              `room ${room.id}`,
              room.name,
              `/jobs/${job.id}/walk/${encodeURIComponent(room.id)}`,
              t('room'),
            ),
          ),
          ...STAGES.map(({ key, label }) => to(`stage ${key}`, label, `/jobs/${job.id}/${key}`, job.name)),
          to('rooms', t('Rooms'), `/jobs/${job.id}/${HOME}`, job.name),
          to('openings', t('Openings'), `/jobs/${job.id}/${OPENINGS}`, job.name),
          to('paper', t('Paper'), `/jobs/${job.id}/${PAPER}`, job.name),
          to('files', t('Files'), `/jobs/${job.id}/${FILES}`, job.name),
          to('changes', t('Who changed what'), `/changes/${job.id}`, job.name),
          ...(plan?.pieces ?? []).map((piece): SpotlightActionData => ({
            id: `piece ${piece.id}`,
            label: piece.label,
            description: t('piece in {room}', { room: of(piece.room) }),
            onClick: () => {
              const walls = job.rooms.find((one) => one.id === piece.room)?.survey.walls ?? [];
              dispatch(
                piecePicked({ piece: piece.id, wall: walls.findIndex((wall) => wall.id === piece.wall) }),
              );
              void navigate(`/jobs/${job.id}/joints/${encodeURIComponent(piece.room)}`);
            },
          })),
        ]
      : [];
    return [
      ...here,
      ...jobs.map((one) => to(`job ${one.id}`, one.name, `/jobs/${one.id}/rooms`, t('job'))),
      to('all', t('All jobs'), '/'),
      to('trims', t('Library: trims'), '/library/trims'),
      to('kits', t('Library: kits'), '/library/kits'),
      to('saws', t('Library: saws'), '/library/saws'),
      to('rack', t('Library: rack'), '/library/rack'),
      to('rules', t('Library: house rules'), '/library/rules'),
      to('suppliers', t('Library: suppliers'), '/library/suppliers'),
      to('crew', t('Crew'), '/crew'),
      to('together', t('One purchase for several jobs'), '/together'),
      ...benchSheets.map((sheet) =>
        to(`sheet ${sheet.key}`, translate(sheet.name), `/bench/${sheet.key}`, t('calculator')),
      ),
    ];
  }, [job, jobs, navigate, plan, dispatch]);
  return (
    <Spotlight
      actions={actions}
      shortcut={['mod + K']}
      limit={9}
      scrollable
      highlightQuery
      nothingFound={t('Nothing goes by that name')}
      searchProps={{
        leftSection: <IconSearch size={18} />,
        placeholder: t('a room, a piece, a job, a calculator, a screen'),
        'aria-label': t('Find a screen, a job, a room, a piece, a calculator'),
        onKeyDown: (event) => {
          // What was found came after it was asked for: nothing is marked, and the first is meant.
          if (event.key !== 'Enter' || document.querySelector(`${FOUND}[data-selected]`)) return;
          document.querySelector<HTMLElement>(FOUND)?.click();
        },
      }}
    />
  );
}
