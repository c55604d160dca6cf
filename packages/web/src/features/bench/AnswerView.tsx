import { Group, Stack, Table, Text } from '@mantine/core';
import {
  convertLength,
  formatAngle,
  formatGap,
  gapFigure,
  formatWithUnit,
  type Answer,
  type Unit,
  type Outcome,
  wordsKey,
} from '@long-miter/core';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { translate, t } from '../../messages/t.ts';

/** An outcome in the unit at hand, and in the other one where it is a length. */
function textsOf({ value, as }: Outcome, unit: Unit): { readonly text: string; readonly other?: string } {
  if (typeof value !== 'number') return { text: translate(value) };
  const other = unit === 'in' ? 'mm' : 'in';
  switch (as) {
    case 'angle':
      return { text: value < 0 ? `−${formatAngle(-value)}` : formatAngle(value) };
    case 'gap': {
      // The large figure bare; what it is about, and the other system, below it.
      const { figure, about } = gapFigure(value, unit);
      const there = translate(formatGap(convertLength(value, unit, other), other));
      return { text: figure, other: about === undefined ? there : `${translate(about)} · ${there}` };
    }
    default:
      return {
        text: formatWithUnit(value, unit),
        other: formatWithUnit(convertLength(value, unit, other), other),
      };
  }
}

/** The figure alone, as text. */
export const outcomeText = (one: Outcome, unit: Unit): string => textsOf(one, unit).text;

/** The figures of an answer: what is asked for large, the rest below it. */
export function Outcomes({ answer, unit }: { answer: Answer; unit: Unit }) {
  return (
    <dl className="bench-figures" aria-live="polite">
      {answer.outcomes.map((one, index) => {
        const { text, other } = textsOf(one, unit);
        return (
          <div key={index} data-strong={one.strong ? '' : undefined}>
            <dt>{translate(one.label)}</dt>
            <dd>
              <span className={one.as === 'text' && text.length > 14 ? 'bench-words' : 'bench-figure'}>
                <Typeset text={text} />
              </span>
              {other && (
                <Text size="sm" c="dimmed">
                  <Typeset text={other} />
                </Text>
              )}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** How the figure comes about, what to look out for, and what people do by rule beside it. */
export function Reasons({ answer }: { answer: Answer }) {
  return (
    <Stack gap={6}>
      {answer.working.map((text) => (
        <Text key={wordsKey(text)} size="sm">
          <Typeset text={translate(text)} />
        </Text>
      ))}
      {answer.watch?.map((text) => (
        <Group
          key={wordsKey(text)}
          gap={6}
          wrap="nowrap"
          align="baseline"
          style={{ color: 'var(--lm-assumed)' }}
        >
          <span aria-hidden>▲</span>
          <Text size="sm">
            <Typeset text={translate(text)} />
          </Text>
        </Group>
      ))}
      {answer.thumbs && answer.thumbs.length > 0 && (
        <Table verticalSpacing={3} horizontalSpacing={6} fz="sm" aria-label={t('Rules of thumb')}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>{t('By rule of thumb')}</Table.Th>
              <Table.Th>{t('says')}</Table.Th>
              <Table.Th>{t('right is')}</Table.Th>
              <Table.Th>{t('what the rule costs here')}</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {answer.thumbs.map((thumb) => (
              <Table.Tr key={wordsKey(thumb.rule)}>
                {[thumb.rule, thumb.says, thumb.exact, thumb.error].map((text, index) => (
                  <Table.Td key={index}>
                    <Typeset text={translate(text)} />
                  </Table.Td>
                ))}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </Stack>
  );
}
