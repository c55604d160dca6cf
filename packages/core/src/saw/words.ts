import { message, angleFigure, type Words, wordOf, listOf } from '../messages/index.ts';

import { traitsOf, type Profile } from '../job/index.ts';
import type { SawSetting } from './setting.ts';
import type { Seat, TableSide } from './seat.ts';

/** What the card, the list and the print say of a seating: directions are part of every figure, edges are named to fit the trim. */

/** Names of a trim's long edges: as it hangs, top and bottom; and of the line its lengths run along, and the one across. */
interface EdgeNames {
  readonly top: Words;
  readonly bottom: Words;
  readonly near: Words;
  readonly far: Words;
}

export function edgeNames(profile: Pick<Profile, 'use'>): EdgeNames {
  switch (traitsOf(profile).seat) {
    case 'sprung':
      return {
        top: message('saw.ceiling-edge'),
        bottom: message('saw.wall-edge'),
        near: message('saw.wall-edge'),
        far: message('saw.ceiling-edge'),
      };
    case 'flat':
      return {
        top: message('saw.outer-edge'),
        bottom: message('saw.inner-edge'),
        near: message('saw.inner-edge'),
        far: message('saw.outer-edge'),
      };
    case 'standing':
      return {
        top: message('saw.top-edge'),
        bottom: message('saw.bottom-edge'),
        near: message('saw.back-edge'),
        far: message('saw.face'),
      };
  }
}

/** How the piece lies: what is on the fence and what on the table. */
export function seatWords(seat: Seat, profile: Pick<Profile, 'use'>): Words {
  const { top, bottom } = edgeNames(profile);
  switch (seat) {
    case 'stand':
      return message('saw.standing-back-to-the-fence-on', { bottom });
    case 'standUpsideDown':
      return message('saw.upside-down-up-the-fence-on', { bottom, top });
    case 'flatTopToFence':
      return message('saw.flat-on-its-back-to-the', { top });
    case 'flatBottomToFence':
      return message('saw.flat-on-its-back-to-the-2', { bottom });
    case 'nestedCeilingToFence':
      return message('saw.upright-up-the-fence-on-the', { top, bottom });
  }
}

/** What is set on the saw, in parts that change one by one. */
interface SetWords {
  /** "swing right 45°", or "square". */
  readonly miter: Words;
  /** "top of the blade leans left 33.75°"; undefined with the blade upright. */
  readonly bevel: Words | undefined;
  /** "10° block, thick end right". */
  readonly block: Words | undefined;
  /** "keep the piece right of the blade". */
  readonly keep: Words;
}

/** A side with its figure: a scale that is off may show a small angle on the other side of its zero. */
export const shownAt = (
  side: TableSide,
  figure: number,
): { readonly side: TableSide; readonly figure: Words } => ({
  side: figure < 0 ? (side === 'left' ? 'right' : 'left') : side,
  figure: angleFigure(Math.abs(figure)),
});

const sided = (side: TableSide, dial: number): Words => {
  const { side: shown, figure } = shownAt(side, dial);
  return message('saw.joined', { side: wordOf(shown), figure });
};

function setWords({ swing, dial, tilt, dialBevel, block, keep }: SawSetting): SetWords {
  // A scale with an error of its own at square is set to that error; a plain saw just stands square.
  const square =
    Math.abs(dial) < 0.005
      ? message('saw.square')
      : message('saw.square-which-this-saw-shows-as', { dial: angleFigure(dial) });
  return {
    miter: swing === 'none' ? square : message('saw.swing', { swing: sided(swing, dial) }),
    bevel:
      tilt === 'none' ? undefined : message('saw.top-of-the-blade-leans', { tilt: sided(tilt, dialBevel) }),
    block:
      block &&
      message('saw.block-thick-end', { angle: angleFigure(block.angle), side: wordOf(block.thickEnd) }),
    keep: message('saw.keep-the-piece-of-the-blade', { side: wordOf(keep) }),
  };
}

/** A seating in one line, for lists and print. Everything that one needs to set it, with its side. */
export function settingText(setting: SawSetting, profile: Pick<Profile, 'use'>): Words {
  if (setting.seat === null)
    return setting.way === 'hand' ? message('saw.by-hand') : message('saw.not-on-this-saw');
  const { miter, bevel, block, keep } = setWords(setting);
  return listOf(
    [seatWords(setting.seat, profile), miter, bevel, block, keep].filter((one) => one !== undefined),
    '; ',
  );
}
