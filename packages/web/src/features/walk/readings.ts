import {
  parseAngle,
  parseLength,
  wallAngle,
  type AngleReading,
  type Corner,
  type Result,
  type Unit,
} from '@long-miter/core';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

/** The ways a corner can be read, as one list to choose from. */
export const READING_KINDS = [
  { value: 'assumed', label: defineMessage('assumed 90, not measured') },
  { value: 'wall-angle', label: defineMessage('wall angle') },
  { value: 'protractor-inside', label: defineMessage('protractor, inside') },
  { value: 'protractor-outside', label: defineMessage('protractor, outside') },
  { value: 'deflection-inside', label: defineMessage('off straight, inside') },
  { value: 'deflection-outside', label: defineMessage('off straight, outside') },
  { value: 'miter-inside', label: defineMessage('miter scale, inside') },
  { value: 'miter-outside', label: defineMessage('miter scale, outside') },
  { value: 'legs-inside', label: defineMessage('two legs and across, inside') },
  { value: 'legs-outside', label: defineMessage('two legs and across, outside') },
] as const;

export type ReadingKind = (typeof READING_KINDS)[number]['value'];

export function readingKindOf(reading: AngleReading): ReadingKind {
  return reading.as === 'assumed' || reading.as === 'wall-angle'
    ? reading.as
    : `${reading.as}-${reading.side}`;
}

/** The reading as text, where it was not typed here. */
export function textOf(reading: AngleReading): string {
  if (reading.as === 'assumed') return '';
  return reading.as === 'legs'
    ? [reading.left, reading.right, reading.across].join(', ')
    : String(reading.degrees);
}

/** Reads the angle field for a kind of reading. Legs are three lengths with commas between. */
export function readReading(kind: ReadingKind, text: string, unit: Unit): Result<AngleReading> {
  if (kind === 'assumed') return { ok: true, value: { as: 'assumed' } };
  const [as, side] = (kind === 'wall-angle' ? ['wall-angle', 'inside'] : kind.split('-')) as [
    AngleReading['as'],
    'inside' | 'outside',
  ];
  if (as === 'legs') {
    const parts = text.split(/[,;]/).map((part) => parseLength(part, unit));
    if (parts.length !== 3)
      return {
        ok: false,
        issues: [
          { at: '', text: t('write three lengths: left leg, right leg, across, with commas between') },
        ],
      };
    const bad = parts.find((part) => !part.ok);
    if (bad && !bad.ok) return bad;
    const [left, right, across] = parts.map((part) => (part.ok ? part.value.value : 0));
    return { ok: true, value: { as: 'legs', left: left!, right: right!, across: across!, side } };
  }
  const degrees = parseAngle(text);
  if (!degrees.ok) return degrees;
  if (as === 'wall-angle') return { ok: true, value: { as, degrees: degrees.value } };
  return {
    ok: true,
    value: { as: as as 'protractor' | 'deflection' | 'miter', degrees: degrees.value, side },
  };
}

/** The wall angle a corner comes to, in words. */
export function derivedText(corner: Corner | undefined): string {
  if (!corner) return '';
  const angle = wallAngle(corner.reading);
  return `${Number(angle.toFixed(2))}° ${sideWord(angle < 180 ? 'inside' : 'outside')}`;
}
