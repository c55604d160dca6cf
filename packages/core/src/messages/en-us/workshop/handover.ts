/** ICU texts in American English with its trade words; what stands in braces is filled in. */
export const handoverTexts = {
  'handover.the-is-screwed-on-under-filler':
    '{name}, {opening}: the {part} ({tag}) is screwed on, under filler; take it off to lift the door out',
  'handover.scarfed': 'scarfed',
  'handover.butted': 'butted',
  'handover.from-the-left-end-of-the':
    '{place}: {joint} {at} from the left end of the wall, between {tag} and {next}',
  'handover.by': '{use}, {material}, {width} by {thickness}, {finish}',
  'handover.joined': '{label}: {name}, {length}',
} as const;
