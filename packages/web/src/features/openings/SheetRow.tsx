import { memo } from 'react';
import { formatLength, takesField, type JobRecord, type OpeningField } from '@long-miter/core';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import type { Listed } from './openings-of.ts';
import { SheetCell } from './SheetCell.tsx';
import { openingShort } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly listed: Listed;
  readonly fields: readonly OpeningField[];
  readonly picked: boolean;
  /** Clashes and what else is to be looked at. */
  readonly warnings: number;
  readonly headToMeasure: boolean;
  readonly onPick: (key: string) => void;
}

/** One opening: what it is, where, and its figures. */
export const SheetRow = memo(function SheetRow(props: Props) {
  const { job, listed, fields, picked, warnings, headToMeasure, onPick } = props;
  const { key, room, wallIndex, opening, name } = listed;
  const { draft, edit } = useSheet(job, room.id);
  return (
    <tr
      data-selected={picked || undefined}
      aria-selected={picked}
      data-row={key}
      onFocusCapture={() => onPick(key)}
      onClick={() => onPick(key)}
    >
      <th scope="row">
        <button type="button" className="row-name" aria-label={t('Show {name}', { name })}>
          {name}
          {warnings > 0 && (
            <span style={{ color: 'var(--lm-bad)' }} title={t('{warnings} to look at', { warnings })}>
              {' '}
              ▲
            </span>
          )}
        </button>
      </th>
      <td className="what">
        {t('wall {wallIndex} {kind}{word}', {
          wallIndex: wallIndex + 1,
          kind: openingShort(opening.kind),
          word: opening.word !== undefined && `, ${opening.word}`,
        })}
        {headToMeasure && fields.some((field) => field.key === 'measuredHead') && (
          <span className="wait"> {t('waits')}</span>
        )}
      </td>
      {fields.map((field) => (
        <td key={field.key}>
          {takesField(field, opening.kind) && (
            <SheetCell
              field={field}
              opening={opening}
              name={name}
              wallIndex={wallIndex}
              unit={job.unit}
              typed={draft?.typed[`/openings/${opening.id}/${field.key.replace('.', '/')}`]}
              placeholder={
                field.key === 'headRight'
                  ? formatLength(opening.headLeft ?? opening.headHeight, job.unit, { inchParts: 32 })
                  : ''
              }
              edit={edit}
            />
          )}
        </td>
      ))}
    </tr>
  );
});
