/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const spliceTexts = {
  'splice.joined': '{sign}{points} {text}',
  'splice.not-on-a-stud': 'not on a stud',
  'splice.in-the-wall-that-faces-the': 'in the wall that faces the entry',
  'splice.below-a-window': 'below a window',
  'splice.opposite-a-window-in-raking-light': 'opposite a window, in raking light',
  'splice.behind-the-pipes': 'behind the pipes',
  'splice.furniture': 'furniture',
  'splice.behind-the': 'behind the {name}',
  'splice.nearer-to-a-corner-or-opening': 'nearer to a corner or opening than the house rule',
} as const;
