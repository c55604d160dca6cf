import { Badge, Button, Group, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import {
  formatMoney,
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
import { Typeset } from '../../shared/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';

const say = (done: { error?: unknown }): void => {
  if (done.error !== undefined) notifications.show({ color: 'red', message: errorOf(done.error).detail });
};

/** The block that a trim is cut from, as it stands on its wall: face upright, thickness to the right. */
function faceOf({ name, width, thickness }: Profile, unit: Unit): Drawing {
  return {
    title: `${name}: face ${formatWithUnit(width, unit)}, thickness ${formatWithUnit(thickness, unit)}`,
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

const USE: Partial<Record<Profile['use'], string>> = {
  'chair-rail': 'chair rail',
  'picture-rail': 'picture rail',
  'back-band': 'back band',
};

/** The trims of the Library: faces to one scale, lengths with prices, where those are from and of when. */
export function TrimShelf() {
  const { data: trims, error } = useLibraryTrimsQuery();
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        The trims cannot be shown: {errorOf(error).detail}.
      </Text>
    );
  if (!trims) return null;
  if (trims.length === 0)
    return (
      <Text c="dimmed">
        No trim is kept yet. In a job’s set-up choose “Keep in the Library” beside a profile: its figures and
        its lines of stock are then there for every job.
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
    undoNotice(`${profile.name} is out of the Library; jobs keep theirs`, () => void keep(own));
  };
  const height = Math.max(36, profile.width * SCALE[unit]);
  const money = { currency: coin.currency, digits: coin.digits };
  return (
    <section className="panel" aria-label={profile.name} style={{ padding: '10px 14px' }}>
      <Group gap={18} wrap="nowrap" align="flex-start">
        <div style={{ flex: '0 0 60px' }}>
          <Painted drawing={faceOf(profile, unit)} width={60} height={height} margin={1} still />
        </div>
        <Stack gap={2} style={{ flex: 1, minWidth: 0 }}>
          <Group gap={8}>
            <Title order={2} size="h4">
              {profile.name}
            </Title>
            {!confirmed && (
              <Badge variant="outline" color="dark" title="Nobody has said that these figures are right">
                example
              </Badge>
            )}
          </Group>
          <Text>
            <Typeset
              text={`${USE[profile.use] ?? profile.use} · face ${formatWithUnit(profile.width, unit)} · ${formatWithUnit(profile.thickness, unit)} thick${traitsOf(profile).sprung && profile.springAngle !== undefined ? ` · spring ${profile.springAngle}°` : ''} · ${profile.material}, ${profile.finish}`}
            />
          </Text>
          {lines.length === 0 ? (
            <Text c="dimmed">No length of it is kept.</Text>
          ) : (
            <Table verticalSpacing={1} aria-label={`Lengths of ${profile.name}`} style={{ width: 'auto' }}>
              <Table.Tbody>
                <Table.Tr>
                  {lines.map((line) => (
                    <Table.Td key={line.length} pl={0} pr={22}>
                      <b>
                        <Typeset text={formatWithUnit(line.length, unit)} />
                      </b>
                      <br />
                      {formatMoney(line.price, money)}
                    </Table.Td>
                  ))}
                </Table.Tr>
              </Table.Tbody>
            </Table>
          )}
          <Text size="sm" c="dimmed">
            prices{source === '' ? '' : ` of ${source}`}
            {pricedOn === undefined ? ', of a day nobody has noted' : `, ${pricedOn}`}
          </Text>
        </Stack>
        {!notLead && (
          <Stack gap={6} style={{ flex: '0 0 190px' }}>
            {!confirmed && (
              <Button size="compact-md" loading={isLoading} onClick={() => change({ confirmed: true })}>
                These figures are right
              </Button>
            )}
            {from === undefined ? (
              <Button size="compact-md" variant="default" onClick={() => setFrom(source)}>
                Whose prices
              </Button>
            ) : (
              <TextInput
                autoFocus
                aria-label={`Whose prices those of ${profile.name} are`}
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
              aria-label={`Take ${profile.name} out of the Library`}
              onClick={() => void remove()}
            >
              Take out
            </Button>
          </Stack>
        )}
      </Group>
    </section>
  );
}
