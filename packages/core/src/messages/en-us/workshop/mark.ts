/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const markTexts = {
  'mark.top': 'top {edge}',
  'mark.at-its-edge': '{edge}, at its {side} edge',
  'mark.long-point': 'long point',
  'mark.short-point': 'short point',
  'mark.point': 'point',
  'mark.square-end': 'square end',
} as const;
