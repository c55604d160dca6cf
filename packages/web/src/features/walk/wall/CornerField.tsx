import { NativeSelect, Text } from '@mantine/core';
import { memo, useState } from 'react';
import type { Corner, Issue, Unit } from '@long-miter/core';
import { CommitField } from '../../../shared/fields/CommitField.tsx';
import {
  derivedText,
  readingKindOf,
  READING_KINDS,
  readReading,
  textOf,
  type ReadingKind,
} from '../readings.ts';
import { translate, t, translateIfAny } from '../../../messages/t.ts';

interface Props {
  readonly number: number;
  readonly unit: Unit;
  readonly corner: Corner;
  readonly typed: string | undefined;
  readonly onReading: (reading: Corner['reading'], typed: string) => readonly Issue[];
  readonly onFocus: () => void;
}

const ANGLES = ['angle'] as const;

/** The corner after a wall: what was read, how, and the wall angle it comes to. */
export const CornerField = memo(function CornerField({
  number,
  unit,
  corner,
  typed,
  onReading,
  onFocus,
}: Props) {
  const stored = readingKindOf(corner.reading);
  // A kind chosen before its figure is typed; the stored reading stays until there is a good one.
  const [chosen, setChosen] = useState<ReadingKind>();
  const kind = chosen ?? stored;
  const assumed = corner.reading.as === 'assumed';
  const take = (text: string, as: ReadingKind): string | undefined => {
    const reading = readReading(as, text, unit);
    if (!reading.ok) return translate(reading.issues[0].text);
    const fault = onReading(reading.value, text.trim())[0]?.text;
    if (fault === undefined) setChosen(undefined);
    return translateIfAny(fault);
  };
  return (
    <>
      <CommitField
        size="sm"
        data-walk=""
        takes={ANGLES}
        aria-label={t('Corner after wall {number}', { number })}
        placeholder={assumed ? '90 ?' : ''}
        text={assumed ? '' : (typed ?? textOf(corner.reading))}
        onFocus={onFocus}
        onCommit={(text) =>
          text.trim() === '' ? take('', 'assumed') : take(text, kind === 'assumed' ? 'wall-angle' : kind)
        }
      />
      <div className="more">
        <NativeSelect
          size="xs"
          aria-label={t('How corner {number} was read', { number })}
          data={READING_KINDS.map(({ value, label }) => ({ value, label: t(label) }))}
          value={kind}
          onChange={(event) => {
            const next = event.currentTarget.value as ReadingKind;
            setChosen(next);
            take(assumed ? '' : (typed ?? textOf(corner.reading)), next);
          }}
        />
        <Text size="xs" c={assumed ? 'var(--lm-assumed)' : 'dimmed'} mt={2}>
          {chosen !== undefined && chosen !== stored
            ? t('write the figure')
            : assumed
              ? t('90° assumed, not measured')
              : derivedText(corner)}
        </Text>
      </div>
    </>
  );
});
