import { ActionIcon, Group, SegmentedControl, Switch, Text, Title } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  addLike,
  adviceFor,
  changeOpening,
  trimSide,
  freeRoomAround,
  openingFront,
  removeOpening,
  rulesOfRoom,
  sameAs,
  stoolView,
  taperView,
  type Clearance,
  type JobFile,
  type JobRecord,
  type QuickPlan,
  type SideName,
  wordsKey,
} from '@long-miter/core';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { Painted, type UseOfPart } from '../../drawing/Painted.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { useWidth } from '../../shared/hooks/use-width.ts';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import { useSheet } from '../../session/drafts/use-sheet.ts';
import { AfterFitting } from './AfterFitting.tsx';
import { Alike } from './Alike.tsx';
import { KitEditor } from './KitEditor.tsx';
import { LibraryKits } from './LibraryKits.tsx';
import { listOpenings, type Listed } from './openings-of.ts';
import { PartList } from './PartList.tsx';
import { Remedies } from './Remedies.tsx';
import { openingShort } from '../../shared/text/code-words.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly listed: Listed;
  readonly quick: QuickPlan | undefined;
  readonly taken: ReadonlySet<string>;
  readonly onFigure: (key: string) => void;
  readonly onPicked: (key: string) => void;
}

/** One opening: how it looks from the room, what it is dressed with, what is cut for it, and what to watch. */
export function OpeningPanel({ job, file, listed, quick, taken, onFigure, onPicked }: Props) {
  const { room, wall, wallIndex, opening, name } = listed;
  const { edit, editSheet, undo } = useSheet(job, room.id);
  const [side, setSide] = useState<SideName>('this');
  const [times, setTimes] = useState(1);
  const { ref, width } = useWidth();
  const planned = file.rooms.find((one) => one.id === room.id);
  const shown = planned?.walls
    .find((one) => one.id === wall.id)
    ?.openings?.find((one) => one.id === opening.id);
  if (!planned || !shown) return <section className="panel" aria-label={t('View')} />;
  const rules = rulesOfRoom(file, planned);
  const dressed = trimSide(file, rules, shown, side);
  const nameOf = (id: string): string =>
    listOpenings(job).find((row) => row.room.id === room.id && row.opening.id === id)?.name ?? id;
  const drawing = openingFront(file, rules, shown, {
    side,
    times,
    free: freeRoomAround(file, rules, planned, wall.id, shown, (other) => nameOf(other.id)),
  });
  const use: UseOfPart = ({ ref: part }) =>
    part.kind === 'figure'
      ? { onPick: () => onFigure(part.key), hint: t('change it'), tip: t('change it') }
      : undefined;
  const stool = dressed.parts.find((part) => part.role === 'stool');
  const fromAbove = stool && stoolView(stool, job.unit, shown);
  const tapers = dressed.parts.flatMap((part) => taperView(part, job.unit) ?? []);
  const pieces = (quick?.pieces ?? []).filter(
    (piece) =>
      piece.opening === opening.id &&
      piece.wall === wall.id &&
      piece.side === side &&
      piece.role !== 'return',
  );
  const watch = (quick?.watchOuts ?? []).filter(
    (one) =>
      one.wall !== undefined &&
      (one.opening === opening.id || one.openings?.includes(opening.id) === true) &&
      one.piece === undefined,
  );
  return (
    <section className="panel scroll opening-panel" aria-label={t('Opening {name}', { name })}>
      <Group justify="space-between" wrap="nowrap" gap={8}>
        <Title order={2} size="h3">
          {name}
        </Title>
        <Text c="dimmed" style={{ flex: 1 }} truncate>
          {t('{name}, wall {wallIndex}, {kind}', {
            name: room.name,
            wallIndex: wallIndex + 1,
            kind: openingShort(opening.kind),
          })}
        </Text>
        <CommitField
          size="xs"
          w={110}
          aria-label={t('Other word for {name}', { name })}
          placeholder={t('its own word')}
          text={opening.word ?? ''}
          onCommit={(text) =>
            edit((survey) =>
              changeOpening(survey, wallIndex, opening.id, { word: text.trim() || undefined }),
            )[0]?.text
          }
        />
        <ActionIcon
          size={32}
          variant="default"
          aria-label={t('Remove {name}', { name })}
          onClick={() => {
            edit((survey) => removeOpening(survey, wallIndex, opening.id));
            undoNotice(t('{name} is taken out', { name }), () => Promise.resolve(undo()));
          }}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </Group>
      <Group gap={12} my={6}>
        <SegmentedControl
          size="xs"
          aria-label={t('Side of the wall')}
          value={side}
          data={[
            { value: 'this', label: t('from {name}', { name: room.name }) },
            { value: 'other', label: t('from the other side') },
          ]}
          onChange={(value) => setSide(value)}
        />
        <Switch
          size="xs"
          label={t('out of true drawn 8 times')}
          checked={times > 1}
          onChange={(event) => setTimes(event.currentTarget.checked ? 8 : 1)}
        />
      </Group>
      <div className="opening-look">
        <div ref={ref}>
          {width > 0 && <Painted drawing={drawing} width={width} height={380} margin={14} use={use} />}
          <Text size="sm" c="dimmed" ta="center">
            {t('{title}; ● inner, ○ outer point', { title: translate(drawing.title) })}
          </Text>
        </div>
        <div>
          <PartList pieces={pieces} job={job} planned={dressed.parts.length > 0} />
        </div>
      </div>
      {watch.map((one) => (
        <div key={one.code + wordsKey(one.text)} className="opening-watch">
          <Text size="sm" title={translate(adviceFor(one.code).why)}>
            ▲ <Typeset text={translate(one.text)} />
          </Text>
          {one.code === 'clearance' && (
            <Remedies
              clash={one.data as unknown as Clearance}
              unit={job.unit}
              onTake={(change) => edit((survey) => changeOpening(survey, wallIndex, opening.id, change))}
              opening={opening}
              first={one.openings === undefined || one.openings[0] === opening.id}
            />
          )}
        </div>
      ))}
      <LibraryKits job={job} rules={rules} wallIndex={wallIndex} opening={opening} side={side} edit={edit} />
      <KitEditor job={job} rules={rules} wallIndex={wallIndex} opening={opening} side={side} edit={edit} />
      {side === 'this' && dressed.casing && !dressed.dress.oneUnit && dressed.dress.corners === 'miter' && (
        <AfterFitting
          opening={opening}
          unit={job.unit}
          onChange={(opens) =>
            translateIfAny(edit((survey) => changeOpening(survey, wallIndex, opening.id, { opens }))[0]?.text)
          }
        />
      )}
      {fromAbove && side === 'this' && <DrawingSvg drawing={fromAbove} height={170} margin={20} />}
      {side === 'this' &&
        tapers.map((taper) => (
          <DrawingSvg key={wordsKey(taper.title)} drawing={taper} height={110} margin={22} />
        ))}
      <Alike
        job={job}
        listed={listed}
        taken={taken}
        onSame={(like, withMeasures) =>
          translateIfAny(
            editSheet((sheet) => ({
              ...sheet,
              survey: changeOpening(sheet.survey, wallIndex, opening.id, {
                ...Object.fromEntries(Object.keys(opening).map((key) => [key, undefined])),
                ...sameAs(opening, like, withMeasures),
                name,
              }),
            }))[0]?.text,
          )
        }
        onMore={(places) =>
          translateIfAny(
            editSheet((sheet) => ({
              ...sheet,
              survey: addLike(sheet.survey, wallIndex, { ...opening, name }, places, TAB_TAG),
            }))[0]?.text,
          )
        }
        onPicked={onPicked}
      />
    </section>
  );
}
