import { Group, SegmentedControl, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import {
  formatWithUnit,
  planFigures,
  ruleOfThumb,
  stockShares,
  type JobFile,
  type JobRecord,
  type PlanFile,
} from '@long-miter/core';
import { moneyText } from '../../messages/money.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile | undefined;
}

/** Where the stock goes: used and wasted length and money, by profile and by stock length, and against the usual guess. */
export function ChartsView({ job, file, plan }: Props) {
  const [by, setBy] = useState<'profile' | 'length'>('length');
  if (!plan) return <Text p="xl">{t('The charts appear here with the first cut plan.')}</Text>;
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const many = new Set(plan.sticks.map((stick) => stick.profile)).size > 1;
  const shares = stockShares(plan, by).map((one) => {
    const length = one.length === undefined ? '' : formatWithUnit(one.length, job.unit);
    const profile = names.get(one.profile) ?? one.profile;
    return {
      name: length === '' ? profile : many ? `${profile} ${length}` : length,
      used: round(one.used),
      wasted: round(one.wasted),
      cost: one.cost,
    };
  });
  const own = planFigures(plan);
  const guesses = [
    { name: t('this plan'), cost: own.stock, sticks: own.bought },
    ...[10, 15].map((percent) => {
      const thumb = ruleOfThumb(file, plan, percent);
      return { name: t('lengths + {percent} %', { percent }), cost: thumb.cost, sticks: thumb.sticks };
    }),
  ];
  const length = (value: unknown): string => formatWithUnit(Number(value), job.unit);
  return (
    <main className="work charts" aria-label={t('Where the stock goes')}>
      <section className="panel scroll" aria-label={t('Length')} tabIndex={0} style={{ padding: '8px 12px' }}>
        <Group justify="space-between">
          <Title order={2} size="h4">
            {t('Length used and wasted')}
          </Title>
          <SegmentedControl
            size="sm"
            aria-label={t('Grouped by')}
            value={by}
            data={[
              { value: 'length', label: t('by stock length') },
              { value: 'profile', label: t('by profile') },
            ]}
            onChange={(value) => setBy(value)}
          />
        </Group>
        <Chart data={shares} bars={USED} format={length} />
        <Text size="sm">
          {t('{waste} % of {stockLength} ends up in no piece; the largest offcut is {largestOffcut}.', {
            waste: (own.waste * 100).toFixed(1),
            stockLength: formatWithUnit(own.stockLength, job.unit),
            largestOffcut: formatWithUnit(own.largestOffcut, job.unit),
          })}
        </Text>
      </section>
      <section className="panel scroll" aria-label={t('Money')} tabIndex={0} style={{ padding: '8px 12px' }}>
        <Title order={2} size="h4">
          {t('Money {by}', { by: by === 'length' ? t('by stock length') : t('by profile') })}
        </Title>
        <Chart data={shares} bars={COST} format={(value) => moneyText(Number(value), plan.coin)} />
        <Title order={3} size="h5" mt={8}>
          {t('Against the rule of thumb')}
        </Title>
        <Chart
          data={guesses}
          bars={COST}
          format={(value) => moneyText(Number(value), plan.coin)}
          height={140}
        />
        <Text size="sm">
          {guesses
            .slice(1)
            .map((guess) =>
              t('{name}: {sticks} sticks, {cost} {change}', {
                name: guess.name,
                sticks: guess.sticks,
                cost: moneyText(Math.abs(guess.cost - own.stock), plan.coin),
                change: guess.cost >= own.stock ? t('more') : t('less, if it were enough'),
              }),
            )
            .join('; ')}
          .
        </Text>
      </section>
    </main>
  );
}

const round = (value: number): number => Math.round(value * 100) / 100;

interface Series {
  readonly key: string;
  readonly name: string;
  readonly fill: string;
}
const USED: readonly Series[] = [
  { key: 'used', name: t('used'), fill: 'var(--lm-wood)' },
  { key: 'wasted', name: t('wasted'), fill: 'var(--lm-wall)' },
];
const COST: readonly Series[] = [{ key: 'cost', name: t('cost'), fill: 'var(--lm-picked)' }];

/** How many names have room beside one another, how many letters on a phone, and the height that they take aslant, in pixels. */
const SIDE_BY_SIDE = 3;
const LETTERS = 45;
const NAMES = 112;

function Chart({
  data,
  bars,
  format,
  height = 240,
}: {
  data: readonly { readonly name: string }[];
  bars: readonly Series[];
  format: (value: unknown) => string;
  height?: number;
}) {
  // Names of many bars, and long ones, stand aslant, so that none lies over another.
  const longest = Math.max(0, ...data.map(({ name }) => name.length));
  const many = data.length > SIDE_BY_SIDE || longest * data.length > LETTERS;
  return (
    <div style={{ height: many ? height + NAMES : height }}>
      <ResponsiveContainer width="100%" height="100%">
        <BarChart data={[...data]} margin={{ top: 10, right: 12, bottom: 4, left: 12 }}>
          <CartesianGrid vertical={false} stroke="var(--lm-line)" />
          <XAxis
            dataKey="name"
            tick={{ fill: 'var(--mantine-color-text)', fontSize: 12 }}
            interval={0}
            {...(many ? { angle: -45, textAnchor: 'end', height: NAMES } : {})}
          />
          <YAxis
            tick={{ fill: 'var(--mantine-color-text)', fontSize: 13 }}
            width={92}
            tickFormatter={format}
          />
          <Tooltip
            formatter={format as never}
            contentStyle={{ background: 'var(--lm-panel)', border: '1px solid var(--lm-line)' }}
          />
          {bars.length > 1 && (
            <Legend
              formatter={(name: string) => <span style={{ color: 'var(--mantine-color-text)' }}>{name}</span>}
            />
          )}
          {bars.map((bar) => (
            <Bar
              key={bar.key}
              dataKey={bar.key}
              name={bar.name}
              fill={bar.fill}
              stackId="one"
              stroke="var(--lm-wood-edge)"
              isAnimationActive={false}
              maxBarSize={72}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
