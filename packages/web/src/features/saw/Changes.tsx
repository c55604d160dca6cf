import { Button, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { formatLength, formatWithUnit, type ChangedPiece, type Unit } from '@long-miter/core';

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
    ? `${formatWithUnit(piece.near, unit)} → ${formatWithUnit(now.near, unit)}${turned ? ', other ends' : ''}`
    : 'is not planned any more';
  switch (piece.state) {
    case 'held':
    case 'ready':
      return `${piece.tag}: ${figures}; not cut yet`;
    case 'in-hand':
      return `${piece.tag} is in hand: ${figures}. Put it down, or finish it as shown`;
    case 'cut':
    case 'fitted':
      return `${piece.tag} is cut: ${figures}. ${
        !now || turned ? 'See whether it still fits' : longer < 0 ? `Trim ${by} off it` : `It is ${by} short`
      }; else send it again on the Hang page`;
    default:
      return `${piece.tag} is fixed: ${figures}; look at its joints`;
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
          Stop: the wall of {one.piece.tag} was changed, {said(one, unit)}.
        </Text>
      ))}
      <Group gap={8}>
        <Text fw={600} style={{ color: 'var(--lm-assumed)' }}>
          ▲ {changed.length} {changed.length === 1 ? 'piece is' : 'pieces are'} planned otherwise since it was
          given.
        </Text>
        <Button size="compact-md" variant="default" onClick={() => setOpen(!open)}>
          {open ? 'Hide' : 'Show'} {changed.length === 1 ? 'it' : 'them'}
        </Button>
        <Button size="compact-md" variant="default" onClick={onGive}>
          Give it anew
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
