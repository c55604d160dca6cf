import { Button, Group, Text } from '@mantine/core';
import { formatWithUnit, type AtHand, type CutStep, type Unit } from '@long-miter/core';
import { useState } from 'react';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { t, translate } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

/** After an interruption: what was in hand is said, and asked, never guessed. */
export function Resume({
  pending,
  step,
  unit,
  onNot,
  onCut,
}: {
  readonly pending: AtHand;
  readonly step: CutStep;
  readonly unit: Unit;
  readonly onNot: () => void;
  readonly onCut: () => void;
}) {
  const [unsure, setUnsure] = useState(false);
  return (
    <section className="panel" aria-label={t('Where you were')} style={{ padding: 20 }}>
      <Text fz={30} fw={700}>
        {t('You had {label}, {end} end, mark', { label: step.piece.label, end: sideWord(step.end) })}{' '}
        <Typeset text={translate(step.mark.text)} />
      </Text>
      <Text fz={20} mb={12}>
        {t('{tag} Is this end cut?', {
          tag: pending.tag === step.piece.label && pending.started ? t('Its other end is cut.') : '',
        })}
      </Text>
      {unsure ? (
        <>
          <Text fz={20}>
            {t('Lay the tape on it: along its back it is to be')}{' '}
            <b>
              <Typeset text={formatWithUnit(step.piece.near, unit)} />
            </b>
            {t(
              '. If it is just that, it is cut; if it is longer, it is not; if it is shorter, choose “It is cut” and then “Not good”.',
            )}
          </Text>
          <Group mt={12}>
            <Button size="lg" onClick={onNot}>
              {t('Not cut')}
            </Button>
            <Button size="lg" variant="default" onClick={onCut}>
              {t('It is cut')}
            </Button>
          </Group>
        </>
      ) : (
        <Group>
          <Button size="lg" onClick={onNot}>
            {t('Not cut')}
          </Button>
          <Button size="lg" variant="default" onClick={onCut}>
            {t('It is cut')}
          </Button>
          <Button size="lg" variant="default" onClick={() => setUnsure(true)}>
            {t('Not sure')}
          </Button>
        </Group>
      )}
    </section>
  );
}
