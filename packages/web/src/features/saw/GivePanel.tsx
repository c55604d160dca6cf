import { Button, Checkbox, Group, NativeSelect, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import {
  acceptedName,
  formatWithUnit,
  giveFaults,
  issuePlan,
  orderSticks,
  setUps,
  STICK_ORDERS,
  type StickOrder,
  type JobFile,
  type JobRecord,
  type PlanFile,
  wordsKey,
} from '@long-miter/core';
import { useWhyNot } from '../../session/rights.ts';
import type { ShopSession } from '../../session/shop/shop.ts';
import { useNextIssue } from './use-next-issue.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile;
  readonly session: ShopSession;
  readonly onGiven: () => void;
  /** Leaves without giving anything. */
  readonly onLeave: (() => void) | undefined;
}

const ORDERS: Readonly<Record<StickOrder, string>> = {
  'set-ups': t('by set-up'),
  rooms: t('room by room'),
  long: t('longest first'),
};

const figuresOf = ({ pieces }: PlanFile): string =>
  JSON.stringify(pieces.map(({ id, near, left, right }) => [id, near, left.angle, right.angle]));

/** Chooses what goes to the saw in one trip, says what stands in the way, and gives it. */
export function GivePanel({ job, file, plan, session, onGiven, onLeave }: Props) {
  const known = useMemo(() => {
    const count = new Map<string, number>();
    const rooms = new Map((session.shop?.pieces ?? []).map((piece) => [piece.piece, piece.plan.room]));
    for (const room of rooms.values()) count.set(room, (count.get(room) ?? 0) + 1);
    return count;
  }, [session.shop]);
  const pieces = useMemo(() => {
    const count = new Map<string, number>();
    for (const piece of plan.pieces) count.set(piece.room, (count.get(piece.room) ?? 0) + 1);
    return count;
  }, [plan]);
  const rooms = job.rooms.filter((room) => pieces.has(room.id));
  const [off, setOff] = useState<ReadonlySet<string>>(
    // Another trip begins with the rooms of the ones before: what of them is not cut yet is planned along.
    () => new Set(known.size > 0 ? rooms.map((room) => room.id).filter((id) => !known.has(id)) : []),
  );
  const [accepted, setAccepted] = useState<ReadonlySet<string>>(() => new Set());
  const [refused, setRefused] = useState<string>();
  const notLead = useWhyNot('lead');
  const [busy, setBusy] = useState(false);
  const going = useMemo(() => {
    const own = new Set(rooms.map((room) => room.id).filter((id) => !off.has(id)));
    return own;
  }, [rooms, off]);
  const faults = useMemo(() => giveFaults(plan, going), [plan, going]);
  const labels = useMemo(
    () => new Map(plan.pieces.map((piece) => [piece.id as string, piece.label])),
    [plan],
  );
  const open = faults.assumed.filter((one) => !accepted.has(acceptedName(one)));
  const toggle = (set: ReadonlySet<string>, name: string): ReadonlySet<string> => {
    const next = new Set(set);
    if (!next.delete(name)) next.add(name);
    return next;
  };
  const count = plan.pieces.filter((piece) => going.has(piece.room)).length;
  const again = session.shop?.issue !== undefined;
  // While the search goes on only sticks change; another trip has sticks of its own and is not worked out anew for that.
  const figures = again ? figuresOf(plan) : plan;
  const asked = useMemo(() => issuePlan(plan, file.vocabulary), [figures]); // eslint-disable-line react-hooks/exhaustive-deps
  const [how, setHow] = useState<StickOrder>('set-ups');
  const [first, setFirst] = useState('');
  const { next, working, fault } = useNextIssue(file, session, asked, going);
  const cannot = again ? (fault ?? next?.left.refused[0]?.text) : undefined;
  const order = rooms.map((room) => room.id);
  const given = next?.plan ?? asked;
  // Only the sticks of this trip are chosen from and counted.
  const trip = useMemo(() => {
    const own = new Set(given.pieces.filter((piece) => going.has(piece.room)).map((piece) => piece.id));
    return { ...given, sticks: given.sticks.filter((stick) => stick.cuts.some((cut) => own.has(cut.piece))) };
  }, [given, going]);
  const give = async (): Promise<void> => {
    setBusy(true);
    const sent = await session.give({
      plan: orderSticks(given, how, order, first),
      rooms: [...going],
      ...(accepted.size > 0 ? { accepted: [...accepted] } : {}),
    });
    setBusy(false);
    if (sent.ok) onGiven();
    else setRefused(sent.error.issues[0]?.text ?? sent.error.detail);
  };
  return (
    <main className="work no-print" style={{ display: 'block' }}>
      <section className="panel" aria-label={t('Give to the saw')} style={{ padding: 16, maxWidth: 860 }}>
        <Stack gap={12}>
          <Title order={2} size="h3">
            {t('Give to the saw')}
          </Title>
          <Text>
            {t(
              'From here on the numbers stand: they are written on wood. What is given stays as it is on the screens at the saw, whatever is measured or planned later, until you give it anew.',
            )}
          </Text>
          <Stack gap={6}>
            <Text fw={650}>{t('This trip')}</Text>
            {rooms.map((room) => (
              <Checkbox
                key={room.id}
                checked={!off.has(room.id)}
                onChange={() => setOff(toggle(off, room.id))}
                label={t('{name}: {id} pieces{given}', {
                  name: room.name,
                  id: pieces.get(room.id),
                  given: known.has(room.id)
                    ? t(', {id} of them given before', { id: known.get(room.id) })
                    : '',
                })}
              />
            ))}
          </Stack>
          {faults.hard.length > 0 && (
            <div role="alert">
              <Text fw={650} style={{ color: 'var(--lm-bad)' }}>
                {t('Cannot be cut as it is')}
              </Text>
              {faults.hard.map((one) => (
                <Text key={wordsKey(one.text)} style={{ color: 'var(--lm-bad)' }}>
                  ▲ {translate(one.text)}
                </Text>
              ))}
              <Text size="sm" c="dimmed">
                {t('Put it right under Walk, Joints or Stock, or leave its room out of this trip.')}
              </Text>
            </div>
          )}
          {faults.assumed.length > 0 && (
            <div>
              <Text fw={650}>{t('Assumed: accept each by name, or measure it first')}</Text>
              <Stack gap={4} mt={4}>
                {faults.assumed.map((one) => (
                  <Checkbox
                    key={acceptedName(one)}
                    checked={accepted.has(acceptedName(one))}
                    onChange={() => setAccepted(toggle(accepted, acceptedName(one)))}
                    label={translate(one.text)}
                  />
                ))}
              </Stack>
            </div>
          )}
          {again && (
            <div>
              <Text fw={650}>{t('Sticks for what is not cut yet')}</Text>
              {working ? (
                <Text c="dimmed">{t('They are being worked out around what is opened.')}</Text>
              ) : (
                (next?.left.sticks ?? []).map((stick, index) => (
                  <Text key={`${stick.letter ?? stick.label ?? ''}${index}`}>
                    {stick.letter !== undefined
                      ? t('opened {letter}', { letter: stick.letter })
                      : stick.label !== undefined
                        ? t('rack {label}', { label: stick.label })
                        : t('to buy, {length}', { length: formatWithUnit(stick.length, job.unit) })}{' '}
                    {file.profiles.find((one) => one.id === stick.profile)?.name}:{' '}
                    {stick.cuts.map((cut) => cut.tag).join(', ')}
                  </Text>
                ))
              )}
              {cannot !== undefined && (
                <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
                  ▲ {translate(cannot)}
                </Text>
              )}
            </div>
          )}
          {trip.sticks.length > 1 && (
            <Group gap={12} align="flex-end">
              <NativeSelect
                label={t('order at the saw')}
                value={how}
                data={STICK_ORDERS.map((one) => ({
                  value: one,
                  label: t('{one}: set anew {setUps} times', {
                    one: ORDERS[one],
                    setUps: setUps(orderSticks(trip, one, order, first)),
                  }),
                }))}
                onChange={(event) => setHow(event.currentTarget.value as StickOrder)}
              />
              <NativeSelect
                label={t('which first')}
                value={first}
                data={[
                  { value: '', label: t('as it comes') },
                  ...trip.sticks.map((stick) => ({
                    value: stick.id,
                    label: t('{count} for {cuts}', {
                      count: formatWithUnit(stick.length, job.unit),
                      cuts: stick.cuts.map((cut) => labels.get(cut.piece) ?? cut.piece).join(', '),
                    }),
                  })),
                ]}
                onChange={(event) => setFirst(event.currentTarget.value)}
              />
            </Group>
          )}
          {notLead !== undefined && (
            <Text role="note" fw={650} style={{ color: 'var(--lm-assumed)' }}>
              {t('It can be looked at here; {notLead}.', { notLead })}
            </Text>
          )}
          {refused !== undefined && (
            <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
              {t('It was not taken: {refused}', { refused })}
            </Text>
          )}
          <Group>
            <Button
              size="lg"
              loading={busy}
              disabled={
                count === 0 ||
                faults.hard.length > 0 ||
                open.length > 0 ||
                (again && (next === undefined || cannot !== undefined))
              }
              onClick={() => void give()}
            >
              {again ? t('Give this to the saw') : t('Give {count} pieces to the saw', { count })}
            </Button>
            {onLeave && (
              <Button size="lg" variant="default" onClick={onLeave}>
                {t('Not now')}
              </Button>
            )}
          </Group>
        </Stack>
      </section>
    </main>
  );
}
