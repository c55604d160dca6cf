/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const tableTexts = {
  'table.has-no-column-the-first-line': 'has no column "{needed}": the first line names the columns',
  'table.has-a-column-that-is-not': 'has a column "{unknown}" that is not known',
  'table.there-is-no-room-in-this': 'there is no room "{value}" in this job',
  'table.is-no-wall-of-walls-1': '"{value}" is no wall of {name}: walls 1 to {length}',
  'table.is-none-of': '"{value}" is none of {items}',
  'table.is-another-opening-already-each-has': '"{name}" is another opening already: each has its own name',
  'table.there-is-no-profile-in-this': 'there is no profile "{text}" in this job',
  'table.there-is-no-profile-in-this-2': 'there is no profile "{other}" in this job',
  'table.has-no-column-length-name-the':
    'has no column "length": name the columns room, length, corner, openings',
  'table.has-a-column-only-room-length':
    'has a column "{unknown}": only room, length, corner and openings are read',
  'table.the-table-is-empty': 'the table is empty',
  'table.is-no-opening-write-d-c': '"{part}" is no opening: write d, c, k, w or o and its figures',
  'table.no-closed-outline':
    'has no closed outline with three corners or more: draw each room as one closed polyline',
} as const;
