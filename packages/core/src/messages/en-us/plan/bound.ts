/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const boundTexts = {
  'bound.and-the-next-sum-that-whole':
    ', and the next sum that whole sticks with room enough can come to is {bound}',
  'bound.there-is-one-piece-no-way': 'There is one piece: no way to cut it costs less than {bound}.',
  'bound.every-way-to-share-the-pieces':
    'Every way to share the {pieces} pieces among sticks was tried: none costs less than {bound}.',
  'bound.the-pieces-laid-end-to-end':
    'The pieces laid end to end without a cut between them come to {figure} at the cheapest price for their length{raised}.',
  'bound.even-if-sticks-could-be-bought':
    'Even if sticks could be bought in fractions, no mix of patterns costs less than {figure}{raised}.',
  'bound.plans-were-told-apart-by-how':
    'Plans were told apart by how many sticks of each price they buy and how many splices they have: even if patterns could be cut in fractions, none costs less than {figure}{raised}.',
  'bound.all-patterns-that-a-cheaper-plan':
    'All patterns that a cheaper plan could use were tried together: the best of them costs {figure}{raised}.',
} as const;
