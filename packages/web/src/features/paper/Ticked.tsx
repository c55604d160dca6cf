import { Button, Checkbox, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import {
  formatWithUnit,
  hangList,
  stickName,
  tickFaults,
  tickedEvents,
  workOf,
  type JobFile,
  type Shop,
  type Words,
  wordsKey,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { t, translate } from '../../messages/t.ts';

interface Props {
  readonly file: JobFile;
  readonly shop: Shop;
  readonly session: ShopSession;
}

const toggled = <T,>(set: ReadonlySet<T>, one: T): ReadonlySet<T> => {
  const next = new Set(set);
  if (!next.delete(one)) next.add(one);
  return next;
};

/** Enters in one go what was ticked on paper at the saw and on the wall. */
export function Ticked({ file, shop, session }: Props) {
  const work = useMemo(() => workOf(shop), [shop]);
  const [letters, setLetters] = useState<ReadonlyMap<string, string>>(new Map());
  const [cut, setCut] = useState<ReadonlySet<string>>(new Set());
  const [fixed, setFixed] = useState<ReadonlySet<string>>(new Set());
  const [faults, setFaults] = useState<readonly Words[]>([]);
  const states = new Map(shop.pieces.map((piece) => [piece.tag, piece.state]));
  const sticks = work.sticks.filter((stick) => stick.todo.some((tag) => states.get(tag) !== 'held'));
  const hung = hangList(file, shop).filter(({ piece }) => piece.state !== 'fixed' && piece.state !== 'held');
  const letterOf = (name: string): string => letters.get(name) ?? '';
  const nameless = sticks.find(
    (stick) =>
      stick.letter === undefined &&
      letterOf(stickName(stick)).trim() === '' &&
      stick.todo.some((tag) => cut.has(tag)),
  );
  const enter = (): void => {
    const told = tickedEvents(
      shop,
      work,
      {
        sticks: new Map(
          sticks.map((stick) => [stickName(stick), { letter: letterOf(stickName(stick)), cut }]),
        ),
        fixed,
      },
      stickName,
    );
    const log = session.log ?? { issues: [], events: [] };
    const wrong = tickFaults({ job: file, ...log }, told);
    setFaults(wrong);
    if (wrong.length > 0 || told.length === 0) return;
    if (session.note(...told)) {
      setCut(new Set());
      setFixed(new Set());
      setLetters(new Map());
    }
  };
  return (
    <Stack gap={14} className="ticked">
      <Text>
        {t(
          'Tick here what is ticked on the sheets, then enter it once. A stick that was begun on paper wants the letter that was written on it.',
        )}
      </Text>
      {sticks.map((stick) => {
        const name = stickName(stick);
        const profile =
          file.profiles.find((one) => one.id === stick.stick.profile)?.name ?? stick.stick.profile;
        return (
          <div key={name} role="group" aria-label={t('Stick {letter}', { letter: stick.letter ?? name })}>
            <Group gap={10} align="center">
              {stick.letter === undefined ? (
                <TextInput
                  aria-label={t('Letter of the {profile}, {length}, for {todo}', {
                    profile,
                    length: formatWithUnit(stick.stick.length, file.unit),
                    todo: stick.todo[0],
                  })}
                  placeholder={t('letter')}
                  w={90}
                  maxLength={10}
                  value={letterOf(name)}
                  onChange={(event) => {
                    const { value } = event.currentTarget;
                    setLetters((now) => new Map(now).set(name, value));
                  }}
                />
              ) : (
                <Text fw={700}>{stick.letter}</Text>
              )}
              <Text>
                {profile}, {formatWithUnit(stick.stick.length, file.unit)}
              </Text>
            </Group>
            <Group gap={16} mt={6}>
              {stick.todo.map((tag) => (
                <Checkbox
                  key={tag}
                  size="md"
                  label={states.get(tag) === 'held' ? t('{tag} waits', { tag }) : t('{tag} cut', { tag })}
                  disabled={states.get(tag) === 'held'}
                  checked={cut.has(tag)}
                  onChange={() => setCut((now) => toggled(now, tag))}
                />
              ))}
            </Group>
          </div>
        );
      })}
      <div role="group" aria-label={t('On the wall')}>
        <Title order={3} size="h5">
          {t('On the wall')}
        </Title>
        <Group gap={16} mt={6}>
          {hung.map(({ piece: { tag, state } }) => (
            <Checkbox
              key={tag}
              size="md"
              label={t('{tag} fixed', { tag })}
              disabled={state !== 'cut' && state !== 'fitted' && !cut.has(tag)}
              checked={fixed.has(tag)}
              onChange={() => setFixed((now) => toggled(now, tag))}
            />
          ))}
        </Group>
      </div>
      {nameless && (
        <Text style={{ color: 'var(--lm-bad)' }}>
          {t('▲ Write the letter of the stick that {find} was cut from.', {
            find: nameless.todo.find((tag) => cut.has(tag)),
          })}
        </Text>
      )}
      {faults.map((why) => (
        <Text key={wordsKey(why)} role="alert" style={{ color: 'var(--lm-bad)' }}>
          {t('▲ Nothing was entered: {why}.', { why: translate(why) })}
        </Text>
      ))}
      <Group>
        <Button size="lg" disabled={cut.size + fixed.size === 0 || nameless !== undefined} onClick={enter}>
          {t('Enter {size} cut, {fixed} fixed', { size: cut.size, fixed: fixed.size })}
        </Button>
        {session.last && (
          <Button size="lg" variant="subtle" onClick={session.takeBack}>
            {t('Take back')}
          </Button>
        )}
      </Group>
    </Stack>
  );
}
