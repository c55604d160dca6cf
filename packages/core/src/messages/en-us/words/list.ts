/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const listTexts = {
  'list.and': ' and ',
  'list.or': ', or ',
} as const;
