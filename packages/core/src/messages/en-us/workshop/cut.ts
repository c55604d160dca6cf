/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const cutTexts = {
  'cut.needs-a-stick-of-and-the':
    '"{id}" needs a stick of {needs} and the longest is {longest}: add a longer stick or allow a splice',
  'cut.cannot-be-divided-so-that-every':
    '"{id}" cannot be divided so that every piece fits a stick (longest {longest}): add a longer stick or more splice positions',
  'cut.the-limited-stock-does-not-suffice':
    'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices',
  'cut.no-plan-was-found-in-this':
    'no plan was found in this time; there may be one: give it longer, raise a count or allow splices',
  'cut.there-is-no-stick-left-to': 'there is no stick "{stick}" left to pin: release it',
  'cut.the-pinned-stick-does-not-hold': 'the pinned stick "{stick}" does not hold its pieces: release it',
  'cut.more-of': '{count} more of "{stick}"',
  'cut.would-do-for': '; {sticks} would do, for {part}',
} as const;
