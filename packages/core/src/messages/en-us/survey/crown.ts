/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const crownTexts = {
  'crown.two-of-the-figures-give-the': 'two of the figures give the others: measure one more',
  'crown.is-not-less-than-the-width': 'is not less than the width: measure both again',
} as const;
