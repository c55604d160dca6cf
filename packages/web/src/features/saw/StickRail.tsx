import { Button, Popover, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  formatLength,
  formatWithUnit,
  nextRackLabel,
  parseLength,
  rackLength,
  stickName,
  type SawTask,
  type Shop,
  type Unit,
  type Work,
  type WorkStick,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly shop: Shop;
  readonly work: Work;
  readonly task: SawTask;
  /** Opened sticks that nothing more comes from. */
  readonly rest: readonly WorkStick[];
  readonly unit: Unit;
  readonly done: string;
  readonly session: ShopSession;
  readonly onChoose: (stick: string) => void;
  readonly onGive: () => void;
  /** Where sheets and labels are printed. */
  readonly paper: string;
}

/** All sticks of what was given: opened ones by their letter, what waits, what is left for the rack. */
export function StickRail({ shop, work, task, rest, unit, done, session, onChoose, onGive, paper }: Props) {
  const now = 'stick' in task ? stickName(task.stick) : undefined;
  const wrong = shop.contradictions.length;
  return (
    <nav className="stick-rail" aria-label={t('Sticks')}>
      <Text fw={650} style={{ whiteSpace: 'nowrap' }}>
        {done}
        {session.waiting > 0 ? t(' · {waiting} waiting to be sent', { waiting: session.waiting }) : ''}
      </Text>
      {work.sticks.map((stick) => {
        const name = stickName(stick);
        if (stick.letter !== undefined && stick.todo.length === 0) return null;
        const held = stick.todo.every((tag) => shop.pieces.find((one) => one.tag === tag)?.state === 'held');
        return (
          <Button
            key={name}
            size="compact-md"
            variant={name === now ? 'filled' : 'default'}
            aria-current={name === now ? 'step' : undefined}
            onClick={() => onChoose(name)}
          >
            {stick.letter ?? formatLength(stick.stick.length, unit)}
            {held ? t(' waits') : ` · ${stick.todo.length}`}
          </Button>
        );
      })}
      {work.loose.some((piece) => piece.state === 'ready') && (
        <Button size="compact-md" variant="outline" onClick={onGive}>
          {t('Find a stick for {loose}', {
            loose: work.loose
              .filter((piece) => piece.state === 'ready')
              .map((piece) => piece.tag)
              .join(', '),
          })}
        </Button>
      )}
      {rest.map((stick) => (
        <ToRack key={stickName(stick)} stick={stick} unit={unit} shop={shop} session={session} />
      ))}
      {wrong > 0 && (
        <Text size="sm" fw={600} style={{ color: 'var(--lm-bad)', whiteSpace: 'nowrap' }}>
          {t('▲ {wrong} do not fit together: see the log on Hang', { wrong })}
        </Text>
      )}
      <Button size="compact-md" variant="subtle" onClick={onGive}>
        {t('Another trip')}
      </Button>
      <Button size="compact-md" variant="subtle" component={Link} to={paper}>
        {t('Paper')}
      </Button>
    </nav>
  );
}

/** What is left of a stick, put on the rack under a label of its own. */
function ToRack({
  stick,
  unit,
  shop,
  session,
}: Pick<Props, 'unit' | 'shop' | 'session'> & { stick: WorkStick }) {
  const [label, setLabel] = useState(() => nextRackLabel(shop));
  const [length, setLength] = useState<number>();
  const is = length ?? rackLength(stick, unit);
  return (
    <Popover withArrow shadow="md" width={280}>
      <Popover.Target>
        <Button size="compact-md" variant="outline">
          {t('{letter}: {remains} left', {
            letter: stick.letter,
            remains: formatLength(stick.remains, unit),
          })}
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <Stack gap={8}>
          <Text size="sm">
            {t(
              'Nothing more comes from stick {letter}. Put what is left on the rack, or let it lie: it is used first when something is cut again.',
              { letter: stick.letter },
            )}
          </Text>
          <CommitField
            label={t('write on it')}
            text={label}
            onCommit={(text) => {
              if (text.trim() === '') return t('give it a label to find it by');
              if (shop.rackLabels.includes(text.trim()))
                return t('{text} was written on a piece of the rack before: give it another', {
                  text: text.trim(),
                });
              setLabel(text.trim());
              return undefined;
            }}
          />
          <CommitField
            label={t('it is long')}
            text={formatLength(is, unit, { inchParts: 32 })}
            onCommit={(text) => {
              const read = parseLength(text, unit);
              if (!read.ok) return translate(read.issues[0].text);
              if (read.value.value > stick.remains + 1e-6)
                return t('no more than {remains} can be left of it', {
                  remains: formatWithUnit(stick.remains, unit),
                });
              setLength(read.value.value);
              return undefined;
            }}
          />
          <Button
            onClick={() =>
              session.note({ kind: 'remainder-racked', letter: stick.letter!, length: is, label })
            }
          >
            {t('It is on the rack as {label}', { label })}
          </Button>
        </Stack>
      </Popover.Dropdown>
    </Popover>
  );
}
