/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const calcUntrueWallsTexts = {
  'calc-untrue-walls.bevel-on-a-hollow': 'bevel on a hollow',
  'calc-untrue-walls.the-bevel-rocks-on-a-hollow':
    'The bevel rocks on a hollow or a hump. What does it read then?',
  'calc-untrue-walls.the-wall-under-its-leg': 'the wall under its leg',
  'calc-untrue-walls.hollow': 'hollow',
  'calc-untrue-walls.hump': 'hump',
  'calc-untrue-walls.deep-or-high': 'deep or high',
  'calc-untrue-walls.at-this-distance-from-the-corner': 'at this distance from the corner',
  'calc-untrue-walls.the-bevel-reads': 'the bevel reads',
  'calc-untrue-walls.out-by': 'out by',
  'calc-untrue-walls.cut-by-that-reading': 'cut by that reading',
  'calc-untrue-walls.in-tilts-the-leg-by': '{d} in {l} tilts the leg by {shift}.',
  'calc-untrue-walls.lay-a-straightedge-across-the-high':
    'Lay a straightedge across the high spots and read off that: the trim will lie on them too.',
  'calc-untrue-walls.cut-what-the-bevel-says': 'cut what the bevel says',
  'calc-untrue-walls.where-the-trim-bridges-it': 'where the trim bridges it, {fitIn}',
  'calc-untrue-walls.the-corner-from-above': 'the corner from above',
  'calc-untrue-walls.reads': 'reads {read}',
  'calc-untrue-walls.leaning-walls': 'leaning walls',
  'calc-untrue-walls.the-walls-lean-why-does-the': 'The walls lean. Why does the joint open at the top?',
  'calc-untrue-walls.off-plumb-with-the-top-into': 'off plumb, + with the top into the room',
  'calc-untrue-walls.height-of-the-trim': 'height of the trim',
  'calc-untrue-walls.miter': 'miter',
  'calc-untrue-walls.bevel-with-it': 'bevel with it',
  'calc-untrue-walls.longer': 'longer',
  'calc-untrue-walls.shorter': 'shorter',
  'calc-untrue-walls.top-edge-by': 'top edge {choice} by',
  'calc-untrue-walls.standing-with-its-back-tight-to':
    'Standing with its back tight to the fence: the tangent of the miter is cos of the lean times tan of half the turn.',
  'calc-untrue-walls.the-sine-of-the-bevel-is':
    'The sine of the bevel is sin of the lean times sin of half the turn.',
  'calc-untrue-walls.cut-it-plumb': 'cut it plumb',
  'calc-untrue-walls.no-bevel': '{value}, no bevel',
  'calc-untrue-walls.with-of-bevel': '{miter} with {bevel} of bevel',
  'calc-untrue-walls.the-tops-meet-first-each-too':
    'the tops meet first, each {shift} too long there: the joint stays open at the floor',
  'calc-untrue-walls.the-floor-meets-first-each-top':
    'the floor meets first, each top {shift} too short: the joint opens upwards',
  'calc-untrue-walls.one-end-seen-square-to-its': 'one end, seen square to its back',
  'calc-untrue-walls.a-lean-of': 'a lean of {tilt}',
  'calc-untrue-walls.curved-wall': 'curved wall',
  'calc-untrue-walls.the-wall-is-curved-how-many':
    'The wall is curved. How many straight pieces, cut at what?',
  'calc-untrue-walls.the-wall': 'the wall',
  'calc-untrue-walls.curves-round-you': 'curves round you',
  'calc-untrue-walls.bulges-into-the-room': 'bulges into the room',
  'calc-untrue-walls.radius-of-the-wall': 'radius of the wall',
  'calc-untrue-walls.it-turns-through': 'it turns through',
  'calc-untrue-walls.straight-pieces': 'straight pieces',
  'calc-untrue-walls.must-be-at-least-1': 'must be at least 1',
  'calc-untrue-walls.cut-between-the-pieces': 'cut between the pieces',
  'calc-untrue-walls.each-piece-back': 'each piece, back',
  'calc-untrue-walls.cut-against-the-straight-walls': 'cut against the straight walls',
  'calc-untrue-walls.hollow-behind-each': 'hollow behind each',
  'calc-untrue-walls.shared-by-pieces-turns-at-each':
    '{turn} shared by {n} pieces turns {turn2} at each joint; each side takes half.',
  'calc-untrue-walls.each-back-is-a-chord-2': 'Each back is a chord: 2 × radius × sin of that half.',
  'calc-untrue-walls.each-back-touches-the-wall-at':
    'Each back touches the wall at its middle: 2 × radius × tan of that half.',
  'calc-untrue-walls.from-above': 'from above',
  'calc-untrue-walls.each': '{back} each',
} as const;
