import { Text } from '@mantine/core';
import type { Right } from '@long-miter/core';
import { useWhyNot } from '../../session/rights.ts';
import { HOME, OPENINGS, type Stage } from './stages.ts';
import { t } from '../../messages/t.ts';

/** What a stage is worked at with. */
const NEEDS: Partial<Record<Stage, Right>> = {
  [HOME]: 'measure',
  walk: 'measure',
  [OPENINGS]: 'measure',
  joints: 'measure',
  stock: 'plan',
  saw: 'cut',
  hang: 'cut',
};

/** Says before anything is tried that this stage can be read only by whoever is signed in. */
export function ReadOnly({ stage }: { readonly stage: Stage }) {
  const why = useWhyNot(NEEDS[stage] ?? 'read');
  if (why === undefined) return null;
  return (
    <Text role="note" size="sm" className="read-only no-print">
      {t('To be read here: {why}.', { why })}
    </Text>
  );
}
