/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const rackTexts = {
  'rack.a-piece-of-the-rack': 'a piece of the rack',
  'rack.the-stretch-from-to-of-it': 'the stretch from {from} to {to} of it',
  'rack.lies': 'lies: {place}',
} as const;
