/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const pinTexts = {
  'pin.the-plan-has-changed-meanwhile-try': 'the plan has changed meanwhile; try again',
  'pin.is-not-cut-from-the-trim': '{label} is not cut from the trim of stick {index}',
  'pin.stick-is-too-short-for-beside': 'stick {index} is {short} too short for {label} beside what is on it',
} as const;
