import { SAME_LENGTH, sinDeg } from '../../base/index.ts';
import type { Unit } from '../../measure/index.ts';
import { headsOf, openingNames, placeKey, shavesOf } from '../../openings/index.ts';
import type { JobLayout, PlacedOpening, RoomLayout } from '../../pieces/index.ts';
import { clashesIn } from './clearance.ts';
import type { Piece, Warning } from '../result/plan-file.ts';
import type { MakeWarning } from './warning-factory.ts';

/** A head measured so much off what the figures say is worth a second look: 1/8 in, 3 mm. */
const GATE: Readonly<Record<Unit, number>> = { in: 1 / 8, mm: 3 };

/** How far four plain 45s, or whatever the corner would be cut to if it were square, leave its miter open. */
function opensBy({ dressed: { dress, measures } }: PlacedOpening): number {
  const leg = dress.leg?.left.width ?? 0;
  return Math.hypot(leg, dress.head?.width ?? 0) * sinDeg(Math.abs(measures.slope));
}

/** What the opening's own figures ask for: heads out of level, gaps not covered, jambs off the wall plane. */
function ownWatchOuts(
  { job }: JobLayout,
  { room, rules }: RoomLayout,
  placed: PlacedOpening,
  name: string,
  watch: MakeWarning,
): Warning[] {
  const { opening, dressed } = placed;
  const { dress, casing } = dressed;
  const where = { room: room.id, wall: placed.wallId, opening: opening.id };
  const out: Warning[] = [];
  if (casing && dress.oneUnit)
    out.push(
      watch(
        'one-unit',
        { name, diagonals: casing.diagonals, play: rules.stoolPlay, stool: dress.stool !== undefined },
        where,
      ),
    );
  for (const { corner, open, by, from } of dressed.side === 'this' ? shavesOf(opening, dressed) : [])
    out.push(watch('open-miter', { name, corner, open, by, from }, where));
  if (dress.noBlock) out.push(watch('no-block', { name }, where));
  if (casing?.noBand) out.push(watch('band-left-out', { name, why: casing.noBand }, where));
  if (dressed.gate && Math.abs(dressed.gate.measured - dressed.gate.predicted) > GATE[job.unit] + SAME_LENGTH)
    out.push(watch('head-gate', { name, ...dressed.gate }, where));
  if (dressed.side === 'other') return out;
  const { left, right } = headsOf(opening);
  if (dress.leg && Math.abs(right - left) > rules.outOfTrue + SAME_LENGTH)
    out.push(
      watch(
        'out-of-true',
        {
          name,
          figure: Math.abs(right - left),
          rises: right > left ? 'right' : 'left',
          opens: opensBy(placed),
        },
        where,
      ),
    );
  const jamb = dress.jamb !== undefined;
  if (dress.leg) {
    const covers = dress.reveal + Math.min(dress.leg.left.width, dress.leg.right.width, dress.head!.width);
    const gap = (opening.roughGap ?? 0) + (opening.drywallRadius ?? 0);
    const needs = gap === 0 ? 0 : gap + rules.coverGap;
    if (needs > covers + SAME_LENGTH)
      out.push(
        watch(
          'coverage',
          {
            name,
            covers,
            needs,
            short: needs - covers,
            reveal: dress.reveal,
            rounded: opening.drywallRadius !== undefined,
          },
          where,
        ),
      );
    const depths = Object.values(opening.jambDepth ?? {}).filter((depth) => depth !== undefined);
    const shy = Math.max(0, ...depths);
    const proud = Math.max(0, ...depths.map((depth) => -depth));
    if (shy > SAME_LENGTH && !jamb && !dress.stool) out.push(watch('shy-jamb', { name, shy }, where));
    if (proud > SAME_LENGTH) out.push(watch('proud-jamb', { name, proud, limit: rules.proudJamb }, where));
  }
  if (dress.stool && opening.drywallRadius !== undefined && !dress.leg)
    out.push(watch('stool-contour', { name, radius: opening.drywallRadius }, where));
  if (dress.leg && (opening.kind === 'pocket' || opening.removable === true))
    out.push(
      watch(
        'removable',
        {
          name,
          pocket: opening.kind === 'pocket',
          longest:
            opening.pocketDepth === undefined
              ? undefined
              : opening.pocketDepth + Math.min(dress.leg.left.thickness, dress.head!.thickness),
        },
        where,
      ),
    );
  return out;
}

/** Strips that their stock is too narrow for. */
function narrowStock(layout: JobLayout, pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const widths = new Map(layout.job.profiles.map((profile) => [profile.id, profile]));
  return pieces.flatMap((piece): Warning[] => {
    const profile = widths.get(piece.profile);
    if (!profile || piece.width === undefined || piece.width <= profile.width + SAME_LENGTH) return [];
    return [
      watch(
        'narrow-stock',
        { label: piece.label, profile: profile.name, width: piece.width, has: profile.width },
        {
          room: piece.room,
          ...(piece.wall === undefined ? {} : { wall: piece.wall }),
          ...(piece.opening === undefined ? {} : { opening: piece.opening }),
          piece: piece.id,
        },
      ),
    ];
  });
}

/** What doors and windows ask for, and everything that stands in another's way. */
export function openingWarnings(layout: JobLayout, pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const names = openingNames(layout.job.rooms);
  return [
    ...layout.rooms.flatMap((one) => {
      const nameOf = (wall: string, opening: string): string =>
        names.get(placeKey({ room: one.room.id, wall, opening })) ?? opening;
      return [
        ...one.openings.flatMap((placed) =>
          ownWatchOuts(layout, one, placed, nameOf(placed.wallId, placed.opening.id), watch),
        ),
        ...clashesIn(layout, one).map(({ data, wall, openings }) => {
          const all = openings.map((id) => nameOf(wallOf(one, id) ?? wall, id));
          return watch(
            'clearance',
            { ...data, name: all[0]!, names: all },
            {
              room: one.room.id,
              wall,
              ...(openings.length === 1 ? { opening: openings[0]! } : { openings }),
            },
          );
        }),
      ];
    }),
    ...narrowStock(layout, pieces, watch),
  ];
}

/** The wall an opening stands on: openings of two walls may clash in a corner. */
const wallOf = ({ room }: RoomLayout, opening: string): string | undefined => {
  const walls = room.walls.filter((wall) => (wall.openings ?? []).some((one) => one.id === opening));
  return walls.length === 1 ? walls[0]!.id : undefined;
};
