import { useEffect, useState } from 'react';
import { Drawer, List, Stack, Table, Text, Title } from '@mantine/core';
import { tradeTerms } from '@long-miter/core';
import { t } from '../../messages/t.ts';
import { vocabularyNow } from '../../messages/vocabulary.ts';
import { HELP } from './help-texts.ts';
import type { Stage } from './stages.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', t('takes the figure and moves to the next one')],
  ['Tab, Shift+Tab', t('next and previous field')],
  ['a 92, d 32, 36, 80 …', t('in the walk line: the corner, a door and more of the last wall')],
  ['Ctrl+Z, Ctrl+Shift+Z', t('undo and redo on the walk sheet')],
  ['Alt+1 … Alt+5', t('Walk, Joints, Stock, Saw, Hang')],
  ['← →', t('previous and next cut at the saw')],
  ['Ctrl+K', t('finds a room, a piece, a job, a calculator, a screen by its name')],
  ['?', t('this help')],
];

interface Props {
  readonly stage: Stage;
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** What one does on the screen at hand, what its words mean in both vocabularies, and the keys. */
export function Help({ stage, opened, onClose }: Props) {
  const { what, steps, words } = HELP[stage];
  // Opened only once it is there: the drawer notes then where the focus goes back to.
  const [here, setHere] = useState(false);
  useEffect(() => setHere(true), []);
  const other = vocabularyNow() === 'uk' ? 'us' : 'uk';
  return (
    <Drawer
      opened={opened && here}
      onClose={onClose}
      position="right"
      size={520}
      title={<Text fw={650}>{t('Help with this screen')}</Text>}
      closeButtonProps={{ 'aria-label': t('Close the help') }}
    >
      <Stack gap={14}>
        <Text>{t(what)}</Text>
        <List spacing={6} type="ordered">
          {steps.map((step) => (
            <List.Item key={step}>{t(step)}</List.Item>
          ))}
        </List>
        <div>
          <Title order={3} size="h5">
            {t('Words')}
          </Title>
          <dl className="help-words">
            {words.map(([word, meaning]) => (
              <div key={word}>
                <dt>
                  {t(word)}
                  {tradeTerms(word, other) !== t(word) && (
                    <Text span size="sm" c="dimmed">
                      {' '}
                      {other === 'uk'
                        ? t('in Britain: {word}', { word: tradeTerms(word, 'uk') })
                        : t('in the States: {word}', { word })}
                    </Text>
                  )}
                </dt>
                <dd>{t(meaning)}</dd>
              </div>
            ))}
          </dl>
        </div>
        <div>
          <Title order={3} size="h5">
            {t('Keys')}
          </Title>
          <Table>
            <Table.Tbody>
              {KEYS.map(([key, does]) => (
                <Table.Tr key={key}>
                  <Table.Td>
                    <kbd>{key}</kbd>
                  </Table.Td>
                  <Table.Td>{does}</Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </div>
      </Stack>
    </Drawer>
  );
}
