/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const lacksTexts = {
  'lacks.against-a-block': 'against a block',
  'lacks.side': 'side',
  'lacks.to-the': 'to the {side}',
  'lacks.it-is-high-the-fence-takes': 'it is {needs} high, the fence takes {has}',
  'lacks.it-is-wide-the-table-takes': 'it is {needs} wide, the table takes {has}',
  'lacks.it-is-up-the-fence-the': 'it is {needs} up the fence, the saw nests {has}',
  'lacks.it-needs-the-handle-goes-to': 'it needs {needs} {to}, the handle goes to {has}',
  'lacks.the-blade-does-not-lean': 'the blade does not lean {to}',
  'lacks.it-needs-a-lean-of-the': 'it needs a lean of {needs} {to}, the blade goes to {has}',
  'lacks.joined': '{way}: {what}',
  'lacks.standing': 'standing',
  'lacks.flat': 'flat',
  'lacks.nested': 'nested',
} as const;
