import { Button, Menu } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconDots, IconTrash } from '@tabler/icons-react';
import { useNavigate } from 'react-router';
import type { JobRecord } from '@long-miter/core';
import { useDeleteRoomMutation, useRestoreRoomMutation } from '../../api/api.ts';
import { useAppDispatch } from '../../app/store.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { forgotten } from './draft-slice.ts';

/** What can be done with a room as a whole. */
export function RoomMenu({ job, roomId }: { job: JobRecord; roomId: string }) {
  const [remove] = useDeleteRoomMutation();
  const [restore] = useRestoreRoomMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const name = job.rooms.find((room) => room.id === roomId)?.name ?? 'the room';
  const removeRoom = async (): Promise<void> => {
    const gone = await remove({ job: job.id, id: roomId });
    if ('error' in gone)
      return void notifications.show({ color: 'red', message: `${name} could not be deleted; try again` });
    const other = job.rooms.find((room) => room.id !== roomId);
    void navigate(`/jobs/${job.id}/walk${other ? `/${other.id}` : ''}`);
    dispatch(forgotten(roomId));
    undoNotice(`${name} is deleted`, async () => {
      await restore({ job: job.id, id: roomId });
      void navigate(`/jobs/${job.id}/walk/${roomId}`);
    });
  };
  return (
    <Menu position="bottom-end" withinPortal>
      <Menu.Target>
        <Button size="compact-md" variant="default" aria-label="More about this room">
          <IconDots size={18} />
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item leftSection={<IconTrash size={16} />} onClick={() => void removeRoom()}>
          Delete this room
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
