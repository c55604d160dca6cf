import { type Words, message } from '../messages/index.ts';
import { area, eyeFrom, facing, label, prism, seen, type Drawing, type Vec3 } from '../geometry/index.ts';
import { traitsOf, type Profile } from '../job/index.ts';
import { section } from './cut-drawing.ts';

/**
 * The end of a piece as it hangs, seen from the room: casing with its outer edge up. Which end it is follows from the cut.
 * @param normal outward normal of the cut in the piece's own axes [u, z, n]
 */
export function endSolidDrawing(profile: Profile, normal: Vec3, title: Words): Drawing {
  const out = normal[0] >= 0 ? 1 : -1;
  const long = 2.2 * Math.max(profile.width, profile.thickness);
  const corners = section(profile).map(({ at }) => at);
  // Along the wall, away from the room, up: the wall is behind, the eye before it.
  const inRoom = ([u, z, n]: Vec3): Vec3 => [u, -n, z];
  const cut = (p: Vec3): Vec3 => [-(normal[1] * p[1] + normal[2] * p[2]) / normal[0], p[1], p[2]];
  const far = (p: Vec3): Vec3 => [-out * long, p[1], p[2]];
  const [left, right] = out > 0 ? [far, cut] : [cut, far];
  // Crown hangs above the eye.
  const eye = eyeFrom([out * 0.55, -1, traitsOf(profile).atCeiling ? -0.45 : 0.6]);
  const faces = prism(
    corners.map((p) => inRoom(right(p))),
    corners.map((p) => inRoom(left(p))),
  );
  const middle = seen(eye, inRoom([(-out * long) / 2, corners[2]![1] / 2, corners[2]![2]]));
  return {
    title,
    shapes: [
      ...facing(faces, eye).map((face) =>
        area(face.kind === 'end' ? 'wood-other' : 'wood', ...face.points.map((p) => seen(eye, p))),
      ),
      label(middle, message(out > 0 ? 'draw.right-end' : 'draw.left-end'), { as: 'small' }),
    ],
  };
}
