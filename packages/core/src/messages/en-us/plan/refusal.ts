/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const refusalTexts = {
  'refusal.stretch-of-wall': '{room}, wall {wall} ({length})',
  'refusal.stretch-of-side': '{room}, side {wall} ({length})',
  'refusal.has-no-sticks-of-add-a': 'has no sticks of "{id}" ({profile}): add a stock length for it',
  'refusal.or-allow-its-splice': ' or allow its splice',
  'refusal.or-more-places-for-splices': ' or more places for splices',
  'refusal.of-cannot-be-made-of-pieces':
    '{stretch} of {profile} cannot be made of pieces that fit the sticks (longest {longest}): add a longer one{remedy}',
  'refusal.piece-of-fits-no-stick-longest':
    'piece {piece} of {profile} ({length}) fits no stick (longest {longest}): add a longer one',
  'refusal.of-profile': '{profile}: {fault}',
  'refusal.of-profile-by-id': '"{id}" ({profile}): {fault}',
  'refusal.more-of': '{count} more of {length}',
  'refusal.the-stock-of-does-not-suffice':
    'the stock of "{id}" ({profile}) does not suffice: {more} would do. Without a stick are {parts}',
} as const;
