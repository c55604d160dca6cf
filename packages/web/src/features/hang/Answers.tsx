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
import type { ShopSession } from '../../session/shop.ts';
import { AskLength } from '../../shared/AskLength.tsx';

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
      label="which end"
      value={end}
      data={[
        { value: 'left', label: 'left end' },
        { value: 'right', label: 'right end' },
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
          It waits for a measure in place. {how} The figures say {formatWithUnit(figure, unit)}.
        </Text>
        {length(
          label,
          'Measured',
          (measured) => note({ kind: 'measured-in-place', tag, near: nearOf(measured) }),
          'the saw gets it at once',
        )}
      </Stack>
    );
  }
  if (state === 'ready' || state === 'in-hand')
    return <Text fw={650}>It is not cut yet{state === 'in-hand' ? ': it is at the saw' : ''}.</Text>;
  return (
    <Stack gap={8}>
      <Group gap={8}>
        {state === 'cut' && (
          <Button size="lg" onClick={() => note({ kind: 'dry-fitted', tag })}>
            Fits
          </Button>
        )}
        {on && (
          <Button
            size="lg"
            variant={state === 'fitted' ? 'filled' : 'default'}
            onClick={() => note({ kind: 'fixed', tag })}
          >
            Fixed
          </Button>
        )}
        {on && (
          <Button size="lg" variant="default" onClick={() => setAsk(ask === 'trim' ? undefined : 'trim')}>
            Trim
          </Button>
        )}
        {on && (
          <Button size="lg" variant="default" onClick={() => setAsk(ask === 'again' ? undefined : 'again')}>
            Send again
          </Button>
        )}
        <Button size="lg" variant="default" onClick={() => setAsk(ask === 'open' ? undefined : 'open')}>
          Joint open
        </Button>
        {on && (
          <Button size="lg" variant="default" onClick={() => note({ kind: 'wall-not-ready', tag })}>
            Wall not ready
          </Button>
        )}
        {session.last && (
          <Button size="lg" variant="subtle" onClick={session.takeBack}>
            Take back
          </Button>
        )}
      </Group>
      {ask === 'trim' && (
        <Group align="flex-end" gap={8}>
          {side}
          {length(
            'take off',
            'Trimmed',
            (by) => note({ kind: 'trimmed', tag, end, by }),
            'the same piece stays',
          )}
        </Group>
      )}
      {ask === 'again' &&
        length(
          'what it must be, along its back',
          'Send again',
          (near) => note({ kind: 'sent-back', tag, near }),
          `it was ${formatLength(piece.near, unit, { inchParts: 32 })}; the new piece gets the next letter`,
        )}
      {ask === 'open' && (
        <Group align="flex-end" gap={8}>
          {side}
          <NativeSelect
            size="md"
            label="it is open"
            value={where}
            data={[
              { value: 'front', label: 'in front, at the face' },
              { value: 'back', label: 'behind, at the wall' },
            ]}
            onChange={(event) => setWhere(event.currentTarget.value as 'front')}
          />
          {length('by', 'Note it', (gap) => note({ kind: 'opening-of-joint', tag, end, where, gap }))}
        </Group>
      )}
      {opened.map((one) => {
        const read = readOpenJoint(file, shop, one);
        return (
          <Text key={one.id} style={{ color: 'var(--lm-assumed)' }}>
            ▲ {one.end} end open {one.where === 'front' ? 'in front' : 'behind'} by{' '}
            {formatLength(one.gap, unit, { inchParts: 32 })} {unit}
            {read?.real !== undefined && read.half !== undefined
              ? `: the corner is ${formatAngle(read.real)}, it was cut for ${formatAngle(read.planned)}. Cut anew, each end at ${formatAngle(read.half)}; or ${
                  one.where === 'front'
                    ? 'plane the backs until the face closes'
                    : 'leave it: the face is tight'
                }.`
              : ': shim it, plane it or cut it anew.'}
          </Text>
        );
      })}
    </Stack>
  );
}
