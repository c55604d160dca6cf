/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const statusTexts = {
  'status.and-more': '{first}, {second} and {more} more',
  'status.no-room-yet': 'No room yet.',
  'status.add-the-first-room': 'Add the first room',
  'status.not-walked': '{rooms} not walked.',
  'status.walk': 'Walk {room}',
  'status.does-not-close': '{room} does not close: a figure is wrong.',
  'status.look-at': 'Look at {room}',
  'status.walked-still-to-measure':
    '{rooms, plural, one {# room} other {# rooms}} walked, {figures, plural, one {# figure} other {# figures}} still to measure; nothing given to the saw.',
  'status.walked-everything-measured':
    '{rooms, plural, one {# room} other {# rooms}} walked, everything measured; nothing given to the saw.',
  'status.look-at-the-joints': 'Look at the joints',
  'status.cut-and-fixed': '{cut} of {pieces} pieces cut, {fixed} fixed.',
  'status.to-the-saw': 'To the saw',
  'status.hang': 'Hang',
  'status.all-fixed': 'All {pieces, plural, one {# piece} other {# pieces}} fixed.',
  'status.open': 'Open',
} as const;
