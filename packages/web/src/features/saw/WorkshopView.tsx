import { Button, Group, Text } from '@mantine/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  atHandOf,
  benchTask,
  changesSince,
  cornerOfEnd,
  formatAngle,
  formatWithUnit,
  placeOf,
  isAlive,
  isCut,
  remaindersOf,
  sawHolder,
  sawOf,
  sawTask,
  whatJointsTell,
  workOf,
  type CutStep,
  type WhatJointsTell,
  type JobFile,
  type JobRecord,
  type Piece,
  type Shop,
  type WorkStick,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { Changes } from './Changes.tsx';
import { NotSecure } from '../../shared/NotSecure.tsx';
import { useAwake } from '../../session/offline.ts';
import { CutCard } from './CutCard.tsx';
import { NotGood } from './NotGood.tsx';
import { Resume } from './Resume.tsx';
import { StickRail } from './StickRail.tsx';
import { TakeCard } from './TakeCard.tsx';
import { insteadWords, useHeldCut } from './use-held-cut.ts';
import { t, translate } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly shop: Shop;
  readonly session: ShopSession;
  /** The job's pieces as they are planned now; undefined while that is worked out. */
  readonly planned: readonly Piece[] | undefined;
  /** Leads to giving another trip, or what has no stick yet. */
  readonly onGive: () => void;
}

/** What is displayed of a cut goes with the event, so that the log says what somebody saw. */
const shown = (step: CutStep): { shown: object } => ({
  shown: {
    mark: step.mark.text,
    edge: step.mark.edge,
    swing: step.saw.swing,
    dial: step.saw.dial,
    tilt: step.saw.tilt,
    dialBevel: step.saw.dialBevel,
    keep: step.saw.keep,
  },
});

const setOf = (step: CutStep) => ({
  kind: 'end-set' as const,
  tag: step.piece.label,
  end: step.end,
  ...shown(step),
});

/** The saw at work: one thing to do at a time, from what was given and what has happened. A newer plan changes nothing here. */
export function WorkshopView({ job, file, shop, session, planned, onGive }: Props) {
  useAwake();
  const work = useMemo(() => workOf(shop), [shop]);
  const [chosen, setChosen] = useState<string>();
  const [notGood, setNotGood] = useState(false);
  const asked = useMemo(() => sawTask(file, shop, work, chosen), [file, shop, work, chosen]);
  const holder = sawHolder(session.log?.events ?? []);
  const elsewhere = holder !== undefined && holder !== session.device && isInHand(shop);
  const { task, instead, putDown } = useHeldCut(asked, elsewhere, session);
  const changed = useMemo(() => (planned ? changesSince(shop, planned) : []), [shop, planned]);
  const told = useMemo(
    () => whatJointsTell(file, shop, session.log?.events ?? []),
    [file, shop, session.log],
  );
  const rest = useMemo(() => remaindersOf(file, work), [file, work]);
  // Asked once, when the page comes up: what was in hand then.
  const [pending, setPending] = useState(() => atHandOf(session.log?.events ?? [], session.device, shop));
  // An end is set as soon as its card comes up after a step of this device: after an interruption it is asked for.
  const acted = useRef(false);
  const setAt = task.kind === 'cut' ? `${task.step.piece.label} ${task.step.end}` : undefined;
  useEffect(() => {
    if (!acted.current || task.kind !== 'cut') return;
    acted.current = false;
    session.note(setOf(task.step));
    // Once for each end; the session changes with every event.
  }, [setAt]); // eslint-disable-line react-hooks/exhaustive-deps
  const note: ShopSession['note'] = (...happened) => {
    const noted = session.note(...happened);
    if (noted) acted.current = true;
    return noted;
  };
  const cut = (step: CutStep, stick: WorkStick): void => {
    const letter = stick.letter!;
    const also = step.alsoMakes;
    note(
      { kind: 'end-cut', tag: step.piece.label, end: step.end, letter, ...shown(step) },
      ...(also ? [{ kind: 'end-cut' as const, tag: also.label, end: 'left', letter }] : []),
    );
    setPending(undefined);
  };
  const suspects = useMemo(() => {
    const inHand = shop.pieces.filter((one) => one.state === 'in-hand');
    const letters = new Set([
      ...inHand.map((one) => one.letter),
      'stick' in task ? task.stick.letter : undefined,
    ]);
    const cutHere = shop.pieces.filter((one) => one.state === 'cut' && letters.has(one.letter)).reverse();
    return [...inHand, ...cutHere];
  }, [shop, task]);
  const done = shop.pieces.filter(isCut).length;
  const all = shop.pieces.filter(isAlive).length;
  const below = (main: { label: string; go: () => void } | undefined) => (
    <div className="saw-actions no-print">
      <Button
        size="lg"
        variant="default"
        disabled={!session.last}
        onClick={() => {
          setPending(undefined);
          session.takeBack();
        }}
      >
        {t('Take back')}
      </Button>
      <Button
        size="lg"
        variant="outline"
        color="red"
        disabled={suspects.length === 0}
        onClick={() => setNotGood(true)}
      >
        {t('Not good')}
      </Button>
      {main && (
        <Button size="lg" style={{ flex: 2 }} onClick={main.go} disabled={elsewhere}>
          {main.label}
        </Button>
      )}
    </div>
  );
  return (
    <main className="saw-page workshop no-print">
      <StickRail
        shop={shop}
        work={work}
        task={task}
        rest={rest}
        unit={job.unit}
        done={t('{done} of {all} cut', { done, all })}
        session={session}
        onChoose={(stick) => {
          putDown();
          setChosen(stick);
        }}
        onGive={onGive}
        paper={`/jobs/${job.id}/paper`}
      />
      <NotSecure />
      {instead && (
        <Group px={8} gap={10} role="alert">
          <Text fw={700} px={10} py={6} className="stop-band">
            {insteadWords(task, instead)}
          </Text>
          <Button size="compact-md" variant="default" onClick={putDown}>
            {t('Put it down: show what is asked for now')}
          </Button>
          <Text size="sm">{t('Or finish it as shown.')}</Text>
        </Group>
      )}
      <Changes changed={changed} unit={job.unit} onGive={onGive} />
      {elsewhere && (
        <Group px={8} gap={10} role="status">
          <Text fw={650} style={{ color: 'var(--lm-assumed)' }}>
            {t('{inHandTags} is in hand on another device.', { inHandTags: inHandTags(shop) })}
          </Text>
          <Button
            size="compact-md"
            variant="default"
            onClick={() => task.kind === 'cut' && session.note(setOf(task.step))}
          >
            {t('Take the saw over here')}
          </Button>
        </Group>
      )}
      {pending && task.kind === 'cut' && !elsewhere ? (
        <Resume
          pending={pending}
          step={task.step}
          unit={job.unit}
          onNot={() => setPending(undefined)}
          onCut={() => cut(task.step, task.stick)}
        />
      ) : task.kind === 'take' ? (
        <TakeCard
          stick={task.stick}
          letter={task.letter}
          file={file}
          shop={shop}
          onTaken={(measured) =>
            note({
              kind: 'stick-taken',
              letter: task.letter,
              stick: task.stick.from.stick,
              revision: task.stick.from.revision,
              ...(measured === undefined ? {} : { measured }),
            })
          }
          below={below}
        />
      ) : task.kind === 'cut' ? (
        <CutCard
          steps={[task.step]}
          at={0}
          unit={job.unit}
          machine={sawOf(file)}
          warnings={cornerWarnings(told, task.step)}
          rackName={() => task.step.stick.label ?? ''}
          cornerAt={(step) => cornerOfEnd(file, step)}
          letter={task.stick.letter}
          count={t('{count} cuts left of stick {letter}', { count: task.left, letter: task.stick.letter })}
          onStep={() => undefined}
          onMeasured={() => undefined}
          actions={below({ label: t('It is cut'), go: () => cut(task.step, task.stick) })}
        />
      ) : task.kind === 'write' ? (
        <section className="panel cut-card" aria-label={t('Write the number')}>
          <header className="cut-head">
            <span className="cut-tag" data-testid="tag">
              {task.piece.tag}
            </span>
            <span className="cut-name">
              <span>{t('write it on its back')}</span>
              <small>
                <Typeset text={formatWithUnit(task.piece.near, job.unit)} />
              </small>
            </span>
          </header>
          <Text fz={26} mt={6}>
            {t('Write')} <b>{task.piece.tag}</b> {t('on its back, near its left end. It goes to')}{' '}
            <b>{translate(placeOf(file, task.step.piece))}</b>.
          </Text>
          <Text c="dimmed">{translate(benchTask(task.step))}</Text>
          <div className="cut-lies" style={{ maxWidth: 620, marginTop: 12 }}>
            {below({
              label: t('Written'),
              go: () => note({ kind: 'written', tag: task.piece.tag }),
            })}
          </div>
        </section>
      ) : (
        <section className="panel" aria-label={t('Nothing to cut')} style={{ padding: 20 }}>
          {task.kind === 'loose' ? (
            <>
              <Text fz={24} fw={650}>
                {t('{pieces} have no stick', {
                  count: task.pieces.length,
                  pieces: task.pieces.map((one) => one.tag).join(', '),
                })}
              </Text>
              <Text mb={10}>
                {t('What was planned is cut. Plan the rest anew: opened sticks and the rack come first.')}
              </Text>
              <Button size="lg" onClick={onGive}>
                {t('Find a stick')}
              </Button>
            </>
          ) : task.kind === 'waits' ? (
            <Text fz={24} fw={650}>
              {t('Only {pieces} wait for a measure. Give it on the Hang page.', {
                count: task.pieces.length,
                pieces: task.pieces.map((one) => one.tag).join(', '),
              })}
            </Text>
          ) : (
            <Text fz={24} fw={650}>
              {t('Everything that was given is cut.')}
            </Text>
          )}
          <div style={{ maxWidth: 620, marginTop: 12 }}>{below(undefined)}</div>
        </section>
      )}
      {notGood && (
        <NotGood
          shop={shop}
          unit={job.unit}
          pieces={suspects}
          session={session}
          onClose={() => setNotGood(false)}
        />
      )}
    </main>
  );
}

/** What was found of the corner that is being cut for; the card itself stays as it was given. */
const cornerWarnings = ({ findings }: WhatJointsTell, { piece, end }: CutStep): string[] =>
  findings.flatMap((found) =>
    found.waiting
      .filter((one) => !found.known && one.tag === piece.label && one.end === end)
      .map(({ half }) =>
        t(
          'Corner {corner} was found to be {real}, not {planned} ({from} stood open): this end would be {half}. Ask the lead to put it in the walk and give it anew, or cut it as shown.',
          {
            corner: found.corner,
            real: formatAngle(found.real),
            planned: formatAngle(found.planned),
            from: found.from.join(', '),
            half: formatAngle(half),
          },
        ),
      ),
  );

const isInHand = (shop: Shop): boolean => shop.pieces.some((one) => one.state === 'in-hand');
const inHandTags = (shop: Shop): string =>
  shop.pieces
    .filter((one) => one.state === 'in-hand')
    .map((one) => one.tag)
    .join(', ');
