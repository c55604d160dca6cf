import {
  ActionIcon,
  Button,
  Group,
  NativeSelect,
  SegmentedControl,
  Switch,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  addLike,
  adviceFor,
  changeOpening,
  dressSide,
  formatLength,
  freeName,
  freeRoomAround,
  openingFront,
  parsePosition,
  partWords,
  removeOpening,
  rulesOfRoom,
  sameAs,
  stoolView,
  taperView,
  type Clearance,
  type JobFile,
  type JobRecord,
  type Opening,
  type Piece,
  type QuickPlan,
  type SideName,
} from '@long-miter/core';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { Painted, type UseOfPart } from '../../drawing/Painted.tsx';
import { Figure, Typeset } from '../../shared/Figure.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { SizeField } from '../../shared/SettledField.tsx';
import { CommitField } from '../../shared/CommitField.tsx';
import { useWidth } from '../../shared/use-width.ts';
import { TAB_TAG } from '../../session/tab-tag.ts';
import { useSheet } from '../../session/use-sheet.ts';
import { KitEditor } from './KitEditor.tsx';
import { listOpenings, type Listed } from './openings-of.ts';
import { KIND_WORDS } from './SheetRow.tsx';

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
  if (!planned || !shown) return <section className="panel" aria-label="View" />;
  const rules = rulesOfRoom(file, planned);
  const dressed = dressSide(file, rules, shown, side);
  const nameOf = (id: string): string =>
    listOpenings(job).find((row) => row.room.id === room.id && row.opening.id === id)?.name ?? id;
  const drawing = openingFront(file, rules, shown, {
    side,
    times,
    free: freeRoomAround(file, rules, planned, wall.id, shown, (other) => nameOf(other.id)),
  });
  const use: UseOfPart = ({ ref: part }) =>
    part.kind === 'figure'
      ? { onPick: () => onFigure(part.key), hint: 'change it', tip: 'change it' }
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
    <section className="panel scroll opening-panel" aria-label={`Opening ${name}`}>
      <Group justify="space-between" wrap="nowrap" gap={8}>
        <Title order={2} size="h3">
          {name}
        </Title>
        <Text c="dimmed" style={{ flex: 1 }} truncate>
          {room.name}, wall {wallIndex + 1}, {KIND_WORDS[opening.kind]}
        </Text>
        <CommitField
          size="xs"
          w={110}
          aria-label={`Other word for ${name}`}
          placeholder="its own word"
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
          aria-label={`Remove ${name}`}
          onClick={() => {
            edit((survey) => removeOpening(survey, wallIndex, opening.id));
            undoNotice(`${name} is taken out`, () => Promise.resolve(undo()));
          }}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </Group>
      <Group gap={12} my={6}>
        <SegmentedControl
          size="xs"
          aria-label="Side of the wall"
          value={side}
          data={[
            { value: 'this', label: `from ${room.name}` },
            { value: 'other', label: 'from the other side' },
          ]}
          onChange={(value) => setSide(value)}
        />
        <Switch
          size="xs"
          label="out of true drawn 8 times"
          checked={times > 1}
          onChange={(event) => setTimes(event.currentTarget.checked ? 8 : 1)}
        />
      </Group>
      <div className="opening-look">
        <div ref={ref}>
          {width > 0 && <Painted drawing={drawing} width={width} height={380} margin={14} use={use} />}
          <Text size="sm" c="dimmed" ta="center">
            {drawing.title}; ● inner, ○ outer point
          </Text>
        </div>
        <div>
          <PartList pieces={pieces} job={job} planned={dressed.parts.length > 0} />
        </div>
      </div>
      {watch.map((one) => (
        <div key={one.code + one.text} className="opening-watch">
          <Text size="sm" title={adviceFor(one.code, job.vocabulary).why}>
            ▲ <Typeset text={one.text} />
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
      <KitEditor job={job} rules={rules} wallIndex={wallIndex} opening={opening} side={side} edit={edit} />
      {side === 'this' && dressed.casing && !dressed.dress.oneUnit && dressed.dress.corners === 'miter' && (
        <AfterFitting
          opening={opening}
          unit={job.unit}
          onChange={(opens) =>
            edit((survey) => changeOpening(survey, wallIndex, opening.id, { opens }))[0]?.text
          }
        />
      )}
      {fromAbove && side === 'this' && <DrawingSvg drawing={fromAbove} height={170} margin={20} />}
      {side === 'this' &&
        tapers.map((taper) => <DrawingSvg key={taper.title} drawing={taper} height={110} margin={22} />)}
      <Alike
        job={job}
        listed={listed}
        taken={taken}
        onSame={(like, withMeasures) =>
          editSheet((sheet) => ({
            ...sheet,
            survey: changeOpening(sheet.survey, wallIndex, opening.id, {
              ...Object.fromEntries(Object.keys(opening).map((key) => [key, undefined])),
              ...sameAs(opening, like, withMeasures),
              name,
            }),
          }))[0]?.text
        }
        onMore={(places) =>
          editSheet((sheet) => ({
            ...sheet,
            survey: addLike(sheet.survey, wallIndex, { ...opening, name }, places, TAB_TAG),
          }))[0]?.text
        }
        onPicked={onPicked}
      />
    </section>
  );
}

/** The ways out that one click takes, on this opening alone. */
function Remedies(props: {
  clash: Clearance;
  unit: JobRecord['unit'];
  opening: Opening;
  /** Of two openings in each other's way, whether this is the left one. */
  first: boolean;
  onTake: (change: Partial<Opening>) => void;
}) {
  const { clash, unit, opening, first, onTake } = props;
  const size = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  const side = clash.names.length > 1 ? (first ? 'right' : 'left') : clash.at;
  return (
    <Group gap={6} my={3}>
      {clash.rip !== undefined && side !== undefined && (
        <Button
          size="compact-xs"
          variant="default"
          onClick={() =>
            onTake({
              kit: {
                ...opening.kit,
                ...(side === 'left' ? { ripLeft: clash.rip } : { ripRight: clash.rip }),
              },
            })
          }
        >
          Rip its {side} leg to {size(clash.rip)}
        </Button>
      )}
      {clash.reveal !== undefined && (
        <Button size="compact-xs" variant="default" onClick={() => onTake({ reveal: clash.reveal! })}>
          Reveal {size(clash.reveal)}
        </Button>
      )}
      {clash.horn !== undefined && clash.horn >= 0 && side !== undefined && (
        <Button
          size="compact-xs"
          variant="default"
          onClick={() => onTake(side === 'left' ? { hornLeft: clash.horn! } : { hornRight: clash.horn! })}
        >
          Horn {size(clash.horn)}
        </Button>
      )}
    </Group>
  );
}

/** What is cut for it: inner and outer edge of every part, and which of them waits. */
function PartList({ pieces, job, planned }: { pieces: readonly Piece[]; job: JobRecord; planned: boolean }) {
  const { unit } = job;
  if (pieces.length === 0)
    return planned ? (
      <Text size="sm" c="dimmed" mt={6}>
        Not planned: the room has no trim around openings of this casing.
      </Text>
    ) : null;
  const far = (piece: Piece): number => piece.near + piece.left.reach + piece.right.reach;
  return (
    <table className="list parts" aria-label="Parts">
      <thead>
        <tr>
          <th>part</th>
          <th className="number">● inner</th>
          <th className="number">○ outer</th>
        </tr>
      </thead>
      <tbody>
        {pieces.map((piece) => (
          <tr key={piece.id}>
            <td>
              <b>{piece.label}</b> {partWords(piece.role, piece.place)}
              <span className="also">
                <Typeset text={alsoOf(piece, unit)} />
              </span>
            </td>
            <td className="number">
              <Figure value={piece.near} unit={unit} />
            </td>
            <td className="number">
              {Math.abs(far(piece) - piece.near) > 1e-6 && <Figure value={far(piece)} unit={unit} />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function alsoOf(piece: Piece, unit: JobRecord['unit']): string {
  const size = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  if (piece.held) return `waits for the measure over both legs; ${size(piece.held.allowance)} to spare`;
  if (piece.allowance > 0) return `rough: ${size(piece.allowance)} of it is to spare`;
  if (piece.taper) return `tapered ${size(piece.taper.left)} to ${size(piece.taper.right)}`;
  if (piece.width !== undefined)
    return `${piece.role === 'stool' ? 'deep' : 'ripped to'} ${size(piece.width)}`;
  return '';
}

/** Head corners that stayed open when they were fitted: what is written here is answered above with the shave. */
function AfterFitting(props: {
  opening: Opening;
  unit: JobRecord['unit'];
  onChange: (opens: Opening['opens']) => string | undefined;
}) {
  const { opening, unit, onChange } = props;
  const set = (corner: 'left' | 'right', open: NonNullable<Opening['opens']>['left']): string | undefined => {
    const { [corner]: _old, ...rest } = opening.opens ?? {};
    const next = open ? { ...rest, [corner]: open } : rest;
    return onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <div className="kit">
      {(['left', 'right'] as const).map((corner) => {
        const open = opening.opens?.[corner];
        return (
          <Group key={corner} gap={6} wrap="nowrap" align="end">
            <NativeSelect
              size="sm"
              style={{ flex: 1 }}
              label={`${corner} head corner`}
              value={open?.at ?? ''}
              data={[
                { value: '', label: 'not fitted, or closed' },
                { value: 'inner', label: 'open at the inner point' },
                { value: 'outer', label: 'open at the outer point' },
              ]}
              onChange={(event) => {
                const at = event.currentTarget.value;
                set(
                  corner,
                  at === '' ? undefined : { at: at as 'inner', by: open?.by ?? (unit === 'in' ? 1 / 32 : 1) },
                );
              }}
            />
            {open && (
              <SizeField
                w={76}
                aria-label={`${corner} head corner, open by`}
                unit={unit}
                value={open.by}
                onTake={(by) => set(corner, { ...open, by })}
              />
            )}
          </Group>
        );
      })}
    </div>
  );
}

interface AlikeProps {
  readonly job: JobRecord;
  readonly listed: Listed;
  readonly taken: ReadonlySet<string>;
  readonly onSame: (like: Listed['opening'], withMeasures: boolean) => string | undefined;
  readonly onMore: (places: readonly { at: number; name: string }[]) => string | undefined;
  readonly onPicked: (key: string) => void;
}

/** Dressed like another, and more of the same. */
function Alike({ job, listed, taken, onSame, onMore }: AlikeProps) {
  const [measures, setMeasures] = useState(false);
  const [fault, setFault] = useState<string>();
  const [text, setText] = useState('');
  const others = listOpenings(job).filter((row) => row.key !== listed.key);
  const more = (): void => {
    const places: { at: number; name: string }[] = [];
    const names = new Set(taken);
    for (const part of text.split(/[,;]/).filter((one) => one.trim() !== '')) {
      const read = parsePosition(part, job.unit);
      if (!read.ok) return setFault(read.issues[0].text);
      const name = freeName(listed.opening.kind, names);
      names.add(name);
      places.push({ at: read.value.value, name });
    }
    if (places.length === 0) return setFault('write where they are, with commas between: 60, 104');
    const wrong = onMore(places);
    setFault(wrong);
    if (wrong === undefined) setText('');
  };
  return (
    <div className="kit" style={{ marginTop: 10 }}>
      {others.length > 0 && (
        <>
          <NativeSelect
            size="xs"
            label="same as"
            value=""
            data={[
              { value: '', label: 'choose one' },
              ...others.map((row) => ({ value: row.key, label: `${row.name}, ${row.room.name}` })),
            ]}
            onChange={(event) => {
              const like = others.find((row) => row.key === event.currentTarget.value);
              if (like) setFault(onSame(like.opening, measures));
            }}
          />
          <Switch
            size="xs"
            label="and the same measures"
            checked={measures}
            onChange={(event) => setMeasures(event.currentTarget.checked)}
          />
        </>
      )}
      <TextInput
        size="xs"
        label={`more like ${listed.name} on this wall, at`}
        placeholder="60, 104"
        autoComplete="off"
        value={text}
        error={fault}
        onChange={(event) => setText(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && more()}
      />
      <Button size="compact-sm" variant="default" onClick={more} style={{ alignSelf: 'end' }}>
        Add them
      </Button>
    </div>
  );
}
