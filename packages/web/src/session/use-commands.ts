import { useMemo } from 'react';
import { useStore } from 'react-redux';
import {
  applyChange,
  changeBetween,
  checkJob,
  checkShape,
  choicesSchema,
  emptySurvey,
  exportJobFile,
  houseRulesSchema,
  LISTS,
  type CutRecord,
  type Fields,
  type HouseRulesInput,
  type JobPin,
  type JobRecord,
  type JobSettings,
  type ListName,
  type NewProfile,
  type Offcut,
  type RoomRecord,
  type RoomSheet,
  type StockChoices,
  type StockLine,
} from '@long-miter/core';
import { api } from '../api/api.ts';
import { changeRefused } from './outbox/outbox-slice.ts';
import { outbox, type Delivery } from './outbox/outbox.ts';
import { rightRefusal } from './rights.ts';
import { shownJob } from './shown-job.ts';
import { newId } from './outbox/tab-tag.ts';
import { useAppDispatch, type State } from './store.ts';
import { translate, t, translateIfAny } from '../messages/t.ts';

/**
 * Changes of a job, small and by name. Each is checked, shown at once, and sent in its turn; it answers why it cannot be, or
 * nothing. What the server refuses after all is taken back and said.
 */
export interface Commands {
  readonly setHead: (set: {
    name?: string;
    currency?: string | null;
    vocabulary?: string | null;
  }) => string | undefined;
  readonly setItem: (list: ListName, id: string, set: Fields) => string | undefined;
  readonly putItem: (list: ListName, item: Fields & { readonly id: string }) => string | undefined;
  readonly dropItem: (list: ListName, id: string) => string | undefined;
  /** Takes a profile out with its lines of stock, where no room uses it. */
  readonly dropProfile: (id: string) => string | undefined;
  readonly addProfile: (made: NewProfile) => string | undefined;
  readonly replaceStock: (lines: readonly StockLine[]) => string | undefined;
  readonly setRules: (rules: HouseRulesInput) => string | undefined;
  readonly setChoices: (
    set: Partial<{ [K in keyof StockChoices]: StockChoices[K] | null }>,
  ) => string | undefined;
  readonly changePins: (add: readonly Omit<JobPin, 'id'>[], drop: readonly string[]) => string | undefined;
  readonly addRoom: (name: string, sheet?: Partial<RoomSheet>) => RoomRecord;
  readonly dropRoom: (room: string) => void;
  readonly restoreRoom: (room: RoomRecord) => void;
  readonly stickCut: (
    record: CutRecord,
    leaving: { length: number; left: number; right: number } | undefined,
  ) => Promise<Delivery & { readonly offcut?: Offcut | null }>;
  readonly stickNotCut: (id: string) => Promise<Delivery>;
}

/** Every command of one job. They stay the same functions, so that rows need not be drawn again. */
export function useCommands(jobId: string): Commands {
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  return useMemo(() => {
    const now = (): JobRecord => shownJob(store.getState(), jobId)!;
    const show = (change: (job: JobRecord) => JobRecord): void =>
      void dispatch(api.util.updateQueryData('job', jobId, (job) => change(job as JobRecord) as never));
    const send = (
      label: string,
      method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
      path: string,
      body?: unknown,
    ): Promise<Delivery> => {
      const at = `/jobs/${jobId}${path}`;
      const refused = rightRefusal(store.getState(), method, at);
      if (refused !== undefined) {
        dispatch(changeRefused({ job: jobId, label, text: refused }));
        return Promise.resolve({ ok: false, error: { code: 'forbidden', detail: refused, issues: [] } });
      }
      return outbox.call(jobId, label, { method, path: at, ...(body === undefined ? {} : { body }) });
    };
    /** Why a job with these settings could not be; rooms count where profiles change. */
    const fault = (settings: JobSettings, withRooms = false): string | undefined =>
      translateIfAny(
        checkJob(exportJobFile({ ...now(), settings, rooms: withRooms ? now().rooms : [] }))[0]?.text,
      );

    const setItem: Commands['setItem'] = (list, id, set) => {
      const { settings } = now();
      const items = settings[list] as unknown as readonly (Fields & { readonly id: string })[];
      const held = items.find((one) => one.id === id);
      if (!held) return t('it is not there any more');
      const change = changeBetween(held, { ...held, ...set });
      if (Object.keys(change.set).length === 0) return undefined;
      const shaped = checkShape(LISTS[list], applyChange(held, change).next);
      if (!shaped.ok) return translate(shaped.issues[0].text);
      const next = { ...settings, [list]: items.map((one) => (one.id === id ? shaped.value : one)) };
      const wrong = fault(next, list === 'profiles');
      if (wrong !== undefined) return wrong;
      void send(
        t('a change of {list}', { list: NAMES[list] }),
        'PATCH',
        `/${list}/${encodeURIComponent(id)}`,
        change,
      );
      return undefined;
    };
    const putItem: Commands['putItem'] = (list, item) => {
      const { settings } = now();
      const shaped = checkShape(LISTS[list], item);
      if (!shaped.ok) return translate(shaped.issues[0].text);
      const others = (settings[list] as readonly { readonly id: string }[]).filter(
        (one) => one.id !== item.id,
      );
      const next = { ...settings, [list]: [...others, shaped.value] };
      const wrong = fault(next);
      if (wrong !== undefined) return wrong;
      void send(
        t('a new {list}', { list: NAMES[list] }),
        'PUT',
        `/${list}/${encodeURIComponent(item.id)}`,
        shaped.value,
      );
      return undefined;
    };
    const single = (
      name: 'rules' | 'choices',
      key: 'houseRules' | 'choices',
      next: Fields,
      label: string,
    ): string | undefined => {
      const { settings } = now();
      const change = changeBetween(settings[key], next);
      if (Object.keys(change.set).length === 0) return undefined;
      const shaped = checkShape(
        name === 'rules' ? houseRulesSchema : choicesSchema,
        applyChange(settings[key] as Fields, change).next,
      );
      if (!shaped.ok) return translate(shaped.issues[0].text);
      const wrong = fault({ ...settings, [key]: shaped.value });
      if (wrong !== undefined) return wrong;
      void send(label, 'PATCH', `/${name}`, change);
      return undefined;
    };
    const restoreRoom: Commands['restoreRoom'] = (room) => {
      if (rightRefusal(store.getState(), 'POST', `/jobs/${jobId}/rooms`) === undefined)
        show((job) => ({ ...job, rooms: [...job.rooms.filter((one) => one.id !== room.id), room] }));
      void send(
        t('the return of {name}', { name: room.name }),
        'POST',
        `/rooms/${encodeURIComponent(room.id)}/restore`,
      );
    };
    return {
      setHead: (set) => {
        const { name, coin, vocabulary } = now();
        const was = { name, currency: coin.currency ?? null, vocabulary: vocabulary ?? null };
        const change = changeBetween(was, { ...was, ...set });
        if (Object.keys(change.set).length === 0) return undefined;
        void send(t('a change of the job'), 'PATCH', '', change);
        return undefined;
      },
      setItem,
      putItem,
      dropItem: (list, id) => {
        const { settings } = now();
        const left = (settings[list] as readonly { readonly id: string }[]).filter((one) => one.id !== id);
        const wrong = fault({ ...settings, [list]: left }, list === 'profiles');
        if (wrong !== undefined) return wrong;
        void send(
          t('taking out {list}', { list: NAMES[list] }),
          'DELETE',
          `/${list}/${encodeURIComponent(id)}`,
        );
        return undefined;
      },
      dropProfile: (id) => {
        const { settings } = now();
        const lines = settings.stock.filter((line) => line.profile === id);
        const left = {
          profiles: settings.profiles.filter((one) => one.id !== id),
          stock: settings.stock.filter((line) => line.profile !== id),
        };
        const wrong = fault({ ...settings, ...left }, true);
        if (wrong !== undefined) return wrong;
        const takeOut = (list: ListName, item: string): void =>
          void send(
            t('taking out {list}', { list: NAMES[list] }),
            'DELETE',
            `/${list}/${encodeURIComponent(item)}`,
          );
        for (const line of lines) takeOut('stock', line.id);
        takeOut('profiles', id);
        return undefined;
      },
      addProfile: ({ profile, stock }) => {
        const { settings } = now();
        const next = { profiles: [...settings.profiles, profile], stock: [...settings.stock, ...stock] };
        const wrong = fault({ ...settings, ...next });
        if (wrong !== undefined) return wrong;
        void send(t('the profile {name}', { name: profile.name }), 'POST', '/profiles', { profile, stock });
        return undefined;
      },
      replaceStock: (lines) => {
        const wrong = fault({ ...now().settings, stock: lines });
        if (wrong !== undefined) return wrong;
        void send(t('a price list'), 'PUT', '/stock', { lines });
        return undefined;
      },
      setRules: (rules) => single('rules', 'houseRules', rules, t('the house rules')),
      setChoices: (set) =>
        single('choices', 'choices', { ...now().settings.choices, ...set }, t('a choice about stock')),
      changePins: (add, drop) => {
        const made = add.map((pin): JobPin => ({ ...pin, id: newId() }));
        void send(t('pinned sticks'), 'POST', '/pins', { add: made, drop });
        return undefined;
      },
      addRoom: (name, sheet = {}) => {
        const room: RoomRecord = {
          id: newId(),
          name,
          version: 1,
          survey: sheet.survey ?? emptySurvey(now().settings),
          typed: sheet.typed ?? {},
          notes: sheet.notes ?? {},
        };
        const { version: _first, ...body } = room;
        void send(t('the room {name}', { name }), 'POST', '/rooms', body);
        return room;
      },
      dropRoom: (room) => {
        void send(t('deleting a room'), 'DELETE', `/rooms/${encodeURIComponent(room)}`);
      },
      restoreRoom,
      stickCut: async (record, leaving) => {
        const sent = await send(
          t('stick cut: {pieces}', { pieces: record.pieces.map((piece) => piece.label).join(', ') }),
          'POST',
          '/cut-sticks',
          {
            record,
            ...(leaving ? { leaving } : {}),
          },
        );
        dispatch(api.util.invalidateTags(['CutSticks', 'Rack']));
        return sent.ok ? { ...sent, offcut: (sent.answer as { offcut: Offcut | null }).offcut } : sent;
      },
      stickNotCut: async (id) => {
        const sent = await send(t('a stick that is not cut'), 'DELETE', `/cut-sticks/${id}`);
        dispatch(api.util.invalidateTags(['CutSticks', 'Rack']));
        return sent;
      },
    };
  }, [dispatch, store, jobId]);
}

const NAMES: Readonly<Record<ListName, string>> = {
  profiles: 'profile',
  stock: t('line of stock'),
  saws: 'saw',
  pins: 'pin',
};
