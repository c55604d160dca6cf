import { message, wordOf } from '../messages/index.ts';
import { tanDeg } from '../base/index.ts';
import type { HouseRules, Opening } from '../job/index.ts';
import type { Casing, Feet } from './casing.ts';
import type { TrimKit } from './trim-kit.ts';
import { sillsOf, type Measures } from './measures.ts';
import { plain, SQUARE, type Notch, type OpeningPart } from './part.ts';

/** Height of the stool's upper face; without a stool that of the sill at its higher jamb. */
export function stoolTopOf(opening: Opening, dress: TrimKit): number {
  const { left, right } = sillsOf(opening);
  const high = Math.max(left, right);
  if (!dress.stool) return high;
  return opening.sillIs === 'frame' ? high + dress.stool.thickness : (opening.sillHeight ?? high);
}

/** What the legs of one side stand on. A stool lies level; without one each leg stands on its own sill, or on the floor. */
export function feetOf(opening: Opening, dress: TrimKit, measures: Measures): Feet {
  if (opening.kind !== 'window') return { left: opening.floorGap ?? 0, right: opening.floorGap ?? 0 };
  if (!dress.stool) return { left: measures.bottomLeft.y, right: measures.bottomRight.y };
  const top = stoolTopOf(opening, dress);
  return { left: top, right: top };
}

/** How far a stool is packed up at its lower end to lie level; 0 where the sill is level. */
export function stoolShim(opening: Opening): { under: 'left' | 'right'; by: number } | undefined {
  const { left, right } = sillsOf(opening);
  return left === right ? undefined : { under: left < right ? 'left' : 'right', by: Math.abs(left - right) };
}

/**
 * The stool: casing outside to outside and two horns, notched round the wall at both ends, as deep as the jambs, the
 * thickest of what stands on it, and its nose. Without casing it is as wide as the opening and its horns.
 * Source: job file format, "Openings, to the letter".
 */
function stoolPart(
  opening: Opening,
  dress: TrimKit,
  casing: Casing | undefined,
  rules: HouseRules,
): OpeningPart[] {
  const { stool } = dress;
  if (!stool) return [];
  const outside = casing?.outside ?? { left: 0, right: opening.width };
  const horns = { left: opening.hornLeft ?? rules.horn, right: opening.hornRight ?? rules.horn };
  const near = outside.right - outside.left + horns.left + horns.right;
  const { bottomLeft, bottomRight } = opening.jambDepth ?? {};
  const deep = bottomLeft !== undefined && bottomRight !== undefined;
  const stands = (casing?.thickest ?? 0) + (opening.nose ?? 0);
  const notch = (length: number, depth: number): Notch => ({
    length: length + rules.stoolPlay,
    depth: Math.max(0, depth),
  });
  const shim = stoolShim(opening);
  const top = stoolTopOf(opening, dress);
  return [
    plain({
      key: 'stool',
      role: 'stool',
      place: 'sill',
      profile: stool,
      sawnAs: 'stool',
      depth: stool.width,
      near,
      step: 1,
      reason: [
        casing
          ? message('opening.outside-of-casing-to-outside-of')
          : message('opening.no-casing-as-wide-as-the'),
        ...(shim ? [message('opening.level-first-the-high-side-down', { under: wordOf(shim.under) })] : []),
      ],
      box: {
        from: outside.left - horns.left,
        to: outside.right + horns.right,
        low: top - stool.thickness,
        high: top,
        stands,
      },
      ...(deep
        ? {
            width: Math.max(bottomLeft, bottomRight, 0) + stands,
            notches: {
              left: notch(-outside.left + horns.left, bottomLeft),
              right: notch(outside.right - opening.width + horns.right, bottomRight),
            },
          }
        : {}),
    }),
  ];
}

/** The apron under it: face outside to outside of what stands above, returned at both ends. */
function apronParts(
  opening: Opening,
  dress: TrimKit,
  casing: Casing | undefined,
  rules: HouseRules,
): OpeningPart[] {
  const { apron, stool } = dress;
  if (!apron) return [];
  const outside = casing?.outside ?? { left: 0, right: opening.width };
  const angle = -rules.returnAngle;
  const turned = apron.thickness * tanDeg(rules.returnAngle);
  const high = stoolTopOf(opening, dress) - (stool?.thickness ?? 0);
  const back = (mate: string) => ({ joint: 'return', angle, mate }) as const;
  const small = (side: 'left' | 'right'): OpeningPart =>
    plain({
      key: `apron-return-${side}`,
      role: 'return',
      place: side,
      profile: apron,
      sawnAs: 'apron',
      near: 0,
      left: side === 'left' ? SQUARE : back('apron'),
      right: side === 'left' ? back('apron') : SQUARE,
      step: 9,
      reason: [message('opening.cut-from-the-waste-beside-its')],
    });
  return [
    plain({
      key: 'apron',
      role: 'apron',
      place: 'sill',
      profile: apron,
      sawnAs: 'apron',
      near: outside.right - outside.left - 2 * turned,
      left: back('apron-return-left'),
      right: back('apron-return-right'),
      step: 8.6,
      reason: [
        casing
          ? message('opening.face-as-long-as-the-casing')
          : message('opening.face-as-long-as-the-opening'),
      ],
      box: {
        from: outside.left,
        to: outside.right,
        low: high - apron.width,
        high,
        stands: apron.thickness,
      },
    }),
    small('left'),
    small('right'),
  ];
}

export const stoolAndApron = (
  opening: Opening,
  dress: TrimKit,
  casing: Casing | undefined,
  rules: HouseRules,
): OpeningPart[] => [
  ...stoolPart(opening, dress, casing, rules),
  ...apronParts(opening, dress, casing, rules),
];
