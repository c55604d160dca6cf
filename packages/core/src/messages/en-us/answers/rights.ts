/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const rightsTexts = {
  'rights.everybody-s-to-read': 'everybody’s to read',
  'rights.the-crew-s': 'the crew’s',
  'rights.the-lead-s-and-the-measurer': 'the lead’s and the measurer’s to change',
  'rights.the-lead-s-to-change': 'the lead’s to change',
  'rights.for-the-lead-the-cutter-and': 'for the lead, the cutter and the hanger to note',
  'rights.the-lead-s-to-do': 'the lead’s to do',
  'rights.you-are-signed-in-as-a': 'you are signed in as a {role}: this is {whose}',
} as const;
