import { formatLength, parseLength, parsePosition, type Issue, type Unit } from '@long-miter/core';
import { CommitField } from '../../shared/CommitField.tsx';

interface Props {
  readonly label: string;
  readonly unit: Unit;
  readonly value: number;
  readonly typed: string | undefined;
  /** Positions may be 0, lengths may not. */
  readonly position?: boolean;
  readonly onLength: (value: number, typed: string) => readonly Issue[];
  readonly onFocus?: () => void;
  readonly showLabel?: boolean;
  readonly walk?: boolean;
}

/** A field for one length: takes what people write, keeps it as typed. */
export function LengthField({
  label,
  unit,
  value,
  typed,
  position = false,
  onLength,
  onFocus,
  showLabel = false,
  walk = false,
}: Props) {
  const read = position ? parsePosition : (text: string) => parseLength(text, unit);
  return (
    <CommitField
      size="sm"
      aria-label={label}
      {...(showLabel ? { label } : {})}
      {...(walk ? { 'data-walk': '' } : {})}
      inputMode="text"
      text={typed ?? formatLength(value, unit, { inchParts: 32 })}
      {...(onFocus ? { onFocus } : {})}
      onCommit={(text) => {
        const reading = read(text, unit);
        if (!reading.ok) return reading.issues[0].text;
        return onLength(reading.value.value, reading.value.typed)[0]?.text;
      }}
    />
  );
}
