/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const hangTexts = {
  'hang.at-corner': ', at corner {corner}',
  'hang.as-it-hangs-seen-from-the': 'as it hangs, seen from the room: the {end} end of {label}{where}',
  'hang.hangs-end': 'hangs: {end} end',
  'hang.hangs-at-corner': 'hangs at corner {corner}',
  'hang.studs-at-from-its-left-end': 'studs at {items} from its left end',
  'hang.no-studs-noted-on-this-wall': 'no studs noted on this wall: find them before you nail',
  'hang.a-pipe-at-no-nail-within': 'a pipe at {at}: no nail within {clear} of it, nor above or below',
  'hang.a-at-wires-run-up-or':
    'a {kind} at {at}: wires run up or down from it, no nail above or below within {clear}',
  'hang.a-door-slides-in-this-wall':
    'a door slides in this wall: no fastener longer than trim and skin where it runs',
  'hang.nails-of-or-longer-through-the':
    'nails of {thickness} or longer: through the trim, the skin, and {bite} of wood',
  'hang.hang-both-its-neighbors-then-measure':
    'Hang both its neighbors, then measure on the wall between them, along the edge on the wall.',
  'hang.between-its-neighbors-along-the-wall': 'between its neighbors, along the wall',
  'hang.nail-both-legs-then-measure-over':
    'Nail both legs, then measure over them along the top, outer edge to outer edge.',
  'hang.over-both-legs-outer-edge-to': 'over both legs, outer edge to outer edge',
} as const;
