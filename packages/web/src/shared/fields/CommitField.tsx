import type { Words } from '@long-miter/core';
import { translateIfAny } from '../../messages/t.ts';
import { TextInput, type TextInputProps } from '@mantine/core';
import {
  useContext,
  useEffect,
  useRef,
  useState,
  type ChangeEvent,
  type FocusEvent,
  type KeyboardEvent,
  type RefObject,
} from 'react';
import { FieldScope, halfWritten } from './half-written.ts';
import { onReading, type FieldReading } from '../text/readings-in.ts';

/** What became of a text: it was taken, or why it was not. */
type Commit = (text: string) => Words | undefined;

/** What a field needs to know to take texts at once. */
interface Committing {
  /** What it is called where half-written texts are named. */
  readonly name: string;
  readonly text: string;
  readonly onCommit: Commit;
  readonly takes?: readonly FieldReading['what'][] | undefined;
  readonly onEnter?: (() => void) | undefined;
}

interface Committed {
  readonly value: string;
  /** Why what stands there was not taken, once the field has been left. */
  readonly fault: string | undefined;
  readonly field: RefObject<HTMLInputElement | null>;
  readonly onChange: (event: ChangeEvent<HTMLInputElement>) => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onFocus: (event: FocusEvent<HTMLInputElement>) => void;
  readonly onBlur: () => void;
}

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
function focusNextFigure(from: HTMLElement): void {
  const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-walk]:not([disabled])')];
  const next = fields[fields.indexOf(from as HTMLInputElement) + 1];
  next?.focus();
  next?.select();
}

/**
 * A field that takes every good text at once and keeps every bad one, with its reason beside it. The stored figure stays
 * as it was until the text is good.
 */
export function useCommitted({ name, text, onCommit, takes, onEnter }: Committing): Committed {
  const scope = useContext(FieldScope);
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
    setFault(translateIfAny(wrong));
    halfWritten.keep(scope, name, wrong === undefined ? undefined : next);
  };
  useEffect(() => {
    if (kept !== undefined) setFault(translateIfAny(latest.current(kept)));
    // Once, when the field comes back.
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  const refused = left && fault !== undefined;
  useEffect(() => {
    // The reason stands under the field: on a phone that may be below what is in sight.
    if (refused && document.activeElement === field.current)
      field.current?.closest('.mantine-InputWrapper-root')?.scrollIntoView({ block: 'nearest' });
  }, [refused]);
  const kinds = takes?.join(' ') ?? '';
  useEffect(() => {
    const input = field.current;
    if (!input || kinds === '') return;
    return onReading(input, kinds.split(' ') as FieldReading['what'][], (reading) => {
      const wrong = latest.current(reading.text);
      setLocal(reading.text);
      setFault(translateIfAny(wrong));
      setLeft(true);
      if (wrong === undefined) focusNextFigure(input);
      return wrong === undefined;
    });
  }, [kinds]);
  return {
    value: local,
    fault: left ? fault : undefined,
    field,
    onChange: (event) => take(event.currentTarget.value),
    onKeyDown: (event) => {
      if (event.key !== 'Enter' || event.defaultPrevented) return;
      event.preventDefault();
      setLeft(true);
      if (fault === undefined) (onEnter ?? (() => focusNextFigure(event.currentTarget)))();
    },
    onFocus: (event) => event.currentTarget.select(),
    onBlur: () => {
      setLeft(true);
      if (fault === undefined) editing.current = false;
    },
  };
}

/** Such a field with its label. */
export function CommitField({ text, onCommit, onEnter, takes, ...rest }: Props) {
  const name = rest['aria-label'] ?? (typeof rest.label === 'string' ? rest.label : '');
  const held = useCommitted({ name, text, onCommit, takes, onEnter });
  return (
    <TextInput
      autoComplete="off"
      spellCheck={false}
      {...rest}
      ref={held.field}
      value={held.value}
      error={held.fault}
      onChange={held.onChange}
      onKeyDown={(event) => {
        rest.onKeyDown?.(event);
        held.onKeyDown(event);
      }}
      onFocus={(event) => {
        held.onFocus(event);
        rest.onFocus?.(event);
      }}
      onBlur={(event) => {
        held.onBlur();
        rest.onBlur?.(event);
      }}
    />
  );
}
