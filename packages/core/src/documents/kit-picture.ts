import { jobFileOf, type LibraryKit } from '../api-schemas/index.ts';
import type { Drawing } from '../geometry/index.ts';
import { rulesOfRoom, type Opening } from '../job/index.ts';
import { convertLength } from '../measure/index.ts';
import { openingFront } from '../drawings/index.ts';

/** An opening of each kind as it is usual, inches: how wide, how high its head, how high its sill. */
const USUAL: Readonly<Record<Opening['kind'], readonly [width: number, head: number, sill?: number]>> = {
  door: [32, 80],
  cased: [48, 80],
  pocket: [32, 80],
  window: [36, 80, 34],
  drywall: [36, 80],
};

/** What a kit of the Library looks like around an opening of a usual size. */
export function kitPicture({ unit, kind, kit, casing, stool, apron, picture, parts }: LibraryKit): Drawing {
  const size = (inches: number): number => Math.round(convertLength(inches, 'in', unit));
  const [width, head, sill] = USUAL[kind];
  const opening: Opening = {
    id: 'sample',
    kind,
    at: size(24),
    width: size(width),
    headHeight: size(head),
    ...(sill === undefined ? {} : { sillHeight: size(sill) }),
    casing: casing ?? null,
    kit,
    ...(stool === undefined ? {} : { stool }),
    ...(apron === undefined ? {} : { apron }),
    ...(picture === undefined ? {} : { picture }),
  };
  const job = jobFileOf({
    name: 'sample',
    unit,
    coin: { currency: undefined, digits: 2 },
    vocabulary: undefined,
    settings: { houseRules: {}, saws: [], profiles: [...parts], stock: [], rack: [], pins: [], choices: {} },
    rooms: [],
  });
  const drawn = openingFront(job, rulesOfRoom(job, {}), opening, { side: 'this', times: 1 });
  // The opening is only there to be dressed: its sizes and the ends of cuts say nothing of the kit.
  const ofKit = drawn.shapes.filter(
    (shape) => shape.kind !== 'mark' && !(shape.kind === 'part' && shape.ref.kind === 'figure'),
  );
  return { ...drawn, shapes: ofKit };
}
