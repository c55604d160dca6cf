import { Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import {
  formatAngle,
  formatLength,
  formatWithUnit,
  heldMeasure,
  readOpenJoint,
  type HangLine,
  type JobFile,
  type Shop,
  type Unit,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { AskLength } from '../../shared/fields/AskLength.tsx';
import { translate, t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

interface Props {
  readonly line: HangLine;
  readonly file: JobFile;
  readonly shop: Shop;
  readonly unit: Unit;
  readonly session: ShopSession;
}

type Ask = 'trim' | 'again' | 'open' | undefined;

/** What the hanger answers: it fits, a little off, send another, the wall is not ready, a joint stands open. */
export function Answers({ line, file, shop, unit, session }: Props) {
  const { piece } = line;
  const [ask, setAsk] = useState<Ask>();
  const [end, setEnd] = useState<'left' | 'right'>('left');
  const [where, setWhere] = useState<'front' | 'back'>('front');
  const { tag, state } = piece;
  const on = state === 'cut' || state === 'fitted';
  const note: ShopSession['note'] = (...happened) => {
    const noted = session.note(...happened);
    if (noted) setAsk(undefined);
    return noted;
  };
  const length = (label: string, action: string, take: (value: number) => void, description?: string) => (
    <AskLength
      label={label}
      unit={unit}
      action={action}
      {...(description === undefined ? {} : { description })}
      onLength={take}
    />
  );
  const side = (
    <NativeSelect
      size="md"
      label={t('which end')}
      value={end}
      data={[
        { value: 'left', label: t('left end') },
        { value: 'right', label: t('right end') },
      ]}
      onChange={(event) => setEnd(event.currentTarget.value as 'left')}
    />
  );
  const opened = (session.log?.events ?? []).flatMap((event) =>
    event.kind === 'opening-of-joint' && event.tag === tag ? [event] : [],
  );
  if (state === 'held') {
    const { how, label, figure, nearOf } = heldMeasure(line.plan);
    return (
      <Stack gap={6}>
        <Text fw={650}>
          {t('It waits for a measure in place. {how} The figures say {figure}.', {
            how: translate(how),
            figure: formatWithUnit(figure, unit),
          })}
        </Text>
        {length(
          translate(label),
          t('Measured'),
          (measured) => note({ kind: 'measured-in-place', tag, near: nearOf(measured) }),
          t('the saw gets it at once'),
        )}
      </Stack>
    );
  }
  if (state === 'ready' || state === 'in-hand')
    return (
      <Text fw={650}>
        {t('It is not cut yet{state}.', { state: state === 'in-hand' ? t(': it is at the saw') : '' })}
      </Text>
    );
  return (
    <Stack gap={8}>
      <Group gap={8}>
        {state === 'cut' && (
          <Button size="lg" onClick={() => note({ kind: 'dry-fitted', tag })}>
            {t('Fits')}
          </Button>
        )}
        {on && (
          <Button
            size="lg"
            variant={state === 'fitted' ? 'filled' : 'default'}
            onClick={() => note({ kind: 'fixed', tag })}
          >
            {t('Fixed')}
          </Button>
        )}
        {on && (
          <Button size="lg" variant="default" onClick={() => setAsk(ask === 'trim' ? undefined : 'trim')}>
            {t('Trim')}
          </Button>
        )}
        {on && (
          <Button size="lg" variant="default" onClick={() => setAsk(ask === 'again' ? undefined : 'again')}>
            {t('Send again')}
          </Button>
        )}
        <Button size="lg" variant="default" onClick={() => setAsk(ask === 'open' ? undefined : 'open')}>
          {t('Joint open')}
        </Button>
        {on && (
          <Button size="lg" variant="default" onClick={() => note({ kind: 'wall-not-ready', tag })}>
            {t('Wall not ready')}
          </Button>
        )}
        {session.last && (
          <Button size="lg" variant="subtle" onClick={session.takeBack}>
            {t('Take back')}
          </Button>
        )}
      </Group>
      {ask === 'trim' && (
        <Group align="flex-end" gap={8}>
          {side}
          {length(
            t('take off'),
            t('Trimmed'),
            (by) => note({ kind: 'trimmed', tag, end, by }),
            t('the same piece stays'),
          )}
        </Group>
      )}
      {ask === 'again' &&
        length(
          t('what it must be, along its back'),
          t('Send again'),
          (near) => note({ kind: 'sent-back', tag, near }),
          t('it was {near}; the new piece gets the next letter', {
            near: formatLength(piece.near, unit, { inchParts: 32 }),
          }),
        )}
      {ask === 'open' && (
        <Group align="flex-end" gap={8}>
          {side}
          <NativeSelect
            size="md"
            label={t('it is open')}
            value={where}
            data={[
              { value: 'front', label: t('in front, at the face') },
              { value: 'back', label: t('behind, at the wall') },
            ]}
            onChange={(event) => setWhere(event.currentTarget.value as 'front')}
          />
          {length(t('by'), t('Note it'), (gap) => note({ kind: 'opening-of-joint', tag, end, where, gap }))}
        </Group>
      )}
      {opened.map((one) => {
        const read = readOpenJoint(file, shop, one);
        return (
          <Text key={one.id} style={{ color: 'var(--lm-assumed)' }}>
            {t('▲ {end} end open {where} by {gap} {unit}{real}', {
              end: sideWord(one.end),
              where: one.where === 'front' ? t('in front') : t('behind'),
              gap: formatLength(one.gap, unit, { inchParts: 32 }),
              unit,
              real:
                read?.real !== undefined && read.half !== undefined
                  ? t(
                      ': the corner is {real}, it was cut for {planned}. Cut anew, each end at {half}; or {where}.',
                      {
                        real: formatAngle(read.real),
                        planned: formatAngle(read.planned),
                        half: formatAngle(read.half),
                        where:
                          one.where === 'front'
                            ? t('plane the backs until the face closes')
                            : t('leave it: the face is tight'),
                      },
                    )
                  : t(': shim it, plane it or cut it anew.'),
            })}
          </Text>
        );
      })}
    </Stack>
  );
}
