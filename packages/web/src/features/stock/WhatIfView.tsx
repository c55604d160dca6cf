import { Button, Group, Loader, NativeSelect, NumberInput, Stack, Table, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import {
  completeHouseRules,
  formatWithUnit,
  coinOfJob,
  kerfOf,
  comparable,
  planFigures,
  sawOf,
  sticksMoved,
  variationWords,
  type Coin,
  type JobFile,
  type JobRecord,
  type Piece,
  type PlanFigures,
  type PlanFile,
  type StickPin,
  type Variation,
  wordsKey,
} from '@long-miter/core';
import { useCutRecords } from '../../session/shop/use-cut-records.ts';
import { useAppSelector } from '../../session/store.ts';
import { sticksOfPlan } from '../../session/use-plan.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { ProgressLines } from './ProgressLines.tsx';
import { Sticks } from './Sticks.tsx';
import { useVariation } from './use-variation.ts';
import { moneyText } from '../../messages/money.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile | undefined;
  readonly onPiece: (piece: Piece) => void;
}

/** What if one thing were otherwise: the plan beside the one in force, in figures and stick by stick. */
export function WhatIfView({ job, file, plan, onPiece }: Props) {
  const { pins } = job.settings;
  const records = useCutRecords(job.id, file);
  const earlier = useAppSelector((state) => state.plan.before);
  const before = useMemo(() => sticksOfPlan(earlier), [earlier]);
  const { found, outdated, ask, stop } = useVariation(file, pins, records, before);
  const coin = useMemo(() => coinOfJob(file), [file]);
  const refused = useAppSelector((state) => state.plan.issues);
  return (
    <main className="work" style={{ gridTemplateColumns: 'minmax(0, 300px) minmax(0, 1fr) minmax(0, 1fr)' }}>
      <section
        className="panel scroll"
        aria-label={t('What if')}
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        <Title order={2} size="h4">
          {t('What if')}
        </Title>
        <Text size="sm" c="dimmed">
          {t('Nothing is changed in the job: the answer stands beside the plan in force.')}
        </Text>
        <Questions file={file} hasBefore={before.length > 0} onAsk={ask} />
      </section>
      <section
        className="panel scroll"
        aria-label={t('The plan in force')}
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        <Title order={3} size="h5">
          {t('The plan in force')}
        </Title>
        {plan ? (
          <>
            <Without of={plan} against={undefined} />
            <Figures of={planFigures(plan)} job={job} coin={coin} />
            <Sticks
              plan={plan}
              profiles={job.settings.profiles}
              unit={job.unit}
              selectedPiece={undefined}
              onPiece={onPiece}
            />
          </>
        ) : (
          (refused.length === 0
            ? [t('The cut plan is being worked out.')]
            : refused.map((one) => translate(one.text))
          ).map((text) => (
            <Text key={wordsKey(text)} c="dimmed">
              {text}
            </Text>
          ))
        )}
      </section>
      <section
        className="panel scroll"
        aria-label={t('The other plan')}
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        {!found && (
          <Text c="dimmed" role="status">
            {outdated
              ? t('The job was changed meanwhile, so the answer is gone: ask again.')
              : t('Ask a question on the left: its plan appears here.')}
          </Text>
        )}
        {found && (
          <>
            <Group justify="space-between">
              <Title order={3} size="h5">
                {t('With {variationWords}', {
                  variationWords: translate(variationWords(file, found.variation)),
                })}
              </Title>
              {!found.final && (
                <Group gap={6}>
                  <Loader size="xs" />
                  <Button size="compact-sm" variant="default" onClick={stop}>
                    {t('Stop')}
                  </Button>
                </Group>
              )}
            </Group>
            {!found.final &&
              Object.entries(found.progress)
                .filter(([, steps]) => steps.at(-1)!.cost > steps.at(-1)!.lowerBound)
                .map(([profile, steps]) => (
                  <div key={profile}>
                    <Text size="sm" c="dimmed">
                      {t('{profile}: best so far {cost}, cannot be below {lowerBound}', {
                        profile: file.profiles.find((one) => one.id === profile)?.name ?? profile,
                        cost: moneyText(steps.at(-1)!.cost, coin),
                        lowerBound: moneyText(steps.at(-1)!.lowerBound, coin),
                      })}
                    </Text>
                    <ProgressLines steps={steps} />
                  </div>
                ))}
            {found.issues.map((issue) => (
              <Text key={translate(issue.text)} role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
                {translate(issue.text)}
              </Text>
            ))}
            {found.plan && (
              <>
                {found.variation.kind === 'keep-sticks' && plan && (
                  <Text fw={600}>{movedWords(before, plan, found.plan)}</Text>
                )}
                <Without of={found.plan} against={plan} />
                <Figures
                  of={planFigures(found.plan)}
                  job={job}
                  coin={coin}
                  {...(plan && comparable(found.plan, plan) ? { against: planFigures(plan) } : {})}
                />
                <Sticks
                  plan={found.plan}
                  profiles={job.settings.profiles}
                  unit={job.unit}
                  selectedPiece={undefined}
                  onPiece={onPiece}
                />
              </>
            )}
          </>
        )}
      </section>
    </main>
  );
}

/** What of the job is not in a plan, and that its sums say nothing then beside one that has it. */
function Without({ of, against }: { of: PlanFile; against: PlanFile | undefined }) {
  const [first, ...more] = planFigures(of).without;
  return (
    <>
      {against && !comparable(of, against) && (
        <Text fw={650}>
          {first !== undefined
            ? t('Not everything is in this plan: what it costs does not compare with the plan in force.')
            : t('The plan in force does not hold everything: the costs do not compare.')}
        </Text>
      )}
      {first !== undefined && (
        <div role="alert" style={{ color: 'var(--lm-bad)' }}>
          <Text fw={600}>{translate(first)}</Text>
          {more.length > 0 && (
            <details>
              <summary>{t('and {count} more', { count: more.length })}</summary>
              {more.map((text) => (
                <Text key={wordsKey(text)}>{translate(text)}</Text>
              ))}
            </details>
          )}
        </div>
      )}
    </>
  );
}

/** How many sticks of the plan before change, in this plan and in the one in force. */
function movedWords(before: readonly StickPin[], inForce: PlanFile, other: PlanFile): string {
  const here = sticksMoved(before, other);
  return t(
    'Of {sticks} before the last change {count} are cut otherwise here, {inForce} in the plan in force.',
    {
      sticks: t('{count} sticks', { count: before.length }),
      count: here,
      inForce: sticksMoved(before, inForce),
    },
  );
}

function Questions({
  file,
  hasBefore,
  onAsk,
}: {
  file: JobFile;
  hasBefore: boolean;
  onAsk: (variation: Variation) => void;
}) {
  const lengths = [...new Set(file.stock.map((item) => item.length))].sort((a, b) => b - a);
  const names = new Map(file.profiles.map((profile) => [profile.id, profile.name]));
  const size = (length: number): string => formatWithUnit(length, file.unit);
  const [length, setLength] = useState(String(lengths[0] ?? ''));
  const [item, setItem] = useState('0');
  const [count, setCount] = useState(8);
  const [kerf, setKerf] = useState(kerfOf(sawOf(file), file.unit) * 1.5);
  const ask = (label: string, variation: Variation) => (
    <Button variant="default" onClick={() => onAsk(variation)}>
      {label}
    </Button>
  );
  const limited = file.stock[Number(item)];
  const { cutMargin: margin } = completeHouseRules(file.houseRules, file.unit);
  return (
    <Stack gap={10} mt={8}>
      {ask(t('No splices'), { kind: 'no-splices' })}
      {ask(t('Splices wherever they save'), { kind: 'splices-save' })}
      {ask(t('Use the rack up first'), { kind: 'rack-first' })}
      {ask(t('Leave the rack alone'), { kind: 'no-rack' })}
      {hasBefore && ask(t('Change as few sticks as possible'), { kind: 'keep-sticks' })}
      {margin > 0 && ask(t('Keep no margin for cutting'), { kind: 'margin', margin: 0 })}
      <Group gap={6} align="flex-end" wrap="nowrap">
        <NativeSelect
          label={t('Only sticks of')}
          value={length}
          data={lengths.map((one) => ({ value: String(one), label: size(one) }))}
          onChange={(event) => setLength(event.currentTarget.value)}
          style={{ flex: 1 }}
        />
        {ask(t('Ask'), { kind: 'only-length', length: Number(length) })}
      </Group>
      {limited && (
        <>
          <NativeSelect
            label={t('The supplier has only so many of')}
            value={item}
            data={file.stock.map((one, index) => ({
              value: String(index),
              label: `${names.get(one.profile) ?? one.profile}, ${size(one.length)}`,
            }))}
            onChange={(event) => setItem(event.currentTarget.value)}
          />
          <Group gap={6} align="flex-end" wrap="nowrap">
            <NumberInput
              aria-label={t('How many there are')}
              min={0}
              max={10_000}
              value={count}
              onChange={(value) => setCount(Math.max(0, Math.round(Number(value) || 0)))}
            />
            {ask(t('Ask'), { kind: 'count', profile: limited.profile, length: limited.length, count })}
          </Group>
        </>
      )}
      <Group gap={6} align="flex-end" wrap="nowrap">
        <NumberInput
          label={t('A kerf of ({unit})', { unit: file.unit })}
          min={0}
          max={file.unit === 'in' ? 1 : 25}
          step={file.unit === 'in' ? 1 / 64 : 0.1}
          value={kerf}
          onChange={(value) => setKerf(Math.max(0, Number(value) || 0))}
        />
        {ask(t('Ask'), { kind: 'kerf', kerf })}
      </Group>
    </Stack>
  );
}

/** The figures of a plan; against another one, with what is better and worse. */
function Figures({
  of,
  job,
  coin,
  against,
}: {
  of: PlanFigures;
  job: JobRecord;
  coin: Coin;
  against?: PlanFigures;
}) {
  const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
  const plain = (value: number): string => String(value);
  const size = (value: number): string => formatWithUnit(value, job.unit);
  const money = (value: number): string => moneyText(value, coin);
  const rows: readonly [string, keyof PlanFigures, (value: number) => string][] = [
    [t('cost'), 'cost', money],
    [t('sticks bought'), 'bought', plain],
    [t('from the rack'), 'fromRack', plain],
    [t('splices, in money'), 'splices', money],
    [t('waste'), 'waste', percent],
    [t('largest offcut'), 'largestOffcut', size],
    [t('saw settings changed'), 'sawChanges', plain],
  ];
  return (
    <Table verticalSpacing={2} mb={6}>
      <Table.Tbody>
        {rows.map(([name, key, show]) => {
          const value = of[key] as number;
          const change = against ? value - (against[key] as number) : 0;
          return (
            <Table.Tr key={key}>
              <Table.Td>{name}</Table.Td>
              <Table.Td ta="right" fw={key === 'cost' ? 700 : 500}>
                <Typeset text={show(value)} />
              </Table.Td>
              {against && (
                <Table.Td ta="right" c="dimmed">
                  {show(Math.abs(change)) === show(0) ? (
                    t('the same')
                  ) : (
                    <Typeset text={`${show(Math.abs(change))} ${change > 0 ? t('more') : t('less')}`} />
                  )}
                </Table.Td>
              )}
            </Table.Tr>
          );
        })}
        <Table.Tr>
          <Table.Td>{t('no plan below')}</Table.Td>
          <Table.Td ta="right">
            {money(of.lowerBound)}
            {of.proven ? t(', proven') : ''}
          </Table.Td>
          {against && <Table.Td />}
        </Table.Tr>
      </Table.Tbody>
    </Table>
  );
}
