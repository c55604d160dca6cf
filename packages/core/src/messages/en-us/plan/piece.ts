/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const pieceTexts = {
  'piece.cut-shy-it-is-glued-in': 'cut {allowance} shy: it is glued in between two that hang',
  'piece.cut-longer-it-closes-the-run': 'cut {allowance} longer: it closes the run and is pressed in',
  'piece.cut-longer-to-spring-in': 'cut {allowance} longer to spring in',
  'piece.its-wall-edge-runs-below-the': 'its wall edge runs {drop} below the ceiling line, measured plumb',
  'piece.leave-its-last-loose-until-its': 'leave its last {loose} loose until its neighbor is up',
  'piece.hidden-behind-crown-a-screw-into':
    'hidden behind crown: a screw into every stud; crown is nailed into it',
  'piece.into-plugs-crown-is-nailed-into': ' into plugs; crown is nailed into it, never into the masonry',
  'piece.crown-is-nailed-into-it': '; crown is nailed into it',
  'piece.hidden-behind-crown-a-screw-every': 'hidden behind crown: a screw every {spacing}{nailing}',
  'piece.level-crown-turned-round-the-corner':
    'level crown turned round the corner; glued to the level piece on the bench, then bent to the slope',
  'piece.cut-it-off-a-longer-piece': 'cut it off a longer piece and hold the waste',
  'piece.climbs-deg-to-the-between-its': 'climbs {rise}° to the {side} between its turn pieces',
  'piece.test-pair-of-an-inside-corner':
    'test pair of an inside corner: cut first, tried in the corners, kept on the rack',
  'piece.held-until-its-neighbors-hang-and': 'held until its neighbors hang and it is measured between them',
  'piece.as-measured-between-its-neighbors': 'as measured between its neighbors',
  'piece.on-a-stud': 'on a stud',
  'piece.off-the-studs': 'off the studs',
  'piece.lies-over-being-nearer-the-entry': 'lies over, being nearer the entry',
  'piece.lies-under': 'lies under',
  'piece.spliced': '{end}: spliced {where}; {lap}',
  'piece.turns-the-end-half-way-back': 'turns the end half way back; cut from the waste beside its piece',
  'piece.turns-the-end-back-to-the': 'turns the end back to the wall; cut from the waste beside its piece',
  'piece.turns-the-bullnose-of-radius-in': 'turns the bullnose of radius {radius} in {pieces} equal steps',
  'piece.left-end': 'left: {reason}',
  'piece.right-end': 'right: {reason}',
} as const;
