import { formatAngle } from '../measure/index.ts';
import { traitsOf, type Profile } from '../job/index.ts';
import type { SawSetting } from './setting.ts';
import type { Seat, TableSide } from './seat.ts';

/** What the card, the list and the print say of a seating: directions are part of every figure, edges are named to fit the trim. */

/** Names of a trim's long edges: as it hangs, top and bottom; and of the line its lengths run along, and the one across. */
interface EdgeNames {
  readonly top: string;
  readonly bottom: string;
  readonly near: string;
  readonly far: string;
}

export function edgeNames(profile: Pick<Profile, 'use'>): EdgeNames {
  switch (traitsOf(profile).seat) {
    case 'sprung':
      return { top: 'ceiling edge', bottom: 'wall edge', near: 'wall edge', far: 'ceiling edge' };
    case 'flat':
      return { top: 'outer edge', bottom: 'inner edge', near: 'inner edge', far: 'outer edge' };
    case 'standing':
      return { top: 'top edge', bottom: 'bottom edge', near: 'back edge', far: 'face' };
  }
}

/** How the piece lies: what is on the fence and what on the table. */
export function seatWords(seat: Seat, profile: Pick<Profile, 'use'>): string {
  const { top, bottom } = edgeNames(profile);
  switch (seat) {
    case 'stand':
      return `standing, back to the fence, ${bottom} on the table`;
    case 'standUpsideDown':
      return `upside down, ${bottom} up the fence, ${top} on the table`;
    case 'flatTopToFence':
      return `flat on its back, ${top} to the fence`;
    case 'flatBottomToFence':
      return `flat on its back, ${bottom} to the fence`;
    case 'nestedCeilingToFence':
      return `upright, ${top} up the fence, ${bottom} on the table`;
  }
}

/** What is set on the saw, in parts that change one by one. */
interface SetWords {
  /** "swing right 45°", or "square". */
  readonly miter: string;
  /** "top of the blade leans left 33.75°"; undefined with the blade upright. */
  readonly bevel: string | undefined;
  /** "10° block, thick end right". */
  readonly block: string | undefined;
  /** "keep the piece right of the blade". */
  readonly keep: string;
}

/** A side with its figure: a scale that is off may show a small angle on the other side of its zero. */
export const shownAt = (
  side: TableSide,
  figure: number,
): { readonly side: TableSide; readonly figure: string } => ({
  side: figure < 0 ? (side === 'left' ? 'right' : 'left') : side,
  figure: formatAngle(Math.abs(figure)),
});

const sided = (side: TableSide, dial: number): string => {
  const { side: shown, figure } = shownAt(side, dial);
  return `${shown} ${figure}`;
};

function setWords({ swing, dial, tilt, dialBevel, block, keep }: SawSetting): SetWords {
  // A scale with an error of its own at square is set to that error; a plain saw just stands square.
  const square = Math.abs(dial) < 0.005 ? 'square' : `square, which this saw shows as ${formatAngle(dial)}`;
  return {
    miter: swing === 'none' ? square : `swing ${sided(swing, dial)}`,
    bevel: tilt === 'none' ? undefined : `top of the blade leans ${sided(tilt, dialBevel)}`,
    block: block && `${formatAngle(block.angle)} block, thick end ${block.thickEnd}`,
    keep: `keep the piece ${keep} of the blade`,
  };
}

/** A seating in one line, for lists and print. Everything that one needs to set it, with its side. */
export function settingText(setting: SawSetting, profile: Pick<Profile, 'use'>): string {
  if (setting.seat === null) return setting.way === 'hand' ? 'by hand' : 'not on this saw';
  const { miter, bevel, block, keep } = setWords(setting);
  return [seatWords(setting.seat, profile), miter, bevel, block, keep]
    .filter((one) => one !== undefined)
    .join('; ');
}
