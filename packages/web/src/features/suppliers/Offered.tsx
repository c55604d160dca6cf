import { Button, Checkbox, Group, Stack, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import {
  atPricesOf,
  trimDifference,
  type KeptTrim,
  type LibraryPrices,
  type LibraryTrim,
  type Supplier,
  wordsKey,
} from '@long-miter/core';
import { errorOf, useLibraryTrimsQuery } from '../../api/api.ts';
import { useKeepTrimMutation } from '../../session/commands-api.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { language } from '../../messages/language.ts';
import { dayHere } from '../../messages/days.ts';
import { t, translate } from '../../messages/t.ts';

interface Props {
  readonly supplier: Supplier;
  readonly offer: LibraryPrices;
  readonly onDone: () => void;
}

const plain = ({ keptAt: _kept, ...trim }: KeptTrim): LibraryTrim => trim;

/** What a supplier asks for the trims of the Library, beside what stands there; nothing is taken before one says so. */
export function Offered({ supplier, offer, onDone }: Props) {
  const { data: trims = [] } = useLibraryTrimsQuery();
  const [keep, { isLoading }] = useKeepTrimMutation();
  const [fault, setFault] = useState<string>();
  // Trims that stay as they are in the Library.
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const day = dayHere(new Date(offer.askedAt));
  const offered = trims.flatMap((kept) => {
    const before = plain(kept);
    const after = atPricesOf(before, supplier.name, offer.lines, day);
    return after ? [{ before, after, otherwise: trimDifference(before, after) }] : [];
  });
  const changed = offered.filter((one) => one.otherwise.length > 0);
  const unsold = trims.length - offered.length;
  /** Why it could not be, or nothing. */
  const keepAll = async (all: readonly LibraryTrim[]): Promise<string | undefined> => {
    for (const one of all) {
      const done = await keep(one);
      if ('error' in done) return errorOf(done.error).detail;
    }
    return undefined;
  };
  const take = async (): Promise<void> => {
    const taken = offered.filter((one) => !left.has(one.before.id));
    const before = taken.map((one) => one.before);
    const wrong = await keepAll(taken.map((one) => one.after));
    setFault(wrong);
    if (wrong !== undefined) return;
    undoNotice(
      t('The Library has the prices of {name}; jobs keep theirs', { name: supplier.name }),
      async () => {
        const wrong = await keepAll(before);
        // The card is gone by then.
        if (wrong !== undefined) notifications.show({ color: 'red', message: wrong });
      },
    );
    onDone();
  };
  return (
    <Stack gap={6} mt={10}>
      <Text>
        {t('Asked {when}.', {
          when: new Date(offer.askedAt).toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short' }),
        })}{' '}
        {changed.length === 0 &&
          offered.length > 0 &&
          t('Every trim sold there costs what the Library says.')}
        {offered.length === 0 && t('None of our trims is sold there.')}
        {offered.length > 0 && unsold > 0 && ` ${t('{count} trims are not sold there.', { count: unsold })}`}
      </Text>
      {changed.map(({ before, otherwise }) => (
        <div key={before.id}>
          <Checkbox
            size="md"
            label={<b>{before.profile.name}</b>}
            checked={!left.has(before.id)}
            onChange={() =>
              setLeft((now) => {
                const next = new Set(now);
                if (!next.delete(before.id)) next.add(before.id);
                return next;
              })
            }
          />
          <Group component="ul" className="price-changes">
            {otherwise.map((text) => (
              <li key={wordsKey(text)}>
                <Typeset text={translate(text)} />
              </li>
            ))}
          </Group>
        </div>
      ))}
      {fault !== undefined && (
        <Text role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
          {fault}
        </Text>
      )}
      <Group gap={6}>
        {offered.length > 0 && (
          <Button loading={isLoading} disabled={left.size === offered.length} onClick={() => void take()}>
            {changed.length > 0
              ? t('Take these prices into the Library')
              : t('Note in the Library that they hold today')}
          </Button>
        )}
        <Button variant="default" onClick={onDone}>
          {t('Leave them')}
        </Button>
      </Group>
    </Stack>
  );
}
