import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMemo } from 'react';
import { fieldsAsked, startTexts, workSheet, type Sheet, wordsKey } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { Outcomes, outcomeText, Reasons } from './AnswerView.tsx';
import { figureTyped, sheetCleared } from '../../session/slices/bench-slice.ts';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { SendPanel } from './SendPanel.tsx';
import { SheetField } from './SheetField.tsx';
import { translate, t, translateIfAny } from '../../messages/t.ts';

const NOTHING: Readonly<Record<string, string>> = {};

/** One calculator: its question, its fields, the figures, a drawing that follows them, and how they come about. */
export function SheetView({ sheet }: { sheet: Sheet }) {
  const dispatch = useAppDispatch();
  const unit = useAppSelector((state) => state.bench.unit);
  const typed = useAppSelector((state) => state.bench.texts[sheet.key] ?? NOTHING);
  const texts = useMemo(() => ({ ...startTexts(sheet, unit), ...typed }), [sheet, unit, typed]);
  const result = useMemo(() => workSheet(sheet, texts, unit), [sheet, texts, unit]);
  const fields = fieldsAsked(sheet, texts);
  const faultAt = (key: string): string | undefined =>
    result.ok ? undefined : translateIfAny(result.issues.find((issue) => issue.at === key)?.text);
  const loose = result.ok
    ? []
    : result.issues.filter((issue) => !fields.some((field) => field.key === issue.at));
  return (
    <div className="bench-sheet">
      <section className="panel bench-part" aria-label={translate(sheet.name)}>
        <Group justify="space-between" wrap="nowrap" align="start" gap={8}>
          <Title order={1} size="h3">
            {translate(sheet.question)}
          </Title>
          {typed !== NOTHING && (
            <Button
              size="compact-sm"
              variant="subtle"
              style={{ flex: 'none' }}
              onClick={() => dispatch(sheetCleared(sheet.key))}
            >
              {t('Start over')}
            </Button>
          )}
        </Group>
        <div className="bench-fields">
          {fields.map((field) => (
            <SheetField
              key={field.key}
              field={field}
              unit={unit}
              text={texts[field.key] ?? ''}
              fault={faultAt(field.key)}
              onText={(text) => dispatch(figureTyped({ sheet: sheet.key, key: field.key, text }))}
            />
          ))}
        </div>
        {result.ok && result.value.sends && result.value.sends.length > 0 && (
          <SendPanel sends={result.value.sends} unit={unit} />
        )}
      </section>
      {result.ok && (
        <div className="bench-quick" aria-hidden>
          {result.value.outcomes
            .filter((one) => one.strong)
            .slice(0, 2)
            .map((one, index) => (
              <div key={index}>
                <span>{translate(one.label)}</span> <b>{outcomeText(one, unit)}</b>
              </div>
            ))}
        </div>
      )}
      <section className="panel bench-part" aria-label={t('Answer')}>
        {result.ok ? (
          <>
            <Outcomes answer={result.value} unit={unit} />
            <div className="bench-drawings">
              {result.value.drawings.map((drawing) => (
                <DrawingSvg
                  key={wordsKey(drawing.title)}
                  drawing={drawing}
                  height={result.value.drawings.length > 1 ? 260 : 264}
                />
              ))}
            </div>
            <Reasons answer={result.value} />
          </>
        ) : (
          <Stack gap={4} role="status" p="lg">
            <Text fw={650}>{t('No figure for that.')}</Text>
            {loose.map((issue) => (
              <Text key={translate(issue.text)} c="var(--lm-bad)">
                {translate(issue.text)}
              </Text>
            ))}
            {loose.length === 0 && <Text c="dimmed">{t('The reason stands at the field.')}</Text>}
          </Stack>
        )}
      </section>
    </div>
  );
}
