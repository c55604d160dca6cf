import type { Profile } from '../job/index.ts';
import type { Piece } from './plan-file.ts';

/**
 * The profile as this piece is sawn and marked. An apron is often cut from casing: it stands on the saw with its back to
 * the fence and is measured along its back, however its profile is used elsewhere; so are its returns. A stool likewise.
 */
export function sawnAs(piece: Pick<Piece, 'role' | 'opening'>, profile: Profile): Profile {
  const apron = piece.role === 'apron' || (piece.role === 'return' && piece.opening !== undefined);
  const use = apron ? 'apron' : piece.role === 'stool' ? 'stool' : profile.use;
  return use === profile.use ? profile : { ...profile, use };
}
