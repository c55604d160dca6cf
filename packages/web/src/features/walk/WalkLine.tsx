import { Group, Popover, Table, Text, TextInput, UnstyledButton } from '@mantine/core';
import { useContext, useEffect, useRef, useState } from 'react';
import {
  addInterruption,
  addOpening,
  addWall,
  newOpeningId,
  newWallId,
  parseWalkLine,
  setOfWall,
  setReading,
  setStuds,
  WALK_LETTERS,
  type Issue,
  type Profile,
  type Survey,
  type Unit,
  type WalkEntry,
} from '@long-miter/core';
import { FieldScope, halfWritten } from '../../shared/fields/half-written.ts';
import { onReading } from '../../shared/text/readings-in.ts';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import type { EditSheet } from '../../session/drafts/use-sheet.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { t, translateIfAny, translate } from '../../messages/t.ts';

interface Props {
  readonly survey: Survey;
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  /** What the tape was held at. */
  readonly offset: number;
  readonly editSheet: EditSheet;
}

/** Puts what the line says into the sheet; everything but a wall belongs to the last wall. */
function keep(
  entry: WalkEntry,
  text: string,
  { survey, offset, profiles, editSheet }: Props,
): readonly Issue[] {
  const last = survey.walls.length - 1;
  if (entry.kind === 'wall') {
    const id = newWallId(survey, TAB_TAG);
    const at = `/walls/${id}/length`;
    return editSheet((sheet) => ({
      ...sheet,
      survey: addWall(sheet.survey, entry.length, TAB_TAG).survey,
      // From a mark the text of the tape is not the length: the figure itself is shown, the tape's text kept as its reading.
      ...(offset === 0
        ? { typed: { ...sheet.typed, [at]: entry.typed } }
        : {
            notes: {
              ...sheet.notes,
              readings: {
                ...sheet.notes.readings,
                [at]: [
                  {
                    text: `${entry.typed} − ${offset}`,
                    value: entry.length,
                    how: defineMessage('tape from a mark'),
                  },
                ],
              },
            },
          }),
    }));
  }
  if (last < 0)
    return [{ at: '', text: t('a wall comes first: its length, then "{text}"', { text: text.trim() }) }];
  const wall = survey.walls[last]!;
  switch (entry.kind) {
    case 'corner':
      return editSheet((sheet) => ({
        ...sheet,
        survey: setReading(sheet.survey, last, entry.reading),
        typed: { ...sheet.typed, [`/walls/${wall.id}/corner`]: entry.typed },
      }));
    case 'opening': {
      const casing = profiles.find((profile) => profile.use === 'casing')?.id;
      const opening = {
        ...entry.opening,
        casing: entry.opening.kind === 'drywall' ? null : (casing ?? null),
      };
      const id = newOpeningId(survey, opening.kind, TAB_TAG);
      return editSheet((sheet) => ({
        ...sheet,
        survey: addOpening(sheet.survey, last, opening, TAB_TAG),
        typed: {
          ...sheet.typed,
          ...Object.fromEntries(
            Object.entries(entry.typed).map(([key, figure]) => [`/openings/${id}/${key}`, figure]),
          ),
        },
      }));
    }
    case 'studs':
      return editSheet((sheet) => ({ ...sheet, survey: setStuds(sheet.survey, last, entry.studs) }));
    case 'built-in':
      return editSheet((sheet) => ({
        ...sheet,
        survey: addInterruption(sheet.survey, last, entry.item, TAB_TAG),
      }));
    case 'point':
      return editSheet((sheet) => ({
        ...sheet,
        survey: setOfWall(sheet.survey, last, 'points', [
          ...(sheet.survey.walls[last]?.points ?? []),
          entry.point,
        ]),
      }));
  }
}

/** What the line is called at the head while something stands in it. */
const NAME = t('the walk line');

/** The field one types in while walking: a length is the next wall, a letter in front says what else was found. */
export function WalkLine(props: Props) {
  const { survey, unit } = props;
  // What is half-written is there again after a look at another screen.
  const scope = useContext(FieldScope);
  const [text, setOwn] = useState(() => halfWritten.find(scope, NAME) ?? '');
  const setText = (next: string): void => {
    setOwn(next);
    halfWritten.keep(scope, NAME, next === '' ? undefined : next);
  };
  const [fault, setFault] = useState<string>();
  const field = useRef<HTMLInputElement>(null);
  const number = survey.walls.length + 1;
  const take = (line: string): boolean => {
    const entry = parseWalkLine(line, unit, props.offset);
    const issue = entry.ok ? keep(entry.value, line, props)[0] : entry.issues[0];
    setFault(translateIfAny(issue?.text));
    setText(issue ? line : '');
    return issue === undefined;
  };
  // The newest function: a reading may come in at any time.
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const input = field.current;
    return input
      ? onReading(input, ['length', 'angle'], ({ text: figure, what }) =>
          latest.current(what === 'angle' ? `a${figure}` : figure),
        )
      : undefined;
  }, []);
  return (
    <Group gap={6} p="8px 6px" align="flex-start" wrap="nowrap">
      <TextInput
        ref={field}
        size="md"
        style={{ flex: 1 }}
        data-walk=""
        data-autofocus={number === 1 || undefined}
        autoFocus={number === 1}
        autoComplete="off"
        aria-label={t('Length of wall {number}, the next one', { number })}
        placeholder={
          number === 1
            ? unit === 'in'
              ? t('first wall, from the entry to the right: 142 3/8, 11’ 10 3/8, 3617 mm')
              : t('first wall, from the entry to the right: 3617, 3.617 m')
            : t('wall {number}: length · or a 92 its corner · d 32, 36, 80 a door', { number })
        }
        value={text}
        error={fault}
        onChange={(event) => {
          setText(event.currentTarget.value);
          setFault(undefined);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          take(text);
        }}
      />
      <Popover position="top-end" width={420} withArrow shadow="md">
        <Popover.Target>
          <UnstyledButton
            p={10}
            aria-label={t('What the walk line takes')}
            title={t('What the walk line takes')}
            style={{ fontWeight: 650 }}
          >
            {t('a d w …')}
          </UnstyledButton>
        </Popover.Target>
        <Popover.Dropdown>
          <Text size="sm" mb={4}>
            {t('Type a length for the next wall, or a letter and figures for what the last wall has:')}
          </Text>
          <Table verticalSpacing={2} fz="sm">
            <Table.Tbody>
              {WALK_LETTERS.map(({ letter, what, figures }) => (
                <Table.Tr key={letter}>
                  <Table.Td fw={700}>{letter}</Table.Td>
                  <Table.Td>{translate(what)}</Table.Td>
                  <Table.Td c="dimmed">{translate(figures)}</Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </Popover.Dropdown>
      </Popover>
    </Group>
  );
}
