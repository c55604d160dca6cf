/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const deviceTexts = {
  'device.is-no-reading-a-line-is':
    '"{value}" is no reading: a line is device, number, LEN or ANG, value, unit',
  'device.an-angle-is-in-deg-not': 'an angle is in deg, not in {unit}',
  'device.an-angle-lies-between-0-and': 'an angle lies between 0 and 360, not at {figure}',
  'device.a-length-is-in-in-mm': 'a length is in in, mm or m, not in deg',
  'device.a-length-is-greater-than-0': 'a length is greater than 0, not {figure}',
} as const;
