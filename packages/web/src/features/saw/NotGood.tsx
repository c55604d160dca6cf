import { Button, Group, Modal, Stack, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import {
  formatLength,
  formatWithUnit,
  parseLength,
  reusableFor,
  type MISCUTS,
  type Shop,
  type ShopPiece,
  type Unit,
} from '@long-miter/core';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import type { ShopSession } from '../../session/shop/shop.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { translate, t } from '../../messages/t.ts';

type What = (typeof MISCUTS)[number];

const WHATS: readonly { readonly what: What; readonly label: string }[] = [
  { what: 'short', label: defineMessage('Too short') },
  { what: 'slant', label: defineMessage('Wrong slant') },
  { what: 'damaged', label: defineMessage('Damaged') },
  { what: 'wrong-stick', label: defineMessage('Wrong stick') },
];

interface Props {
  readonly shop: Shop;
  readonly unit: Unit;
  /** Pieces that may be said to be spoilt: in hand, or cut from the stick at hand; the likeliest first. */
  readonly pieces: readonly ShopPiece[];
  readonly session: ShopSession;
  readonly onClose: () => void;
}

/** A piece that came out wrong: what is wrong, how much of it is good, and what becomes of its wood. */
export function NotGood({ shop, unit, pieces, session, onClose }: Props) {
  const [tag, setTag] = useState(pieces[0]?.tag);
  const [what, setWhat] = useState<What>();
  const [usable, setUsable] = useState<number>();
  const [saying, setSaying] = useState(false);
  const piece = shop.pieces.find((one) => one.tag === tag) ?? pieces[0];
  const reused = piece?.state === 'reused';
  useEffect(() => {
    if (reused) onClose();
  }, [reused, onClose]);
  if (!piece) return null;
  // Only what is noted is said: until then the cut behind is still the one of this piece.
  const isNoted = piece.state === 'spoilt' || reused;
  const good = usable ?? (what === 'short' ? undefined : 0);
  const note = (): void => {
    const noted = session.note({
      kind: 'miscut',
      tag: piece.tag,
      what,
      ...(usable === undefined ? {} : { usable }),
    });
    if (noted) setSaying(true);
  };
  const again = shop.pieces.findLast((one) => one.stem === piece.stem);
  const offers = isNoted && usable !== undefined ? reusableFor(shop, piece, usable).slice(0, 4) : [];
  return (
    <Modal opened onClose={onClose} size="lg" title={<Text fw={650}>{t('Not good')}</Text>}>
      {isNoted ? (
        <Stack gap={12}>
          <Text fz={22} fw={650}>
            {t('Write ✕ on {tag}.', { tag: piece.tag })}
          </Text>
          <Text>
            {again && again.tag !== piece.tag
              ? t('It is cut again as {tag}, {near}: that number goes on the new piece.', {
                  tag: again.tag,
                  near: formatWithUnit(again.near, unit),
                })
              : ''}
          </Text>
          {offers.length > 0 && (
            <Stack gap={6}>
              <Text fw={650}>{t('Its wood would do for')}</Text>
              {offers.map((one) => (
                <Button
                  key={one.tag}
                  size="md"
                  variant="default"
                  onClick={() => session.note({ kind: 'piece-reused', tag: piece.tag, as: one.tag })}
                >
                  {t('{tag}, {near}: cut it from this', {
                    tag: one.tag,
                    near: formatWithUnit(one.near, unit),
                  })}
                </Button>
              ))}
            </Stack>
          )}
          <Group>
            <Button size="md" onClick={onClose}>
              {offers.length > 0 ? t('None of these: go on') : t('Go on')}
            </Button>
          </Group>
        </Stack>
      ) : (
        <Stack gap={12}>
          {pieces.length > 1 && (
            <Group gap={6}>
              {pieces.slice(0, 6).map((one) => (
                <Button
                  key={one.tag}
                  size="compact-md"
                  variant={one.tag === piece.tag ? 'filled' : 'default'}
                  onClick={() => setTag(one.tag)}
                >
                  {one.tag}
                </Button>
              ))}
            </Group>
          )}
          <Text>{t('What is wrong with {tag}?', { tag: piece.tag })}</Text>
          <Group gap={8} grow>
            {WHATS.map((one) => (
              <Button
                key={one.what}
                size="lg"
                px={6}
                variant={what === one.what ? 'filled' : 'default'}
                onClick={() => setWhat(one.what)}
              >
                {t(one.label)}
              </Button>
            ))}
          </Group>
          {what !== undefined && (
            <CommitField
              size="md"
              label={
                what === 'short' ? t('how long it is now, along its back') : t('how much of it is still good')
              }
              placeholder={what === 'short' ? t('measure it') : t('nothing')}
              text={usable === undefined ? '' : formatLength(usable, unit, { inchParts: 32 })}
              onCommit={(text) => {
                if (text.trim() === '') return void setUsable(undefined);
                const read = parseLength(text, unit);
                if (!read.ok) return translate(read.issues[0].text);
                setUsable(read.value.value);
                return undefined;
              }}
            />
          )}
          <Group>
            <Button
              size="lg"
              color="red"
              loading={saying}
              disabled={what === undefined || good === undefined}
              onClick={note}
            >
              {t('It is spoilt')}
            </Button>
            <Button size="lg" variant="default" onClick={onClose}>
              {t('It is good after all')}
            </Button>
          </Group>
        </Stack>
      )}
    </Modal>
  );
}
