/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const lessonTexts = {
  'lesson.too-short': 'too short',
  'lesson.wrong-slant': 'wrong slant',
  'lesson.wrong-stick': 'wrong stick',
  'lesson.trimmed-at-its-end': 'trimmed at its {end} end',
  'lesson.as-written-at-the-saw': 'as written at the saw',
  'lesson.damaged': 'damaged',
} as const;
