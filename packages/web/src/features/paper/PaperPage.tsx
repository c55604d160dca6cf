import { Button, Group, NativeSelect, Stack, Text, Title } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { pieceLabels, stickLabels, type JobFile, type JobRecord, type WoodLabel } from '@long-miter/core';
import { useShop } from '../../session/shop/shop.ts';
import { usePrinting } from '../../shared/hooks/use-printing.ts';
import { CutSheets, HandoverSheet, HangSheets } from './Sheets.tsx';
import { LABEL_SIZES, Labels, pageOf } from './Labels.tsx';
import { Ticked } from './Ticked.tsx';
import { language } from '../../messages/language.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly roomId: string | undefined;
}

const KINDS = [
  { value: 'cut', label: defineMessage('cut sheets, by stick') },
  { value: 'hang', label: defineMessage('hang sheets, by wall') },
  { value: 'pieces', label: defineMessage('labels for pieces') },
  { value: 'sticks', label: defineMessage('labels for sticks and rack') },
  { value: 'handover', label: defineMessage('handover sheet') },
  { value: 'ticked', label: defineMessage('enter what was ticked on paper') },
] as const;
type Kind = (typeof KINDS)[number]['value'];

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Paper of what was given to the saw: sheets and labels as they are printed, and what was ticked on them, entered afterwards. */
export function PaperPage({ job, file, roomId }: Props) {
  const session = useShop(job.id, file, 'saw');
  const { shop } = session;
  const printing = usePrinting();
  const [kind, setKind] = useState<Kind>('cut');
  const [sizeKey, setSize] = useState(LABEL_SIZES[0]!.key);
  const [everywhere, setEverywhere] = useState(true);
  const [now] = useState(() => new Date());
  const size = LABEL_SIZES.find((one) => one.key === sizeKey) ?? LABEL_SIZES[0]!;
  const room = everywhere ? undefined : roomId;
  const addressOf = (opens: NonNullable<WoodLabel['opens']>): string =>
    `${window.location.origin}/jobs/${job.id}/hang/${encodeURIComponent(opens.room)}?piece=${encodeURIComponent(opens.tag)}`;
  if (!shop?.issue)
    return (
      <main className="work no-print" style={{ display: 'block', padding: 16 }}>
        <Text>
          {session.loading
            ? t('The shop log is being fetched.')
            : t(
                'Nothing has been given to the saw yet: paper is of what was given. What is only planned is printed from Saw as it stands.',
              )}
        </Text>
      </main>
    );
  const head = t('Revision {revision} · {when}', {
    revision: shop.issue.revision,
    when: now.toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short' }),
  });
  const labels = kind === 'pieces' ? pieceLabels(file, shop, room) : stickLabels(file, shop);
  const isLabels = kind === 'pieces' || kind === 'sticks';
  const sheet: Readonly<Record<Kind, () => ReactNode>> = {
    cut: () => <CutSheets file={file} shop={shop} head={head} />,
    hang: () => <HangSheets file={file} shop={shop} head={head} room={room} />,
    pieces: () => <Labels labels={labels} size={size} addressOf={addressOf} />,
    sticks: () => <Labels labels={labels} size={size} addressOf={addressOf} />,
    handover: () => <HandoverSheet file={file} shop={shop} head={head} />,
    ticked: () => null,
  };
  return (
    <main className="paper-page no-print">
      <section className="panel" style={{ padding: 16 }} aria-label={t('What to print')}>
        <Stack gap={12}>
          <Title order={2} size="h3">
            {t('Paper')}
          </Title>
          <NativeSelect
            label={t('what')}
            size="md"
            value={kind}
            data={KINDS.map(({ value, label }) => ({ value, label: t(label) }))}
            onChange={(event) => setKind(event.currentTarget.value as Kind)}
          />
          {isLabels && (
            <NativeSelect
              label={t('on')}
              size="md"
              value={sizeKey}
              data={LABEL_SIZES.map(({ key, name }) => ({ value: key, label: name }))}
              onChange={(event) => setSize(event.currentTarget.value)}
            />
          )}
          {(kind === 'pieces' || kind === 'hang') && file.rooms.length > 1 && (
            <NativeSelect
              label={t('of')}
              size="md"
              value={everywhere ? 'all' : 'room'}
              data={[
                { value: 'all', label: t('all rooms') },
                { value: 'room', label: file.rooms.find((one) => one.id === roomId)?.name ?? t('this room') },
              ]}
              onChange={(event) => setEverywhere(event.currentTarget.value === 'all')}
            />
          )}
          {kind === 'pieces' && LOOPBACK.has(window.location.hostname) && (
            <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
              {t(
                '▲ The codes open {origin}, which is this machine only. Open this page by the address that phones use before you print.',
                { origin: window.location.origin },
              )}
            </Text>
          )}
          {isLabels && <Text size="sm">{t('{count} labels', { count: labels.length })}</Text>}
          {kind !== 'ticked' && (
            <Group>
              <Button
                size="md"
                leftSection={<IconPrinter />}
                disabled={isLabels && labels.length === 0}
                onClick={() => window.print()}
              >
                {t('Print')}
              </Button>
            </Group>
          )}
        </Stack>
      </section>
      <section
        className="panel scroll"
        aria-label={t('As it is printed')}
        tabIndex={0}
        style={{ padding: 16 }}
      >
        {kind === 'ticked' ? (
          <Ticked file={file} shop={shop} session={session} />
        ) : isLabels && labels.length === 0 ? (
          <Text>
            {kind === 'pieces'
              ? t('Every piece is fixed.')
              : t('No stick is opened and nothing is on the rack.')}
          </Text>
        ) : (
          <div className="sheet-preview">{sheet[kind]()}</div>
        )}
      </section>
      {printing &&
        kind !== 'ticked' &&
        createPortal(
          <div className="only-print">
            {isLabels && <style>{pageOf(size)}</style>}
            {sheet[kind]()}
          </div>,
          document.body,
        )}
    </main>
  );
}
