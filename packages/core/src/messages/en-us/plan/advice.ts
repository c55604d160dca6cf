/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const adviceTexts = {
  'advice.two-things-cannot-stand-in-one':
    'Two things cannot stand in one place, and it is found at the saw otherwise, or on the wall.',
  'advice.choose-one-of-the-ways-named':
    'Choose one of the ways named, in the order named; no piece is changed by itself.',
  'advice.the-eye-compares-the-head-with':
    'The eye compares the head with the ceiling and the reveal with the jamb.',
  'advice.shim-or-plane-the-frame-or':
    'Shim or plane the frame, or bed the head; else cut as planned, each corner by its own angle.',
  'advice.a-gap-beside-the-casing-has': 'A gap beside the casing has to be filled, and cracks.',
  'advice.choose-before-anything-is-cut-the':
    'Choose before anything is cut: the casing, the reveal or the jamb.',
  'advice.casing-on-a-jamb-behind-the':
    'Casing on a jamb behind the wall leans in and its miters open at the face.',
  'advice.rip-the-strip-taper-and-all': 'Rip the strip, taper and all, and set it before the legs.',
  'advice.casing-rocks-on-a-jamb-that': 'Casing rocks on a jamb that stands out, and no miter closes.',
  'advice.look-for-nails-then-plane-it':
    'Look for nails, then plane it flush; or pack out what is behind the outer edge.',
  'advice.a-square-notch-leaves-a-hole': 'A square notch leaves a hole beside a rounded edge.',
  'advice.scribe-the-curve-into-both-notches': 'Scribe the curve into both notches, or case the window.',
  'advice.a-leg-off-its-reveal-or':
    'A leg off its reveal, or a jamb out of plumb, shows in this figure first.',
  'advice.measure-the-reveal-at-the-foot':
    'Measure the reveal at the foot and the head of both legs, then measure again.',
  'advice.what-is-behind-has-to-be':
    'What is behind has to be got at again, and a door that slides must not meet a nail.',
  'advice.screws-with-caps-an-open-miter': 'Screws with caps, an open miter, no glue on that side.',
  'advice.a-band-runs-along-one-unbroken': 'A band runs along one unbroken outer edge.',
  'advice.change-the-corners-in-the-kit':
    'Change the corners in the kit of this opening, or take the band out of it.',
  'advice.legs-and-head-against-blocks-are': 'Legs and head against blocks are shorter than mitered ones.',
  'advice.choose-the-block-in-the-kit':
    'Choose the block in the kit, or other corners, before anything is cut.',
  'advice.what-is-not-square-on-the':
    'What is not square on the bench is not square on the wall, and cannot be pulled in any more.',
  'advice.measure-both-diagonals-before-the-glue':
    'Measure both diagonals before the glue sets, then hang it.',
  'advice.filler-in-a-miter-cracks-at': 'Filler in a miter cracks at the first heating.',
  'advice.one-stroke-of-the-plane-or':
    'One stroke of the plane or the saw closes it; write here that it is closed, and this is gone.',
  'advice.no-saw-makes-a-strip-wider': 'No saw makes a strip wider than its board.',
  'advice.choose-a-wider-profile-for-this': 'Choose a wider profile for this part.',
  'advice.corners-are-seldom-square-and-a': 'Corners are seldom square, and a degree shows.',
  'advice.take-the-angle-over-a-straight': 'Take the angle over a straight board and type it in.',
  'advice.a-floating-floor-moves-a-gap': 'A floating floor moves: a gap that is not covered shows all year.',
  'advice.add-shoe-or-take-a-thicker': 'Add shoe, or take a thicker base.',
  'advice.fibre-and-paper-swell-at-the': 'Fibre and paper swell at the first wet floor and do not go back.',
  'advice.choose-wood-or-pvc-for-this': 'Choose wood or PVC for this room, or prime every cut end.',
  'advice.a-measured-corner-is-already-cut':
    'A measured corner is already cut to its own angle; a bias opens the back, or the face.',
  'advice.set-the-bias-to-assumed-corners': 'Set the bias to assumed corners only.',
  'advice.a-splice-glued-on-the-bench': 'A splice glued on the bench is flat and strong, and long.',
  'advice.look-for-the-way-in-before': 'Look for the way in before gluing; else splice on the wall.',
  'advice.the-usual-glue-lets-go-of': 'The usual glue lets go of this material.',
  'advice.buy-what-its-maker-names-with': 'Buy what its maker names, with the trim.',
  'advice.its-two-legs-differ-turned-over':
    'Its two legs differ: turned over it meets its neighbor with a step.',
  'advice.mark-the-same-edge-on-every': 'Mark the same edge on every length before cutting.',
  'advice.a-detent-near-it-tempts-one': 'A detent near it tempts one to cut the wrong angle.',
  'advice.swing-to-the-figure-cut-a': 'Swing to the figure, cut a test pair, then the pieces.',
  'advice.a-sharp-back-corner-stands-off': 'A sharp back corner stands off both walls.',
  'advice.relieve-the-back-of-the-lower': 'Relieve the back of the lower edge before fitting.',
  'advice.two-pieces-over-a-round-leave': 'Two pieces over a round leave a hollow.',
  'advice.fill-behind-or-turn-it-with': 'Fill behind, or turn it with small pieces.',
  'advice.the-form-and-the-angle-do': 'The form and the angle do not go together.',
  'advice.look-at-the-corner-again-and': 'Look at the corner again and put one right.',
  'advice.the-ends-would-meet-in-the': 'The ends would meet in the middle.',
  'advice.leave-it-bare-or-return-both': 'Leave it bare, or return both neighbors.',
  'advice.each-piece-waits-for-the-next': 'Each piece waits for the next one: none can be hung first.',
  'advice.release-one-of-the-pinned-joints': 'Release one of the pinned joints.',
  'advice.nothing-runs-through-an-outside-corner': 'Nothing runs through an outside corner.',
  'advice.release-the-pin': 'Release the pin.',
  'advice.the-wall-is-shorter-now-or': 'The wall is shorter now, or something stands where the splice was.',
  'advice.pin-it-again-where-there-is': 'Pin it again where there is room, or leave it to the plan.',
  'advice.a-short-end-looks-patched': 'A short end looks patched.',
  'advice.take-a-longer-stick-or-live': 'Take a longer stick, or live with it behind furniture.',
  'advice.a-splice-between-studs-moves-and': 'A splice between studs moves and opens.',
  'advice.glue-it-to-a-block-behind': 'Glue it to a block behind, or add a nailer.',
  'advice.it-is-where-one-looks-first': 'It is where one looks first.',
  'advice.drag-it-elsewhere-or-put-the': 'Drag it elsewhere, or put the longest stick on this wall.',
  'advice.fingers-come-too-near-the-blade': 'Fingers come too near the blade.',
  'advice.cut-it-off-a-longer-piece': 'Cut it off a longer piece and hold the waste.',
  'advice.it-bends-and-breaks-at-the': 'It bends and breaks at the cope.',
  'advice.two-people-carry-it-and-set': 'Two people carry it and set it.',
  'advice.both-ends-must-fit-at-once': 'Both ends must fit at once.',
  'advice.fit-one-end-mark-the-other': 'Fit one end, mark the other in place, leave it a little long.',
  'advice.wood-left-at-the-tip-of':
    'Wood left at the tip of a cope is only as thick as the corner is short of straight.',
  'advice.pick-a-piece-at-this-corner':
    'Pick a piece at this corner and choose the miter; the house rule says from which angle.',
  'advice.the-saw-does-not-swing-so': 'The saw does not swing so far.',
  'advice.clamp-the-block-to-the-fence':
    'Clamp the block to the fence, its thick end on the side named, and set what is left.',
  'advice.the-saw-does-not-reach-it': 'The saw does not reach it.',
  'advice.take-another-saw-or-a-hand':
    'Take another saw, or a hand saw in a block; or have the joint otherwise: coped, butted, or of two smaller cuts.',
  'advice.a-finished-face-cannot-be-sanded': 'A finished face cannot be sanded.',
  'advice.buy-a-longer-stick-for-this': 'Buy a longer stick for this wall.',
  'advice.one-of-the-figures-is-wrong': 'One of the figures is wrong.',
  'advice.measure-the-suspect-first-then-the': 'Measure the suspect first, then the others.',
  'advice.pushed-into-a-hollow-the-end': 'Pushed into a hollow the end turns and the joint opens.',
  'advice.nail-the-high-spots-bridge-the': 'Nail the high spots, bridge the hollow, do not press the end in.',
  'advice.beads-and-filler-bend-a-short': 'Beads and filler bend a short wall most.',
  'advice.read-both-of-its-corners-over': 'Read both of its corners over a straight board.',
  'advice.marks-kerfs-and-skewed-ends-each':
    'Marks, kerfs and skewed ends each take a little; the last piece would come out short.',
  'advice.take-a-piece-off-the-stick':
    'Take a piece off the stick, or release it; or set the margin to what your cuts lose.',
  'advice.level-crown-and-crown-that-climbs':
    'Level crown and crown that climbs are no mirror images: their miter never closes.',
  'advice.cut-the-small-piece-off-a':
    'Cut the small piece off a longer one, glue it to the level piece on the bench, then bend to the slope.',
  'advice.caulk-shrinks-in-a-wide-gap':
    'Caulk shrinks in a wide gap, and a shadow above crown is seen from the door.',
  'advice.choose-under-house-rules-whether-crown':
    'Choose under house rules whether crown follows the ceiling or keeps a level line; float the ceiling where neither does.',
  'advice.crown-that-rocks-on-its-strip':
    'Crown that rocks on its strip does not sit at its spring, and no joint closes.',
  'advice.take-a-thinner-strip-or-have':
    'Take a thinner strip, or have its outer edge bevelled to the back of the crown.',
  'advice.a-strip-on-a-slope-is': 'A strip on a slope is cut to both slopes at once.',
  'advice.hold-a-piece-of-crown-there':
    'Hold a piece of crown there, mark its back on wall and ceiling, and cut the strip between the marks.',
  'advice.on-a-slope-the-corner-is':
    'On a slope the corner is cut at other angles, and the profile may not meet itself at all.',
  'advice.look-at-both-slopes-again-else':
    'Look at both slopes again; else take those walls out of the run, make a template of the level piece on the other wall, and cope to it.',
  'advice.one-piece-cannot-be-slid-in': 'One piece cannot be slid in behind pipes from both sides.',
  'advice.splice-it-behind-the-pipes-or': 'Splice it behind the pipes, or say that the radiator comes off.',
  'advice.cut-plumb-the-joint-would-open': 'Cut plumb, the joint would open at its top or at its foot.',
  'advice.set-what-the-card-says-where':
    'Set what the card says. Where this saw cannot, hold the piece in its place, scribe its end along a block held to the other wall, and cut to that line.',
  'advice.cables-and-pipes-run-up-down': 'Cables and pipes run up, down and across from these.',
  'advice.glue-there-or-nail-well-to': 'Glue there, or nail well to the side.',
} as const;
