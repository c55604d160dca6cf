/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const placeTexts = {
  'place.from-left': 'from left',
  'place.head-height': 'head height',
  'place.name-of-the-room': 'name of the room',
  'place.way-in': 'way in',
  'place.in-wall': '{name} in wall {wall}, {figure}',
  'place.corner-after-wall': 'corner after wall {wall}',
  'place.wall': 'wall {wall}, {what}',
  'place.none': 'none',
  'place.90-deg-assumed': '90° assumed',
  'place.yes': 'yes',
  'place.no': 'no',
  'place.length': 'length',
  'place.corner': 'corner',
  'place.assumed-90': 'assumed 90',
} as const;
