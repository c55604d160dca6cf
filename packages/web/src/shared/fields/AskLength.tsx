import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { parseLength, type Unit } from '@long-miter/core';
import { translate } from '../../messages/t.ts';

interface Props {
  readonly label: string;
  readonly unit: Unit;
  readonly description?: string;
  /** What is done with it. */
  readonly action: string;
  /** Takes the length; answers why it cannot be, if it cannot. */
  readonly onLength: (value: number) => string | undefined | void;
}

/** A length that makes something happen: nothing does before Enter or the button. What is refused stays, with its reason. */
export function AskLength({ label, unit, description, action, onLength }: Props) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string>();
  const take = (): void => {
    const read = parseLength(text, unit);
    const wrong = read.ok ? onLength(read.value.value) : translate(read.issues[0].text);
    if (typeof wrong === 'string') setFault(wrong);
    else setText('');
  };
  return (
    <Group gap={8} align="flex-end" wrap="nowrap">
      <TextInput
        size="md"
        label={label}
        {...(description === undefined ? {} : { description })}
        inputWrapperOrder={['label', 'input', 'error', 'description']}
        autoComplete="off"
        value={text}
        error={fault}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setFault(undefined);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
        }}
      />
      <Button size="md" disabled={text.trim() === ''} onClick={take}>
        {action}
      </Button>
    </Group>
  );
}
