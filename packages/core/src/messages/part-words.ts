import { message, type Words } from './message.ts';

/** What the parts around an opening are called, by role and where they stand as seen from their side. */
const ROLES: Readonly<Record<string, Words>> = {
  'leg-left': message('part.left-leg'),
  'leg-right': message('part.right-leg'),
  head: message('part.head-alone'),
  sill: message('part.sill-piece'),
  stool: message('part.stool'),
  apron: message('part.apron'),
  plinth: message('part.plinth'),
  block: message('part.corner-block'),
  band: message('part.back-band'),
  jamb: message('part.jamb-strip'),
  cap: message('part.cap'),
  return: message('part.return'),
  transition: message('part.turn-piece'),
  backer: message('part.strip-behind-crown'),
};

/**
 * A part as one says it.
 * @example partWords('band', 'left') // "left back band"
 */
export function partWords(role: string, place?: string): Words {
  const word = ROLES[role] ?? role.replaceAll('-', ' ');
  const named =
    role === 'band' || role === 'jamb' || role === 'plinth' || role === 'block' || role === 'return';
  return named && place !== undefined ? placed(place, word) : word;
}

/** Where a part stands, said before its name. */
function placed(place: string, word: Words): Words {
  switch (place) {
    case 'left':
      return message('part.left', { word });
    case 'right':
      return message('part.right', { word });
    case 'head':
      return message('part.head', { word });
    case 'sill':
      return message('part.sill', { word });
    default:
      return message('part.joined', { place, word });
  }
}
