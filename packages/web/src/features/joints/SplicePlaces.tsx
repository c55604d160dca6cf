import { Button, Group, Text } from '@mantine/core';
import {
  formatWithUnit,
  moveSplice,
  type Piece,
  type QuickPlan,
  type Room,
  splicePlaces,
  type SplicePlace,
  type Unit,
} from '@long-miter/core';
import { Typeset } from '../../shared/fields/Figure.tsx';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { t, translate } from '../../messages/t.ts';

/** Places listed at once: the best ones. */
const LISTED = 5;

interface Props {
  readonly piece: Piece;
  readonly room: Room;
  readonly quick: QuickPlan;
  readonly unit: Unit;
  readonly edit: EditSurvey;
}

/** The splice of a piece: its score, other places with theirs, and a pin by hand. It can be dragged on the ribbon too. */
export function SplicePlaces({ piece, room, quick, unit, edit }: Props) {
  const found = splicePlaces(piece, room, quick);
  if (!found || !piece.wall) return null;
  const { pinned, places } = found;
  const wall = piece.wall;
  const pin = (to: number | undefined): void =>
    void edit((survey) => moveSplice(survey, piece.trim, wall, pinnedAt(survey.trims, piece, pinned), to));
  const best = [...places].sort((a, b) => b.score - a.score).slice(0, LISTED);
  return (
    <div role="group" aria-label={t('Splice of {label}', { label: piece.label })}>
      <Text size="sm" fw={650}>
        {t('Splice{pinned}', {
          pinned: pinned
            ? t(', pinned {center} from the left: score {score}', {
                center: formatWithUnit(pinned.centre, unit),
                score: pinned.score,
              })
            : '',
        })}
      </Text>
      {pinned && (
        <Group gap={8}>
          <Text size="sm">{pinned.notes.map(translate).join(', ') || t('nothing against it')}</Text>
          <Button size="compact-sm" variant="default" onClick={() => pin(undefined)}>
            {t('Release it')}
          </Button>
        </Group>
      )}
      {best.map((place) => (
        <Group key={place.centre} gap={8} wrap="nowrap">
          <Text size="sm" w={180}>
            <Typeset text={formatWithUnit(place.centre, unit)} />
            {t(', score {score}', { score: place.score })}
          </Text>
          <Text size="sm" c="dimmed" style={{ flex: 1 }}>
            {[place.onStud ? t('on a stud') : '', ...place.notes.map(translate)]
              .filter((one) => one !== '')
              .join(', ') || t('nothing against it')}
          </Text>
          <Button size="compact-sm" variant="default" onClick={() => pin(place.centre)}>
            {t('Pin here')}
          </Button>
        </Group>
      ))}
    </div>
  );
}

/** The pin as it stands in the survey: the centre that was pinned. */
const pinnedAt = (trims: Room['trims'], piece: Piece, pinned: SplicePlace | undefined): number | undefined =>
  pinned &&
  trims
    .find((trim) => trim.id === piece.trim)
    ?.splices?.find((one) => one.wall === piece.wall && Math.abs(one.at - pinned.centre) < 1e-6)?.at;
