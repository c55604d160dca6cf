import { Button, Group, Slider, Stack, Text, Title } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  formatWithUnit,
  crownHanging,
  glueUp,
  hangList,
  hangNotes,
  planDrawing,
  whatJointsTell,
  type HangLine,
  type JobFile,
  type JobRecord,
  type Piece,
  type Room,
  type Shop,
  type ShopPiece,
  wordsKey,
  isOfEnd,
} from '@long-miter/core';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { useAwake } from '../../session/offline.ts';
import { useShop } from '../../session/shop/shop.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { endText } from '../../shared/text/joint-words.ts';
import { Answers } from './Answers.tsx';
import { Findings } from './Findings.tsx';
import { WaitingPanel } from './WaitingPanel.tsx';
import { LogView } from './LogView.tsx';
import { translate, t } from '../../messages/t.ts';

const STATES: Readonly<Record<ShopPiece['state'], string>> = {
  held: t('waits'),
  ready: t('not cut yet'),
  'in-hand': t('at the saw'),
  cut: t('cut'),
  fitted: t('fitted'),
  fixed: t('fixed'),
  spoilt: t('spoilt'),
  superseded: t('replaced'),
  reused: t('used elsewhere'),
};

/** A square end that is square is square. */

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly roomId: string | undefined;
  readonly room: Room | undefined;
}

/** Hang: piece by piece in its order, what to look for, what the wall says, and what became of it. */
export function HangPage({ job, file, roomId, room }: Props) {
  const session = useShop(job.id, file, 'wall');
  useAwake();
  const { shop } = session;
  const lines = useMemo(() => (shop ? hangList(file, shop, roomId) : []), [file, shop, roomId]);
  const told = useMemo(
    () => shop && whatJointsTell(file, shop, session.log?.events ?? []),
    [file, shop, session.log],
  );
  // The code on a label opens its piece.
  const [asked] = useSearchParams();
  const [picked, setPicked] = useState(asked.get('piece') ?? undefined);
  const [log, setLog] = useState(false);
  // Without a choice the next one that is cut and can go up.
  const next =
    lines.find((one) => one.piece.state === 'cut' && one.before.length === 0) ??
    lines.find((one) => ['cut', 'fitted', 'held'].includes(one.piece.state)) ??
    lines[0];
  const line = lines.find((one) => one.piece.tag === picked) ?? next;
  // The piece in somebody's hands stays on the card, whatever he answers: going on is an act of its own.
  const shown = line?.piece.tag;
  useEffect(() => {
    if (shown !== undefined) setPicked((now) => now ?? shown);
  }, [shown]);
  if (!shop)
    return (
      <main className="work" style={{ display: 'block', padding: 16 }}>
        <Text c="dimmed">{t('The shop log is being fetched.')}</Text>
      </main>
    );
  if (log)
    return <LogView job={job} file={file} session={session} shop={shop} onClose={() => setLog(false)} />;
  if (!line)
    return (
      <main className="work" style={{ display: 'block', padding: 16 }}>
        <Text>
          {t(
            'Nothing of this room has been given to the saw yet. Give it on the Saw page; what is cut comes here.',
          )}
        </Text>
      </main>
    );
  const fixed = lines.filter((one) => one.piece.state === 'fixed').length;
  return (
    <main className="hang-page no-print">
      <section className="panel scroll" aria-label={t('Order of hanging')}>
        <Group justify="space-between" px={8}>
          <Title order={2} size="h4">
            {t('{fixed} of {count} fixed', { fixed, count: lines.length })}
          </Title>
          <Group gap={6}>
            <Button
              size="compact-md"
              variant="default"
              component={Link}
              to={`/jobs/${job.id}/paper/${roomId === undefined ? '' : encodeURIComponent(roomId)}`}
            >
              {t('Paper')}
            </Button>
            <Button size="compact-md" variant="default" onClick={() => setLog(true)}>
              {t('Log')}
            </Button>
          </Group>
        </Group>
        {lines.map((one) => (
          <button
            key={one.piece.tag}
            type="button"
            className="piece-row"
            data-selected={one.piece.tag === line.piece.tag || undefined}
            aria-current={one.piece.tag === line.piece.tag ? 'step' : undefined}
            style={{ gridTemplateColumns: '74px minmax(0,1fr) 120px' }}
            onClick={() => setPicked(one.piece.tag)}
          >
            <b>{one.piece.tag}</b>
            <span>{translate(one.place)}</span>
            <span style={{ textAlign: 'right' }}>{STATES[one.piece.state]}</span>
          </button>
        ))}
        {told && (
          <Findings
            job={job}
            told={{ ...told, findings: told.findings.filter((one) => one.room === roomId) }}
          />
        )}
        <WaitingPanel session={session} where={room?.name ?? job.name} />
      </section>
      <section
        className="panel scroll"
        aria-label={t('Hang {tag}', { tag: line.piece.tag })}
        style={{ padding: 16 }}
      >
        <Card
          key={line.piece.tag}
          line={line}
          file={file}
          shop={shop}
          lines={lines}
          room={room}
          onPick={setPicked}
          unit={job.unit}
        >
          <Answers line={line} file={file} shop={shop} unit={job.unit} session={session} />
          {next && next.piece.tag !== line.piece.tag && (
            <Button variant="light" size="md" onClick={() => setPicked(next.piece.tag)}>
              {t('Next: {tag}, {place}', { tag: next.piece.tag, place: translate(next.place) })}
            </Button>
          )}
        </Card>
      </section>
    </main>
  );
}

function Card({
  line,
  file,
  shop,
  lines,
  room,
  onPick,
  unit,
  children,
}: {
  readonly line: HangLine;
  readonly file: JobFile;
  readonly shop: Shop;
  readonly lines: readonly HangLine[];
  readonly room: Room | undefined;
  readonly onPick: (tag: string) => void;
  readonly unit: JobFile['unit'];
  readonly children: React.ReactNode;
}) {
  const { piece, plan } = line;
  const notes = useMemo(
    () => [
      ...crownHanging(
        file,
        plan,
        lines.map((one) => ({ tag: one.piece.tag, plan: one.plan })),
      ),
      ...hangNotes(file, plan),
    ],
    [file, plan, lines],
  );
  const glued = useMemo(() => glueUp(file, shop, plan), [file, shop, plan]);
  const at = lines.findIndex((one) => one.piece.tag === piece.tag);
  const upTo = useMemo(
    () =>
      lines.slice(0, at + 1).map((one): Piece => ({ ...one.plan, id: one.plan.id, label: one.piece.tag })),
    [lines, at],
  );
  return (
    <Stack gap={10}>
      <Group gap={18} align="baseline">
        <Text fz={56} fw={750} lh={1} data-testid="hang-tag">
          {piece.tag}
        </Text>
        <Text fz={24} fw={600}>
          {translate(line.place)}
        </Text>
        <Text fz={24}>
          {piece.state === 'held' ? t('waits') : <Typeset text={formatWithUnit(piece.near, unit)} />}
        </Text>
      </Group>
      {line.before.length > 0 && (
        <Text fw={650} style={{ color: 'var(--lm-assumed)' }}>
          {t('▲ {before} go up first', { count: line.before.length, before: line.before.join(', ') })}
        </Text>
      )}
      {glued.map((text) => (
        <Text key={wordsKey(text)} fw={600}>
          {translate(text)}
        </Text>
      ))}
      {children}
      <Text>
        {t('Left end {left}, right end {right}.', {
          left: endText(plan.left),
          right: endText(plan.right),
        })}
      </Text>
      {plan.reason
        .filter((text) => !isOfEnd(text))
        .map((text) => (
          <Text key={wordsKey(text)}>{translate(text)}</Text>
        ))}
      {notes.map((text) => (
        <Text key={wordsKey(text)} size="sm">
          {translate(text)}
        </Text>
      ))}
      {room && (
        <>
          <DrawingSvg
            drawing={planDrawing(room, { unit, pieces: upTo })}
            height={230}
            margin={46}
            caption={false}
          />
          <Group gap={10} wrap="nowrap">
            <Text size="sm" style={{ whiteSpace: 'nowrap' }}>
              {t('{at} of {count} up', { at: at + 1, count: lines.length })}
            </Text>
            <Slider
              thumbLabel={t('Step through the hanging')}
              style={{ flex: 1 }}
              min={1}
              max={Math.max(2, lines.length)}
              value={at + 1}
              label={(value) => lines[value - 1]?.piece.tag ?? ''}
              onChange={(value) => {
                const tag = lines[value - 1]?.piece.tag;
                if (tag !== undefined) onPick(tag);
              }}
            />
          </Group>
        </>
      )}
    </Stack>
  );
}
