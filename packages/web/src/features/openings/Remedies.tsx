import { Button, Group } from '@mantine/core';
import { formatLength, type Clearance, type JobRecord, type Opening } from '@long-miter/core';
import { t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

/** The ways out that one click takes, on this opening alone. */
export function Remedies(props: {
  clash: Clearance;
  unit: JobRecord['unit'];
  opening: Opening;
  /** Of two openings in each other's way, whether this is the left one. */
  first: boolean;
  onTake: (change: Partial<Opening>) => void;
}) {
  const { clash, unit, opening, first, onTake } = props;
  const size = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  const side = clash.names.length > 1 ? (first ? 'right' : 'left') : clash.at;
  return (
    <Group gap={6} my={3}>
      {clash.rip !== undefined && side !== undefined && (
        <Button
          size="compact-xs"
          variant="default"
          onClick={() =>
            onTake({
              kit: {
                ...opening.kit,
                ...(side === 'left' ? { ripLeft: clash.rip } : { ripRight: clash.rip }),
              },
            })
          }
        >
          {t('Rip its {side} leg to {size}', { side: sideWord(side), size: size(clash.rip) })}
        </Button>
      )}
      {clash.reveal !== undefined && (
        <Button size="compact-xs" variant="default" onClick={() => onTake({ reveal: clash.reveal! })}>
          {t('Reveal {size}', { size: size(clash.reveal) })}
        </Button>
      )}
      {clash.horn !== undefined && clash.horn >= 0 && side !== undefined && (
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => onTake(side === 'left' ? { hornLeft: clash.horn! } : { hornRight: clash.horn! })}
        >
          {t('Horn {size}', { size: size(clash.horn) })}
        </Button>
      )}
    </Group>
  );
}
