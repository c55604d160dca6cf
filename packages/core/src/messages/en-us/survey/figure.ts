/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const figureTexts = {
  'figure.write-an-amount-0-where-it': 'write an amount, 0 where it costs nothing',
  'figure.a-price-must-not-be-negative': 'a price must not be negative',
  'figure.is-no-amount-write-it-like': '"{value}" is no amount: write it like 7.50 or 7,50',
  'figure.may-be-thousands-or-decimals-write':
    '"{plain}" may be thousands or decimals: write it without the mark, or with {digits} decimals',
  'figure.this-currency': 'this currency',
  'figure.has-no-decimals-write-whole-amounts': '{currency} has no decimals: write whole amounts',
  'figure.at-most-decimals-the-smallest-coin': 'at most {digits} decimals: the smallest coin is {value}',
  'figure.is-too-large-to-be-a': 'is too large to be a price',
  'figure.write-an-angle': 'write an angle',
  'figure.is-not-an-angle-write-it': '"{typed}" is not an angle: write it like 134.5 or 134 1/2',
  'figure.0-is-not-a-fraction-nothing': '{top}/0 is not a fraction: nothing can be divided by 0',
  'figure.is-no-setting-it-lies-beyond': '"{one}" is no setting: it lies beyond 90',
  'figure.is-a-whole-inch-or-more':
    '{top}/{bottom} is a whole inch or more: write it as inches and a fraction under 1',
  'figure.is-not-a-length-write-it':
    '"{text}" is not a length: write it like 142 3/8, 11\' 10 3/8 or 3617 mm',
  'figure.write-a-length': 'write a length',
  'figure.a-length-must-be-greater-than': 'a length must be greater than 0',
  'figure.must-be-more-than-the-mark': 'must be more than the {offset} {unit} mark it was measured from',
  'figure.is-longer-than-check-the-figure': 'is longer than {unit} {unit2}: check the figure and its unit',
  'figure.write-a-number': 'write a number',
  'figure.is-no-number': '"{value}" is no number',
  'figure.must-be-a-whole-number': 'must be a whole number',
  'figure.must-not-be-negative': 'must not be negative',
  'figure.must-be-at-least': 'must be at least {min}',
  'figure.must-be-at-most': 'must be at most {max}',
} as const;
