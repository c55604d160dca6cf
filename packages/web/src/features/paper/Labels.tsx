import { type WoodLabel, wordsKey } from '@long-miter/core';
import { Qr } from '../../shared/Qr.tsx';
import { t, translate } from '../../messages/t.ts';

/** What labels are printed on: rolls of a label printer, one to a page, or a sheet of paper to cut up. */
interface LabelSize {
  readonly key: string;
  readonly name: string;
  /** Width and height of a label in millimetres, and the page where it is not the label itself. */
  readonly width: number;
  readonly height: number;
  readonly sheet?: string;
}

export const LABEL_SIZES: readonly LabelSize[] = [
  { key: '62x29', name: t('label printer, 62 × 29 mm'), width: 62, height: 29 },
  { key: '57x32', name: t('label printer, 2 1/4 × 1 1/4 in'), width: 57.15, height: 31.75 },
  { key: '100x50', name: t('label printer, 4 × 2 in'), width: 101.6, height: 50.8 },
  { key: 'a4', name: t('sheet of A4, to cut up'), width: 63, height: 34, sheet: 'A4' },
  { key: 'letter', name: t('sheet of Letter, to cut up'), width: 63, height: 34, sheet: 'letter' },
];

/** How the page is set for a size. */
export const pageOf = ({ width, height, sheet }: LabelSize): string =>
  sheet === undefined ? `@page{size:${width}mm ${height}mm;margin:0}` : `@page{size:${sheet};margin:10mm}`;

interface Props {
  readonly labels: readonly WoodLabel[];
  readonly size: LabelSize;
  /** The address that a piece's code opens. */
  readonly addressOf: (opens: NonNullable<WoodLabel['opens']>) => string;
}

/** Labels of pieces, sticks and rack: what is written on wood in large, then where it goes. */
export function Labels({ labels, size, addressOf }: Props) {
  return (
    <div className="labels" data-roll={size.sheet === undefined || undefined}>
      {labels.map((label) => (
        <div
          key={`${label.name} ${label.opens ? '' : 'wood'}`}
          className="label"
          style={{ width: `${size.width}mm`, height: `${size.height}mm` }}
        >
          {label.opens && <Qr text={addressOf(label.opens)} size={`${Math.min(size.height, 40) - 5}mm`} />}
          <div className="label-text">
            <b style={{ fontSize: `${Math.min(12, size.height / 3.6)}mm` }}>{label.name}</b>
            {label.lines.map((line) => (
              <span key={wordsKey(line)}>{translate(line)}</span>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}
