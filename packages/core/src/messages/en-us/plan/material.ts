/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const materialTexts = {
  'material.nails': 'nails',
  'material.one-every-and-one-at-the':
    'one every {spacing} and one at the end of each piece, two rows on trim wider than 40 mm',
  'material.cartridges-of-ml': 'cartridges of {size} ml',
  'material.m-of-face-and-edge-m':
    '{area} m² of face and edge, {coats, plural, one {# coat} other {# coats}}, {coverage} m² a litre',
  'material.glue': 'glue',
  'material.ml-for-each-of-glued-joints':
    '{each} ml for each of {joints} glued joints: miters, scarfs, returns',
  'material.a-6-mm-bead-along-m': 'a 6 mm bead along {glued} m of foam and PVC',
  'material.a-4-mm-fillet-along-m':
    'a 4 mm fillet along {edges} m of edges at wall and ceiling, painted trim only',
  'material.filler': 'filler',
  'material.ml-for-each-nail-hole': '{each} ml for each nail hole',
  'material.stain-or-clear-coat': 'stain or clear coat',
  'material.adhesive': 'adhesive',
  'material.caulk': 'caulk',
  'material.primer': 'primer',
  'material.paint': 'paint',
} as const;
