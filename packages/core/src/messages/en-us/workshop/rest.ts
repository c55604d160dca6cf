/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const restTexts = {
  'rest.wood-glue-until-it-may-be': 'wood glue, until it may be moved',
  'rest.pvc-cement-until-it-may-be': 'PVC cement, until it may be moved',
  'rest.adhesive-for-foam-until-the-nails': 'adhesive for foam, until the nails may be drawn',
  'rest.filler-until-it-is-sanded': 'filler, until it is sanded',
  'rest.caulk-until-it-is-painted': 'caulk, until it is painted',
  'rest.paint-until-the-next-coat': 'paint, until the next coat',
  'rest.joined': '{where}: {what}',
} as const;
