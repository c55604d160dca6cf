/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const warningTexts = {
  'warning.wall': '{room}, wall {wall}',
  'warning.the-corner-after-wall': '{room}: the corner after wall {wall}',
  'warning.wood-glue-does-not-hold-foam': 'wood glue does not hold foam: use the adhesive made for it',
  'warning.wood-glue-does-not-hold-pvc': 'wood glue does not hold PVC: use its own cement',
  'warning.horn-of-the-stool': 'horn of the stool',
  'warning.its-needs-more-than-there-is':
    '{name}: its {part} needs {by} more than there is to the corner on its {at}',
  'warning.its-is-in-the-way-of':
    '{name}: its {part} is in the way of {by} on the wall round the corner on its {at}, by {by2}',
  'warning.their-casing-overlaps-by': '{items}: their casing overlaps by {by}',
  'warning.its-ends-above-the-ceiling': '{name}: its {part} ends {by} above the ceiling',
  'warning.its-reaches-into-which-is-stopped':
    '{name}: its {part} reaches {by} into {by2}, which is stopped there',
  'warning.runs-into-the-horns-of-the':
    '{name}: {by} runs into the horns of the stool, {by2} of it; it ends there',
  'warning.what-is-built-in': 'what is built in',
  'warning.its-overlaps-by': '{name}: its {part} overlaps {by} by {by2}',
  'warning.its-covers-a-by': '{name}: its {part} covers a {by} by {by2}',
  'warning.rip-the-two-legs-to': 'rip the two legs to {rip}',
  'warning.rip-it-to': 'rip it to {rip}',
  'warning.share-one-strip-of': 'share one strip of {mull}',
  'warning.make-the-reveal': 'make the reveal {reveal}',
  'warning.leave-that-side-without-casing-with': 'leave that side without casing, with a return',
  'warning.move-the-rail-clear-of-the': 'move the rail clear of the stool',
  'warning.make-the-horn': 'make the horn {horn}',
  'warning.end-the-stool-flush-with-what': 'end the stool flush with what stands on it',
  'warning.have-the-box-moved': 'have the box moved',
  'warning.the-slopes-there-are-not-those':
    'the slopes there are not those of one ceiling: the level wall needs the pitch with which the other one rises',
  'warning.it-would-climb-on-both-walls': 'it would climb on both walls of a corner',
  'warning.no-turn-piece-mates-there': 'no turn piece mates there',
  'warning.something-stops-it-on-a-wall': 'something stops it on a wall where it climbs',
  'warning.two-level-walls-would-need-different': 'two level walls would need different drop lines',
  'warning.its-head-rises-to-the-cut':
    '{name}: its head rises {figure} to the {rises}; cut as if level, its miters would open by {opens}',
  'warning.gap-and-its-rounded-edge': 'gap and its rounded edge',
  'warning.gap': 'gap',
  'warning.need': 'need',
  'warning.needs': 'needs',
  'warning.make-the-reveal-or-take-casing': 'make the reveal {reveal}, or take casing wider by {short}',
  'warning.take-casing-wider-by': 'take casing wider by {short}',
  'warning.reveal-and-casing-cover-the-or':
    '{name}: reveal and casing cover {covers}, the {choice} {choice2} {needs}; {choice3}, or bring the jamb out with a strip',
  'warning.its-jamb-lies-behind-the-wall':
    '{name}: its jamb lies {shy} behind the wall; a strip that wide brings it out, or the casing rocks',
  'warning.its-jamb-stands-proud-of-the':
    '{name}: its jamb stands {proud} proud of the wall; plane it, or cut the miters back; look for old nails first',
  'warning.its-jamb-stands-proud-of-the-2':
    '{name}: its jamb stands {proud} proud of the wall; pack the casing out with a strip of that, or cut the jamb back; look for old nails first',
  'warning.nothing-covers-the-rounded-edge-behind':
    '{name}: nothing covers the rounded edge behind the stool; cut its notches to the curve of {radius}',
  'warning.measured-outside-to-outside-the-figures':
    '{name}: measured outside to outside {measured}, the figures say {predicted}; see whether both legs stand on their reveal before the head is cut',
  'warning.nothing-may-reach-the-path-of': '; nothing may reach the path of the door',
  'warning.measure-from-the-wall-s-face': ", measure from the wall's face to it",
  'warning.no-fastener-longer-than-there': ': no fastener longer than {longest} there',
  'warning.head-and-one-leg-are-screwed':
    '{name}: head and one leg are screwed and capped, not glued{choice}{choice2}',
  'warning.corner-blocks': 'corner blocks',
  'warning.a-head-with-overhang': 'a head with overhang',
  'warning.choose-mitered-corners': 'choose mitered corners',
  'warning.set-the-overhang-to-0': 'set the overhang to 0',
  'warning.the-back-band-is-not-planned':
    '{name}: the back band is not planned, as it cannot run round {choice}; {choice2} or leave the band out',
  'warning.corner-blocks-are-chosen-and-no':
    '{name}: corner blocks are chosen and no block is named; it is planned mitered until one is',
  'warning.both-diagonals': 'both diagonals {a}',
  'warning.diagonals-from-the-bottom-left-from':
    'diagonals {a} from the bottom left, {b} from the bottom right',
  'warning.give-the-stool-some-play-or': '; give the stool some play, or it will not go in',
  'warning.is-joined-on-the-bench-and':
    '{name} is joined on the bench and set as one: {across} over its outer points; leave the glue overnight{choice}',
  'warning.its-head-corner-is-open-at':
    '{name}: its {corner} head corner is open {by} at the {open} point; take that off the end of the head at its {from} point, to nothing at the {open} one, or shim behind the leg',
  'warning.is-wide-its-only-take-wider':
    '{label} is {width} wide, its {profile} only {has}; take wider stock or glue two up',
  'warning.bulges': 'bulges',
  'warning.is-hollow': 'is hollow',
  'warning.by-over-near-its-end-nail':
    '{wall}: {choice} by {depth} over {over} near its {near} end; nail the high spots, do not push the end in',
  'warning.only-beside-an-outside-corner-its':
    '{wall}: only {length} beside an outside corner; its angles are best read over a straight board',
  'warning.the-stick-with-has-to-spare':
    'the stick with {items} has {spare} to spare; its cuts may lose {margin}',
  'warning.leaves-up-to-open': 'leaves up to {gap} open',
  'warning.meets-a-low-spot-that-comes': 'meets a low spot that comes down {presses} into it',
  'warning.a-level-line': 'a level line',
  'warning.following-the-ceiling': 'following the ceiling',
  'warning.on-more-than-the-that-are':
    '{room}: {profile} on {own} {gap}, more than the {most} that are caulked; {other} {other2}',
  'warning.takes-times-the-room-behind-its':
    '{room}: {strip} takes {taken} times the room behind {profile}: its edge holds the crown off',
  'warning.there-is-no-room-behind-for': '{room}: there is no room behind {profile} for {strip}',
  'warning.no-strip-is-planned-behind-crown':
    '{room}: no strip is planned behind crown that climbs (wall {items}): cut it in place',
  'warning.the-ceiling-slopes': 'the ceiling slopes',
  'warning.is-not-planned-wall': '{room}: {profile} is not planned, {why} (wall {items})',
  'warning.mates-with-a-small-piece-that':
    '{corner}: {profile} mates with a small piece that turns, {turn} at its wall edge; mitered as it is the tops would miss by {misses}, or the level one hangs at {otherSpring} to its wall',
  'warning.pipes-at-come-down-through-with':
    '{wall}: pipes at {at} come down through {profile}; with the radiator on, it goes in behind them only in two pieces',
  'warning.stands-upright': 'stands upright',
  'warning.into': 'into',
  'warning.out-of': 'out of',
  'warning.leans-the-room': 'leans {lean} {choice} the room',
  'warning.both-walls-lean-the-room': 'both walls lean {left} {choice} the room',
  'warning.the-wall-on-its-left-the': 'the wall on its left {left}, the one on its right {right}',
  'warning.base-and-rails-are-cut-to': '{corner}: {walls}; base and rails are cut to that',
  'warning.a-socket-switch-or-pipe': 'a socket, switch or pipe',
  'warning.sockets-switches-or-pipes': '{count} sockets, switches or pipes',
  'warning.no-nails-in-line-with-them': '{wall}: {choice}; no nails in line with them, up, down or across',
  'warning.is-only-assumed-square-measure-it': '{corner} is only assumed square; measure it before cutting',
  'warning.is-set-the-saw-to-its': '{corner} is {angle}; set the saw to its own angle, not to a detent',
  'warning.is-is-better-mitered-there-than':
    '{corner} is {angle}: {profile} is better mitered there than coped; the tip of a cope gets too thin, and it would have to be cut back by {relief}',
  'warning.inside-corner-after-wall-is-rounded':
    '{room}: inside corner after wall {wall} is rounded (radius {radius}); relieve the back by {relief} on the diagonal',
  'warning.two-pieces-round-the-bullnose-after':
    '{room}: two pieces round the bullnose after wall {wall} leave {gap} behind the miter',
  'warning.is-which-no-corner-can-be':
    '{corner} is {angle}, which no {form} corner can be; it is treated as crisp',
  'warning.is-too-short-for-a-piece':
    '{wall}: {length} is too short for a piece of {profile} with its ends; none is planned there',
  'warning.wall-2': 'wall {wall}',
  'warning.the-joints-pinned-at-the-corners':
    '{room}: the joints pinned at the corners after {items} leave no piece to hang first; release one',
  'warning.nothing-runs-through-the-outside-corner':
    '{room}: nothing runs through the outside corner after wall {wall}; the pin there does nothing',
  'warning.the-splice-of-pinned-at-has':
    '{wall}: the splice of {profile} pinned at {at} has no room there any more; it is released',
  'warning.no-splice-keeps-the-house-distance':
    '{wall}: no splice keeps the house distance from corners and openings; the best remaining studs are used',
  'warning.the-pinned-splice-lies-in-the':
    '{wall}: the pinned splice lies in the wall one looks at on coming in',
  'warning.no-stud-gives-pieces-that-fit':
    '{wall}: no stud gives pieces that fit the stock; the splice falls between studs',
  'warning.is-only-cut-it-off-a':
    '{label} is only {length}: cut it off a longer piece and hold the waste, not the part',
  'warning.is-two-people-to-carry-and': '{label} is {length}: two people to carry and hang it',
  'warning.is-coped-at-both-ends-cut':
    '{label} is coped at both ends: cut it a little long and fit one end first',
  'warning.end-is-beyond-the-saw-clamp':
    '{label}, {end} end: {miter} is beyond the saw; clamp a {block} block to the fence, its thick end {thickEnd}',
  'warning.end-this-saw-cannot-cut-it': '{label}, {end} end: this saw cannot cut it at {angle} ({items})',
  'warning.a-splice-in-prefinished-trim-will': '{label}: a splice in prefinished trim will show',
  'warning.the-angles-miss-adding-up-by':
    '{room}: the angles miss adding up by {angleGap}; put them right first, the lengths cannot be judged before',
  'warning.the-readings-miss-closing-by-measure':
    '{room}: the readings miss closing by {gap}; measure again before cutting',
  'warning.base-and-shoe-cover-of-floor':
    '{room}: base and shoe cover {covers} of floor, its gap at the wall is {gap}',
  'warning.is-wet-and-is-mdf-wood':
    '{room} is wet and {profile} is MDF: wood or PVC lasts there; else seal every cut end',
  'warning.the-rule-takes-off-miters-whose':
    '{room}: the rule takes {degrees} off miters whose corners were measured; that corrects twice',
  'warning.glued-on-the-bench-are-in':
    '{items} glued on the bench are {length} in one length: have the room to turn it, and hands to hang it',
  'warning.ask-which-glue-holds-it': 'ask which glue holds it',
  'warning.joined': '{profile}: {glue}',
  'warning.is-by-lay-every-length-the':
    '{profile} is {width} by {thickness}: lay every length the same way up',
} as const;
