import { Text } from '@mantine/core';
import { formatLength, partWords, type JobRecord, type Piece } from '@long-miter/core';
import { LengthText, Typeset } from '../../shared/fields/Figure.tsx';
import { translate, t } from '../../messages/t.ts';

/** What is cut for it: inner and outer edge of every part, and which of them waits. */
export function PartList({
  pieces,
  job,
  planned,
}: {
  pieces: readonly Piece[];
  job: JobRecord;
  planned: boolean;
}) {
  const { unit } = job;
  if (pieces.length === 0)
    return planned ? (
      <Text size="sm" c="dimmed" mt={6}>
        {t('Not planned: the room has no trim around openings of this casing.')}
      </Text>
    ) : null;
  const far = (piece: Piece): number => piece.near + piece.left.reach + piece.right.reach;
  return (
    <table className="list parts" aria-label={t('Parts')}>
      <thead>
        <tr>
          <th>{t('part')}</th>
          <th className="number">{t('● inner')}</th>
          <th className="number">{t('○ outer')}</th>
        </tr>
      </thead>
      <tbody>
        {pieces.map((piece) => (
          <tr key={piece.id}>
            <td>
              <b>{piece.label}</b> {translate(partWords(piece.role, piece.place))}
              <span className="also">
                <Typeset text={alsoOf(piece, unit)} />
              </span>
            </td>
            <td className="number">
              <LengthText value={piece.near} unit={unit} />
            </td>
            <td className="number">
              {Math.abs(far(piece) - piece.near) > 1e-6 && <LengthText value={far(piece)} unit={unit} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function alsoOf(piece: Piece, unit: JobRecord['unit']): string {
  const size = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  if (piece.held)
    return t('waits for the measure over both legs; {size} to spare', { size: size(piece.held.allowance) });
  if (piece.allowance > 0) return t('rough: {size} of it is to spare', { size: size(piece.allowance) });
  if (piece.taper)
    return t('tapered {size} to {right}', { size: size(piece.taper.left), right: size(piece.taper.right) });
  if (piece.width !== undefined)
    return `${piece.role === 'stool' ? t('deep') : t('ripped to')} ${size(piece.width)}`;
  return '';
}
