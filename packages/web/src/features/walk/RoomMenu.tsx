import { Button, Menu } from '@mantine/core';
import {
  IconCopy,
  IconDots,
  IconFlipVertical,
  IconPrinter,
  IconRoute,
  IconStack2,
  IconTrash,
} from '@tabler/icons-react';
import { Link, useNavigate } from 'react-router';
import { copyTrims, mirrorSurvey, type JobRecord, type Survey } from '@long-miter/core';
import { useFirstWalk } from './first-walk.ts';
import { useCommands } from '../../session/use-commands.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { t } from '../../messages/t.ts';

/** Openings of a copy are other openings: they get names of their own. */
const unnamed = (survey: Survey): Survey => ({
  ...survey,
  walls: survey.walls.map((wall) =>
    wall.openings ? { ...wall, openings: wall.openings.map(({ name: _name, ...one }) => one) } : wall,
  ),
});

/** Rooms to copy trim from that are listed at once. */
const LISTED = 12;

/** What can be done with a room as a whole. */
export function RoomMenu({ job, roomId, edit }: { job: JobRecord; roomId: string; edit: EditSurvey }) {
  const { addRoom, dropRoom, restoreRoom } = useCommands(job.id);
  const navigate = useNavigate();
  const { begin } = useFirstWalk(roomId);
  const room = job.rooms.find((one) => one.id === roomId);
  const name = room?.name ?? t('the room');
  const walk = (id: string | undefined): void =>
    void navigate(`/jobs/${job.id}/walk${id === undefined ? '' : `/${encodeURIComponent(id)}`}`);
  const removeRoom = (): void => {
    if (!room) return;
    walk(job.rooms.find((one) => one.id !== roomId)?.id);
    dropRoom(roomId);
    undoNotice(t('{name} is deleted', { name }), () => {
      restoreRoom(room);
      walk(roomId);
    });
  };
  const copy = (mirrored: boolean): void => {
    if (!room) return;
    const made = addRoom(
      (mirrored ? t('{name}, mirrored', { name }) : t('{name}, copy', { name })).slice(0, 200),
      {
        survey: unnamed(mirrored ? mirrorSurvey(room.survey) : room.survey),
        // In a mirror positions are others; lengths and angles read the same.
        typed: mirrored
          ? Object.fromEntries(
              Object.entries(room.typed).filter(([key]) =>
                /\/(length|width|headHeight|sillHeight)$/.test(key),
              ),
            )
          : room.typed,
      },
    );
    walk(made.id);
  };
  const others = job.rooms.filter((one) => one.id !== roomId && one.survey.trims.length > 0).slice(0, LISTED);
  return (
    <Menu position="bottom-end" withinPortal>
      <Menu.Target>
        <Button size="compact-md" variant="default" aria-label={t('More about this room')}>
          <IconDots size={18} />
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item leftSection={<IconCopy size={16} />} onClick={() => copy(false)}>
          {t('Make a copy')}
        </Menu.Item>
        <Menu.Item leftSection={<IconFlipVertical size={16} />} onClick={() => copy(true)}>
          {t('Make a mirrored copy')}
        </Menu.Item>
        {others.map((other) => (
          <Menu.Item
            key={other.id}
            leftSection={<IconStack2 size={16} />}
            onClick={() => edit((survey) => copyTrims(survey, other.survey))}
          >
            {t('Same trim as {name}', { name: other.name })}
          </Menu.Item>
        ))}
        <Menu.Divider />
        <Menu.Item leftSection={<IconRoute size={16} />} onClick={begin}>
          {t('Guide me through this room')}
        </Menu.Item>
        <Menu.Item
          leftSection={<IconPrinter size={16} />}
          component={Link}
          to={`/jobs/${job.id}/sheets?room=${encodeURIComponent(roomId)}`}
        >
          {t('Walk sheet to print')}
        </Menu.Item>
        <Menu.Item
          leftSection={<IconPrinter size={16} />}
          component={Link}
          to={`/jobs/${job.id}/sheets?room=blank`}
        >
          {t('Blank walk sheet')}
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item leftSection={<IconTrash size={16} />} onClick={removeRoom}>
          {t('Delete this room')}
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
