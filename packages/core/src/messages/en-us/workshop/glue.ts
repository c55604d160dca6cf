/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const glueTexts = {
  'glue.wood-glue-on-both-cuts': 'wood glue on both cuts',
  'glue.tape-across-the-face-a-pin': 'tape across the face, a pin from each side',
  'glue.wood-glue-on-both-cuts-a': 'wood glue on both cuts, a second coat once the first is drunk up',
  'glue.adhesive-for-foam-on-one-cut': 'adhesive for foam on one cut',
  'glue.tape-across-the-face-no-pins': 'tape across the face, no pins near the edge',
  'glue.cement-for-pvc-on-both-cuts': 'cement for PVC on both cuts',
  'glue.hold-it-by-hand-until-it': 'hold it by hand until it takes, then tape',
  'glue.glue-it-up-on-the-bench': 'Glue it up on the bench with {items} before it is hung: {glue}; {hold}.',
  'glue.to-bring-them-together-until-it':
    '{open, plural, one {# minute} other {# minutes}} to bring them together, {ready} until it may be moved.',
} as const;
