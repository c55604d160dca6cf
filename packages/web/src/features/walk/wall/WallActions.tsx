import { Button, Group, SegmentedControl, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  insertJog,
  isFree,
  moveWall,
  parseLength,
  putOnList,
  cornerAt,
  removeWall,
  splitWall,
  startAt,
  type Survey,
  type Unit,
} from '@long-miter/core';
import { TAB_TAG } from '../../../session/outbox/tab-tag.ts';
import type { EditSheet, EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { translate, t } from '../../../messages/t.ts';

interface Props {
  readonly survey: Survey;
  readonly index: number;
  readonly unit: Unit;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
  readonly onSelect: (index: number) => void;
}

/** Changes to the wall as a whole: divide it, put a jog into it, move it in the walk, start there, take it out. */
export function WallActions({ survey, index, unit, edit, editSheet, onSelect }: Props) {
  const [at, setAt] = useState('');
  const [depth, setDepth] = useState('');
  const [way, setWay] = useState<'in' | 'out'>('in');
  const [faults, setFaults] = useState<{ at?: string; depth?: string }>({});
  const wall = survey.walls[index]!;
  const place = (): number | undefined => {
    const read = parseLength(at, unit);
    if (!read.ok) return void setFaults({ at: translate(read.issues[0].text) });
    if (!isFree(wall, read.value.value))
      return void setFaults({ at: t('must lie inside the wall, and in no opening or built-in') });
    return read.value.value;
  };
  const split = (): void => {
    const x = place();
    if (x === undefined) return;
    const issue = edit((now) => splitWall(now, index, x, TAB_TAG))[0];
    setFaults(issue ? { at: translate(issue.text) } : {});
    if (!issue) setAt('');
  };
  const jog = (): void => {
    const x = place();
    if (x === undefined) return;
    const deep = parseLength(depth, unit);
    if (!deep.ok) return setFaults({ depth: translate(deep.issues[0].text) });
    const issue = editSheet((sheet) => {
      const made = insertJog(sheet.survey, index, x, deep.value.value, way, TAB_TAG);
      // An outside corner has no "assumed" form in the job file: it is put on the list instead.
      const list = Object.fromEntries(made.assumed.map((id) => [cornerAt(id), t('taken as 90 outside')]));
      return putOnList({ ...sheet, survey: made.survey }, list);
    })[0];
    setFaults(issue ? { at: translate(issue.text) } : {});
    if (!issue) {
      setAt('');
      setDepth('');
    }
  };
  const move = (by: -1 | 1): void => {
    edit((now) => moveWall(now, index, by));
    onSelect(index + by);
  };
  return (
    <Stack gap={8}>
      <Group gap={6} align="flex-start">
        <TextInput
          size="sm"
          w={110}
          label={t('from its left')}
          value={at}
          error={faults.at}
          autoComplete="off"
          onChange={(event) => setAt(event.currentTarget.value)}
        />
        <Button size="sm" mt={24} variant="default" onClick={split}>
          {t('Split the wall here')}
        </Button>
      </Group>
      <Group gap={6} align="flex-start">
        <TextInput
          size="sm"
          w={110}
          label={t('jog, deep')}
          value={depth}
          error={faults.depth}
          autoComplete="off"
          onChange={(event) => setDepth(event.currentTarget.value)}
        />
        <SegmentedControl
          mt={24}
          size="sm"
          aria-label={t('Which way the wall jogs')}
          value={way}
          onChange={(value) => setWay(value)}
          data={[
            { value: 'in', label: t('into the room') },
            { value: 'out', label: t('away from it') },
          ]}
        />
        <Button size="sm" mt={24} variant="default" onClick={jog}>
          {t('Insert a jog there')}
        </Button>
      </Group>
      <Group gap={6}>
        <Button size="compact-sm" variant="default" disabled={index === 0} onClick={() => move(-1)}>
          {t('Earlier in the walk')}
        </Button>
        <Button
          size="compact-sm"
          variant="default"
          disabled={index === survey.walls.length - 1}
          onClick={() => move(1)}
        >
          {t('Later in the walk')}
        </Button>
        {survey.closed && index > 0 && (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              edit((now) => startAt(now, index));
              onSelect(0);
            }}
          >
            {t('Start the walk here')}
          </Button>
        )}
        <Button
          size="compact-sm"
          variant="default"
          color="red"
          onClick={() => edit((now) => removeWall(now, index))}
        >
          {t('Take the wall out')}
        </Button>
      </Group>
      <Text size="xs" c="dimmed">
        {t('Whatever stands on the wall goes with its part; a new corner is to be measured.')}
      </Text>
    </Stack>
  );
}
