import { Button, Group, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  crownSection,
  formatAngle,
  formatLength,
  parseAngle,
  parseLength,
  trade,
  type Profile,
  type Result,
  type Unit,
} from '@long-miter/core';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly profile: Profile;
  readonly unit: Unit;
  /** Takes the figures together; answers why they cannot be, if they cannot. */
  readonly onTake: (change: Partial<Profile>) => string | undefined;
}

const FIELDS = ['width', 'spring', 'drop', 'projection'] as const;
type Field = (typeof FIELDS)[number];
const LABELS: Readonly<Record<Field, string>> = {
  width: t('across its back'),
  spring: t('spring'),
  drop: t('down the wall'),
  projection: t('along the ceiling'),
};

/**
 * Figures of a crown as they were read off a scrap in a square: any two give the others, more must agree. They are taken
 * together, since one alone would contradict what stands.
 */
export function CrownFiguresFields({ profile, unit, onTake }: Props) {
  const [from, setFrom] = useState<'wall' | 'ceiling'>('wall');
  const turned = (degrees: number): number => (from === 'wall' ? degrees : 90 - degrees);
  const stored: Readonly<Record<Field, string>> = {
    width: formatLength(profile.width, unit, { inchParts: 32 }),
    spring: profile.springAngle === undefined ? '' : String(Number(turned(profile.springAngle).toFixed(3))),
    drop: profile.drop === undefined ? '' : formatLength(profile.drop, unit, { inchParts: 32 }),
    projection:
      profile.projection === undefined ? '' : formatLength(profile.projection, unit, { inchParts: 32 }),
  };
  const [own, setOwn] = useState<Partial<Record<Field, string>>>({});
  const [fault, setFault] = useState<string>();
  const text = (field: Field): string => own[field] ?? stored[field];
  const changed = FIELDS.some((field) => own[field] !== undefined && own[field] !== stored[field]);
  const length = (field: Field, kept: number | undefined): Result<number | undefined> => {
    // What was not touched stays as exact as it was.
    if (own[field] === undefined || own[field] === stored[field]) return { ok: true, value: kept };
    if (own[field].trim() === '') return { ok: true, value: undefined };
    const read = parseLength(own[field], unit);
    return read.ok ? { ok: true, value: read.value.value } : read;
  };
  const spring = (): Result<number | undefined> => {
    if (own.spring === undefined || own.spring === stored.spring)
      return { ok: true, value: profile.springAngle };
    if (own.spring.trim() === '') return { ok: true, value: undefined };
    const read = parseAngle(own.spring);
    return read.ok ? { ok: true, value: turned(read.value) } : read;
  };
  const read = {
    width: length('width', profile.width),
    spring: spring(),
    drop: length('drop', profile.drop),
    projection: length('projection', profile.projection),
  };
  const faults = FIELDS.flatMap((field) => {
    const one = read[field];
    return one.ok ? [] : [`${LABELS[field]} ${translate(one.issues[0].text)}`];
  });
  const value = (field: Field): number | undefined => {
    const one = read[field];
    return one.ok ? one.value : undefined;
  };
  const figures =
    faults.length > 0
      ? undefined
      : trade.crownFigures({
          width: value('width'),
          spring: value('spring'),
          drop: value('drop'),
          projection: value('projection'),
        });
  const wrong =
    fault ?? faults[0] ?? (figures && !figures.ok ? translate(figures.issues[0].text) : undefined);
  const shown: Profile | undefined = figures?.ok
    ? {
        ...profile,
        width: figures.value.width,
        springAngle: figures.value.spring,
        drop: figures.value.drop,
        projection: figures.value.projection,
      }
    : undefined;
  // To the same parts as the fields and the picture have them.
  const size = (length: number): string => `${formatLength(length, unit, { inchParts: 32 })} ${unit}`;
  const take = (): void => {
    if (!figures?.ok) return;
    const [drop, projection] = [value('drop'), value('projection')];
    const both = drop !== undefined && projection !== undefined;
    const refused = onTake({
      width: figures.value.width,
      springAngle: value('spring') ?? (both ? undefined : figures.value.spring),
      drop,
      projection,
    });
    setFault(refused);
    if (refused === undefined) setOwn({});
  };
  return (
    <Group
      align="flex-start"
      gap={12}
      wrap="wrap"
      role="group"
      aria-label={t('Figures of {name}', { name: profile.name })}
    >
      <Stack gap={6} style={{ flex: '1 1 320px' }}>
        <Group gap={8} grow align="flex-end">
          {FIELDS.map((field) => (
            <TextInput
              key={field}
              size="sm"
              label={LABELS[field]}
              aria-label={t('{field} of {name}', { field: LABELS[field], name: profile.name })}
              autoComplete="off"
              placeholder={t('not read')}
              value={text(field)}
              onChange={(event) => {
                setOwn({ ...own, [field]: event.currentTarget.value });
                setFault(undefined);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') take();
              }}
            />
          ))}
        </Group>
        <Group gap={8} align="flex-end">
          <NativeSelect
            size="sm"
            label={t('the spring was read')}
            value={from}
            data={[
              { value: 'wall', label: t('from the wall') },
              { value: 'ceiling', label: t('from the ceiling') },
            ]}
            onChange={(event) => setFrom(event.currentTarget.value as 'wall')}
          />
          <Button size="sm" disabled={!changed || wrong !== undefined} onClick={take}>
            {t('Take these figures')}
          </Button>
        </Group>
        {wrong !== undefined ? (
          <Text role="alert" size="sm" style={{ color: 'var(--lm-bad)' }}>
            {wrong}
          </Text>
        ) : (
          figures?.ok && (
            <Text size="sm" c="dimmed">
              {t(
                '{width} across, {spring} to the wall, {drop} down, {projection} out. Two figures give the others; hold a scrap in a square to read them.',
                {
                  width: size(figures.value.width),
                  spring: formatAngle(figures.value.spring),
                  drop: size(figures.value.drop),
                  projection: size(figures.value.projection),
                },
              )}
            </Text>
          )
        )}
      </Stack>
      <div style={{ flex: '0 1 200px' }}>
        {shown && <DrawingSvg drawing={crownSection(shown, unit)} height={130} margin={14} caption={false} />}
      </div>
    </Group>
  );
}
