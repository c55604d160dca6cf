/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const hangingTexts = {
  'hanging.roll-it-out-its-ceiling-edge':
    'roll it out: its ceiling edge away from the wall, its wall edge up',
  'hanging.roll-it-back-its-ceiling-edge': 'roll it back: its ceiling edge to the wall, its wall edge down',
  'hanging.a-bead-of-adhesive-along-both':
    'A bead of adhesive along both edges and on every cut; a nail every {spacing}, by turns into wall and ceiling, none nearer a corner than {looseEnd} until its neighbor is up.',
  'hanging.glue-both-its-corners-to-push':
    'Glue both its corners, to {items}; push a {wedge}° wedge behind the face where it gapes, before the glue sets. Nail it once both corners read as one.',
  'hanging.lever-each-end-straight-against-the':
    'Lever each end straight against the test block of that side before you nail near it.',
  'hanging.bow-it-in-both-ends-first':
    'Bow it in: both ends first, then press its middle to the wall, and both joints close.',
  'hanging.alone-a-nail-driven-half-way':
    'Alone? A nail driven half way on the drop line near its far end carries it; draw it afterwards.',
  'hanging.do-both-its-corners': 'Do both its corners',
  'hanging.does-its-corner': 'Does its {side} corner',
  'hanging.read-as-one-stepped-the-lower':
    '{corners} read as one? Stepped: the lower one up to the drop line. Open at the ceiling edge: {openAtCeiling}. Open at the wall edge: {openAtWall}.',
  'hanging.its-line-leaves-for-light-cable':
    "Its line leaves {lightGap} for light. Cable, transformer and switch are a licensed trade's: they go in before it hangs.",
  'hanging.nailed-by-its-upper-edge-first':
    'Nailed by its upper edge first: go back to the door and look along its lower edge, then the rest.',
} as const;
