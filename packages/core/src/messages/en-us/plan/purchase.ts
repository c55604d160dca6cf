/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const purchaseTexts = {
  'purchase.no-stock': 'no stock',
  'purchase.pieces-fit-no-stick': 'pieces fit no stick',
  'purchase.left-out': '{job}, {profile}: {fault}',
  'purchase.not-planned': '{profile}: {fault}',
  'purchase.choose-at-least-two-jobs': 'choose at least two jobs',
  'purchase.jobs-measured-in-inches-and-in':
    'jobs measured in inches and in mm are not bought together: choose those of one unit',
  'purchase.jobs-counted-in-different-money-are':
    'jobs counted in different money are not bought together: choose those of one currency',
  'purchase.these-jobs-have-nothing-to-be': 'these jobs have nothing to be cut yet',
} as const;
