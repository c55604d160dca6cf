import { Drawer, Text, UnstyledButton } from '@mantine/core';
import { adviceFor, type Room, type WatchOut } from '@long-miter/core';
import { Typeset } from '../../shared/Figure.tsx';

interface Props {
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly list: readonly WatchOut[];
  readonly rooms: readonly Pick<Room, 'id' | 'name'>[];
  readonly onPick: (one: WatchOut) => void;
}

/** Everything to look out for in the job: where, why, and what to do. */
export function WatchList({ opened, onClose, list, rooms, onPick }: Props) {
  return (
    <Drawer
      opened={opened}
      onClose={onClose}
      position="right"
      size={620}
      title={<Text fw={650}>Watch out: {list.length === 1 ? '1 thing' : `${list.length} things`}</Text>}
      closeButtonProps={{ 'aria-label': 'Close the watch-outs' }}
    >
      {list.length === 0 && <Text c="dimmed">Nothing in this job asks for special care.</Text>}
      {rooms.map((room) => {
        const own = list.filter((one) => one.room === room.id);
        if (own.length === 0) return null;
        return (
          <section key={room.id} aria-label={`Watch-outs of ${room.name}`}>
            <Text fw={650} mt="sm">
              {room.name}
            </Text>
            {own.map((one, index) => {
              const { why, what } = adviceFor(one.code);
              return (
                <UnstyledButton
                  key={`${one.code}${index}`}
                  className="watch-item"
                  onClick={() => {
                    onPick(one);
                    onClose();
                  }}
                >
                  <span>
                    ▲ <Typeset text={one.text} />
                  </span>
                  <span className="watch-why">
                    {why} {what}
                  </span>
                </UnstyledButton>
              );
            })}
          </section>
        );
      })}
    </Drawer>
  );
}
