import { Checkbox, Group, NativeSelect, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import {
  changeOpening,
  formatLength,
  parseLength,
  type Opening,
  type Profile,
  type Typed,
  type Unit,
} from '@long-miter/core';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { translate, t } from '../../messages/t.ts';
import { trimWord } from '../../shared/text/code-words.ts';

interface Props {
  readonly opening: Opening;
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  readonly typed: Typed;
  readonly index: number;
  readonly edit: EditSurvey;
}

/** What an opening may have besides its size: a head out of level, and what a window's sill gets. */
export function OpeningMore({ opening, unit, profiles, typed, index, edit }: Props) {
  const { id } = opening;
  const has =
    opening.headLeft !== undefined ||
    opening.headRight !== undefined ||
    opening.stool !== undefined ||
    opening.apron !== undefined ||
    opening.picture === true;
  const [open, setOpen] = useState(has);
  if (!open)
    return (
      <UnstyledButton fz="sm" c="dimmed" td="underline" onClick={() => setOpen(true)}>
        {opening.kind === 'window' ? t('head out of level, stool, apron…') : t('head out of level…')}
      </UnstyledButton>
    );
  const change = (part: { [K in keyof Opening]?: Opening[K] | undefined }) =>
    edit((survey) => changeOpening(survey, index, id, part));
  const head = (key: 'headLeft' | 'headRight', label: string) => {
    const at = `/openings/${id}/${key}`;
    const value = opening[key];
    return (
      <CommitField
        size="sm"
        label={label}
        placeholder={formatLength(opening.headHeight, unit)}
        text={typed[at] ?? (value === undefined ? '' : formatLength(value, unit, { inchParts: 32 }))}
        onCommit={(text) => {
          const read = text.trim() === '' ? undefined : parseLength(text, unit);
          if (read && !read.ok) return translate(read.issues[0].text);
          return edit(
            (survey) => changeOpening(survey, index, id, { [key]: read?.ok ? read.value.value : undefined }),
            { typed: { at, text: text.trim() } },
          )[0]?.text;
        }}
      />
    );
  };
  const profileField = (key: 'stool' | 'apron') => (
    <NativeSelect
      size="sm"
      label={trimWord(key)}
      value={opening[key] ?? ''}
      data={[
        { value: '', label: t('no {key}', { key: trimWord(key) }) },
        ...profiles
          .filter((profile) => profile.use === key || (key === 'apron' && profile.use === 'casing'))
          .map((profile) => ({ value: profile.id, label: profile.name })),
      ]}
      onChange={(event) => change({ [key]: event.currentTarget.value || undefined })}
    />
  );
  return (
    <Group gap={6} align="flex-end" wrap="wrap" mt={4}>
      {head('headLeft', t('head at the left'))}
      {head('headRight', t('head at the right'))}
      {opening.kind === 'window' && profileField('stool')}
      {opening.kind === 'window' && profileField('apron')}
      {opening.kind === 'window' && (
        <Checkbox
          label={t('cased all round')}
          checked={opening.picture ?? false}
          onChange={(event) => change({ picture: event.currentTarget.checked || undefined })}
        />
      )}
    </Group>
  );
}
