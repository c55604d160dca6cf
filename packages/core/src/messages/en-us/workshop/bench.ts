/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const benchTexts = {
  'bench.this-cut-makes-the-left-end': 'This cut makes the left end of {label} too.',
  'bench.clamp-a-block-to-the-fence':
    'Clamp a {angle} block to the fence, its thick end to the {thickEnd}: the cut comes to {miter}.',
  'bench.the-detent-at-pulls-the-handle': 'The detent at {detent} pulls the handle: clamp it at {dial}.',
  'bench.the-motor-comes-down-on-the':
    'The motor comes down on the {motor}: see that it clears the board before you cut.',
  'bench.the-scale-cannot-show-it-nearer': 'The scale cannot show it nearer; the joint opens {opens} {unit}.',
  'bench.then-cope-along-the-cut-edge':
    'Then cope along the cut edge, {from} to {to} cut back behind it: the straight part at the saw, the curve by hand.',
  'bench.then-snip-the-nose-at-45': 'Then snip the nose at 45°.',
  'bench.cut-it-back-so-that-the':
    'Cut it back {backCut} so that the face closes first: lean the blade, or put a slip of {width} {unit} under it, {width2} {unit} from the blade.',
  'bench.joined': '{value} {unit}',
  'bench.stop-its-ceiling-edge-out-on':
    'Stop: its ceiling edge {out} out on the table, its wall edge {drop} up the fence. Look at it again every {stop} cuts: a crown that rolls opens more than a wrong angle.',
  'bench.never-with-the-ceiling-edge-up':
    'Never with the ceiling edge up the fence at this swing: it would fit only hung the other way down, {off} off on wall and ceiling.',
  'bench.prefinished-mark-on-tape-or-on': 'Prefinished: mark on tape or on its edge, no pencil on the face.',
  'bench.rough-of-it-is-to-spare':
    'Rough: {allowance} of it is to spare. Turn it over on the legs, mark both outer points, then cut to the marks.',
  'bench.then-rip-it-on-the-sled':
    'Then rip it on the sled, {left} at its left end to {right} at its right: the sled is set over by {over}. Never freehand.',
  'bench.rip-it-to-deep-the-factory': 'Rip it to {width} deep, the factory edge off first.',
  'bench.its-outer-edge-off': ', its outer edge off',
  'bench.then-rip-it-to': 'Then rip it to {width}{leg}.',
  'bench.by': '{length} by {depth}',
  'bench.notch-its-back-along-by-deep':
    'Notch its back, along by deep: left {left}, right {right}. Finish the corners by hand.',
  'bench.cope-its-end-along-the-revealed': 'cope its {side} end along the revealed line',
  'bench.over': 'over',
  'bench.under': 'under',
  'bench.its-end-is-a-scarf-and': 'its {side} end is a scarf and lies {lap}',
  'bench.at-the-bench': 'At the bench: {items}.',
  'bench.the-factory-end': 'the factory end',
  'bench.the-end-of-what-is-left': 'the end of what is left of the stick',
  'bench.at-its-end': 'at its end',
  'bench.the-at-the-left-to-the': 'the {left} at the left to the {right}',
  'bench.the-end-of-any-offcut-long': 'the end of any offcut long enough to hold well clear of the blade',
  'bench.cut-this-slant-on-the-end': 'Cut this slant on the end of a long offcut; take nothing off yet.',
  'bench.the-point-of-that-slant': 'the point of that slant',
  'bench.part-it-from-the-offcut-hold':
    'Part it from the offcut: hold the long offcut, not the small piece; let the blade stop before you lift it. A thin backer stops it from falling through.',
} as const;
