/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const wordTexts = {
  'word.left': 'left',
  'word.right': 'right',
  'word.inner': 'inner',
  'word.outer': 'outer',
  'word.low': 'low',
  'word.high': 'high',
  'word.top': 'top',
  'word.bottom': 'bottom',
  'word.above': 'above',
  'word.below': 'below',
  'word.inside': 'inside',
  'word.outside': 'outside',
} as const;
