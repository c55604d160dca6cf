import { ActionIcon, Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import {
  formatLength,
  parseLength,
  parseSignedAngle,
  setOfWall,
  type Typed,
  type Unit,
  type Wall,
} from '@long-miter/core';
import { CommitField } from '../../../shared/fields/CommitField.tsx';
import type { EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { translate, t } from '../../../messages/t.ts';
import { sideWord } from '../../../shared/text/code-words.ts';

interface Props {
  readonly unit: Unit;
  readonly wall: Wall;
  readonly index: number;
  readonly typed: Typed;
  readonly edit: EditSurvey;
}

type Hollow = NonNullable<Wall['hollow']>[number];

/** Where a wall differs above: its length at the ceiling, the ceiling's slopes; and where it is hollow or bulges. */
export function CeilingEditor({ unit, wall, index, typed, edit }: Props) {
  const at = (key: string): string => `/walls/${wall.id}/${key}`;
  const slope = (key: 'rise' | 'pitch', label: string) => (
    <CommitField
      size="sm"
      label={label}
      placeholder={t('level')}
      text={typed[at(key)] ?? (wall.ceiling?.[key] === undefined ? '' : String(wall.ceiling[key]))}
      onCommit={(text) => {
        const read = text.trim() === '' ? undefined : parseSignedAngle(text);
        if (read && !read.ok) return translate(read.issues[0].text);
        return edit(
          (survey) => {
            const { [key]: _old, ...others } = survey.walls[index]?.ceiling ?? {};
            const next = read?.ok ? { ...others, [key]: read.value } : others;
            return setOfWall(survey, index, 'ceiling', Object.keys(next).length > 0 ? next : undefined);
          },
          { typed: { at: at(key), text: text.trim() } },
        )[0]?.text;
      }}
    />
  );
  /** Heights of the ceiling at both ends; what was read between them stays. */
  const height = (end: 'left' | 'right') => {
    const place = end === 'left' ? 0 : wall.length;
    const read = wall.ceilingHeights ?? [];
    const held = read.find((one) => Math.abs(one.at - place) < 1e-6);
    return (
      <CommitField
        size="sm"
        label={t('ceiling height at its {end}', { end: sideWord(end) })}
        placeholder={t('the room’s')}
        text={held ? formatLength(held.height, unit, { inchParts: 32 }) : ''}
        onCommit={(text) => {
          const parsed = text.trim() === '' ? undefined : parseLength(text, unit);
          if (parsed && !parsed.ok) return translate(parsed.issues[0].text);
          const others = read.filter((one) => one !== held);
          const next = parsed?.ok ? [...others, { at: place, height: parsed.value.value }] : others;
          return edit((survey) =>
            setOfWall(
              survey,
              index,
              'ceilingHeights',
              next.length > 0 ? [...next].sort((a, b) => a.at - b.at) : undefined,
            ),
          )[0]?.text;
        }}
      />
    );
  };
  const hollows = wall.hollow ?? [];
  const setHollows = (next: readonly Hollow[]) =>
    edit((survey) => setOfWall(survey, index, 'hollow', next.length > 0 ? [...next] : undefined));
  const change = (i: number, part: Partial<Hollow>) =>
    setHollows(hollows.map((one, k) => (k === i ? { ...one, ...part } : one)));
  return (
    <Stack gap={8}>
      <Group gap={8} align="flex-start">
        {height('left')}
        {height('right')}
        <CommitField
          size="sm"
          label={t('length at the ceiling')}
          placeholder={t('as below')}
          text={
            typed[at('ceilingLength')] ??
            (wall.ceilingLength === undefined
              ? ''
              : formatLength(wall.ceilingLength, unit, { inchParts: 32 }))
          }
          onCommit={(text) => {
            const read = text.trim() === '' ? undefined : parseLength(text, unit);
            if (read && !read.ok) return translate(read.issues[0].text);
            return edit(
              (survey) => setOfWall(survey, index, 'ceilingLength', read?.ok ? read.value.value : undefined),
              { typed: { at: at('ceilingLength'), text: text.trim() } },
            )[0]?.text;
          }}
        />
        <NativeSelect
          size="sm"
          label={t('behind its skin')}
          value={wall.substrate ?? ''}
          data={[
            { value: '', label: t('studs') },
            { value: 'masonry', label: t('masonry') },
            { value: 'wood', label: t('solid wood') },
          ]}
          onChange={(event) => {
            const value = event.currentTarget.value;
            edit((survey) =>
              setOfWall(survey, index, 'substrate', value === '' ? undefined : (value as 'wood' | 'masonry')),
            );
          }}
        />
        {slope('rise', t('ceiling climbs to the right, °'))}
        {slope('pitch', t('ceiling climbs into the room, °'))}
      </Group>
      {hollows.map((one, i) => (
        <Group
          key={i}
          gap={6}
          align="flex-end"
          wrap="nowrap"
          role="group"
          aria-label={t('Hollow {i}', { i: i + 1 })}
        >
          <NativeSelect
            size="sm"
            label={t('the wall is')}
            value={one.depth < 0 ? 'bulge' : 'hollow'}
            data={[
              { value: 'hollow', label: t('hollow') },
              { value: 'bulge', label: t('bulging') },
            ]}
            onChange={(event) =>
              change(i, { depth: Math.abs(one.depth) * (event.currentTarget.value === 'bulge' ? -1 : 1) })
            }
          />
          {(['depth', 'over'] as const).map((key) => (
            <CommitField
              key={key}
              size="sm"
              label={key === 'depth' ? t('by') : t('over')}
              text={formatLength(Math.abs(one[key]), unit, { inchParts: 32 })}
              onCommit={(text) => {
                const read = parseLength(text, unit);
                if (!read.ok) return translate(read.issues[0].text);
                const sign = key === 'depth' && one.depth < 0 ? -1 : 1;
                return change(i, { [key]: sign * read.value.value })[0]?.text;
              }}
            />
          ))}
          <NativeSelect
            size="sm"
            label={t('near its')}
            value={one.near}
            data={[
              { value: 'left', label: t('left end') },
              { value: 'right', label: t('right end') },
            ]}
            onChange={(event) => change(i, { near: event.currentTarget.value as 'left' | 'right' })}
          />
          <ActionIcon
            size={36}
            variant="default"
            aria-label={t('Remove hollow {i}', { i: i + 1 })}
            onClick={() => setHollows(hollows.filter((_, k) => k !== i))}
          >
            <IconTrash size={18} />
          </ActionIcon>
        </Group>
      ))}
      {hollows.length === 0 && (
        <Text size="sm" c="dimmed">
          {t('Lay a straightedge along the wall: what it rocks on or bridges changes how a joint closes.')}
        </Text>
      )}
      <Group>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            setHollows([
              ...hollows,
              unit === 'in'
                ? { depth: 0.125, over: 12, near: 'right' }
                : { depth: 3, over: 300, near: 'right' },
            ])
          }
        >
          {t('Add a hollow or bulge')}
        </Button>
      </Group>
    </Stack>
  );
}
