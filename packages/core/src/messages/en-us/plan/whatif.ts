/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const whatifTexts = {
  'whatif.only-sticks-of': 'only sticks of {length}',
  'whatif.only-sticks-of-to-be-had': 'only {count} sticks of {name}, {length}, to be had',
  'whatif.no-splices': 'no splices',
  'whatif.splices-wherever-they-save': 'splices wherever they save',
  'whatif.the-rack-used-up-first': 'the rack used up first',
  'whatif.nothing-from-the-rack': 'nothing from the rack',
  'whatif.as-few-sticks-changed-as-possible':
    'as few sticks changed as possible since before the last change',
  'whatif.no-margin-for-cutting': 'no margin for cutting',
  'whatif.a-margin-of-a-piece': 'a margin of {margin} a piece',
  'whatif.a-kerf-of': 'a kerf of {kerf}',
} as const;
