/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const libraryTexts = {
  'library.none': 'none',
  'library.not-sold': 'not sold',
  'library.face': 'face',
  'library.spring': 'spring',
  'library.differs': '{what}: {was} → {is}',
  'library.width': 'width',
  'library.thickness': 'thickness',
  'library.projection': 'projection',
  'library.drop': 'drop',
  'library.material': 'material',
  'library.finish': 'finish',
} as const;
