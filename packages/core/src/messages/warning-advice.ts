/** Why each watch-out matters and what to do about it, by its code. */

import { tradeTerms, type Vocabulary } from './terms.ts';
import type { WarningCode } from './warnings.ts';

interface WatchAdvice {
  readonly why: string;
  readonly what: string;
}

const ADVICE: Readonly<Record<WarningCode, WatchAdvice>> = {
  clearance: {
    why: 'Two things cannot stand in one place, and it is found at the saw otherwise, or on the wall.',
    what: 'Choose one of the ways named, in the order named; no piece is changed by itself.',
  },
  'out-of-true': {
    why: 'The eye compares the head with the ceiling and the reveal with the jamb.',
    what: 'Shim or plane the frame, or bed the head; else cut as planned, each corner by its own angle.',
  },
  coverage: {
    why: 'A gap beside the casing has to be filled, and cracks.',
    what: 'Choose before anything is cut: the casing, the reveal or the jamb.',
  },
  'shy-jamb': {
    why: 'Casing on a jamb behind the wall leans in and its miters open at the face.',
    what: 'Rip the strip, taper and all, and set it before the legs.',
  },
  'proud-jamb': {
    why: 'Casing rocks on a jamb that stands out, and no miter closes.',
    what: 'Look for nails, then plane it flush; or pack out what is behind the outer edge.',
  },
  'stool-contour': {
    why: 'A square notch leaves a hole beside a rounded edge.',
    what: 'Scribe the curve into both notches, or case the window.',
  },
  'head-gate': {
    why: 'A leg off its reveal, or a jamb out of plumb, shows in this figure first.',
    what: 'Measure the reveal at the foot and the head of both legs, then measure again.',
  },
  removable: {
    why: 'What is behind has to be got at again, and a door that slides must not meet a nail.',
    what: 'Screws with caps, an open miter, no glue on that side.',
  },
  'band-left-out': {
    why: 'A band runs along one unbroken outer edge.',
    what: 'Change the corners in the kit of this opening, or take the band out of it.',
  },
  'no-block': {
    why: 'Legs and head against blocks are shorter than mitered ones.',
    what: 'Choose the block in the kit, or other corners, before anything is cut.',
  },
  'one-unit': {
    why: 'What is not square on the bench is not square on the wall, and cannot be pulled in any more.',
    what: 'Measure both diagonals before the glue sets, then hang it.',
  },
  'open-miter': {
    why: 'Filler in a miter cracks at the first heating.',
    what: 'One stroke of the plane or the saw closes it; write here that it is closed, and this is gone.',
  },
  'narrow-stock': {
    why: 'No saw makes a strip wider than its board.',
    what: 'Choose a wider profile for this part.',
  },
  'assumed-angle': {
    why: 'Corners are seldom square, and a degree shows.',
    what: 'Take the angle over a straight board and type it in.',
  },
  'floor-gap': {
    why: 'A floating floor moves: a gap that is not covered shows all year.',
    what: 'Add shoe, or take a thicker base.',
  },
  'wet-room': {
    why: 'Fibre and paper swell at the first wet floor and do not go back.',
    what: 'Choose wood or PVC for this room, or prime every cut end.',
  },
  'bias-twice': {
    why: 'A measured corner is already cut to its own angle; a bias opens the back, or the face.',
    what: 'Set the bias to assumed corners only.',
  },
  'spliced-length': {
    why: 'A splice glued on the bench is flat and strong, and long.',
    what: 'Look for the way in before gluing; else splice on the wall.',
  },
  glue: { why: 'The usual glue lets go of this material.', what: 'Buy what its maker names, with the trim.' },
  'same-way-up': {
    why: 'Its two legs differ: turned over it meets its neighbor with a step.',
    what: 'Mark the same edge on every length before cutting.',
  },
  'odd-angle': {
    why: 'A detent near it tempts one to cut the wrong angle.',
    what: 'Swing to the figure, cut a test pair, then the pieces.',
  },
  'rounded-corner': {
    why: 'A sharp back corner stands off both walls.',
    what: 'Relieve the back of the lower edge before fitting.',
  },
  'bullnose-gap': {
    why: 'Two pieces over a round leave a hollow.',
    what: 'Fill behind, or turn it with small pieces.',
  },
  'corner-form': {
    why: 'The form and the angle do not go together.',
    what: 'Look at the corner again and put one right.',
  },
  'no-room': { why: 'The ends would meet in the middle.', what: 'Leave it bare, or return both neighbors.' },
  'pin-circle': {
    why: 'Each piece waits for the next one: none can be hung first.',
    what: 'Release one of the pinned joints.',
  },
  'pin-outside': { why: 'Nothing runs through an outside corner.', what: 'Release the pin.' },
  'pin-released': {
    why: 'The wall is shorter now, or something stands where the splice was.',
    what: 'Pin it again where there is room, or leave it to the plan.',
  },
  'splice-distance': {
    why: 'A short end looks patched.',
    what: 'Take a longer stick, or live with it behind furniture.',
  },
  'splice-off-stud': {
    why: 'A splice between studs moves and opens.',
    what: 'Glue it to a block behind, or add a nailer.',
  },
  'splice-in-view': {
    why: 'It is where one looks first.',
    what: 'Drag it elsewhere, or put the longest stick on this wall.',
  },
  'short-piece': {
    why: 'Fingers come too near the blade.',
    what: 'Cut it off a longer piece and hold the waste.',
  },
  'long-piece': { why: 'It bends and breaks at the cope.', what: 'Two people carry it and set it.' },
  'double-cope': {
    why: 'Both ends must fit at once.',
    what: 'Fit one end, mark the other in place, leave it a little long.',
  },
  'obtuse-cope': {
    why: 'Wood left at the tip of a cope is only as thick as the corner is short of straight.',
    what: 'Pick a piece at this corner and choose the miter; the house rule says from which angle.',
  },
  'needs-block': {
    why: 'The saw does not swing so far.',
    what: 'Clamp the block to the fence, its thick end on the side named, and set what is left.',
  },
  'beyond-saw': {
    why: 'The saw does not reach it.',
    what: 'Take another saw, or a hand saw in a block; or have the joint otherwise: coped, butted, or of two smaller cuts.',
  },
  'visible-splice': { why: 'A finished face cannot be sanded.', what: 'Buy a longer stick for this wall.' },
  closure: { why: 'One of the figures is wrong.', what: 'Measure the suspect first, then the others.' },
  hollow: {
    why: 'Pushed into a hollow the end turns and the joint opens.',
    what: 'Nail the high spots, bridge the hollow, do not press the end in.',
  },
  'short-wall': {
    why: 'Beads and filler bend a short wall most.',
    what: 'Read both of its corners over a straight board.',
  },
  'tight-stick': {
    why: 'Marks, kerfs and skewed ends each take a little; the last piece would come out short.',
    what: 'Take a piece off the stick, or release it; or set the margin to what your cuts lose.',
  },
  'slope-corner': {
    why: 'Level crown and crown that climbs are no mirror images: their miter never closes.',
    what: 'Cut the small piece off a longer one, glue it to the level piece on the bench, then bend to the slope.',
  },
  'ceiling-gap': {
    why: 'Caulk shrinks in a wide gap, and a shadow above crown is seen from the door.',
    what: 'Choose under house rules whether crown follows the ceiling or keeps a level line; float the ceiling where neither does.',
  },
  'backer-fit': {
    why: 'Crown that rocks on its strip does not sit at its spring, and no joint closes.',
    what: 'Take a thinner strip, or have its outer edge bevelled to the back of the crown.',
  },
  'backer-climbs': {
    why: 'A strip on a slope is cut to both slopes at once.',
    what: 'Hold a piece of crown there, mark its back on wall and ceiling, and cut the strip between the marks.',
  },
  'sloped-ceiling': {
    why: 'On a slope the corner is cut at other angles, and the profile may not meet itself at all.',
    what: 'Look at both slopes again; else take those walls out of the run, make a template of the level piece on the other wall, and cope to it.',
  },
  'pipes-splice': {
    why: 'One piece cannot be slid in behind pipes from both sides.',
    what: 'Splice it behind the pipes, or say that the radiator comes off.',
  },
  lean: {
    why: 'Cut plumb, the joint would open at its top or at its foot.',
    what: 'Set what the card says. Where this saw cannot, hold the piece in its place, scribe its end along a block held to the other wall, and cut to that line.',
  },
  services: {
    why: 'Cables and pipes run up, down and across from these.',
    what: 'Glue there, or nail well to the side.',
  },
};

/** Why a watch-out matters and what to do about it. */
export const adviceFor = (code: WarningCode, vocabulary?: Vocabulary): WatchAdvice => ({
  why: tradeTerms(ADVICE[code].why, vocabulary),
  what: tradeTerms(ADVICE[code].what, vocabulary),
});
