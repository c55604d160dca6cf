import { TextInput, type TextInputProps } from '@mantine/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';

/** What became of a text: it was taken, or why it was not. */
export type Commit = (text: string) => string | undefined;

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'error'> {
  /** The text that stands for the stored figure: as typed where it is known. */
  readonly text: string;
  readonly onCommit: Commit;
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
export function CommitField({ text, onCommit, onEnter, ...rest }: Props) {
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
