import { Group, SegmentedControl, Stack, Text } from '@mantine/core';
import {
  backerOf,
  crownSection,
  dropLineDrawing,
  endDrawing,
  formatWithUnit,
  jointCloseUp,
  pinJoint,
  sawnAs,
  settingText,
  traitsOf,
  type Piece,
  type Profile,
  type QuickPlan,
  type Room,
  type Unit,
  wordsKey,
} from '@long-miter/core';
import { LengthText } from '../../shared/fields/Figure.tsx';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { DrawingSvg } from '../../drawing/DrawingSvg.tsx';
import { SplicePlaces } from './SplicePlaces.tsx';
import { endText } from '../../shared/text/joint-words.ts';
import { translate, t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

interface Props {
  readonly piece: Piece;
  readonly room: Room;
  readonly unit: Unit;
  readonly quick: QuickPlan;
  readonly edit: EditSurvey;
  readonly pieces: readonly Piece[];
}

/** Everything about the selected piece: figures, both ends, the reason for each, and the choice at its corners. */
export function PieceDetails({ piece, room, unit, quick, edit, pieces }: Props) {
  const far = piece.near + piece.left.reach + piece.right.reach;
  const profile = sawnAs(
    piece,
    quick.layout.job.profiles.find((one) => one.id === piece.profile)!,
  );
  const watch = quick.watchOuts.filter(
    (one) => one.piece === piece.id || (one.wall === piece.wall && one.piece === undefined),
  );
  return (
    <Stack
      gap={8}
      p="6px 10px 14px 16px"
      style={{ borderLeft: '4px solid var(--lm-picked)' }}
      aria-label={t('Piece {label}', { label: piece.label })}
      role="region"
    >
      <Group gap="xl">
        <Text fw={700} fz={20}>
          {piece.label}
        </Text>
        <div>
          <Text size="xs" c="dimmed">
            {t('back (near line)')}
          </Text>
          <Text fw={700} fz={26}>
            <LengthText value={piece.near} unit={unit} withUnit />
          </Text>
        </div>
        <div>
          <Text size="xs" c="dimmed">
            {t('face (far line)')}
          </Text>
          <Text fw={600} fz={20}>
            <LengthText value={far} unit={unit} withUnit />
          </Text>
        </div>
        <Text c="dimmed">{t('hung as number {order}', { order: piece.order })}</Text>
        {piece.allowance !== 0 && (
          <Text size="sm">
            {t('{allowance} {way} than its place', {
              allowance: formatWithUnit(Math.abs(piece.allowance), unit),
              way: piece.allowance > 0 ? t('longer') : t('shorter'),
            })}
          </Text>
        )}
      </Group>
      <div className="both-ends">
        {(['left', 'right'] as const).map((side) => (
          <section key={side} aria-label={t('{side} end', { side: sideWord(side) })}>
            <Text size="xs" c="dimmed">
              {t('{side} end', { side: sideWord(side) })}
            </Text>
            <Text fw={650}>{endText(piece[side])}</Text>
            <JointPicture piece={piece} side={side} room={room} quick={quick} pieces={pieces} />
            <Text size="sm" c="dimmed">
              {translate(settingText(piece[side].saw, profile))}
            </Text>
          </section>
        ))}
      </div>
      <div>
        {piece.reason.map((line) => (
          <Text key={wordsKey(line)} size="sm">
            {translate(line)}
          </Text>
        ))}
      </div>
      <Section piece={piece} profile={profile} room={room} quick={quick} unit={unit} />
      <CornerChoice piece={piece} room={room} quick={quick} edit={edit} />
      <SplicePlaces piece={piece} room={room} quick={quick} unit={unit} edit={edit} />
      {watch.map((one) => (
        <Text key={one.code + wordsKey(one.text)} size="sm" style={{ color: 'var(--lm-assumed)' }}>
          ▲ {translate(one.text)}
        </Text>
      ))}
    </Stack>
  );
}

/** Crown as it hangs, with what is marked on its wall. */
function Section({
  piece,
  profile,
  room,
  quick,
  unit,
}: Pick<Props, 'piece' | 'room' | 'quick' | 'unit'> & { profile: Profile }) {
  // What lies behind crown shows in the crown's own section.
  if (!traitsOf(profile).sprung || piece.role === 'test' || piece.role === 'backer') return null;
  const frame = quick.layout.rooms[0]?.runs.find((one) => one.run.frame.trim.id === piece.trim)?.run.frame;
  const slopes = frame?.slopes;
  const index = room.walls.findIndex((one) => one.id === piece.wall);
  const drop = slopes?.drops.get(index);
  const rise = room.walls[index]?.ceiling?.rise ?? 0;
  // Where it climbs, the section is square to the piece: there it hangs as on a level wall.
  const place =
    drop === undefined || rise !== 0 ? undefined : { drop, pitch: room.walls[index]?.ceiling?.pitch ?? 0 };
  const strip = frame && backerOf(frame);
  const behind = { lightGap: frame?.rules.lightGap ?? 0, ...(strip ? { strip } : {}) };
  const marks = frame && index >= 0 ? dropLineDrawing(frame, index) : undefined;
  return (
    <>
      <DrawingSvg drawing={crownSection(profile, unit, place, behind)} height={190} margin={20} />
      {marks && <DrawingSvg drawing={marks} height={130} margin={14} />}
    </>
  );
}

/** The joint at an end from above: both pieces where it is at a corner, else the end alone. */
function JointPicture({
  piece,
  side,
  room,
  quick,
  pieces,
}: Pick<Props, 'piece' | 'room' | 'quick' | 'pieces'> & { side: 'left' | 'right' }) {
  const profile = quick.layout.job.profiles.find((one) => one.id === piece.profile);
  const here = room.walls.some((one) => one.id === piece.wall);
  const drawing = here && jointCloseUp(room, pieces, piece, side, profile?.thickness ?? 1);
  return (
    <div>
      {drawing ? (
        <DrawingSvg drawing={drawing} height={120} />
      ) : (
        <DrawingSvg drawing={endDrawing(piece[side], side)} height={74} />
      )}
    </div>
  );
}

/** At each inside corner of the piece: leave the choice to the house rules or pin it by hand. */
function CornerChoice({ piece, room, quick, edit }: Omit<Props, 'unit' | 'pieces'>) {
  const run = quick.layout.rooms[0]?.runs.find((one) => one.run.frame.trim.id === piece.trim)?.run;
  const wall = room.walls.findIndex((one) => one.id === piece.wall);
  // Sides of a tray are no walls: their corners are inside ones as they are measured.
  if (wall < 0 || piece.role === 'backer') return null;
  const before = (wall + room.walls.length - 1) % room.walls.length;
  const at = (index: number) =>
    run?.corners.find(
      ({ joint }) =>
        joint.wallIndex === index &&
        joint.angle < 180 &&
        // Under a slope there is one joint that mates.
        run.frame.slopes?.corners.every((one) => one.wallIndex !== index) !== false,
    );
  const choices = [
    { side: 'Left', index: before, met: piece.left.joint === 'scarf' ? undefined : at(before) },
    { side: 'Right', index: wall, met: piece.right.joint === 'scarf' ? undefined : at(wall) },
  ];
  return choices.map(({ side, index, met }) =>
    met === undefined ? null : (
      <Group key={side} gap="sm" align="center">
        <Text size="sm" w={96}>
          {t('{side} corner', { side })}
        </Text>
        <SegmentedControl
          size="xs"
          aria-label={t('{side} corner of {label}', { side, label: piece.label })}
          value={met.joint.pin ?? 'rule'}
          data={[
            { value: 'rule', label: t('house rule') },
            { value: 'through-left', label: t('wall {index} through', { index: index + 1 }) },
            {
              value: 'through-right',
              label: t('wall {index} through', { index: ((index + 1) % room.walls.length) + 1 }),
            },
            { value: 'miter', label: t('miter') },
          ]}
          onChange={(value) =>
            edit((survey) => pinJoint(survey, index, piece.trim, value === 'rule' ? undefined : value))
          }
        />
      </Group>
    ),
  );
}
