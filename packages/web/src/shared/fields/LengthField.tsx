import { formatLength, parseLength, parsePosition, type Issue, type Unit } from '@long-miter/core';
import { CommitField } from './CommitField.tsx';
import { translate } from '../../messages/t.ts';

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
  /** What the tape was held at; taken off what is typed. */
  readonly offset?: number;
}

const LENGTHS = ['length'] as const;

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
  offset = 0,
}: Props) {
  const read = position ? parsePosition : (text: string) => parseLength(text, unit, offset);
  return (
    <CommitField
      size="sm"
      aria-label={label}
      {...(showLabel ? { label } : {})}
      {...(walk ? { 'data-walk': '', takes: LENGTHS } : {})}
      inputMode="text"
      text={typed ?? formatLength(value, unit, { inchParts: 32 })}
      {...(onFocus ? { onFocus } : {})}
      onCommit={(text) => {
        const reading = read(text, unit);
        if (!reading.ok) return translate(reading.issues[0].text);
        const { value: length, typed: as } = reading.value;
        // From a mark the tape's text is not the length: the length itself is what is shown.
        return onLength(length, offset === 0 ? as : formatLength(length, unit, { inchParts: 32 }))[0]?.text;
      }}
    />
  );
}
