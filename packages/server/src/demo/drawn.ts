import { roomsOfOutlines, type Unit, type Wall, plainText } from '@long-miter/core';

/** A room of the demo by its corners from above, measured as a crew would: lengths to a sixteenth or a millimetre, angles to a twentieth. */
export function drawn(
  id: string,
  name: string,
  unit: Unit,
  corners: readonly (readonly [number, number])[],
): { id: string; name: string; closed: true; walls: Wall[] } {
  const read = roomsOfOutlines([{ name, points: corners.map(([x, y]) => ({ x, y })) }], 1, {
    closed: true,
    walls: [],
    trims: [],
  });
  if (!read.ok) throw new Error(`${name}: ${plainText(read.issues[0].text)}`);
  const step = unit === 'in' ? 16 : 1;
  const walls = read.value[0]!.survey.walls.map((wall): Wall => {
    const reading = wall.corner!.reading;
    return {
      id: wall.id,
      length: Math.round(wall.length * step) / step,
      corner: {
        reading:
          reading.as === 'wall-angle'
            ? { as: 'wall-angle', degrees: Math.round(reading.degrees * 20) / 20 }
            : reading,
      },
    };
  });
  return { id, name, closed: true, walls };
}
