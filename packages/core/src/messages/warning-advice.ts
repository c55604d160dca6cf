/** Why each watch-out matters and what to do about it, by its code. */

import { message, type Words } from './message.ts';
import type { WarningCode } from './warning-data.ts';

interface WatchAdvice {
  readonly why: Words;
  readonly what: Words;
}

const ADVICE: Readonly<Record<WarningCode, WatchAdvice>> = {
  clearance: {
    why: message('advice.two-things-cannot-stand-in-one'),
    what: message('advice.choose-one-of-the-ways-named'),
  },
  'out-of-true': {
    why: message('advice.the-eye-compares-the-head-with'),
    what: message('advice.shim-or-plane-the-frame-or'),
  },
  coverage: {
    why: message('advice.a-gap-beside-the-casing-has'),
    what: message('advice.choose-before-anything-is-cut-the'),
  },
  'shy-jamb': {
    why: message('advice.casing-on-a-jamb-behind-the'),
    what: message('advice.rip-the-strip-taper-and-all'),
  },
  'proud-jamb': {
    why: message('advice.casing-rocks-on-a-jamb-that'),
    what: message('advice.look-for-nails-then-plane-it'),
  },
  'stool-contour': {
    why: message('advice.a-square-notch-leaves-a-hole'),
    what: message('advice.scribe-the-curve-into-both-notches'),
  },
  'head-gate': {
    why: message('advice.a-leg-off-its-reveal-or'),
    what: message('advice.measure-the-reveal-at-the-foot'),
  },
  removable: {
    why: message('advice.what-is-behind-has-to-be'),
    what: message('advice.screws-with-caps-an-open-miter'),
  },
  'band-left-out': {
    why: message('advice.a-band-runs-along-one-unbroken'),
    what: message('advice.change-the-corners-in-the-kit'),
  },
  'no-block': {
    why: message('advice.legs-and-head-against-blocks-are'),
    what: message('advice.choose-the-block-in-the-kit'),
  },
  'one-unit': {
    why: message('advice.what-is-not-square-on-the'),
    what: message('advice.measure-both-diagonals-before-the-glue'),
  },
  'open-miter': {
    why: message('advice.filler-in-a-miter-cracks-at'),
    what: message('advice.one-stroke-of-the-plane-or'),
  },
  'narrow-stock': {
    why: message('advice.no-saw-makes-a-strip-wider'),
    what: message('advice.choose-a-wider-profile-for-this'),
  },
  'assumed-angle': {
    why: message('advice.corners-are-seldom-square-and-a'),
    what: message('advice.take-the-angle-over-a-straight'),
  },
  'floor-gap': {
    why: message('advice.a-floating-floor-moves-a-gap'),
    what: message('advice.add-shoe-or-take-a-thicker'),
  },
  'wet-room': {
    why: message('advice.fibre-and-paper-swell-at-the'),
    what: message('advice.choose-wood-or-pvc-for-this'),
  },
  'bias-twice': {
    why: message('advice.a-measured-corner-is-already-cut'),
    what: message('advice.set-the-bias-to-assumed-corners'),
  },
  'spliced-length': {
    why: message('advice.a-splice-glued-on-the-bench'),
    what: message('advice.look-for-the-way-in-before'),
  },
  glue: {
    why: message('advice.the-usual-glue-lets-go-of'),
    what: message('advice.buy-what-its-maker-names-with'),
  },
  'same-way-up': {
    why: message('advice.its-two-legs-differ-turned-over'),
    what: message('advice.mark-the-same-edge-on-every'),
  },
  'odd-angle': {
    why: message('advice.a-detent-near-it-tempts-one'),
    what: message('advice.swing-to-the-figure-cut-a'),
  },
  'rounded-corner': {
    why: message('advice.a-sharp-back-corner-stands-off'),
    what: message('advice.relieve-the-back-of-the-lower'),
  },
  'bullnose-gap': {
    why: message('advice.two-pieces-over-a-round-leave'),
    what: message('advice.fill-behind-or-turn-it-with'),
  },
  'corner-form': {
    why: message('advice.the-form-and-the-angle-do'),
    what: message('advice.look-at-the-corner-again-and'),
  },
  'no-room': {
    why: message('advice.the-ends-would-meet-in-the'),
    what: message('advice.leave-it-bare-or-return-both'),
  },
  'pin-circle': {
    why: message('advice.each-piece-waits-for-the-next'),
    what: message('advice.release-one-of-the-pinned-joints'),
  },
  'pin-outside': {
    why: message('advice.nothing-runs-through-an-outside-corner'),
    what: message('advice.release-the-pin'),
  },
  'pin-released': {
    why: message('advice.the-wall-is-shorter-now-or'),
    what: message('advice.pin-it-again-where-there-is'),
  },
  'splice-distance': {
    why: message('advice.a-short-end-looks-patched'),
    what: message('advice.take-a-longer-stick-or-live'),
  },
  'splice-off-stud': {
    why: message('advice.a-splice-between-studs-moves-and'),
    what: message('advice.glue-it-to-a-block-behind'),
  },
  'splice-in-view': {
    why: message('advice.it-is-where-one-looks-first'),
    what: message('advice.drag-it-elsewhere-or-put-the'),
  },
  'short-piece': {
    why: message('advice.fingers-come-too-near-the-blade'),
    what: message('advice.cut-it-off-a-longer-piece'),
  },
  'long-piece': {
    why: message('advice.it-bends-and-breaks-at-the'),
    what: message('advice.two-people-carry-it-and-set'),
  },
  'double-cope': {
    why: message('advice.both-ends-must-fit-at-once'),
    what: message('advice.fit-one-end-mark-the-other'),
  },
  'obtuse-cope': {
    why: message('advice.wood-left-at-the-tip-of'),
    what: message('advice.pick-a-piece-at-this-corner'),
  },
  'needs-block': {
    why: message('advice.the-saw-does-not-swing-so'),
    what: message('advice.clamp-the-block-to-the-fence'),
  },
  'beyond-saw': {
    why: message('advice.the-saw-does-not-reach-it'),
    what: message('advice.take-another-saw-or-a-hand'),
  },
  'visible-splice': {
    why: message('advice.a-finished-face-cannot-be-sanded'),
    what: message('advice.buy-a-longer-stick-for-this'),
  },
  closure: {
    why: message('advice.one-of-the-figures-is-wrong'),
    what: message('advice.measure-the-suspect-first-then-the'),
  },
  hollow: {
    why: message('advice.pushed-into-a-hollow-the-end'),
    what: message('advice.nail-the-high-spots-bridge-the'),
  },
  'short-wall': {
    why: message('advice.beads-and-filler-bend-a-short'),
    what: message('advice.read-both-of-its-corners-over'),
  },
  'tight-stick': {
    why: message('advice.marks-kerfs-and-skewed-ends-each'),
    what: message('advice.take-a-piece-off-the-stick'),
  },
  'slope-corner': {
    why: message('advice.level-crown-and-crown-that-climbs'),
    what: message('advice.cut-the-small-piece-off-a'),
  },
  'ceiling-gap': {
    why: message('advice.caulk-shrinks-in-a-wide-gap'),
    what: message('advice.choose-under-house-rules-whether-crown'),
  },
  'backer-fit': {
    why: message('advice.crown-that-rocks-on-its-strip'),
    what: message('advice.take-a-thinner-strip-or-have'),
  },
  'backer-climbs': {
    why: message('advice.a-strip-on-a-slope-is'),
    what: message('advice.hold-a-piece-of-crown-there'),
  },
  'sloped-ceiling': {
    why: message('advice.on-a-slope-the-corner-is'),
    what: message('advice.look-at-both-slopes-again-else'),
  },
  'pipes-splice': {
    why: message('advice.one-piece-cannot-be-slid-in'),
    what: message('advice.splice-it-behind-the-pipes-or'),
  },
  lean: {
    why: message('advice.cut-plumb-the-joint-would-open'),
    what: message('advice.set-what-the-card-says-where'),
  },
  services: {
    why: message('advice.cables-and-pipes-run-up-down'),
    what: message('advice.glue-there-or-nail-well-to'),
  },
};

/** Why a watch-out matters and what to do about it. */
export const adviceFor = (code: WarningCode): WatchAdvice => ADVICE[code];
