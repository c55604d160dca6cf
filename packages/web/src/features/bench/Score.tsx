import { type Words } from '@long-miter/core';
import { Button, Table } from '@mantine/core';
import type { BenchState } from '../../session/slices/bench-slice.ts';
import { t, translate } from '../../messages/t.ts';

interface Props {
  readonly kinds: readonly { readonly kind: keyof BenchState['score']; readonly name: Words }[];
  /** What counts as done well, in a word. */
  readonly head: string;
  readonly score: BenchState['score'];
  readonly onClear: () => void;
}

/** How often it went well, kind by kind; nothing before the first try. */
export function Score({ kinds, head, score, onClear }: Props) {
  const played = kinds.filter(({ kind }) => score[kind]);
  if (played.length === 0) return null;
  return (
    <div>
      <Table verticalSpacing={3} aria-label={t('Score')}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{t('Your score')}</Table.Th>
            <Table.Th ta="right">{head}</Table.Th>
            <Table.Th ta="right">{t('of')}</Table.Th>
            <Table.Th ta="right">{t('in a hundred')}</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {played.map(({ kind, name }) => (
            <Table.Tr key={kind}>
              <Table.Td>{translate(name)}</Table.Td>
              <Table.Td ta="right">{score[kind]!.tight}</Table.Td>
              <Table.Td ta="right">{score[kind]!.tried}</Table.Td>
              <Table.Td ta="right">{Math.round((100 * score[kind]!.tight) / score[kind]!.tried)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Button size="compact-sm" variant="subtle" onClick={onClear}>
        {t('Forget the score')}
      </Button>
    </div>
  );
}
