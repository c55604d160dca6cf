import {
  Button,
  Group,
  NativeSelect,
  Radio,
  SegmentedControl,
  Stack,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { useState, type FormEvent } from 'react';
import {
  judgeSaw,
  sawRound,
  SAW_PRACTICE_KINDS,
  type Issue,
  type SawChoice,
  type SawResult,
  type SawRound,
  wordsKey,
} from '@long-miter/core';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { roundPlayed, roundStarted, scoreCleared } from '../../session/slices/bench-slice.ts';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { Score } from './Score.tsx';
import { useKind } from './use-kind.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

/** Nothing is set before somebody sets it, so that no default is the answer. */
type Setting = { readonly [K in keyof SawChoice]: SawChoice[K] | undefined };
const UNSET: Setting = {
  seat: undefined,
  swing: undefined,
  tilt: undefined,
  keep: undefined,
  miter: '',
  bevel: '',
};

const isWhole = (setting: Setting): setting is SawChoice =>
  Object.values(setting).every((one) => one !== undefined);

/** Practice at the saw: how it lies, which way, how far, which side is kept; then the end one would have cut. */
export function SawPracticeView() {
  const dispatch = useAppDispatch();
  const { unit, round: seed, score } = useAppSelector((state) => state.bench);
  const [kind, pickKind] = useKind(SAW_PRACTICE_KINDS);
  const round = sawRound(seed, unit, kind);
  const [setting, setSetting] = useState(UNSET);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [result, setResult] = useState<SawResult>();
  const clear = (): void => {
    setSetting(UNSET);
    setIssues([]);
    setResult(undefined);
  };
  const cut = (event: FormEvent): void => {
    event.preventDefault();
    if (result) return next();
    if (!isWhole(setting))
      return setIssues([
        { at: '', text: t('say how it lies, which way handle and blade go, and which side you keep') },
      ]);
    const judged = judgeSaw(round, setting);
    setIssues(judged.ok ? [] : judged.issues);
    if (!judged.ok) return;
    setResult(judged.value);
    dispatch(roundPlayed({ kind: round.kind, tight: judged.value.right }));
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
      <section className="panel bench-part" aria-label={t('Practice at the saw')}>
        <Title order={1} size="h3">
          {t('Which way would you cut it?')}
        </Title>
        <NativeSelect
          label={t('what to practice')}
          value={kind ?? ''}
          data={[
            { value: '', label: t('any') },
            ...SAW_PRACTICE_KINDS.map((one) => ({ value: one.kind, label: translate(one.name) })),
          ]}
          onChange={(event) => pick(event.currentTarget.value)}
        />
        <Stack gap={4} aria-label={t('What is told')} role="group">
          {round.told.map((text) => (
            <Text key={wordsKey(text)} fz={20} fw={600} lh={1.3}>
              {translate(text)}
            </Text>
          ))}
        </Stack>
        <form onSubmit={cut}>
          <SettingFields
            key={seed}
            round={round}
            setting={setting}
            issues={issues}
            settled={result !== undefined}
            onSet={(part) => setSetting({ ...setting, ...part })}
          />
          {issues.some((one) => one.at === '') && (
            <Text role="alert" style={{ color: 'var(--lm-bad)' }} mt={8}>
              {translateIfAny(issues[0]!.text)}
            </Text>
          )}
          <Group mt={12}>
            <Button type="submit" size="md">
              {result ? t('Next piece') : t('Cut and look')}
            </Button>
            {!result && (
              <Button variant="subtle" size="md" onClick={next}>
                {t('Another piece')}
              </Button>
            )}
          </Group>
        </form>
      </section>
      <section className="panel bench-part" aria-label={t('The end you would have cut')}>
        {result && (
          <Stack gap={6} role="status">
            <Text fz={22} fw={700} c={result.right ? 'var(--mantine-color-text)' : 'var(--lm-bad)'}>
              {result.right ? t('✓ That is the end it needs.') : t('✗ It would not fit.')}
            </Text>
            {result.faults.map((fault) => (
              <Text key={wordsKey(fault)} size="lg">
                {translate(fault)}
              </Text>
            ))}
            <Text>{t('As you laid it: {wanted}.', { wanted: translate(result.wanted) })}</Text>
          </Stack>
        )}
        {result ? (
          <div className="bench-drawings">
            {result.drawings.map((drawing) => (
              <DrawingSvg key={wordsKey(drawing.title)} drawing={drawing} height={230} />
            ))}
          </div>
        ) : (
          <Text c="dimmed" p="lg" ta="center">
            {t('The end you would have cut is drawn here beside the wanted one, once you have set the saw.')}
          </Text>
        )}
        <Score
          kinds={SAW_PRACTICE_KINDS}
          head="right"
          score={score}
          onClear={() => dispatch(scoreCleared())}
        />
      </section>
    </div>
  );
}

const WAYS = [
  { value: 'left', label: t('← left') },
  { value: 'none', label: t('straight') },
  { value: 'right', label: t('right →') },
];

function SettingFields({
  round,
  setting,
  issues,
  settled,
  onSet,
}: {
  round: SawRound;
  setting: Setting;
  issues: readonly Issue[];
  settled: boolean;
  onSet: (part: Partial<Setting>) => void;
}) {
  const scale = (
    way: 'swing' | 'tilt',
    figure: 'miter' | 'bevel',
    label: string,
    ways: readonly { value: string; label: string }[],
  ) => (
    <Group gap={10} align="flex-start" wrap="nowrap" role="group" aria-label={label}>
      <Stack gap={2}>
        <Text size="sm" fw={600}>
          {label}
        </Text>
        <SegmentedControl
          aria-label={label}
          data={[...ways]}
          value={setting[way] ?? ''}
          readOnly={settled}
          onChange={(value) => onSet({ [way]: value as SawChoice['swing'] })}
        />
      </Stack>
      {setting[way] !== undefined && setting[way] !== 'none' && (
        <TextInput
          size="md"
          w={110}
          label={t('by')}
          aria-label={t('{label}: by how much', { label })}
          autoComplete="off"
          inputMode="decimal"
          rightSection={<Text c="dimmed">°</Text>}
          readOnly={settled}
          value={setting[figure] ?? ''}
          error={translateIfAny(issues.find((issue) => issue.at === figure)?.text)}
          onChange={(event) => onSet({ [figure]: event.currentTarget.value })}
        />
      )}
    </Group>
  );
  return (
    <Stack gap={10} mt={8}>
      <Radio.Group
        label={t('it lies')}
        value={setting.seat ?? null}
        onChange={(value) => settled || onSet({ seat: value })}
      >
        <Stack gap={8} mt={6}>
          {round.seats.map(({ value, label }) => (
            <Radio key={value} value={value} label={translate(label)} />
          ))}
        </Stack>
      </Radio.Group>
      {scale('swing', 'miter', t('the handle swings'), WAYS)}
      {scale('tilt', 'bevel', t('the top of the blade leans'), [
        WAYS[0]!,
        { value: 'none', label: t('upright') },
        WAYS[2]!,
      ])}
      <Stack gap={2}>
        <Text size="sm" fw={600}>
          {t('I keep the part')}
        </Text>
        <SegmentedControl
          aria-label={t('I keep the part')}
          data={[
            { value: 'left', label: t('left of the blade') },
            { value: 'right', label: t('right of the blade') },
          ]}
          value={setting.keep ?? ''}
          readOnly={settled}
          onChange={(value) => onSet({ keep: value as SawChoice['keep'] })}
        />
      </Stack>
    </Stack>
  );
}
