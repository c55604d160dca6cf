/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const faultTexts = {
  'fault.is-missing': 'is missing: {what} is needed',
  'fault.must-be': 'must be {what}',
  'fault.must-be-one-of': 'must be one of {values}',
  'fault.must-name-a-known-kind': '"{key}" must name one of the known kinds',
  'fault.has-an-unknown-form': 'has a form that is not known here',
  'fault.is-not-a-known-key': 'is not a known key: check its spelling',
  'fault.a-whole-number': 'a whole number',
  'fault.a-number': 'a number',
  'fault.a-string': 'a string',
  'fault.a-boolean': 'a boolean',
  'fault.an-object': 'an object',
  'fault.an-array': 'an array',
  'fault.a-record': 'a record',
  'fault.a-tuple': 'a tuple',
} as const;
