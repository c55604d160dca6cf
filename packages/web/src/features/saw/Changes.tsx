import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { formatLength, formatWithUnit, type ChangedPiece, type Unit } from '@long-miter/core';
import { t } from '../../messages/t.ts';

interface Props {
  readonly changed: readonly ChangedPiece[];
  readonly unit: Unit;
  /** Leads to giving it anew. */
  readonly onGive: () => void;
}

/** What of a piece is otherwise, and what that means for it where it is now. */
function said({ piece, now, longer, turned }: ChangedPiece, unit: Unit): string {
  const by = formatLength(Math.abs(longer), unit, { inchParts: 32 });
  const figures = now
    ? `${formatWithUnit(piece.near, unit)} → ${formatWithUnit(now.near, unit)}${turned ? t(', other ends') : ''}`
    : t('is not planned any more');
  switch (piece.state) {
    case 'held':
    case 'ready':
      return t('{tag}: {figures}; not cut yet', { tag: piece.tag, figures });
    case 'in-hand':
      return t('{tag} is in hand: {figures}. Put it down, or finish it as shown', {
        tag: piece.tag,
        figures,
      });
    case 'cut':
    case 'fitted':
      return t('{tag} is cut: {figures}. {longer}; else send it again on the Hang page', {
        tag: piece.tag,
        figures,
        longer:
          !now || turned
            ? t('See whether it still fits')
            : longer < 0
              ? t('Trim {by} off it', { by })
              : t('It is {by} short', { by }),
      });
    default:
      return t('{tag} is fixed: {figures}; look at its joints', { tag: piece.tag, figures });
  }
}

/** Says what is planned otherwise than it was given. Nothing changes at the saw before it is given anew. */
export function Changes({ changed, unit, onGive }: Props) {
  const [open, setOpen] = useState(false);
  if (changed.length === 0) return null;
  const inHand = changed.filter((one) => one.piece.state === 'in-hand');
  return (
    <Stack gap={4} px={8} role="status">
      {inHand.map((one) => (
        <Text key={one.piece.tag} fw={700} px={10} py={6} className="stop-band">
          {t('Stop: the wall of {tag} was changed, {said}.', { tag: one.piece.tag, said: said(one, unit) })}
        </Text>
      ))}
      <Group gap={8}>
        <Text fw={600} style={{ color: 'var(--lm-assumed)' }}>
          {t('▲ {count} pieces are planned otherwise since it was given.', { count: changed.length })}
        </Text>
        <Button size="compact-md" variant="default" onClick={() => setOpen(!open)}>
          {open ? t('Hide them', { count: changed.length }) : t('Show them', { count: changed.length })}
        </Button>
        <Button size="compact-md" variant="default" onClick={onGive}>
          {t('Give it anew')}
        </Button>
      </Group>
      {open &&
        changed.map((one) => (
          <Text key={one.piece.tag} size="sm">
            {said(one, unit)}
          </Text>
        ))}
    </Stack>
  );
}
