import { ActionIcon, Select } from '@mantine/core';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { useNavigate, Link } from 'react-router';
import { useAppDispatch } from '../../session/store.ts';
import { wallPicked } from '../../session/slices/ui-slice.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  /** The room shown; nothing where the screen is not about one. */
  readonly current: string | undefined;
  readonly to: (roomId: string) => string;
}

/** So many rooms are one tab each; more are looked for by name. */
const AS_TABS = 8;

/** The rooms of a job: tabs while they can be read beside each other, else one field to search in with the neighbours beside it. */
export function RoomPicker({ rooms, current, to }: Props) {
  return (
    <nav aria-label={t('Rooms')} className={rooms.length > AS_TABS ? 'room-picker' : 'room-tabs'}>
      {rooms.length > AS_TABS ? (
        <SearchedRooms rooms={rooms} current={current} to={to} />
      ) : (
        <RoomTabs rooms={rooms} current={current} to={to} />
      )}
    </nav>
  );
}

const nameOf = (room: { readonly name: string } | undefined): string => room?.name || t('unnamed');

function RoomTabs({ rooms, current, to }: Props) {
  const dispatch = useAppDispatch();
  return rooms.map((one) => (
    <Link
      key={one.id}
      className="room-tab"
      to={to(one.id)}
      aria-current={one.id === current ? 'page' : undefined}
      onClick={() => dispatch(wallPicked(undefined))}
    >
      {nameOf(one)}
    </Link>
  ));
}

function SearchedRooms({ rooms, current, to }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const at = rooms.findIndex((one) => one.id === current);
  const go = (id: string | undefined): void => {
    if (id === undefined || id === current) return;
    dispatch(wallPicked(undefined));
    void navigate(to(id));
  };
  const step = (way: 1 | -1, word: string) => {
    const next = at < 0 ? rooms[0] : rooms[at + way];
    const says = next
      ? t('{word} room: {nameOf}', { word, nameOf: nameOf(next) })
      : t('No {word} room', { word: word.toLowerCase() });
    return (
      <ActionIcon
        size={44}
        variant="default"
        aria-label={says}
        title={says}
        disabled={!next}
        onClick={() => go(next?.id)}
      >
        {way < 0 ? <IconChevronLeft size={20} /> : <IconChevronRight size={20} />}
      </ActionIcon>
    );
  };
  return (
    <>
      {step(-1, t('Previous'))}
      <Select
        aria-label={t('Room')}
        placeholder={t('{count} rooms', { count: rooms.length })}
        searchable
        selectFirstOptionOnChange
        allowDeselect={false}
        nothingFoundMessage={t('No room of this name')}
        maxDropdownHeight={420}
        w={230}
        value={current ?? null}
        // Two rooms may have one name: each is its own entry.
        data={rooms.map((one) => ({ value: one.id, label: nameOf(one) }))}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          // Confirmed before the list has followed what was typed, its mark is still on another: the first of that name is meant.
          const typed = event.currentTarget.value.trim().toLowerCase();
          const fits = rooms.filter((one) => nameOf(one).toLowerCase().includes(typed));
          const marked = document.querySelector('[data-combobox-selected]')?.textContent;
          if (typed !== '') go((fits.find((one) => nameOf(one) === marked) ?? fits[0])?.id);
        }}
        onChange={(id) => go(id ?? undefined)}
      />
      {step(1, t('Next'))}
      <span className="hide-narrow">
        {at < 0
          ? t('{count} rooms', { count: rooms.length })
          : t('{at} of {count}', { at: at + 1, count: rooms.length })}
      </span>
    </>
  );
}
