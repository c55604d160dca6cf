import type { Profile } from '../../job/index.ts';
import { seated } from '../../joinery/index.ts';
import type { Piece } from './plan-file.ts';

/** How the saw takes what stands around an opening, whatever its profile is used for elsewhere. */
const AT_OPENINGS: Partial<Record<Piece['role'], Profile['use']>> = {
  'leg-left': 'casing',
  'leg-right': 'casing',
  head: 'casing',
  sill: 'casing',
  band: 'back-band',
  apron: 'apron',
  return: 'apron',
  stool: 'stool',
  plinth: 'other',
  block: 'other',
  jamb: 'other',
  cap: 'other',
};

/**
 * The profile as this piece is sawn and marked. An apron is often cut from casing: it stands on the saw with its back to
 * the fence and is measured along its back, however its profile is used elsewhere; so are its returns. A stool likewise.
 */
export function sawnAs(piece: Pick<Piece, 'role' | 'opening' | 'spring'>, profile: Profile): Profile {
  if (piece.spring !== undefined) return seated(profile, { seatDown: 'other' });
  const use = piece.opening === undefined ? undefined : AT_OPENINGS[piece.role];
  return use === undefined || use === profile.use ? profile : { ...profile, use };
}
