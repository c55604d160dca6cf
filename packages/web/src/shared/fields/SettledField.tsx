import { TextInput, type TextInputProps } from '@mantine/core';
import { useContext, useState } from 'react';
import {
  formatLength,
  parseLength,
  parseMoney,
  parseNumber,
  parsePosition,
  plainMoney,
  type Coin,
  type NumberLimits,
  type Result,
  type Unit,
} from '@long-miter/core';
import { FieldScope, halfWritten } from './half-written.ts';
import { translate, t } from '../../messages/t.ts';

type Rest = Omit<TextInputProps, 'value' | 'onChange' | 'error' | 'defaultValue' | 'onBlur'>;

interface Props<T> extends Rest {
  /** The text that stands for what is stored. */
  readonly text: string;
  readonly read: (text: string) => Result<T>;
  /** Takes a value that was read; answers why it cannot be, if it cannot. */
  readonly onTake: (value: T) => string | undefined;
}

/**
 * A field whose figure counts when it is left or confirmed with Enter, never while it is typed. What is refused stays there
 * with its reason; a field that was only walked through changes nothing. Escape puts back what is stored.
 */
export function SettledField<T>({ text, read, onTake, ...rest }: Props<T>) {
  const scope = useContext(FieldScope);
  const name = rest['aria-label'] ?? (typeof rest.label === 'string' ? rest.label : '');
  const kept = halfWritten.find(scope, name);
  const [own, setOwn] = useState<string | undefined>(kept);
  const [fault, setFault] = useState<string | undefined>(() => {
    const parsed = kept === undefined ? undefined : read(kept);
    return parsed && !parsed.ok ? translate(parsed.issues[0].text) : undefined;
  });
  const settle = (): void => {
    if (own === undefined) return;
    if (own === text) {
      halfWritten.keep(scope, name, undefined);
      setFault(undefined);
      return setOwn(undefined);
    }
    const parsed = read(own);
    const wrong = parsed.ok ? onTake(parsed.value) : translate(parsed.issues[0].text);
    setFault(wrong);
    halfWritten.keep(scope, name, wrong === undefined ? undefined : own);
    if (wrong === undefined) setOwn(undefined);
  };
  return (
    <TextInput
      autoComplete="off"
      spellCheck={false}
      {...rest}
      value={own ?? text}
      error={fault}
      onChange={(event) => {
        setOwn(event.currentTarget.value);
        setFault(undefined);
        // Until it is left it is half-written, whatever it says.
        halfWritten.keep(scope, name, event.currentTarget.value);
      }}
      onKeyDown={(event) => {
        rest.onKeyDown?.(event);
        if (event.key === 'Enter') {
          event.preventDefault();
          settle();
        }
        if (event.key === 'Escape' && own !== undefined) {
          event.stopPropagation();
          halfWritten.keep(scope, name, undefined);
          setOwn(undefined);
          setFault(undefined);
        }
      }}
      onBlur={settle}
    />
  );
}

/** Money in the job's coin. */
export const MoneyField = ({
  value,
  coin,
  onTake,
  ...rest
}: Rest & { value: number; coin: Coin; onTake: (minor: number) => string | undefined }) => (
  <SettledField
    inputMode="decimal"
    {...(coin.currency === undefined
      ? {}
      : { rightSection: <small>{coin.currency}</small>, rightSectionWidth: 44 })}
    {...rest}
    text={plainMoney(value, coin)}
    read={(text) => parseMoney(text, coin)}
    onTake={onTake}
  />
);

/** A plain number within limits, with its sign behind. */
export const NumberField = ({
  value,
  limits,
  sign = '',
  onTake,
  ...rest
}: Rest & {
  value: number;
  limits: NumberLimits;
  sign?: string;
  onTake: (value: number) => string | undefined;
}) => (
  <SettledField
    inputMode="decimal"
    {...rest}
    text={`${Number(value.toFixed(4))}${sign}`}
    read={(text) => parseNumber(text, limits)}
    onTake={onTake}
  />
);

/** How many there are; nothing written stands for as many as wanted. */
export const CountField = ({
  value,
  onTake,
  ...rest
}: Rest & { value: number | undefined; onTake: (value: number | undefined) => string | undefined }) => (
  <SettledField
    inputMode="numeric"
    placeholder={t('any number')}
    {...rest}
    text={value === undefined ? '' : String(value)}
    read={(text): Result<number | undefined> =>
      text.trim() === ''
        ? { ok: true, value: undefined }
        : parseNumber(text, { min: 0, max: 1_000_000, whole: true })
    }
    onTake={onTake}
  />
);

/** A length as people write it; `zero` lets it be none. */
export const SizeField = ({
  value,
  unit,
  zero = false,
  onTake,
  ...rest
}: Rest & {
  value: number;
  unit: Unit;
  zero?: boolean;
  onTake: (value: number) => string | undefined;
}) => (
  <SettledField
    {...rest}
    text={formatLength(value, unit, { inchParts: 32 })}
    read={(text): Result<number> => {
      const parsed = zero ? parsePosition(text, unit) : parseLength(text, unit);
      return parsed.ok ? { ok: true, value: parsed.value.value } : parsed;
    }}
    onTake={onTake}
  />
);
