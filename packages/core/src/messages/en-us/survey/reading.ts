/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const readingTexts = {
  'reading.the-readings-differ-by-measure-it': 'the readings differ by {spread}: measure it once more',
  'reading.the-readings-differ-by-cut-to':
    'the readings differ by {spread}: cut to one of them the joint may stand open {gap}',
  'reading.way-straightedge': 'straightedge across the high spots',
  'reading.way-bevel-left': 'bevel, left way',
  'reading.way-bevel-right': 'bevel, right way',
  'reading.way-finder': 'finder on the walls',
  'reading.way-tape': 'tape',
  'reading.way-tape-from-a-mark': 'tape from a mark',
  'reading.way-laser': 'laser',
  'reading.way-two-people': 'two people',
  'reading.way-fixed-casing': 'fixed casing',
} as const;
