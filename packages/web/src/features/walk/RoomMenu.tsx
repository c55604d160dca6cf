import { Button, Menu } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import {
  IconCopy,
  IconDots,
  IconFlipVertical,
  IconPrinter,
  IconStack2,
  IconTrash,
} from '@tabler/icons-react';
import { Link, useNavigate } from 'react-router';
import { copyTrims, mirrorSurvey, type JobRecord } from '@long-miter/core';
import {
  errorOf,
  useCreateRoomMutation,
  useDeleteRoomMutation,
  useRestoreRoomMutation,
} from '../../api/api.ts';
import { useAppDispatch } from '../../app/store.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { forgotten } from './draft-slice.ts';
import type { EditSurvey } from './use-sheet.ts';

/** Rooms to copy trim from that are listed at once. */
const LISTED = 12;

/** What can be done with a room as a whole. */
export function RoomMenu({ job, roomId, edit }: { job: JobRecord; roomId: string; edit: EditSurvey }) {
  const [create] = useCreateRoomMutation();
  const [remove] = useDeleteRoomMutation();
  const [restore] = useRestoreRoomMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const room = job.rooms.find((one) => one.id === roomId);
  const name = room?.name ?? 'the room';
  const removeRoom = async (): Promise<void> => {
    const gone = await remove({ job: job.id, id: roomId });
    if ('error' in gone)
      return void notifications.show({ color: 'red', message: `${name} could not be deleted; try again` });
    const other = job.rooms.find((one) => one.id !== roomId);
    void navigate(`/jobs/${job.id}/walk${other ? `/${other.id}` : ''}`);
    dispatch(forgotten(roomId));
    undoNotice(`${name} is deleted`, async () => {
      await restore({ job: job.id, id: roomId });
      void navigate(`/jobs/${job.id}/walk/${roomId}`);
    });
  };
  const copy = async (mirrored: boolean): Promise<void> => {
    if (!room) return;
    const made = await create({
      job: job.id,
      name: `${name}, ${mirrored ? 'mirrored' : 'copy'}`.slice(0, 200),
      survey: mirrored ? mirrorSurvey(room.survey) : room.survey,
      // In a mirror positions are others; lengths and angles read the same.
      typed: mirrored
        ? Object.fromEntries(
            Object.entries(room.typed).filter(([key]) => /\/(length|width|headHeight|sillHeight)$/.test(key)),
          )
        : room.typed,
    });
    if ('data' in made && made.data) return void navigate(`/jobs/${job.id}/walk/${made.data.id}`);
    notifications.show({ color: 'red', message: errorOf(made.error).detail });
  };
  const others = job.rooms.filter((one) => one.id !== roomId && one.survey.trims.length > 0).slice(0, LISTED);
  return (
    <Menu position="bottom-end" withinPortal>
      <Menu.Target>
        <Button size="compact-md" variant="default" aria-label="More about this room">
          <IconDots size={18} />
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item leftSection={<IconCopy size={16} />} onClick={() => void copy(false)}>
          Make a copy
        </Menu.Item>
        <Menu.Item leftSection={<IconFlipVertical size={16} />} onClick={() => void copy(true)}>
          Make a mirrored copy
        </Menu.Item>
        {others.map((other) => (
          <Menu.Item
            key={other.id}
            leftSection={<IconStack2 size={16} />}
            onClick={() => edit((survey) => copyTrims(survey, other.survey))}
          >
            Same trim as {other.name}
          </Menu.Item>
        ))}
        <Menu.Divider />
        <Menu.Item
          leftSection={<IconPrinter size={16} />}
          component={Link}
          to={`/jobs/${job.id}/sheets?room=${roomId}`}
        >
          Walk sheet to print
        </Menu.Item>
        <Menu.Item
          leftSection={<IconPrinter size={16} />}
          component={Link}
          to={`/jobs/${job.id}/sheets?room=blank`}
        >
          Blank walk sheet
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item leftSection={<IconTrash size={16} />} onClick={() => void removeRoom()}>
          Delete this room
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
