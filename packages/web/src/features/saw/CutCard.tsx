import { type ReactNode } from 'react';
import { Button, Group, Text } from '@mantine/core';
import { IconArrowLeft, IconArrowRight } from '@tabler/icons-react';
import {
  adviceFor,
  asItHangs,
  cutDrawing,
  cutNotes,
  formatAngle,
  formatWithUnit,
  heldMeasure,
  kerfOf,
  lackText,
  parseLength,
  partWords,
  seatWords,
  shownAt,
  traitsOf,
  type CutStep,
  type Saw,
  type SawSetting,
  type Seat,
  type Unit,
  type PlannedStick,
  lengthFigure,
  type Words,
  wordsKey,
} from '@long-miter/core';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { BigFigure } from './BigFigure.tsx';
import { translate, t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

interface Props {
  readonly steps: readonly CutStep[];
  readonly at: number;
  readonly unit: Unit;
  /** The saw in use, whose scales are set. */
  readonly machine: Saw | undefined;
  /** What a careful lead would point out about this piece. */
  readonly warnings: readonly Words[];
  readonly onStep: (step: number) => void;
  /** What to fetch where the stick is one of the rack. */
  readonly rackName: (stick: PlannedStick) => string;
  /** Takes what a head was measured to; answers why it cannot be. */
  readonly onMeasured: (step: CutStep, value: number, text: string) => string | undefined;
  /** The corner of its room that an end of crown stands at. */
  readonly cornerAt: (step: CutStep) => number | undefined;
  /** What can be done here, instead of going through the list. */
  readonly actions?: ReactNode;
  /** How far one is, instead of the place in the list. */
  readonly count?: string;
  /** What is written on the stick, where it has a letter. */
  readonly letter?: string | undefined;
  /** Leads to the whole list. */
  readonly onList?: () => void;
}

/** One cut in figures, sides and a picture that can be read from two metres. */
export function CutCard({
  steps,
  at,
  unit,
  machine,
  warnings,
  rackName,
  cornerAt,
  onStep,
  onMeasured,
  onList,
  actions,
  count,
  letter,
}: Props) {
  const step = steps[at]!;
  const { piece, profile, saw } = step;
  return (
    <section className="panel cut-card" aria-label={t('This cut')}>
      <header className="cut-head">
        <span className="cut-tag" data-testid="tag">
          {piece.label}
        </span>
        <span className="cut-tag" data-testid="end">
          {!step.held
            ? t('{end} end', { end: sideWord(step.end) })
            : piece.opening === undefined
              ? t('closing')
              : translate(partWords(piece.role, piece.place))}
        </span>
        <span className="cut-name" data-testid="profile">
          <span>
            <Typeset text={profile.name} />
          </span>
          <small>
            {t('stick')} {letter ?? step.stickNumber},{' '}
            <Typeset text={formatWithUnit(step.stick.length, unit)} />
            {step.stick.source === 'rack'
              ? t(', from the rack: {rackName}', { rackName: rackName(step.stick) })
              : ''}
          </small>
        </span>
      </header>
      <div className="cut-body">
        {step.held ? (
          <Waits step={step} unit={unit} onMeasured={onMeasured} />
        ) : saw.seat === null ? (
          <NotHere step={step} unit={unit} />
        ) : (
          <Figures step={step} saw={saw} machine={machine} />
        )}
        <div className="cut-lies">
          {saw.seat !== null && !step.held && (
            <Lies step={step} seat={saw.seat} kerf={kerfOf(machine, unit)} corner={cornerAt(step)} />
          )}
          <div className="cut-notes">
            {(step.held ? [] : cutNotes(step, machine, unit)).map((note) => (
              <Text key={wordsKey(note)} size="md">
                <Typeset text={translate(note)} />
              </Text>
            ))}
            {warnings.map((text) => (
              <Text key={wordsKey(text)} size="md" fw={600} role="note" style={{ color: 'var(--lm-bad)' }}>
                ▲ {translate(text)}
              </Text>
            ))}
          </div>
          <div className="cut-count">
            <span>
              {t('{step} · write {label} on its back · goes to {place}', {
                step: count ?? t('cut {at} of {count}', { at: at + 1, count: steps.length }),
                label: piece.label,
                place: translate(step.place),
              })}
            </span>
            {onList && (
              <Button size="compact-md" variant="default" className="no-print" onClick={onList}>
                {t('Cut list')}
              </Button>
            )}
          </div>
          {actions ?? (
            <Group grow gap="sm" className="no-print cut-go" wrap="nowrap">
              <Button
                size="lg"
                variant="default"
                leftSection={<IconArrowLeft />}
                disabled={at === 0}
                onClick={() => onStep(at - 1)}
              >
                {t('Back')}
              </Button>
              <Button
                size="lg"
                rightSection={<IconArrowRight />}
                disabled={at === steps.length - 1}
                onClick={() => onStep(at + 1)}
              >
                {t('Next cut')}
              </Button>
            </Group>
          )}
        </div>
      </div>
    </section>
  );
}

/** A piece that waits for its measure, a head or the last of a crown: what is measured, and where it is written. */
function Waits({ step, unit, onMeasured }: Pick<Props, 'unit' | 'onMeasured'> & { step: CutStep }) {
  const { piece } = step;
  const { how, label, figure } = heldMeasure(piece);
  return (
    <div className="cut-figures">
      <div className="cut-row">
        <div className="cut-what">{t('do not cut it yet')}</div>
        <div className="cut-keep">{t('waits')}</div>
      </div>
      <Text size="lg">
        {t('{how} The figures say', { how: translate(how) })} <Typeset text={formatWithUnit(figure, unit)} />.
      </Text>
      <CommitField
        size="lg"
        mt={8}
        label={translate(label)}
        text=""
        onCommit={(text) => (text.trim() === '' ? undefined : parseFault(text, unit))}
        onEnter={() => undefined}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          const read = parseLength(event.currentTarget.value, unit);
          if (read.ok) onMeasured(step, read.value.value, event.currentTarget.value.trim());
        }}
        description={t('then Enter: it is cut to that')}
      />
    </div>
  );
}

const parseFault = (text: string, unit: Unit): string | undefined => {
  const read = parseLength(text, unit);
  return read.ok ? undefined : translate(read.issues[0].text);
};

/** Where it is marked and how the saw is set. */
function Figures({ step, saw, machine }: { step: CutStep; saw: SawSetting; machine: Saw | undefined }) {
  const { mark } = step;
  const off =
    Math.abs(saw.dial) > 0.005 ? t(', this saw shows {dial} at square', { dial: formatAngle(saw.dial) }) : '';
  return (
    <div className="cut-figures">
      <div className="cut-row">
        <div className="cut-what">
          {t('{end}, on the', { end: step.end === 'left' ? t('cut at') : t('mark') })}{' '}
          <b>{translate(mark.edge)}</b>
          {t(', from {from}', { from: translate(mark.from) })}
        </div>
        <BigFigure text={translate(mark.text)} testid="mark" />
      </div>
      {saw.swing === 'none' && saw.tilt === 'none' && (
        <div className="cut-row">
          <div className="cut-what">{t('handle and blade{off}', { off: machine ? off : '' })}</div>
          <div className="big" data-testid="dial">
            {t('square')}
          </div>
        </div>
      )}
      {saw.swing !== 'none' && (
        <Sided
          what={t('swing')}
          side={saw.swing}
          figure={saw.dial}
          wanted={saw.block ? undefined : saw.miter}
          testid="dial"
        />
      )}
      {saw.tilt !== 'none' && (
        <Sided
          what={t('lean the top of the blade')}
          side={saw.tilt}
          figure={saw.dialBevel}
          wanted={saw.bevel}
          testid="dial-bevel"
        />
      )}
    </div>
  );
}

/** What is kept, how the piece lies in words, and its picture made from the same figures. */
function Lies({
  step,
  seat,
  kerf,
  corner,
}: {
  step: CutStep;
  seat: Seat;
  kerf: number;
  corner: number | undefined;
}) {
  const lies = cutDrawing(step, kerf, 'operator');
  const above = cutDrawing(step, kerf, 'above');
  return (
    <>
      <div className="cut-keep" data-testid="keep">
        {t('keep {keep}', { keep: sideWord(step.saw.keep) })}
      </div>
      <Text fw={650}>{translate(seatWords(seat, step.profile))}</Text>
      <div className="cut-pictures">
        {lies && <DrawingSvg drawing={lies} height={140} margin={12} caption={false} />}
        {traitsOf(step.profile).sprung && step.piece.role !== 'test' && (
          <DrawingSvg drawing={asItHangs(step, corner)} height={140} margin={30} caption={false} />
        )}
      </div>
      {above && <DrawingSvg drawing={above} height={62} margin={4} caption={false} />}
    </>
  );
}

/** A side as a word and an arrow, and the figure on its scale. A scale that is off may show a little of the other side. */
function Sided({
  what,
  side,
  figure,
  wanted,
  testid,
}: {
  what: string;
  side: 'left' | 'right';
  figure: number;
  /** The true angle, where it is what the scale is set for. */
  wanted: number | undefined;
  testid: string;
}) {
  const shown = shownAt(side, figure);
  const differs = wanted !== undefined && Math.abs(figure - wanted) > 0.005;
  return (
    <div className="cut-row">
      <div className="cut-what">
        {what}
        {differs && t(', set for a true {wanted}', { wanted: formatAngle(wanted) })}
      </div>
      <div className="cut-sided">
        <span className="cut-side" data-testid={`${testid}-side`}>
          <span aria-hidden>{shown.side === 'left' ? '←' : '→'}</span>
          {sideWord(shown.side)}
        </span>
        <BigFigure text={translate(shown.figure)} testid={testid} />
      </div>
    </div>
  );
}

/** What this saw cannot cut: every way that was tried and what it lacks, and the ways out. */
function NotHere({ step, unit }: { step: CutStep; unit: Unit }) {
  return (
    <div role="alert">
      <Text className="cut-keep">{t('not on this saw')}</Text>
      {(step.saw.why ?? []).map((one) => (
        <Text key={`${one.way} ${one.lacks} ${one.side ?? ''}`} size="lg">
          <Typeset text={translate(lackText(one, (value) => lengthFigure(value, unit)))} />
        </Text>
      ))}
      <Text size="lg" fw={650}>
        {t('{what}cuts.', { what: translate(adviceFor('beyond-saw').what) })}
      </Text>
    </div>
  );
}
