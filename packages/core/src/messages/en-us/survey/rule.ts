/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const ruleTexts = {
  'rule.inside-corners': 'inside corners',
  'rule.cope-one-piece-over-the-other': 'Cope one piece over the other, miter both, or butt them.',
  'rule.a-cope-stays-closed-when-wood':
    'A cope stays closed when wood shrinks or a corner is off; a glued miter is quicker and suits MDF; foam is butted.',
  'rule.bias-of-miters': 'bias of miters',
  'rule.cut-a-little-under-half-of':
    'Cut a little under half of the turn inside, over it outside, so that the face meets first.',
  'rule.safe-where-corners-were-only-assumed':
    'Safe where corners were only assumed square; on a measured angle it corrects twice.',
  'rule.miter-rather-than-cope-from': 'miter rather than cope from',
  'rule.advise-a-miter-where-an-inside':
    'Advise a miter where an inside corner is wider than this and would be coped.',
  'rule.the-tip-of-a-cope-gets':
    'The tip of a cope gets too thin there, and the relief behind it too deep. It is advised, never forced.',
  'rule.ends-that-run-through': 'ends that run through',
  'rule.cut-the-end-of-the-piece':
    'Cut the end of the piece that runs through to lie flat on the other wall.',
  'rule.it-shows-only-at-corners-off':
    'It shows only at corners off square, and a square end under a cope is covered anyway.',
  'rule.scarf': 'scarf',
  'rule.angle-of-the-splice-45-30': 'Angle of the splice: 45, 30, 22½ or a butt.',
  'rule.a-longer-lap-hides-better-and':
    'A longer lap hides better and glues more; a butt is for foam and for pieces fixed on both sides of a stud.',
  'rule.splices': 'splices',
  'rule.only-where-a-wall-is-longer':
    'Only where a wall is longer than any stick, or wherever they save stock.',
  'rule.fewer-joints-look-better-on-paint-grade':
    'Fewer joints look better; on paint-grade trim a splice on a stud costs less than a longer stick.',
  'rule.pieces-of-a-spliced-wall': 'pieces of a spliced wall',
  'rule.divide-where-it-hides-best-or':
    'Divide where it hides best, or with one piece as long as can be, or into pieces of like length.',
  'rule.one-long-piece-leaves-a-short':
    'One long piece leaves a short one that an offcut may give; like lengths are easier to carry and look laid out on purpose. What it costs in sticks comes first.',
  'rule.splice-from-a-corner': 'splice from a corner',
  'rule.how-far-a-splice-keeps-from': 'How far a splice keeps from corners, openings and other splices.',
  'rule.short-ends-look-patched-and-split': 'Short ends look patched and split when they are nailed.',
  'rule.hide-joints-from-the-entry': 'hide joints from the entry',
  'rule.walls-that-face-whoever-comes-in':
    'Walls that face whoever comes in run through; laps open away from the eye.',
  'rule.a-joint-that-one-does-not': 'A joint that one does not look into is not seen, even when it opens.',
  'rule.return-at-casing': 'return at casing',
  'rule.return-an-end-that-stands-prouder':
    'Return an end that stands prouder than the casing by more than this.',
  'rule.a-raw-end-beside-a-thinner': 'A raw end beside a thinner casing catches the eye and the dust.',
  'rule.ends-of-shoe': 'ends of shoe',
  'rule.a-small-mitered-return-or-square': 'A small mitered return, or square with the nose snipped off.',
  'rule.a-return-shows-no-end-grain':
    'A return shows no end grain; a snip takes one stroke and nobody looks there.',
  'rule.ends-of-rails': 'ends of rails',
  'rule.turn-a-rail-back-in-one': 'Turn a rail back in one miter of 45, or in two half turns of 22½.',
  'rule.one-miter-is-quicker-two-half':
    'One miter is quicker; two half turns die softly into the backer and leave no corner to catch a sleeve.',
  'rule.bullnose-corners': 'bullnose corners',
  'rule.two-pieces-mitered-over-the-round':
    'Two pieces mitered over the round, or small pieces that turn with it.',
  'rule.two-pieces-leave-a-hollow-behind':
    'Two pieces leave a hollow behind; small ones follow the wall and take more cuts.',
  'rule.spring-fit': 'spring fit',
  'rule.cut-pieces-between-two-inside-corners':
    'Cut pieces between two inside corners a hair long, by length.',
  'rule.sprung-in-they-press-both-joints':
    'Sprung in they press both joints shut; too long and they push a wall or snap.',
  'rule.reveal': 'reveal',
  'rule.step-between-jamb-and-casing': 'Step between jamb and casing.',
  'rule.it-hides-a-jamb-that-is': 'It hides a jamb that is not straight and keeps hinges free.',
  'rule.order-of-crown': 'order of crown',
  'rule.round-the-room-with-a-closing':
    'Round the room with a closing piece cut long, opposite walls first and the others glued in between cut shy, or foam with its bead and loose ends.',
  'rule.pressed-in-the-last-piece-closes':
    'Pressed in, the last piece closes both its joints; glued miters want a little room and test blocks; foam must not be forced.',
  'rule.closing-piece-of-crown': 'closing piece of crown',
  'rule.cut-the-last-piece-of-a':
    'Cut the last piece of a crown run long, or hold it until its neighbors hang and it is measured between them.',
  'rule.pressed-in-a-long-piece-closes':
    'Pressed in, a long piece closes both joints; where corners wander a measure taken in place is surer.',
  'rule.closing-piece-longer-by': 'closing piece longer by',
  'rule.what-the-last-piece-of-a': 'What the last piece of a crown run is cut longer.',
  'rule.it-is-bowed-in-and-pushes': 'It is bowed in and pushes both joints shut.',
  'rule.glued-crown-shy-by': 'glued crown shy by',
  'rule.what-crown-glued-in-between-two': 'What crown glued in between two that hang is cut shorter.',
  'rule.glue-and-a-shim-fill-a': 'Glue and a shim fill a hair; too long it opens the joints that hang.',
  'rule.line-of-crown': 'line of crown',
  'rule.level-under-the-lowest-point-of':
    'Level under the lowest point of the ceiling, or straight from corner to corner after it.',
  'rule.a-level-line-reads-true-beside':
    'A level line reads true beside cabinets and tile; following it leaves less to caulk.',
  'rule.gap-above-crown-up-to': 'gap above crown up to',
  'rule.what-may-stay-open-between-crown':
    'What may stay open between crown and ceiling and still be caulked.',
  'rule.a-wider-gap-cracks-or-is': 'A wider gap cracks, or is seen as a shadow.',
  'rule.light-gap-above-crown': 'light gap above crown',
  'rule.what-crown-hangs-below-the-ceiling':
    'What crown hangs below the ceiling for a line of light; 0 for none.',
  'rule.corners-and-lengths-stay-as-they':
    'Corners and lengths stay as they are; only the line on the wall comes down.',
  'rule.loose-ends-of-crown': 'loose ends of crown',
  'rule.how-far-from-a-corner-crown':
    'How far from a corner crown is left without nails until its neighbor is up: foam, and all others.',
  'rule.a-loose-end-gives-the-little': 'A loose end gives the little that closes the joint.',
  'rule.test-pair-of-crown': 'test pair of crown',
  'rule.length-of-two-blocks-cut-first':
    'Length of two blocks cut first where opposite walls hang first; 0 for none.',
  'rule.they-show-in-every-corner-what':
    'They show in every corner what the long pieces will do, and stay on the rack for the next job.',
  'rule.heads-of-casing': 'heads of casing',
  'rule.cut-them-with-the-legs-hold':
    'Cut them with the legs, hold them until they are measured over the legs, or cut them rough and mark them in place.',
  'rule.a-head-measured-over-legs-that':
    'A head measured over legs that stand fits whatever the jambs do; cut from the figures it saves a walk, marked in place it needs no figure.',
  'rule.back-cut-of-casing': 'back-cut of casing',
  'rule.cut-casing-miters-so-many-degrees': 'Cut casing miters so many degrees open at the back.',
  'rule.on-walls-that-are-not-flat': 'On walls that are not flat the face closes before the back touches.',
  'rule.head-out-of-level-from': 'head out of level from',
  'rule.say-it-where-a-head-rises': 'Say it where a head rises by more than this over its width.',
  'rule.beyond-that-one-sees-it-against':
    'Beyond that one sees it against the ceiling: shim, plane or bed it rather than follow it.',
  'rule.casing-laps-by': 'casing laps by',
  'rule.how-far-casing-must-reach-past': 'How far casing must reach past the gap it covers.',
  'rule.just-covered-is-not-covered-once': 'Just covered is not covered once the wall is not straight.',
  'rule.proud-jamb-planed-up-to': 'proud jamb, planed up to',
  'rule.up-to-this-a-jamb-that':
    'Up to this a jamb that stands out is planed or the casing back-cut; beyond it is packed out.',
  'rule.planing-is-quick-much-of-it': 'Planing is quick; much of it takes the jamb away.',
  'rule.horn-of-a-stool': 'horn of a stool',
  'rule.how-far-a-stool-runs-past': 'How far a stool runs past the casing at each end.',
  'rule.long-horns-look-old-short-ones': 'Long horns look old, short ones plain; none is possible.',
  'rule.play-of-a-stool': 'play of a stool',
  'rule.free-room-at-each-notch-of': 'Free room at each notch of a stool.',
  'rule.it-slides-in-without-a-mallet':
    'It slides in without a mallet; parts glued up as one unit need more.',
  'rule.numbers-on-the-pieces': 'numbers on the pieces',
  'rule.number-from-the-left-of-the':
    'Number from the left of the entry, as one reads the walls, or by order of installation.',
  'rule.reading-order-finds-the-wall-at':
    'Reading order finds the wall at once; order of installation stacks the pieces as they are taken up.',
  'rule.crown-on-the-saw': 'crown on the saw',
  'rule.nested-upside-down-against-the-fence':
    'Nested upside down against the fence, or lying flat with miter and bevel.',
  'rule.nested-needs-no-compound-angles-but':
    'Nested needs no compound angles but a saw tall enough; flat suits wide crown.',
  'rule.cope-everything': 'Cope everything',
  'rule.miter-and-glue': 'Miter and glue',
  'rule.butt-for-foam': 'Butt, for foam',
  'rule.least-stock': 'Least stock',
} as const;
