/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const paperTexts = {
  'paper.waits-for-its-measure': 'waits for its measure',
  'paper.from': 'from {letter}',
  'paper.was': '{length}, was {from}',
  'paper.left': '{remains} left',
  'paper.wall': '{name}, wall {wall}',
  'paper.joined': '{index} · {profile} · {length}',
  'paper.and': '{name}, {profile}: {label} and {label2}',
  'paper.wall-2': '{opening}: {name}, wall {index}',
  'paper.corner-after-wall-miter': '{name}, corner after wall {index}: {angle}, miter {miter}',
  'paper.in-section-by': '{name} in section: {width} by {thickness}',
  'paper.rack': 'rack',
  'paper.page': '{job} · page {page} of {pages}',
  'paper.which-sheet': ', sheet {row}-{column} of {rows} by {columns}',
  'paper.lay-a-rule-on-this-bar':
    'Lay a rule on this bar: it is {length} long. If it is not, print again in actual size, 100 percent.',
  'paper.wall-side': 'wall',
  'paper.room-side': 'room',
} as const;
