import { Text } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import {
  formatLength,
  formatWithUnit,
  parseLength,
  seatWords,
  type JobFile,
  type Piece,
  type Shop,
  type WorkStick,
} from '@long-miter/core';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly stick: WorkStick;
  readonly letter: string;
  readonly file: JobFile;
  readonly shop: Shop;
  /** With its length, where it was measured and differs. */
  readonly onTaken: (measured: number | undefined) => void;
  readonly below: (main: { label: string; go: () => void }) => ReactNode;
}

/** The stick to fetch and the letter to write on it. */
export function TakeCard({ stick, letter, file, shop, onTaken, below }: Props) {
  const [measured, setMeasured] = useState<number>();
  const { unit } = file;
  const { stick: planned } = stick;
  const profile = file.profiles.find((one) => one.id === planned.profile);
  const first = shop.pieces.find((one) => one.tag === stick.todo[0])?.plan as unknown as Piece | undefined;
  const seat = first?.left.saw.seat;
  const needs = planned.cuts.length > 0 ? planned.length - planned.leftover : 0;
  const short = measured !== undefined && measured < needs;
  return (
    <section className="panel cut-card" aria-label={t('Take a stick')}>
      <header className="cut-head">
        <span className="cut-tag" data-testid="letter">
          {letter}
        </span>
        <span className="cut-name">
          <span>
            {t('take {name},', { name: profile?.name ?? planned.profile })}{' '}
            <Typeset text={formatWithUnit(planned.length, unit)} />
          </span>
          <small>
            {planned.source === 'rack'
              ? t('from the rack: {label}', { label: planned.label ?? '' })
              : t('a new stick')}
          </small>
        </span>
      </header>
      <Text fz={26} mt={6}>
        {t('Write')} <b>{letter}</b>{' '}
        {t('on it, near its left end. From it come {todo}.', { todo: stick.todo.join(', ') })}
      </Text>
      {profile && seat && (
        <Text fz={20}>{t('It lies {seatWords}.', { seatWords: translate(seatWords(seat, profile)) })}</Text>
      )}
      <div className="cut-lies" style={{ maxWidth: 620, marginTop: 12 }}>
        <CommitField
          size="md"
          label={t('its length, if you measure it')}
          placeholder={formatLength(planned.length, unit)}
          text={measured === undefined ? '' : formatLength(measured, unit, { inchParts: 32 })}
          onCommit={(text) => {
            if (text.trim() === '') return void setMeasured(undefined);
            const read = parseLength(text, unit);
            if (!read.ok) return translate(read.issues[0].text);
            setMeasured(read.value.value);
            return undefined;
          }}
        />
        {short && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            {t(
              'Its pieces want {needs}: the last of them will not fit. Take another, or go on and have the rest planned anew.',
              { needs: formatWithUnit(needs, unit) },
            )}
          </Text>
        )}
        {below({ label: t('Taken, {letter} is on it', { letter }), go: () => onTaken(measured) })}
      </div>
    </section>
  );
}
