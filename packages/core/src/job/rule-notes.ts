import type { HouseRulesInput } from './schema.ts';

/** What each house rule does and why crews choose it, in a line: shown wherever the rule is set. */

export interface RuleNote {
  readonly key: keyof HouseRulesInput;
  readonly name: string;
  readonly what: string;
  readonly why: string;
}

export const RULE_NOTES: readonly RuleNote[] = [
  {
    key: 'insideCorner',
    name: 'inside corners',
    what: 'Cope one piece over the other, miter both, or butt them.',
    why: 'A cope stays closed when wood shrinks or a corner is off; a glued miter is quicker and suits MDF; foam is butted.',
  },
  {
    key: 'miterBias',
    name: 'bias of miters',
    what: 'Cut a little under half of the turn inside, over it outside, so that the face meets first.',
    why: 'Safe where corners were only assumed square; on a measured angle it corrects twice.',
  },
  {
    key: 'obtuseMiterFrom',
    name: 'miter rather than cope from',
    what: 'Advise a miter where an inside corner is wider than this and would be coped.',
    why: 'The tip of a cope gets too thin there, and the relief behind it too deep. It is advised, never forced.',
  },
  {
    key: 'fitThroughEnd',
    name: 'ends that run through',
    what: 'Cut the end of the piece that runs through to lie flat on the other wall.',
    why: 'It shows only at corners off square, and a square end under a cope is covered anyway.',
  },
  {
    key: 'scarfAngle',
    name: 'scarf',
    what: 'Angle of the splice: 45, 30, 22½ or a butt.',
    why: 'A longer lap hides better and glues more; a butt is for foam and for pieces fixed on both sides of a stud.',
  },
  {
    key: 'splices',
    name: 'splices',
    what: 'Only where a wall is longer than any stick, or wherever they save stock.',
    why: 'Fewer joints look better; on paint-grade trim a splice on a stud costs less than a longer stick.',
  },
  {
    key: 'spliceLengths',
    name: 'pieces of a spliced wall',
    what: 'Divide where it hides best, or with one piece as long as can be, or into pieces of like length.',
    why: 'One long piece leaves a short one that an offcut may give; like lengths are easier to carry and look laid out on purpose. What it costs in sticks comes first.',
  },
  {
    key: 'spliceFromCorner',
    name: 'splice from a corner',
    what: 'How far a splice keeps from corners, openings and other splices.',
    why: 'Short ends look patched and split when they are nailed.',
  },
  {
    key: 'viewFromEntry',
    name: 'hide joints from the entry',
    what: 'Walls that face whoever comes in run through; laps open away from the eye.',
    why: 'A joint that one does not look into is not seen, even when it opens.',
  },
  {
    key: 'returnTolerance',
    name: 'return at casing',
    what: 'Return an end that stands prouder than the casing by more than this.',
    why: 'A raw end beside a thinner casing catches the eye and the dust.',
  },
  {
    key: 'shoeReturn',
    name: 'ends of shoe',
    what: 'A small mitered return, or square with the nose snipped off.',
    why: 'A return shows no end grain; a snip takes one stroke and nobody looks there.',
  },
  {
    key: 'railReturn',
    name: 'ends of rails',
    what: 'Turn a rail back in one miter of 45, or in two half turns of 22½.',
    why: 'One miter is quicker; two half turns die softly into the backer and leave no corner to catch a sleeve.',
  },
  {
    key: 'bullnose',
    name: 'bullnose corners',
    what: 'Two pieces mitered over the round, or small pieces that turn with it.',
    why: 'Two pieces leave a hollow behind; small ones follow the wall and take more cuts.',
  },
  {
    key: 'springFit',
    name: 'spring fit',
    what: 'Cut pieces between two inside corners a hair long, by length.',
    why: 'Sprung in they press both joints shut; too long and they push a wall or snap.',
  },
  {
    key: 'reveal',
    name: 'reveal',
    what: 'Step between jamb and casing.',
    why: 'It hides a jamb that is not straight and keeps hinges free.',
  },
  {
    key: 'crownOrder',
    name: 'order of crown',
    what: 'Round the room with a closing piece cut long, opposite walls first and the others glued in between cut shy, or foam with its bead and loose ends.',
    why: 'Pressed in, the last piece closes both its joints; glued miters want a little room and test blocks; foam must not be forced.',
  },
  {
    key: 'closingMode',
    name: 'closing piece of crown',
    what: 'Cut the last piece of a crown run long, or hold it until its neighbors hang and it is measured between them.',
    why: 'Pressed in, a long piece closes both joints; where corners wander a measure taken in place is surer.',
  },
  {
    key: 'closing',
    name: 'closing piece longer by',
    what: 'What the last piece of a crown run is cut longer.',
    why: 'It is bowed in and pushes both joints shut.',
  },
  {
    key: 'shy',
    name: 'glued crown shy by',
    what: 'What crown glued in between two that hang is cut shorter.',
    why: 'Glue and a shim fill a hair; too long it opens the joints that hang.',
  },
  {
    key: 'ceilingLine',
    name: 'line of crown',
    what: 'Level under the lowest point of the ceiling, or straight from corner to corner after it.',
    why: 'A level line reads true beside cabinets and tile; following it leaves less to caulk.',
  },
  {
    key: 'ceilingGap',
    name: 'gap above crown up to',
    what: 'What may stay open between crown and ceiling and still be caulked.',
    why: 'A wider gap cracks, or is seen as a shadow.',
  },
  {
    key: 'lightGap',
    name: 'light gap above crown',
    what: 'What crown hangs below the ceiling for a line of light; 0 for none.',
    why: 'Corners and lengths stay as they are; only the line on the wall comes down.',
  },
  {
    key: 'looseEnd',
    name: 'loose ends of crown',
    what: 'How far from a corner crown is left without nails until its neighbor is up: foam, and all others.',
    why: 'A loose end gives the little that closes the joint.',
  },
  {
    key: 'testPiece',
    name: 'test pair of crown',
    what: 'Length of two blocks cut first where opposite walls hang first; 0 for none.',
    why: 'They show in every corner what the long pieces will do, and stay on the rack for the next job.',
  },
  {
    key: 'headMode',
    name: 'heads of casing',
    what: 'Cut them with the legs, hold them until they are measured over the legs, or cut them rough and mark them in place.',
    why: 'A head measured over legs that stand fits whatever the jambs do; cut from the figures it saves a walk, marked in place it needs no figure.',
  },
  {
    key: 'backCut',
    name: 'back-cut of casing',
    what: 'Cut casing miters so many degrees open at the back.',
    why: 'On walls that are not flat the face closes before the back touches.',
  },
  {
    key: 'outOfTrue',
    name: 'head out of level from',
    what: 'Say it where a head rises by more than this over its width.',
    why: 'Beyond that one sees it against the ceiling: shim, plane or bed it rather than follow it.',
  },
  {
    key: 'coverGap',
    name: 'casing laps by',
    what: 'How far casing must reach past the gap it covers.',
    why: 'Just covered is not covered once the wall is not straight.',
  },
  {
    key: 'proudJamb',
    name: 'proud jamb, planed up to',
    what: 'Up to this a jamb that stands out is planed or the casing back-cut; beyond it is packed out.',
    why: 'Planing is quick; much of it takes the jamb away.',
  },
  {
    key: 'horn',
    name: 'horn of a stool',
    what: 'How far a stool runs past the casing at each end.',
    why: 'Long horns look old, short ones plain; none is possible.',
  },
  {
    key: 'stoolPlay',
    name: 'play of a stool',
    what: 'Free room at each notch of a stool.',
    why: 'It slides in without a mallet; parts glued up as one unit need more.',
  },
  {
    key: 'numbering',
    name: 'numbers on the pieces',
    what: 'Number from the left of the entry, as one reads the walls, or by order of installation.',
    why: 'Reading order finds the wall at once; order of installation stacks the pieces as they are taken up.',
  },
  {
    key: 'crownCut',
    name: 'crown on the saw',
    what: 'Nested upside down against the fence, or lying flat with miter and bevel.',
    why: 'Nested needs no compound angles but a saw tall enough; flat suits wide crown.',
  },
];

/** Schools that crews hold to, as sets of rules to start from. What a set leaves out keeps its default. */
export const RULE_SCHOOLS: readonly { readonly name: string; readonly rules: HouseRulesInput }[] = [
  { name: 'Cope everything', rules: { insideCorner: 'cope', scarfAngle: 45, splices: 'needed' } },
  {
    name: 'Miter and glue',
    rules: { insideCorner: 'miter', miterBias: { degrees: 0.5, on: 'assumed' }, scarfAngle: 30 },
  },
  { name: 'Butt, for foam', rules: { insideCorner: 'butt', scarfAngle: 0, splices: 'saving' } },
  { name: 'Least stock', rules: { splices: 'saving', splicePrice: 1, scarfAngle: 22.5 } },
];
