import { TextInput, type TextInputProps } from '@mantine/core';
import { useContext, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { FieldScope, halfWritten } from './half-written.ts';
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
  const scope = useContext(FieldScope);
  const name = rest['aria-label'] ?? (typeof rest.label === 'string' ? rest.label : '');
  // What was not taken when the screen was left stands here again, with its reason.
  const [kept] = useState(() => halfWritten.find(scope, name));
  const [local, setLocal] = useState(kept ?? text);
  const [fault, setFault] = useState<string>();
  const [left, setLeft] = useState(kept !== undefined);
  const editing = useRef(kept !== undefined);
  const field = useRef<HTMLInputElement>(null);
  // The newest function: a reading may come in at any time.
  const latest = useRef(onCommit);
  useEffect(() => {
    latest.current = onCommit;
  });
  useEffect(() => {
    // Undo or another screen changed the figure: show it, unless this very field is being typed in.
    if (!editing.current) {
      setLocal(text);
      setFault(undefined);
      halfWritten.keep(scope, name, undefined);
    }
  }, [text, scope, name]);
  const take = (next: string): void => {
    editing.current = true;
    setLocal(next);
    const wrong = onCommit(next);
    setFault(wrong);
    halfWritten.keep(scope, name, wrong === undefined ? undefined : next);
  };
  useEffect(() => {
    if (kept !== undefined) setFault(latest.current(kept));
    // Once, when the field comes back.
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
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
