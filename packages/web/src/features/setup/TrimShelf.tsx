import { Badge, Button, Group, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import {
  formatWithUnit,
  traitsOf,
  type Drawing,
  type KeptTrim,
  type LibraryTrim,
  type Profile,
  type Unit,
} from '@long-miter/core';
import { errorOf, useLibraryTrimsQuery } from '../../api/api.ts';
import { Painted } from '../../drawing/Painted.tsx';
import { useDropTrimMutation, useKeepTrimMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { finishWord, materialWord, trimWord } from '../../shared/text/code-words.ts';
import { dayText } from '../../messages/days.ts';
import { moneyText } from '../../messages/money.ts';
import { t } from '../../messages/t.ts';

const say = (done: { error?: unknown }): void => {
  if (done.error !== undefined) notifications.show({ color: 'red', message: errorOf(done.error).detail });
};

/** The block that a trim is cut from, as it stands on its wall: face upright, thickness to the right. */
function faceOf({ name, width, thickness }: Profile, unit: Unit): Drawing {
  return {
    title: t('{name}: face {width}, thickness {thickness}', {
      name,
      width: formatWithUnit(width, unit),
      thickness: formatWithUnit(thickness, unit),
    }),
    frame: { min: { x: 0, y: 0 }, max: { x: Math.max(thickness, width / 4), y: width } },
    shapes: [
      {
        kind: 'area',
        role: 'wood',
        points: [
          { x: 0, y: 0 },
          { x: thickness, y: 0 },
          { x: thickness, y: width },
          { x: 0, y: width },
        ],
      },
    ],
  };
}

/** Points of the page for an inch and for a millimetre: all faces of the shelf to one scale. */
const SCALE = { in: 15, mm: 15 / 25.4 } as const;

/** The trims of the Library: faces to one scale, lengths with prices, where those are from and of when. */
export function TrimShelf() {
  const { data: trims, error } = useLibraryTrimsQuery();
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        {t('The trims cannot be shown: {detail}.', { detail: errorOf(error).detail })}
      </Text>
    );
  if (!trims) return null;
  if (trims.length === 0)
    return (
      <Text c="dimmed">
        {t(
          'No trim is kept yet. In a job’s set-up choose “Keep in the Library” beside a profile: its figures and its lines of stock are then there for every job.',
        )}
      </Text>
    );
  return trims.map((one) => <Card key={one.id} trim={one} />);
}

function Card({ trim }: { readonly trim: KeptTrim }) {
  const { profile, unit, lines, coin, source, pricedOn, confirmed } = trim;
  const [keep, { isLoading }] = useKeepTrimMutation();
  const [drop] = useDropTrimMutation();
  const notLead = useWhyNot('lead') !== undefined;
  const [from, setFrom] = useState<string>();
  const { keptAt: _kept, ...own } = trim;
  const change = (more: Partial<LibraryTrim>): void => void keep({ ...own, ...more }).then(say);
  const remove = async (): Promise<void> => {
    const done = await drop(trim.id);
    if ('error' in done) return say(done);
    undoNotice(
      t('{name} is out of the Library; jobs keep theirs', { name: profile.name }),
      () => void keep(own),
    );
  };
  const height = Math.max(36, profile.width * SCALE[unit]);
  const money = { currency: coin.currency, digits: coin.digits };
  return (
    <section className="panel" aria-label={profile.name} style={{ padding: '10px 14px' }}>
      <Group gap={18} align="flex-start">
        <div style={{ flex: '0 0 60px' }}>
          <Painted drawing={faceOf(profile, unit)} width={60} height={height} margin={1} still />
        </div>
        <Stack gap={2} style={{ flex: 1, minWidth: 190 }}>
          <Group gap={8}>
            <Title order={2} size="h4">
              {profile.name}
            </Title>
            {!confirmed && (
              <Badge variant="outline" color="dark" title={t('Nobody has said that these figures are right')}>
                {t('example')}
              </Badge>
            )}
          </Group>
          <Text>
            <Typeset
              text={t('{use} · face {width} · {thickness} thick{sprung} · {material}, {finish}', {
                use: trimWord(profile.use),
                width: formatWithUnit(profile.width, unit),
                thickness: formatWithUnit(profile.thickness, unit),
                sprung:
                  traitsOf(profile).sprung && profile.springAngle !== undefined
                    ? t(' · spring {springAngle}°', { springAngle: profile.springAngle })
                    : '',
                material: materialWord(profile.material),
                finish: finishWord(profile.finish),
              })}
            />
          </Text>
          {lines.length === 0 ? (
            <Text c="dimmed">{t('No length of it is kept.')}</Text>
          ) : (
            <Table
              verticalSpacing={1}
              aria-label={t('Lengths of {name}', { name: profile.name })}
              style={{ width: 'auto' }}
            >
              <Table.Tbody>
                <Table.Tr>
                  {lines.map((line) => (
                    <Table.Td key={line.length} pl={0} pr={22}>
                      <b>
                        <Typeset text={formatWithUnit(line.length, unit)} />
                      </b>
                      <br />
                      {moneyText(line.price, money)}
                    </Table.Td>
                  ))}
                </Table.Tr>
              </Table.Tbody>
            </Table>
          )}
          <Text size="sm" c="dimmed">
            {t('prices{source}{pricedOn}', {
              source: source === '' ? '' : t(' of {source}', { source }),
              pricedOn: pricedOn === undefined ? t(', of a day nobody has noted') : `, ${dayText(pricedOn)}`,
            })}
          </Text>
        </Stack>
        {!notLead && (
          <Stack gap={6} style={{ flex: '0 0 190px' }}>
            {!confirmed && (
              <Button size="compact-md" loading={isLoading} onClick={() => change({ confirmed: true })}>
                {t('These figures are right')}
              </Button>
            )}
            {from === undefined ? (
              <Button size="compact-md" variant="default" onClick={() => setFrom(source)}>
                {t('Whose prices')}
              </Button>
            ) : (
              <TextInput
                autoFocus
                aria-label={t('Whose prices those of {name} are', { name: profile.name })}
                value={from}
                onChange={(event) => setFrom(event.currentTarget.value)}
                onKeyDown={(event) => {
                  if (event.key === 'Escape') setFrom(undefined);
                  if (event.key !== 'Enter') return;
                  change({ source: from.trim().slice(0, 120) });
                  setFrom(undefined);
                }}
                onBlur={() => {
                  if (from.trim() !== source) change({ source: from.trim().slice(0, 120) });
                  setFrom(undefined);
                }}
              />
            )}
            <Button
              size="compact-md"
              variant="default"
              aria-label={t('Take {name} out of the Library', { name: profile.name })}
              onClick={() => void remove()}
            >
              {t('Take out')}
            </Button>
          </Stack>
        )}
      </Group>
    </section>
  );
}
