import { memo } from 'react';
import {
  changeOpening,
  openingFigure,
  readOpeningFigure,
  withFigure,
  writeOpeningFigure,
  type Opening,
  type OpeningField,
  type Unit,
} from '@long-miter/core';
import { useCommitted } from '../../shared/fields/CommitField.tsx';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { translate } from '../../messages/t.ts';

interface Props {
  readonly field: OpeningField;
  readonly opening: Opening;
  readonly name: string;
  readonly wallIndex: number;
  readonly unit: Unit;
  readonly typed: string | undefined;
  readonly placeholder: string;
  readonly edit: EditSurvey;
}

const TAKES = ['length'] as const;

/** A figure as it was typed, as long as that is what it still is. */
function textOf(
  field: OpeningField,
  value: number | undefined,
  typed: string | undefined,
  unit: Unit,
): string {
  const read = typed === undefined || value === undefined ? undefined : readOpeningFigure(field, typed, unit);
  return read?.ok && read.value?.value === value ? typed! : writeOpeningFigure(field, value, unit);
}

/** One figure of the sheet: Enter goes on to the next, arrows up and down stay in its column. */
export const SheetCell = memo(function SheetCell(props: Props) {
  const { field, opening, name, wallIndex, unit, typed, placeholder, edit } = props;
  const value = openingFigure(opening, field.key);
  const at = `/openings/${opening.id}/${field.key.replace('.', '/')}`;
  const label = `${name}, ${translate(field.label)}`;
  const text = textOf(field, value, typed, unit);
  const held = useCommitted({
    name: label,
    text,
    takes: field.reads === 'degrees' ? undefined : TAKES,
    onCommit: (written) => {
      const read = readOpeningFigure(field, written, unit);
      if (!read.ok) return translate(read.issues[0].text);
      return edit(
        (survey) => {
          const now = survey.walls[wallIndex]?.openings?.find((one) => one.id === opening.id);
          if (!now) return survey;
          const next = withFigure(now, field.key, read.value?.value);
          // Once somebody has measured it, it keeps the name it is called by.
          return changeOpening(survey, wallIndex, opening.id, {
            ...Object.fromEntries(Object.keys(now).map((key) => [key, undefined])),
            ...next,
            name: next.name ?? name,
          });
        },
        { typed: { at, text: written.trim() } },
      )[0]?.text;
    },
  });
  return (
    <input
      ref={held.field}
      className="cell"
      aria-label={label}
      aria-invalid={held.fault !== undefined || undefined}
      title={held.fault ?? translate(field.tip)}
      data-walk=""
      data-column={field.key}
      autoComplete="off"
      spellCheck={false}
      inputMode="text"
      placeholder={placeholder}
      value={held.value}
      onChange={held.onChange}
      onKeyDown={held.onKeyDown}
      onFocus={held.onFocus}
      onBlur={held.onBlur}
    />
  );
});
