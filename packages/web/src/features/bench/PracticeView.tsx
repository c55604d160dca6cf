import { Button, Group, NativeSelect, Stack, Text, TextInput, Title } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import {
  formatGap,
  judgePractice,
  practiceRound,
  PRACTICE_KINDS,
  type Issue,
  type PracticeResult,
  wordsKey,
} from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { Outcomes, Reasons } from './AnswerView.tsx';
import { Score } from './Score.tsx';
import { useKind } from './use-kind.ts';
import { roundPlayed, roundStarted, scoreCleared } from '../../session/slices/bench-slice.ts';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { translate, t, translateIfAny } from '../../messages/t.ts';

/** Practice: a corner is told, settings are asked for, the joint one would have got is shown, and the score is kept. */
export function PracticeView() {
  const dispatch = useAppDispatch();
  const { unit, round: seed, score } = useAppSelector((state) => state.bench);
  const [kind, pickKind] = useKind(PRACTICE_KINDS);
  const round = practiceRound(seed, unit, kind);
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [result, setResult] = useState<PracticeResult>();
  const clear = (): void => {
    setTexts({});
    setIssues([]);
    setResult(undefined);
  };
  const cut = (event: FormEvent): void => {
    event.preventDefault();
    if (result) return next();
    const judged = judgePractice(round, texts, unit);
    setIssues(judged.ok ? [] : judged.issues);
    if (!judged.ok) return;
    setResult(judged.value);
    dispatch(roundPlayed({ kind: round.kind, tight: judged.value.tight }));
  };
  const next = (): void => {
    clear();
    dispatch(roundStarted());
  };
  const pick = (value: string): void => {
    clear();
    pickKind(value);
  };
  return (
    <div className="bench-sheet">
      <section className="panel bench-part" aria-label={t('Practice')}>
        <Title order={1} size="h3">
          {t('Practice: what would you set?')}
        </Title>
        <NativeSelect
          label={t('kind of corner')}
          value={kind ?? ''}
          data={[
            { value: '', label: t('any') },
            ...PRACTICE_KINDS.map((one) => ({ value: one.kind, label: translate(one.name) })),
          ]}
          onChange={(event) => pick(event.currentTarget.value)}
        />
        <Stack gap={4} aria-label={t('What is told')} role="group">
          {round.told.map((text) => (
            <Text key={wordsKey(text)} fz={20} fw={600} lh={1.3}>
              {translate(text)}
            </Text>
          ))}
          <Text c="dimmed">
            {round.joint === 'cope'
              ? t('The left piece is coped over the right one.')
              : t('The two pieces are mitered together.')}
          </Text>
        </Stack>
        <form onSubmit={cut}>
          <div className="bench-fields">
            {round.asks.map((ask, index) => (
              <TextInput
                key={`${seed}${ask.key}`}
                size="lg"
                label={translate(ask.label)}
                value={texts[ask.key] ?? ''}
                autoComplete="off"
                inputMode="decimal"
                data-autofocus={index === 0 ? '' : undefined}
                rightSection={<Text c="dimmed">°</Text>}
                readOnly={result !== undefined}
                error={translateIfAny(issues.find((issue) => issue.at === ask.key)?.text)}
                onChange={(event) => setTexts({ ...texts, [ask.key]: event.currentTarget.value })}
              />
            ))}
          </div>
          <Group mt={12}>
            <Button type="submit" size="md">
              {result ? t('Next corner') : t('Cut and look')}
            </Button>
            {!result && (
              <Button variant="subtle" size="md" onClick={next}>
                {t('Another corner')}
              </Button>
            )}
          </Group>
        </form>
        {result && (
          <Stack gap={6} role="status">
            <Text fz={22} fw={700} c={result.tight ? 'var(--mantine-color-text)' : 'var(--lm-bad)'}>
              {practiceVerdict(result, unit)}
            </Text>
            <Outcomes answer={result.answer} unit={unit} />
          </Stack>
        )}
      </section>
      <section className="panel bench-part" aria-label={t('The joint you would have got')}>
        {result ? (
          <>
            <div className="bench-drawings">
              {result.answer.drawings.map((drawing) => (
                <DrawingSvg key={wordsKey(drawing.title)} drawing={drawing} height={240} />
              ))}
            </div>
            <Reasons answer={result.answer} />
          </>
        ) : (
          <Text c="dimmed" p="lg" ta="center">
            {t('The joint is drawn here, from above and from the room, once you have set the saw.')}
          </Text>
        )}
        <Score kinds={PRACTICE_KINDS} head="closed" score={score} onClear={() => dispatch(scoreCleared())} />
      </section>
    </div>
  );
}

function practiceVerdict({ tight, faceGap }: PracticeResult, unit: 'in' | 'mm'): string {
  if (tight) return t('✓ The joint closes.');
  return faceGap > 1e-6
    ? t('✗ The face stays open {faceGap}.', { faceGap: translate(formatGap(faceGap, unit)) })
    : t('✗ The faces meet, but hollow behind: cut to the wall, the pieces are too long.');
}
