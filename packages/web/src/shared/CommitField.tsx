import { TextInput, type TextInputProps } from '@mantine/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { onReading, type FieldReading } from './readings-in.ts';

/** What became of a text: it was taken, or why it was not. */
export type Commit = (text: string) => string | undefined;

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'error'> {
  /** The text that stands for the stored figure: as typed where it is known. */
  readonly text: string;
  readonly onCommit: Commit;
  /** Readings of measuring devices that this field takes. */
  readonly takes?: readonly FieldReading['what'][];
  /** After Enter on a good figure. */
  readonly onEnter?: () => void;
}

/** Moves to the next figure in the order one walks: the next field that carries data-walk. */
export function focusNextFigure(from: HTMLElement): void {
  const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-walk]:not([disabled])')];
  const next = fields[fields.indexOf(from as HTMLInputElement) + 1];
  next?.focus();
  next?.select();
}

/**
 * A field that takes every good text at once and keeps every bad one, with its reason beside it. The stored figure stays
 * as it was until the text is good.
 */
export function CommitField({ text, onCommit, onEnter, takes, ...rest }: Props) {
  const [local, setLocal] = useState(text);
  const [fault, setFault] = useState<string>();
  const [left, setLeft] = useState(false);
  const editing = useRef(false);
  useEffect(() => {
    // Undo or another screen changed the figure: show it, unless this very field is being typed in.
    if (!editing.current) {
      setLocal(text);
      setFault(undefined);
    }
  }, [text]);
  const take = (next: string): void => {
    editing.current = true;
    setLocal(next);
    setFault(onCommit(next));
  };
  const field = useRef<HTMLInputElement>(null);
  // The newest function: a reading may come in at any time.
  const latest = useRef(onCommit);
  useEffect(() => {
    latest.current = onCommit;
  });
  const kinds = takes?.join(' ') ?? '';
  useEffect(() => {
    const input = field.current;
    if (!input || kinds === '') return;
    return onReading(input, kinds.split(' ') as FieldReading['what'][], (reading) => {
      const wrong = latest.current(reading.text);
      setLocal(reading.text);
      setFault(wrong);
      setLeft(true);
      if (wrong === undefined) focusNextFigure(input);
      return wrong === undefined;
    });
  }, [kinds]);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    rest.onKeyDown?.(event);
    if (event.key !== 'Enter' || event.defaultPrevented) return;
    event.preventDefault();
    setLeft(true);
    if (fault === undefined) (onEnter ?? (() => focusNextFigure(event.currentTarget)))();
  };
  return (
    <TextInput
      autoComplete="off"
      spellCheck={false}
      {...rest}
      ref={field}
      value={local}
      error={left ? fault : undefined}
      onChange={(event) => take(event.currentTarget.value)}
      onKeyDown={onKeyDown}
      onFocus={(event) => {
        event.currentTarget.select();
        rest.onFocus?.(event);
      }}
      onBlur={(event) => {
        setLeft(true);
        if (fault === undefined) editing.current = false;
        rest.onBlur?.(event);
      }}
    />
  );
}
