/** What the parts around an opening are called, by role and where they stand as seen from their side. */
const ROLES: Readonly<Record<string, string>> = {
  'leg-left': 'left leg',
  'leg-right': 'right leg',
  head: 'head',
  sill: 'sill piece',
  stool: 'stool',
  apron: 'apron',
  plinth: 'plinth',
  block: 'corner block',
  band: 'back band',
  jamb: 'jamb strip',
  cap: 'cap',
  return: 'return',
  transition: 'turn piece',
  backer: 'strip behind crown',
};

/**
 * A part as one says it.
 * @example partWords('band', 'left') // "left back band"
 */
export function partWords(role: string, place?: string): string {
  const word = ROLES[role] ?? role.replaceAll('-', ' ');
  const named =
    role === 'band' || role === 'jamb' || role === 'plinth' || role === 'block' || role === 'return';
  return named && place !== undefined ? `${place} ${word}` : word;
}
