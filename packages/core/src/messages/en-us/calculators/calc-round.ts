/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const calcRoundTexts = {
  'calc-round.the-corner-is-round': 'The corner is round',
  'calc-round.radius-of-the-corner': 'radius of the corner',
  'calc-round.the-walls-turn-by': 'the walls turn by',
  'calc-round.little-pieces': 'little pieces',
  'calc-round.bullnose-corner': 'bullnose corner',
  'calc-round.how-long-is-the-little-piece': 'How long is the little piece round this corner?',
  'calc-round.every-cut': 'every cut',
  'calc-round.little-piece-back': 'little piece, back',
  'calc-round.little-piece-face': 'little piece, face',
  'calc-round.long-pieces-run-past-the-curve': 'long pieces run past the curve’s start by',
  'calc-round.they-stop-short-of-the-sharp': 'they stop short of the sharp corner by',
  'calc-round.curve-starts-before-the-sharp-corner': 'curve starts before the sharp corner by',
  'calc-round.hollow-behind-each-joint': 'hollow behind each joint',
  'calc-round.shared-by-joints-half-on-each':
    '{turn} shared by {N} joints, half on each side: {cut}. Little piece: 2 × {R} × tan {cut}.',
  'calc-round.two-pieces-mitered-sharp-over-it':
    'Two pieces mitered sharp over it would leave {gap} hollow behind.',
  'calc-round.83-of-the-radius-for-the': '83 % of the radius for the little piece',
  'calc-round.as-good-as-none-this-is':
    'as good as none: this is the 90 turn with one piece that the rule is for',
  'calc-round.long': 'long',
  'calc-round.short': 'short',
  'calc-round.too': '{rule} too {choice}',
  'calc-round.the-little-piece-stays-on-the':
    'The little piece stays on the stick until its last cut; hold the long part.',
  'calc-round.the-corner-from-above-to-scale': 'the corner from above, to scale',
  'calc-round.a-bullnose-of-radius': 'a bullnose of {R} radius',
  'calc-round.rounded-inside-corner': 'rounded inside corner',
  'calc-round.the-inside-corner-is-filled-round':
    'The inside corner is filled round. How much comes off the back?',
  'calc-round.radius-of-the-filling': 'radius of the filling',
  'calc-round.wall-angle': 'wall angle',
  'calc-round.relieve-the-back-corner-by-on': 'relieve the back corner by, on the diagonal',
  'calc-round.the-filling-starts-from-the-corner': 'the filling starts from the corner at',
  'calc-round.unrelieved-the-trim-stands-off-both': 'unrelieved, the trim stands off both walls by',
  'calc-round.the-sharp-back-corner-sits-r':
    'The sharp back corner sits R ÷ cos of half the turn from the round’s center: {R} less than that is in the way.',
  'calc-round.a-rounded-inside-corner-of': 'a rounded inside corner of {R}',
  'calc-round.crown-round-a-bullnose': 'crown round a bullnose',
  'calc-round.crown-goes-round-a-bullnose-what':
    'Crown goes round a bullnose. What are the pieces and the settings?',
  'calc-round.width-of-the-crown': 'width of the crown',
  'calc-round.spring-back-to-wall': 'spring, back to wall',
  'calc-round.little-piece-at-the-wall': 'little piece at the wall',
  'calc-round.little-piece-at-the-ceiling': 'little piece at the ceiling',
  'calc-round.nested-swing': 'nested, swing',
  'calc-round.flat-swing': 'flat, swing',
  'calc-round.flat-tilt': 'flat, tilt',
  'calc-round.as-for-a-bullnose-but-the':
    'As for a bullnose, but the ceiling edge runs round a radius larger by the projection, {projection}.',
  'calc-round.from-below-to-scale': 'from below, to scale',
  'calc-round.ceiling-edge': 'ceiling edge',
} as const;
