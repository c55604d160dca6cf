import { Button, Group, Text, Title } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { memo, useEffect, useLayoutEffect, useMemo, useRef, type ReactNode } from 'react';
import {
  changeOpening,
  changeTrim,
  cornerOfEnd,
  cutList,
  cutSteps,
  pieceWarnings,
  sawOf,
  type CutListLine,
  type CutStep,
  type JobFile,
  type JobRecord,
  type Piece,
  type PlanFile,
} from '@long-miter/core';
import { useStore } from 'react-redux';
import { sheetEditor } from '../../session/drafts/edit-sheet.ts';
import { useAppDispatch, useAppSelector, type Store } from '../../session/store.ts';
import { useRackWords } from '../../session/shop/use-rack-words.ts';
import { stepPicked } from '../../session/slices/ui-slice.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { useSteady } from '../../shared/hooks/use-steady.ts';
import { Windowed } from '../../shared/Windowed.tsx';
import { CutCard } from './CutCard.tsx';
import { t, translateIfAny, translate } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile;
  readonly onPiece: (piece: Piece) => void;
  /** Leads to giving the plan to the saw. */
  readonly give?: ReactNode;
}

/** Saw: the cut list, and the cut at hand in large figures. */
export function SawPage({ file, plan, onPiece, job, give }: Props) {
  const dispatch = useAppDispatch();
  const rackName = useRackWords(job, plan);
  const steps = useMemo(() => cutSteps(file, plan), [file, plan]);
  const lines = useMemo(() => cutList(file, plan), [file, plan]);
  const { step, piece: selected } = useAppSelector((state) => state.ui);
  const firstOf = useMemo(() => {
    const first = new Map<string, number>();
    for (const [index, one] of steps.entries()) if (!first.has(one.piece.id)) first.set(one.piece.id, index);
    return first;
  }, [steps]);
  const found = step ? steps.findIndex((one) => one.piece.id === step.piece && one.end === step.end) : -1;
  // The cut is a piece and its end, not a place in the list: when the plan is made anew one goes on with the same cut.
  const at = Math.max(0, found);
  const gone = step !== undefined && found < 0;
  const current = steps[at];
  const shown = lines.findIndex((line) => line.piece.id === current?.piece.id);
  const card = useRef<HTMLDivElement>(null);
  const list = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the list lies below the card: a cut chosen there must be seen.
    card.current?.scrollIntoView({ block: 'nearest' });
  }, [current?.piece.id, current?.end]);
  const go = useSteady((next: number): void => {
    const { piece, end } = steps[next]!;
    dispatch(stepPicked({ piece: piece.id, end }));
    onPiece(piece);
  });
  // A tap on the list or the ribbon picks a piece to look at; what is being cut moves only when that is asked for.
  const pick = useSteady((line: CutListLine): void => onPiece(line.piece));
  const store = useStore() as unknown as Store;
  const measured = useSteady((held: CutStep, value: number, text: string): string | undefined => {
    const { room, wall, opening, side, trim } = held.piece;
    const [fault] = sheetEditor(
      store,
      job,
      room,
    )((sheet) => {
      if (opening === undefined)
        return wall === undefined
          ? sheet
          : { ...sheet, survey: changeTrim(sheet.survey, trim, { measuredClosing: { wall, near: value } }) };
      const index = sheet.survey.walls.findIndex((one) => one.id === wall);
      const now = sheet.survey.walls[index]?.openings?.find((one) => one.id === opening);
      if (!now) return sheet;
      const change =
        side === 'other' ? { other: { ...now.other, measuredHead: value } } : { measuredHead: value };
      return {
        ...sheet,
        survey: changeOpening(sheet.survey, index, now.id, change),
        typed:
          side === 'other' ? sheet.typed : { ...sheet.typed, [`/openings/${now.id}/measuredHead`]: text },
      };
    });
    return translateIfAny(fault?.text);
  });
  // What was picked on another screen is not looked at here, and what is looked at here stays picked while the plan is
  // made anew; else what is at the saw is what is picked.
  const atSaw = useRef<string>(undefined);
  useLayoutEffect(() => {
    if (!current) return;
    const before = atSaw.current;
    atSaw.current = current.piece.id;
    if ((before === undefined || selected === before) && selected !== current.piece.id)
      onPiece(current.piece);
  }, [current?.piece.id]); // eslint-disable-line react-hooks/exhaustive-deps
  const other =
    selected === current?.piece.id ? undefined : plan.pieces.find((piece) => piece.id === selected);
  const firstOther = other && firstOf.get(other.id);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (
        event.defaultPrevented ||
        (event.target as HTMLElement).closest('input, select, textarea, [data-ref]')
      )
        return;
      if (event.key === 'ArrowRight' && at < steps.length - 1) go(at + 1);
      if (event.key === 'ArrowLeft' && at > 0) go(at - 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <main className="saw-page no-print">
      {steps.length > 0 && (
        <div ref={card}>
          {gone && (
            <Text role="status" fw={600} px={8} pb={4} style={{ color: 'var(--lm-bad)' }}>
              {t(
                'The cut you were at is no longer in the plan: the measures have changed. This is the first cut now.',
              )}
            </Text>
          )}
          <CutCard
            steps={steps}
            at={at}
            unit={job.unit}
            machine={sawOf(file)}
            warnings={pieceWarnings(plan, steps[at]!.piece)}
            rackName={rackName}
            cornerAt={(step) => cornerOfEnd(file, step)}
            onStep={go}
            onMeasured={measured}
            onList={() => list.current?.scrollIntoView({ behavior: 'smooth' })}
          />
        </div>
      )}
      <section className="panel scroll cut-list" aria-label={t('Cut list')} ref={list}>
        <Group justify="space-between" px={8}>
          <Title order={2} size="h4">
            {t('Cut list')}
          </Title>
          <span style={{ flex: 1 }} />
          {give}
          <Button
            size="compact-md"
            variant="default"
            leftSection={<IconPrinter size={18} />}
            onClick={() => window.print()}
          >
            {t('Print')}
          </Button>
        </Group>
        <Text size="sm" c="dimmed" px={8}>
          {t('Number, place, length along the back edge (● the inner edge of casing), left end → right end.')}
        </Text>
        <Windowed
          items={lines}
          keyOf={(line) => line.piece.id}
          height={38}
          show={shown}
          row={(line, index) => (
            <ListRow
              line={line}
              cutting={index === shown}
              picked={line.piece.id === (other?.id ?? current?.piece.id)}
              onPick={pick}
            />
          )}
        />
      </section>
      {other && current && (
        <Group role="status" gap={10} className="other-picked">
          <Text fw={650}>
            {t('{label} is picked; {now} is at the saw.', {
              label: other.label,
              now: current.piece.label,
            })}
          </Text>
          {firstOther !== undefined && (
            <Button variant="default" onClick={() => go(firstOther)}>
              {t('Cut {label} now', { label: other.label })}
            </Button>
          )}
          <Button variant="default" onClick={() => onPiece(current.piece)}>
            {t('Stay at {label}', { label: current.piece.label })}
          </Button>
        </Group>
      )}
    </main>
  );
}

/** One line of the cut list. */
const ListRow = memo(function ListRow({
  line,
  cutting,
  picked,
  onPick,
}: {
  line: CutListLine;
  /** It is the one at the saw. */
  cutting: boolean;
  picked: boolean;
  onPick: (line: CutListLine) => void;
}) {
  return (
    <button
      type="button"
      className="piece-row"
      data-selected={picked || undefined}
      aria-current={cutting ? 'step' : undefined}
      aria-pressed={picked}
      style={{ gridTemplateColumns: '58px minmax(0,1.2fr) 108px minmax(0,1fr)' }}
      onClick={() => onPick(line)}
    >
      <b>{line.piece.label}</b>
      <span>{translate(line.place)}</span>
      <span style={{ textAlign: 'right', fontWeight: 650 }}>
        <Typeset text={translate(line.length)} />
      </span>
      <span>{translate(line.ends)}</span>
    </button>
  );
});
