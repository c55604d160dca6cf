/** Written by `npm run words`: what reads otherwise than in American English with its trade words. */
export const FIRST_LAYERS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'en-US uk': {
    'fault.at-most-1000-sticks-can-be': 'at most 1000 lengths can be pinned',
    'fault.does-not-agree-with-the-other':
      'does not agree with the other figures of this cornice ({readings}): {width} at {spring} stands out {projection} and comes down {drop}; measure them again',
    'fault.is-missing-crown-needs-its-spring':
      'is missing: cornice needs its spring angle, or its projection and drop',
    'fault.is-missing-crown-needs-the-height': 'is missing: cornice needs the height of the ceiling',
    'fault.is-used-twice-an-opened-stick': '"{name}" is used twice: an opened length needs a name of its own',
    'fault.must-be-a-uuid-made-by': 'must be a UUID, made by whoever says that the length is cut',
    'fault.must-be-cope-miter-or-butt': 'must be "scribe", "mitre" or "butt"',
    'fault.must-be-miter-butt-or-block': 'must be "mitre", "butt" or "block"',
    'fault.must-be-short-slant-damaged-or-wrong-stick':
      'must be "short", "slant", "damaged" or "wrong-length"',
    'key.base': 'skirting',
    'key.casing': 'architrave',
    'key.cope': 'scribe',
    'key.crown': 'cornice',
    'key.miter': 'mitre',
    'key.shoe': 'quadrant',
    'server.cut-stick': 'cut length',
    'server.is-noted-as-cut-from-another': '{label} is noted as cut from another length already',
  },
  'en-GB us': {},
  'en-GB uk': {},
};
