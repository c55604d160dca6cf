import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { addWall, parseLength, type Survey, type Unit } from '@long-miter/core';
import type { EditSurvey } from './use-sheet.ts';

/** The field one types in while walking: Enter puts the wall in and waits for the next one. */
export function NextWall({ survey, unit, edit }: { survey: Survey; unit: Unit; edit: EditSurvey }) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string>();
  const number = survey.walls.length + 1;
  const add = (): void => {
    const read = parseLength(text, unit);
    if (!read.ok) return setFault(read.issues[0].text);
    // The id is the one that addWall will give: the newest survey is what is on the screen.
    const { id } = addWall(survey, read.value.value);
    const issue = edit((now) => addWall(now, read.value.value).survey, {
      typed: { at: `/walls/${id}/length`, text: read.value.typed },
    })[0];
    setFault(issue?.text);
    if (!issue) setText('');
  };
  return (
    <Group gap={6} p="8px 6px" align="flex-start" wrap="nowrap">
      <TextInput
        size="md"
        style={{ flex: 1 }}
        data-walk=""
        data-autofocus={number === 1 || undefined}
        autoFocus={number === 1}
        autoComplete="off"
        aria-label={`Length of wall ${number}, the next one`}
        placeholder={
          number === 1
            ? unit === 'in'
              ? 'first wall, from the entry to the right: 142 3/8, 11’ 10 3/8, 3617 mm'
              : 'first wall, from the entry to the right: 3617, 3.617 m'
            : `wall ${number}: length, then Enter`
        }
        value={text}
        error={fault}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setFault(undefined);
        }}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <Button size="md" style={{ flexShrink: 0 }} onClick={add}>
        Add wall
      </Button>
    </Group>
  );
}
