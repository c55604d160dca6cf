/** Written by `npm run words`: what reads otherwise than in American English with its trade words. */
export const REST_LAYERS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'en-US uk': {
    'act.changed-a-pinned-stick': 'changed a pinned length',
    'act.noted-a-stick-as-cut': 'noted a length as cut',
    'act.pinned-a-stick': 'pinned a length',
    'act.pinned-or-released-sticks': 'pinned or released lengths',
    'act.released-a-pinned-stick': 'released a pinned length',
    'act.took-back-that-a-stick-was': 'took back that a length was cut',
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
    'bench.cope-its-end-along-the-revealed': 'scribe its {side} end along the revealed line',
    'bench.stop-its-ceiling-edge-out-on':
      'Stop: its ceiling edge {out} out on the table, its wall edge {drop} up the fence. Look at it again every {stop} cuts: a cornice that rolls opens more than a wrong angle.',
    'bench.the-end-of-what-is-left': 'the end of what is left of the length',
    'bench.then-cope-along-the-cut-edge':
      'Then scribe along the cut edge, {from} to {to} cut back behind it: the straight part at the saw, the curve by hand.',
    'bound.and-the-next-sum-that-whole':
      ', and the next sum that whole lengths with room enough can come to is {bound}',
    'bound.even-if-sticks-could-be-bought':
      'Even if lengths could be bought in fractions, no mix of patterns costs less than {figure}{raised}.',
    'bound.every-way-to-share-the-pieces':
      'Every way to share the {pieces} pieces among lengths was tried: none costs less than {bound}.',
    'bound.plans-were-told-apart-by-how':
      'Plans were told apart by how many lengths of each price they buy and how many splices they have: even if patterns could be cut in fractions, none costs less than {figure}{raised}.',
    'calc-casings.legs-reach-the-head-s-lower':
      'Legs reach the head’s lower edge, a reveal above the jamb; the head covers both architraves and its overhangs, measured along the slope.',
    'calc-casings.mitered-casing': 'mitred architrave',
    'calc-casings.the-head-is-out-of-level': 'The head is out of level. What do I cut for architrave?',
    'calc-casings.width-of-the-casing': 'width of the architrave',
    'calc-corners.the-two-walls-are-one-straight':
      'The two walls are one straight line: there is nothing to mitre.',
    'calc-crown.31-6-33-9-for-38': '31.6/33.9, for "38" cornice in square corners',
    'calc-crown.crown': 'Cornice',
    'calc-crown.crown-length': 'cornice length',
    'calc-crown.crown-settings': 'cornice settings',
    'calc-crown.how-long-is-the-crown-at': 'How long is the cornice at the wall and at the ceiling?',
    'calc-crown.the-crown-is-known-by': 'the cornice is known by',
    'calc-crown.the-two-miters-cross-this-wall':
      'The two mitres cross: this wall is too short for such a cornice.',
    'calc-crown.to-the-wall-is-the-same':
      '{spring} to the wall is the same moulding as {other} to the ceiling.',
    'calc-crown.what-do-i-set-for-crown': 'What do I set for cornice in this corner?',
    'calc-fit.a-miter-in-this-corner': 'a mitre in this corner',
    'calc-fit.left-coped-over-right': 'left scribed over right',
    'calc-fit.miter': 'mitre',
    'calc-fit.the-back-of-the-cope-meets': 'the back of the scribe meets first',
    'calc-fit.the-face-of-the-cope-meets': 'the face of the scribe meets first',
    'calc-frames.horn-past-the-casing': 'horn past the architrave',
    'calc-frames.nose-past-the-casing-s-face': 'nose past the architrave’s face',
    'calc-frames.outside-of-casing-to-outside-of':
      'Outside of architrave to outside of architrave, {apronFront}, and a horn at each end. The architrave decides the size though the stool goes in first.',
    'calc-frames.thickness-of-the-casing': 'thickness of the architrave',
    'calc-lengths.a-mitered-back-runs-to-the':
      'A mitred back runs to the corner; a scribe stops where it meets the neighbour’s face, its thickness ÷ sin of the corner.',
    'calc-lengths.cope': 'scribe',
    'calc-lengths.coped-over-the-neighbor': 'scribed over the neighbour',
    'calc-lengths.cut-an-inside-miter-with-its':
      'Cut an inside mitre with its long point at the full wall length, then saw along the line it shows: do not shorten first.',
    'calc-lengths.i-cope-this-corner-where-do': 'I scribe this corner. Where do I cut, and how far under?',
    'calc-lengths.inside-miter': 'inside mitre',
    'calc-lengths.is-more-than-any-piece-springs':
      'is more than any piece springs over {value}: a 32nd or a millimetre is usual',
    'calc-lengths.measure-to-where-the-face-is':
      'Measure to where the face is to end. Cut the little return off a long stick: mitre its end first, then cut it off square at the heel.',
    'calc-lengths.only-between-two-butts-or-copes':
      'Only between two butts or scribes; nothing against architrave, with a mitre at either end, or under 4 ft.',
    'calc-lengths.outside-miter': 'outside mitre',
    'calc-lengths.square-against-the-neighbor': 'square against the neighbour',
    'calc-lengths.square-to-casing': 'square to architrave',
    'calc-lengths.the-left-piece-through-the-right': 'the left piece through, the right one scribed',
    'calc-lengths.the-return-is-too-small-to':
      'The return is too small to hold: it stays on the length until the last cut; tape it as it falls.',
    'calc-lengths.the-right-piece-through-the-left': 'the right piece through, the left one scribed',
    'calc-lengths.the-tip-is-a-feather-miter': 'The tip is a feather: mitre this corner instead.',
    'calc-lengths.the-wall-is-longer-than-the':
      'The wall is longer than the length. Where do the two pieces end, and which laps?',
    'calc-lengths.wall-less-the-thickness-for-each': 'wall less the thickness for each scribe',
    'calc-round.crown-goes-round-a-bullnose-what':
      'Cornice goes round a bullnose. What are the pieces and the settings?',
    'calc-round.crown-round-a-bullnose': 'cornice round a bullnose',
    'calc-round.the-little-piece-stays-on-the':
      'The little piece stays on the length until its last cut; hold the long part.',
    'calc-round.the-sharp-back-corner-sits-r':
      'The sharp back corner sits R ÷ cos of half the turn from the round’s centre: {R} less than that is in the way.',
    'calc-round.two-pieces-mitered-sharp-over-it':
      'Two pieces mitred sharp over it would leave {gap} hollow behind.',
    'calc-round.width-of-the-crown': 'width of the cornice',
    'calc-saw.base-rail-back-to-the-wall': 'skirting, rail: back to the wall',
    'calc-saw.crown': 'cornice',
    'calc-slopes.a-piece-that-is-coped-by':
      'A piece that is scribed by trial against a template is the third way: keep the template.',
    'calc-slopes.base-into-a-stair': 'skirting into a stair',
    'calc-slopes.base-or-rail-turns-up-the': 'Skirting or rail turns up the stair. What do I cut?',
    'calc-slopes.crown-climbs-and-falls-on-one':
      'Cornice climbs and falls on one wall. What do I set at the peak?',
    'calc-slopes.crown-over-a-peak': 'cornice over a peak',
    'calc-slopes.level-crown-to-sloping-crown': 'level cornice to sloping cornice',
    'calc-slopes.level-crown-turns-into-a-sloping':
      'Level cornice turns into a sloping one. Can it meet, and how?',
    'calc-slopes.settings-are-swing-tilt-with-the':
      'Settings are swing / tilt with the cornice flat. Two runs of one profile meet in a plane only when they are mirror images: a level and a sloping one sprung alike from the wall are not.',
    'calc-slopes.springing-both-alike-from-the-ceiling':
      'Springing both alike from the ceiling would lay the level cornice almost flat: take the transition piece.',
    'calc-slopes.sprung-alike-from-the-ceiling-the':
      'Sprung alike from the ceiling the level cornice’s foot leaves its wall by {slope} and looks different.',
    'calc-slopes.width-of-the-crown': 'width of the cornice',
    'calc-tape.a-stick': 'a length',
    'calc-tape.every-way-of-sharing-the-pieces':
      'Every way of sharing the {length} pieces among lengths was looked at, {kerf} lost at each cut.',
    'calc-tape.fewest-sticks-that-do': 'fewest lengths that do',
    'calc-tape.how-many-sticks-is-that-with': 'How many lengths is that: with 10 % over, or really?',
    'calc-tape.in-millimeters': 'in millimetres',
    'calc-tape.is-longer-than-a-stick-splice':
      '{long} is longer than a length: splice it or take longer lengths',
    'calc-tape.short-the-pieces-do-not-share':
      '{exact} short: the pieces do not share the lengths as the sum hopes',
    'calc-tape.sticks': '{rule} lengths',
    'calc-tape.sticks-2': '{exact} lengths',
    'calc-tape.sticks-to-buy': 'lengths to buy',
    'calc-tape.tape-and-sticks': 'Tape and lengths',
    'calc-tape.the-nearest-mark-cm': 'the nearest mark, a centimetre of tape',
    'calc-tape.the-sticks-to-scale': 'the lengths, to scale',
    'calc-untrue-walls.miter': 'mitre',
    'calc-untrue-walls.standing-with-its-back-tight-to':
      'Standing with its back tight to the fence: the tangent of the mitre is cos of the lean times tan of half the turn.',
    'cut.cannot-be-divided-so-that-every':
      '"{id}" cannot be divided so that every piece fits a length (longest {longest}): add a longer length or more splice positions',
    'cut.needs-a-stick-of-and-the':
      '"{id}" needs a length of {needs} and the longest is {longest}: add a longer length or allow a splice',
    'cut.the-pinned-stick-does-not-hold': 'the pinned length "{stick}" does not hold its pieces: release it',
    'cut.there-is-no-stick-left-to': 'there is no length "{stick}" left to pin: release it',
    'cutlist.long-cope': 'long, scribe',
    'draw.stick-pieces': 'Length {number}, {length}, {count} pieces',
    'field.from-the-jamb-face-to-sound':
      'From the jamb face to sound wall: reveal and architrave must cover it',
    'field.how-far-the-stool-runs-past':
      'How far the stool runs past the architrave on its left; empty: the house rule',
    'field.how-far-the-stool-stands-past': 'How far the stool stands past the face of the architrave',
    'hang.between-its-neighbors-along-the-wall': 'between its neighbours, along the wall',
    'hang.hang-both-its-neighbors-then-measure':
      'Hang both its neighbours, then measure on the wall between them, along the edge on the wall.',
    'hanging.a-bead-of-adhesive-along-both':
      'A bead of adhesive along both edges and on every cut; a nail every {spacing}, by turns into wall and ceiling, none nearer a corner than {looseEnd} until its neighbour is up.',
    'joint.casing': 'architrave',
    'joint.coped-over-the-piece-that-runs': 'scribed over the piece that runs through; {why}',
    'joint.hidden-behind-crown-square-short-of': 'hidden behind cornice: square, short of its return',
    'joint.hidden-behind-crown-square-where-its': 'hidden behind cornice: square, where its wall ends',
    'joint.inside-miter-half-of-what-turns': 'inside mitre: half of what {angle} turns',
    'joint.outside-corner-always-mitered': 'outside corner {angle}: always mitred',
    'joint.to-no-casing-here': 'to {to}: no architrave here',
    'lesson.wrong-stick': 'wrong length',
    'material.ml-for-each-of-glued-joints':
      '{each} ml for each of {joints} glued joints: mitres, scarfs, returns',
    'opening.face-as-long-as-the-casing':
      'face as long as the architrave outside to outside, returned at both ends',
    'opening.nail-it-up-to-below-the':
      'nail it up to {height} below the head, no higher until the mitre is closed',
    'opening.no-casing-as-wide-as-the': 'no architrave: as wide as the opening and a horn each side',
    'opening.outside-of-casing-to-outside-of':
      'outside of architrave to outside of architrave and a horn each side',
    'opening.over-the-outer-edge-of-the': 'over the outer edge of the architrave, its own corners',
    'paper.corner-after-wall-miter': '{name}, corner after wall {index}: {angle}, mitre {miter}',
    'part.strip-behind-crown': 'strip behind cornice',
    'piece.as-measured-between-its-neighbors': 'as measured between its neighbours',
    'piece.crown-is-nailed-into-it': '; cornice is nailed into it',
    'piece.held-until-its-neighbors-hang-and':
      'held until its neighbours hang and it is measured between them',
    'piece.hidden-behind-crown-a-screw-every': 'hidden behind cornice: a screw every {spacing}{nailing}',
    'piece.hidden-behind-crown-a-screw-into':
      'hidden behind cornice: a screw into every stud; cornice is nailed into it',
    'piece.into-plugs-crown-is-nailed-into': ' into plugs; cornice is nailed into it, never into the masonry',
    'piece.leave-its-last-loose-until-its': 'leave its last {loose} loose until its neighbour is up',
    'piece.level-crown-turned-round-the-corner':
      'level cornice turned round the corner; glued to the level piece on the bench, then bent to the slope',
    'pin.is-not-cut-from-the-trim': '{label} is not cut from the trim of length {index}',
    'pin.stick-is-too-short-for-beside':
      'length {index} is {short} too short for {label} beside what is on it',
    'practice.at-the-saw-base-lying-flat': 'at the saw: skirting lying flat',
    'practice.at-the-saw-base-standing': 'at the saw: skirting standing',
    'practice.at-the-saw-casing': 'at the saw: architrave',
    'practice.at-the-saw-crown-lying-flat': 'at the saw: cornice lying flat',
    'practice.at-the-saw-crown-nested': 'at the saw: cornice nested',
    'practice.casing-of-a-door-its-top':
      'Architrave of a door: {part}, its top. With the outer edge up that is its {at} end.',
    'practice.casing-of-a-door-the-head': 'Architrave of a door: the head, its {at} end.',
    'practice.coped': 'scribed',
    'practice.the-corner-of-the-frame-is':
      'The corner of the frame is {corner}; leg and head are mitred alike.',
    'practice.the-piece-on-the-wall-of':
      'The piece on the wall {side} of {choice} corner: its {end} end, mitred.',
    'purchase.pieces-fit-no-stick': 'pieces fit no length',
    'reading.way-fixed-casing': 'fixed architrave',
    'refusal.has-no-sticks-of-add-a': 'has no lengths of "{id}" ({profile}): add a stock length for it',
    'refusal.of-cannot-be-made-of-pieces':
      '{stretch} of {profile} cannot be made of pieces that fit the lengths (longest {longest}): add a longer one{remedy}',
    'refusal.piece-of-fits-no-stick-longest':
      'piece {piece} of {profile} ({length}) fits no length (longest {longest}): add a longer one',
    'refusal.the-stock-of-does-not-suffice':
      'the stock of "{id}" ({profile}) does not suffice: {more} would do. Without a length are {parts}',
    'rule.a-cope-stays-closed-when-wood':
      'A scribe stays closed when wood shrinks or a corner is off; a glued mitre is quicker and suits MDF; foam is butted.',
    'rule.a-raw-end-beside-a-thinner': 'A raw end beside a thinner architrave catches the eye and the dust.',
    'rule.a-small-mitered-return-or-square': 'A small mitred return, or square with the nose snipped off.',
    'rule.advise-a-miter-where-an-inside':
      'Advise a mitre where an inside corner is wider than this and would be scribed.',
    'rule.back-cut-of-casing': 'back-cut of architrave',
    'rule.bias-of-miters': 'bias of mitres',
    'rule.casing-laps-by': 'architrave laps by',
    'rule.closing-piece-of-crown': 'closing piece of cornice',
    'rule.cope-everything': 'Scribe everything',
    'rule.cope-one-piece-over-the-other': 'Scribe one piece over the other, mitre both, or butt them.',
    'rule.crown-on-the-saw': 'cornice on the saw',
    'rule.cut-casing-miters-so-many-degrees': 'Cut architrave mitres so many degrees open at the back.',
    'rule.cut-the-last-piece-of-a':
      'Cut the last piece of a cornice run long, or hold it until its neighbours hang and it is measured between them.',
    'rule.ends-of-shoe': 'ends of quadrant',
    'rule.fewer-joints-look-better-on-paint-grade':
      'Fewer joints look better; on paint-grade trim a splice on a stud costs less than a longer length.',
    'rule.gap-above-crown-up-to': 'gap above cornice up to',
    'rule.glued-crown-shy-by': 'glued cornice shy by',
    'rule.heads-of-casing': 'heads of architrave',
    'rule.how-far-a-stool-runs-past': 'How far a stool runs past the architrave at each end.',
    'rule.how-far-casing-must-reach-past': 'How far architrave must reach past the gap it covers.',
    'rule.how-far-from-a-corner-crown':
      'How far from a corner cornice is left without nails until its neighbour is up: foam, and all others.',
    'rule.it-shows-only-at-corners-off':
      'It shows only at corners off square, and a square end under a scribe is covered anyway.',
    'rule.light-gap-above-crown': 'light gap above cornice',
    'rule.line-of-crown': 'line of cornice',
    'rule.loose-ends-of-crown': 'loose ends of cornice',
    'rule.miter-and-glue': 'Mitre and glue',
    'rule.miter-rather-than-cope-from': 'mitre rather than scribe from',
    'rule.nested-needs-no-compound-angles-but':
      'Nested needs no compound angles but a saw tall enough; flat suits wide cornice.',
    'rule.nested-upside-down-against-the-fence':
      'Nested upside down against the fence, or lying flat with mitre and bevel.',
    'rule.one-long-piece-leaves-a-short':
      'One long piece leaves a short one that an offcut may give; like lengths are easier to carry and look laid out on purpose. What it costs in lengths comes first.',
    'rule.one-miter-is-quicker-two-half':
      'One mitre is quicker; two half turns die softly into the backer and leave no corner to catch a sleeve.',
    'rule.only-where-a-wall-is-longer':
      'Only where a wall is longer than any length, or wherever they save stock.',
    'rule.order-of-crown': 'order of cornice',
    'rule.pressed-in-the-last-piece-closes':
      'Pressed in, the last piece closes both its joints; glued mitres want a little room and test blocks; foam must not be forced.',
    'rule.return-an-end-that-stands-prouder':
      'Return an end that stands prouder than the architrave by more than this.',
    'rule.return-at-casing': 'return at architrave',
    'rule.step-between-jamb-and-casing': 'Step between jamb and architrave.',
    'rule.test-pair-of-crown': 'test pair of cornice',
    'rule.the-tip-of-a-cope-gets':
      'The tip of a scribe gets too thin there, and the relief behind it too deep. It is advised, never forced.',
    'rule.turn-a-rail-back-in-one': 'Turn a rail back in one mitre of 45, or in two half turns of 22½.',
    'rule.two-pieces-mitered-over-the-round':
      'Two pieces mitred over the round, or small pieces that turn with it.',
    'rule.up-to-this-a-jamb-that':
      'Up to this a jamb that stands out is planed or the architrave back-cut; beyond it is packed out.',
    'rule.what-crown-glued-in-between-two': 'What cornice glued in between two that hang is cut shorter.',
    'rule.what-crown-hangs-below-the-ceiling':
      'What cornice hangs below the ceiling for a line of light; 0 for none.',
    'rule.what-may-stay-open-between-crown':
      'What may stay open between cornice and ceiling and still be caulked.',
    'rule.what-the-last-piece-of-a': 'What the last piece of a cornice run is cut longer.',
    'sheet.lengths-in-millimeters': 'Lengths in millimetres.',
    'sheet.stick': 'length no.',
    'sheet.sticks': 'Lengths',
    'shop.is-written-on-another-stick-already': '{letter} is written on another length already',
    'shop.lies-on-stick-both-ends-are': '{tag} lies on length {letter}: both ends are cut on one length',
    'shop.no-more-than-is-left-of': 'no more than {remains} is left of length {letter}',
    'shop.on-stick-is-still-in-hand': '{tag} on length {letter} is still in hand',
    'shop.revision-has-no-such-stick': 'revision {revision} has no such length',
    'shop.stick-is-of-another-profile': 'length {letter} is of another profile',
    'shop.stick-is-put-away': 'length {letter} is put away',
    'shop.stick-is-put-away-already': 'length {letter} is put away already',
    'shop.there-is-no-stick': 'there is no length {letter}',
    'walk.the-corner-off-a-miter-scale': 'the corner, off a mitre scale',
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
    'whatif.as-few-sticks-changed-as-possible':
      'as few lengths changed as possible since before the last change',
    'whatif.only-sticks-of': 'only lengths of {length}',
    'whatif.only-sticks-of-to-be-had': 'only {count} lengths of {name}, {length}, to be had',
  },
  'en-GB us': {
    'advice.its-two-legs-differ-turned-over':
      'Its two legs differ: turned over it meets its neighbour with a step.',
    'advice.leave-it-bare-or-return-both': 'Leave it bare, or return both neighbours.',
    'calc-crown.to-the-wall-is-the-same':
      '{spring} to the wall is the same moulding as {other} to the ceiling.',
    'calc-lengths.a-mitered-back-runs-to-the':
      'A mitered back runs to the corner; a cope stops where it meets the neighbour’s face, its thickness ÷ sin of the corner.',
    'calc-lengths.coped-over-the-neighbor': 'coped over the neighbour',
    'calc-lengths.is-more-than-any-piece-springs':
      'is more than any piece springs over {value}: a 32nd or a millimetre is usual',
    'calc-lengths.square-against-the-neighbor': 'square against the neighbour',
    'calc-round.the-sharp-back-corner-sits-r':
      'The sharp back corner sits R ÷ cos of half the turn from the round’s centre: {R} less than that is in the way.',
    'calc-tape.in-millimeters': 'in millimetres',
    'hang.between-its-neighbors-along-the-wall': 'between its neighbours, along the wall',
    'hang.hang-both-its-neighbors-then-measure':
      'Hang both its neighbours, then measure on the wall between them, along the edge on the wall.',
    'hanging.a-bead-of-adhesive-along-both':
      'A bead of adhesive along both edges and on every cut; a nail every {spacing}, by turns into wall and ceiling, none nearer a corner than {looseEnd} until its neighbour is up.',
    'piece.as-measured-between-its-neighbors': 'as measured between its neighbours',
    'piece.held-until-its-neighbors-hang-and':
      'held until its neighbours hang and it is measured between them',
    'piece.leave-its-last-loose-until-its': 'leave its last {loose} loose until its neighbour is up',
    'rule.cut-the-last-piece-of-a':
      'Cut the last piece of a crown run long, or hold it until its neighbours hang and it is measured between them.',
    'rule.how-far-from-a-corner-crown':
      'How far from a corner crown is left without nails until its neighbour is up: foam, and all others.',
    'sheet.lengths-in-millimeters': 'Lengths in millimetres.',
  },
  'en-GB uk': {},
};
