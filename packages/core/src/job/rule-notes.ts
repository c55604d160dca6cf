import { message, type Words } from '../messages/index.ts';
import type { HouseRulesInput } from './schema.ts';

/** What each house rule does and why crews choose it, in a line: shown wherever the rule is set. */

export interface RuleNote {
  readonly key: keyof HouseRulesInput;
  readonly name: Words;
  readonly what: Words;
  readonly why: Words;
}

export const RULE_NOTES: readonly RuleNote[] = [
  {
    key: 'insideCorner',
    name: message('rule.inside-corners'),
    what: message('rule.cope-one-piece-over-the-other'),
    why: message('rule.a-cope-stays-closed-when-wood'),
  },
  {
    key: 'miterBias',
    name: message('rule.bias-of-miters'),
    what: message('rule.cut-a-little-under-half-of'),
    why: message('rule.safe-where-corners-were-only-assumed'),
  },
  {
    key: 'obtuseMiterFrom',
    name: message('rule.miter-rather-than-cope-from'),
    what: message('rule.advise-a-miter-where-an-inside'),
    why: message('rule.the-tip-of-a-cope-gets'),
  },
  {
    key: 'fitThroughEnd',
    name: message('rule.ends-that-run-through'),
    what: message('rule.cut-the-end-of-the-piece'),
    why: message('rule.it-shows-only-at-corners-off'),
  },
  {
    key: 'scarfAngle',
    name: message('rule.scarf'),
    what: message('rule.angle-of-the-splice-45-30'),
    why: message('rule.a-longer-lap-hides-better-and'),
  },
  {
    key: 'splices',
    name: message('rule.splices'),
    what: message('rule.only-where-a-wall-is-longer'),
    why: message('rule.fewer-joints-look-better-on-paint-grade'),
  },
  {
    key: 'spliceLengths',
    name: message('rule.pieces-of-a-spliced-wall'),
    what: message('rule.divide-where-it-hides-best-or'),
    why: message('rule.one-long-piece-leaves-a-short'),
  },
  {
    key: 'spliceFromCorner',
    name: message('rule.splice-from-a-corner'),
    what: message('rule.how-far-a-splice-keeps-from'),
    why: message('rule.short-ends-look-patched-and-split'),
  },
  {
    key: 'viewFromEntry',
    name: message('rule.hide-joints-from-the-entry'),
    what: message('rule.walls-that-face-whoever-comes-in'),
    why: message('rule.a-joint-that-one-does-not'),
  },
  {
    key: 'returnTolerance',
    name: message('rule.return-at-casing'),
    what: message('rule.return-an-end-that-stands-prouder'),
    why: message('rule.a-raw-end-beside-a-thinner'),
  },
  {
    key: 'shoeReturn',
    name: message('rule.ends-of-shoe'),
    what: message('rule.a-small-mitered-return-or-square'),
    why: message('rule.a-return-shows-no-end-grain'),
  },
  {
    key: 'railReturn',
    name: message('rule.ends-of-rails'),
    what: message('rule.turn-a-rail-back-in-one'),
    why: message('rule.one-miter-is-quicker-two-half'),
  },
  {
    key: 'bullnose',
    name: message('rule.bullnose-corners'),
    what: message('rule.two-pieces-mitered-over-the-round'),
    why: message('rule.two-pieces-leave-a-hollow-behind'),
  },
  {
    key: 'springFit',
    name: message('rule.spring-fit'),
    what: message('rule.cut-pieces-between-two-inside-corners'),
    why: message('rule.sprung-in-they-press-both-joints'),
  },
  {
    key: 'reveal',
    name: message('rule.reveal'),
    what: message('rule.step-between-jamb-and-casing'),
    why: message('rule.it-hides-a-jamb-that-is'),
  },
  {
    key: 'crownOrder',
    name: message('rule.order-of-crown'),
    what: message('rule.round-the-room-with-a-closing'),
    why: message('rule.pressed-in-the-last-piece-closes'),
  },
  {
    key: 'closingMode',
    name: message('rule.closing-piece-of-crown'),
    what: message('rule.cut-the-last-piece-of-a'),
    why: message('rule.pressed-in-a-long-piece-closes'),
  },
  {
    key: 'closing',
    name: message('rule.closing-piece-longer-by'),
    what: message('rule.what-the-last-piece-of-a'),
    why: message('rule.it-is-bowed-in-and-pushes'),
  },
  {
    key: 'shy',
    name: message('rule.glued-crown-shy-by'),
    what: message('rule.what-crown-glued-in-between-two'),
    why: message('rule.glue-and-a-shim-fill-a'),
  },
  {
    key: 'ceilingLine',
    name: message('rule.line-of-crown'),
    what: message('rule.level-under-the-lowest-point-of'),
    why: message('rule.a-level-line-reads-true-beside'),
  },
  {
    key: 'ceilingGap',
    name: message('rule.gap-above-crown-up-to'),
    what: message('rule.what-may-stay-open-between-crown'),
    why: message('rule.a-wider-gap-cracks-or-is'),
  },
  {
    key: 'lightGap',
    name: message('rule.light-gap-above-crown'),
    what: message('rule.what-crown-hangs-below-the-ceiling'),
    why: message('rule.corners-and-lengths-stay-as-they'),
  },
  {
    key: 'looseEnd',
    name: message('rule.loose-ends-of-crown'),
    what: message('rule.how-far-from-a-corner-crown'),
    why: message('rule.a-loose-end-gives-the-little'),
  },
  {
    key: 'testPiece',
    name: message('rule.test-pair-of-crown'),
    what: message('rule.length-of-two-blocks-cut-first'),
    why: message('rule.they-show-in-every-corner-what'),
  },
  {
    key: 'headMode',
    name: message('rule.heads-of-casing'),
    what: message('rule.cut-them-with-the-legs-hold'),
    why: message('rule.a-head-measured-over-legs-that'),
  },
  {
    key: 'backCut',
    name: message('rule.back-cut-of-casing'),
    what: message('rule.cut-casing-miters-so-many-degrees'),
    why: message('rule.on-walls-that-are-not-flat'),
  },
  {
    key: 'outOfTrue',
    name: message('rule.head-out-of-level-from'),
    what: message('rule.say-it-where-a-head-rises'),
    why: message('rule.beyond-that-one-sees-it-against'),
  },
  {
    key: 'coverGap',
    name: message('rule.casing-laps-by'),
    what: message('rule.how-far-casing-must-reach-past'),
    why: message('rule.just-covered-is-not-covered-once'),
  },
  {
    key: 'proudJamb',
    name: message('rule.proud-jamb-planed-up-to'),
    what: message('rule.up-to-this-a-jamb-that'),
    why: message('rule.planing-is-quick-much-of-it'),
  },
  {
    key: 'horn',
    name: message('rule.horn-of-a-stool'),
    what: message('rule.how-far-a-stool-runs-past'),
    why: message('rule.long-horns-look-old-short-ones'),
  },
  {
    key: 'stoolPlay',
    name: message('rule.play-of-a-stool'),
    what: message('rule.free-room-at-each-notch-of'),
    why: message('rule.it-slides-in-without-a-mallet'),
  },
  {
    key: 'numbering',
    name: message('rule.numbers-on-the-pieces'),
    what: message('rule.number-from-the-left-of-the'),
    why: message('rule.reading-order-finds-the-wall-at'),
  },
  {
    key: 'crownCut',
    name: message('rule.crown-on-the-saw'),
    what: message('rule.nested-upside-down-against-the-fence'),
    why: message('rule.nested-needs-no-compound-angles-but'),
  },
];

/** Schools that crews hold to, as sets of rules to start from. What a set leaves out keeps its default. */
export const RULE_SCHOOLS: readonly { readonly name: Words; readonly rules: HouseRulesInput }[] = [
  {
    name: message('rule.cope-everything'),
    rules: { insideCorner: 'cope', scarfAngle: 45, splices: 'needed' },
  },
  {
    name: message('rule.miter-and-glue'),
    rules: { insideCorner: 'miter', miterBias: { degrees: 0.5, on: 'assumed' }, scarfAngle: 30 },
  },
  { name: message('rule.butt-for-foam'), rules: { insideCorner: 'butt', scarfAngle: 0, splices: 'saving' } },
  { name: message('rule.least-stock'), rules: { splices: 'saving', splicePrice: 1, scarfAngle: 22.5 } },
];
