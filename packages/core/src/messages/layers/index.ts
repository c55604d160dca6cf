import type { MessageCode } from '../message.ts';

/** Written by `npm run words`: what reads otherwise than in American English with its trade words. */
export const LAYERS: Readonly<Record<string, Readonly<Partial<Record<MessageCode, string>>>>> = {
  'en-US uk': {
    'advice.a-gap-beside-the-casing-has': 'A gap beside the architrave has to be filled, and cracks.',
    'advice.add-shoe-or-take-a-thicker': 'Add quadrant, or take a thicker skirting.',
    'advice.buy-a-longer-stick-for-this': 'Buy a longer length for this wall.',
    'advice.casing-on-a-jamb-behind-the':
      'Architrave on a jamb behind the wall leans in and its mitres open at the face.',
    'advice.casing-rocks-on-a-jamb-that': 'Architrave rocks on a jamb that stands out, and no mitre closes.',
    'advice.caulk-shrinks-in-a-wide-gap':
      'Caulk shrinks in a wide gap, and a shadow above cornice is seen from the door.',
    'advice.choose-before-anything-is-cut-the':
      'Choose before anything is cut: the architrave, the reveal or the jamb.',
    'advice.choose-under-house-rules-whether-crown':
      'Choose under house rules whether cornice follows the ceiling or keeps a level line; float the ceiling where neither does.',
    'advice.crown-that-rocks-on-its-strip':
      'Cornice that rocks on its strip does not sit at its spring, and no joint closes.',
    'advice.drag-it-elsewhere-or-put-the': 'Drag it elsewhere, or put the longest length on this wall.',
    'advice.filler-in-a-miter-cracks-at': 'Filler in a mitre cracks at the first heating.',
    'advice.hold-a-piece-of-crown-there':
      'Hold a piece of cornice there, mark its back on wall and ceiling, and cut the strip between the marks.',
    'advice.it-bends-and-breaks-at-the': 'It bends and breaks at the scribe.',
    'advice.its-two-legs-differ-turned-over':
      'Its two legs differ: turned over it meets its neighbour with a step.',
    'advice.leave-it-bare-or-return-both': 'Leave it bare, or return both neighbours.',
    'advice.legs-and-head-against-blocks-are': 'Legs and head against blocks are shorter than mitred ones.',
    'advice.level-crown-and-crown-that-climbs':
      'Level cornice and cornice that climbs are no mirror images: their mitre never closes.',
    'advice.look-at-both-slopes-again-else':
      'Look at both slopes again; else take those walls out of the run, make a template of the level piece on the other wall, and scribe to it.',
    'advice.pick-a-piece-at-this-corner':
      'Pick a piece at this corner and choose the mitre; the house rule says from which angle.',
    'advice.screws-with-caps-an-open-miter': 'Screws with caps, an open mitre, no glue on that side.',
    'advice.take-a-longer-stick-or-live': 'Take a longer length, or live with it behind furniture.',
    'advice.take-a-piece-off-the-stick':
      'Take a piece off the length, or release it; or set the margin to what your cuts lose.',
    'advice.take-a-thinner-strip-or-have':
      'Take a thinner strip, or have its outer edge bevelled to the back of the cornice.',
    'advice.take-another-saw-or-a-hand':
      'Take another saw, or a hand saw in a block; or have the joint otherwise: scribed, butted, or of two smaller cuts.',
    'advice.wood-left-at-the-tip-of':
      'Wood left at the tip of a scribe is only as thick as the corner is short of straight.',
    'cut.cannot-be-divided-so-that-every':
      '"{id}" cannot be divided so that every piece fits a length (longest {longest}): add a longer length or more splice positions',
    'cut.needs-a-stick-of-and-the':
      '"{id}" needs a length of {needs} and the longest is {longest}: add a longer length or allow a splice',
    'cut.the-pinned-stick-does-not-hold': 'the pinned length "{stick}" does not hold its pieces: release it',
    'cut.there-is-no-stick-left-to': 'there is no length "{stick}" left to pin: release it',
    'part.strip-behind-crown': 'strip behind cornice',
    'purchase.pieces-fit-no-stick': 'pieces fit no length',
    'refusal.has-no-sticks-of-add-a': 'has no lengths of "{id}" ({profile}): add a stock length for it',
    'refusal.of-cannot-be-made-of-pieces':
      '{stretch} of {profile} cannot be made of pieces that fit the lengths (longest {longest}): add a longer one{remedy}',
    'refusal.piece-of-fits-no-stick-longest':
      'piece {piece} of {profile} ({length}) fits no length (longest {longest}): add a longer one',
    'refusal.the-stock-of-does-not-suffice':
      'the stock of "{id}" ({profile}) does not suffice: {more} would do. Without a length are {parts}',
    'warning.base-and-rails-are-cut-to': '{corner}: {walls}; skirting and rails are cut to that',
    'warning.base-and-shoe-cover-of-floor':
      '{room}: skirting and quadrant cover {covers} of floor, its gap at the wall is {gap}',
    'warning.choose-mitered-corners': 'choose mitred corners',
    'warning.corner-blocks-are-chosen-and-no':
      '{name}: corner blocks are chosen and no block is named; it is planned mitred until one is',
    'warning.is-coped-at-both-ends-cut':
      '{label} is scribed at both ends: cut it a little long and fit one end first',
    'warning.is-is-better-mitered-there-than':
      '{corner} is {angle}: {profile} is better mitred there than scribed; the tip of a scribe gets too thin, and it would have to be cut back by {relief}',
    'warning.its-head-rises-to-the-cut':
      '{name}: its head rises {figure} to the {rises}; cut as if level, its mitres would open by {opens}',
    'warning.its-jamb-lies-behind-the-wall':
      '{name}: its jamb lies {shy} behind the wall; a strip that wide brings it out, or the architrave rocks',
    'warning.its-jamb-stands-proud-of-the':
      '{name}: its jamb stands {proud} proud of the wall; plane it, or cut the mitres back; look for old nails first',
    'warning.its-jamb-stands-proud-of-the-2':
      '{name}: its jamb stands {proud} proud of the wall; pack the architrave out with a strip of that, or cut the jamb back; look for old nails first',
    'warning.leave-that-side-without-casing-with': 'leave that side without architrave, with a return',
    'warning.make-the-reveal-or-take-casing': 'make the reveal {reveal}, or take architrave wider by {short}',
    'warning.mates-with-a-small-piece-that':
      '{corner}: {profile} mates with a small piece that turns, {turn} at its wall edge; mitred as it is the tops would miss by {misses}, or the level one hangs at {otherSpring} to its wall',
    'warning.no-strip-is-planned-behind-crown':
      '{room}: no strip is planned behind cornice that climbs (wall {items}): cut it in place',
    'warning.reveal-and-casing-cover-the-or':
      '{name}: reveal and architrave cover {covers}, the {choice} {choice2} {needs}; {choice3}, or bring the jamb out with a strip',
    'warning.take-casing-wider-by': 'take architrave wider by {short}',
    'warning.takes-times-the-room-behind-its':
      '{room}: {strip} takes {taken} times the room behind {profile}: its edge holds the cornice off',
    'warning.the-rule-takes-off-miters-whose':
      '{room}: the rule takes {degrees} off mitres whose corners were measured; that corrects twice',
    'warning.the-stick-with-has-to-spare':
      'the length with {items} has {spare} to spare; its cuts may lose {margin}',
    'warning.their-casing-overlaps-by': '{items}: their architrave overlaps by {by}',
    'warning.two-pieces-round-the-bullnose-after':
      '{room}: two pieces round the bullnose after wall {wall} leave {gap} behind the mitre',
  },
  'en-GB us': {
    'advice.its-two-legs-differ-turned-over':
      'Its two legs differ: turned over it meets its neighbour with a step.',
    'advice.leave-it-bare-or-return-both': 'Leave it bare, or return both neighbours.',
  },
  'en-GB uk': {},
};
