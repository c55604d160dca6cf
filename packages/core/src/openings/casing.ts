import { message, angleFigure, type Words } from '../messages/index.ts';
import type { Profile } from '../job/index.ts';
import { add, length, subtract, type Vec2 } from '../geometry/index.ts';
import type { TrimKit } from './trim-kit.ts';
import type { Measures } from './measures.ts';
import { plain, stripPart, type Box, type OpeningPart } from './part.ts';
import { boxOf, crossing, level, lineThrough, outward, type Line, type Strip } from './strip.ts';

/** Inner or outer lines of one layer: legs, head, and the bottom of a frame. */
interface Layer {
  readonly left: Line;
  readonly head: Line;
  readonly right: Line;
  readonly sill: Line;
}

/** How far out each line of a layer lies from the faces of jambs, head and sill. */
interface Outs {
  readonly left: number;
  readonly head: number;
  readonly right: number;
  readonly sill: number;
}

function layerAt({ bottomLeft, topLeft, topRight, bottomRight }: Measures, by: Outs): Layer {
  return {
    left: outward(lineThrough(bottomLeft, topLeft), by.left),
    head: outward(lineThrough(topLeft, topRight), by.head),
    right: outward(lineThrough(topRight, bottomRight), by.right),
    sill: outward(lineThrough(bottomRight, bottomLeft), by.sill),
  };
}

const plus = (a: Outs, b: Outs): Outs => ({
  left: a.left + b.left,
  head: a.head + b.head,
  right: a.right + b.right,
  sill: a.sill + b.sill,
});

/** A point moved along a line and to its left. */
const from = (point: Vec2, { along }: Line, by: number, out = 0): Vec2 =>
  add(point, { x: along.x * by - along.y * out, y: along.y * by + along.x * out });

/** Where legs stand: a level line, each side its own. */
export interface Feet {
  readonly left: number;
  readonly right: number;
}

export interface Casing {
  readonly parts: readonly OpeningPart[];
  /** Outermost points of what stands on the level of the feet, in the plane of the wall. */
  readonly outside: { readonly left: number; readonly right: number };
  /** The thickest of what the stool lies before. */
  readonly thickest: number;
  /** Across the outermost corners, bottom left to top right and bottom right to top left. */
  readonly diagonals: readonly [number, number];
  /** Why a band that was asked for cannot be. */
  readonly noBand: 'overhang' | 'block' | undefined;
}

function whyCorners({ slope }: Measures, dress: TrimKit): Words {
  if (dress.corners === 'butt')
    return slope === 0
      ? message('opening.the-head-lies-over-square-legs')
      : message('opening.the-head-lies-over-the-legs', { slope: angleFigure(slope) });
  if (dress.corners === 'block') return message('opening.stands-against-the-corner-block');
  const equal = dress.leg!.left.width === dress.head!.width && dress.leg!.right.width === dress.head!.width;
  const level =
    slope === 0
      ? message('opening.head-level')
      : message('opening.head-out-of-level-by', { slope: angleFigure(slope) });
  if (!equal) return message('opening.leg-and-head-differ-in-width', { level });
  return slope === 0
    ? message('opening.head-level-45s')
    : message('opening.each-corner-has-its-own-angle', { level });
}

const boxed = (strip: Strip, { thickness }: Profile): Box => ({ ...boxOf(strip), stands: thickness });

/**
 * Casing of one side with its blocks, plinths, cap and band: every corner by its own angle, every leg by its own length.
 * Inner and outer edges are lines in the plane of the wall; parts end where they cross.
 * Source: job file format, rule 7 and "Openings, to the letter"; geometry notes, section 4.
 */
export function casingOn(measures: Measures, dress: TrimKit, feet: Feet): Casing | undefined {
  const { leg, head, sill, reveal } = dress;
  if (!leg || !head) return undefined;
  const innerBy: Outs = { left: reveal, head: reveal, right: reveal, sill: reveal };
  const outerBy = plus(innerBy, {
    left: leg.left.width,
    head: head.width,
    right: leg.right.width,
    sill: sill?.width ?? 0,
  });
  const inner = layerAt(measures, innerBy);
  const outer = layerAt(measures, outerBy);
  const standing = {
    left: level(feet.left + dress.plinthHeight),
    right: level(feet.right + dress.plinthHeight),
  };
  const foot = (side: 'left' | 'right', line: Line, bottom: Line): Vec2 =>
    crossing(line, sill ? bottom : standing[side]);
  const top = { left: crossing(inner.left, inner.head), right: crossing(inner.head, inner.right) };

  const legTop = (side: 'left' | 'right'): Vec2 => {
    if (dress.corners === 'miter') return crossing(outer[side], outer.head);
    if (dress.corners === 'butt') return crossing(outer[side], inner.head);
    return from(top[side], inner[side], 0, leg[side].width);
  };
  const legStrips: Record<'left' | 'right', Strip> = {
    left: {
      innerLeft: foot('left', inner.left, inner.sill),
      outerLeft: foot('left', outer.left, outer.sill),
      innerRight: top.left,
      outerRight: legTop('left'),
    },
    right: {
      innerLeft: top.right,
      outerLeft: legTop('right'),
      innerRight: foot('right', inner.right, inner.sill),
      outerRight: foot('right', outer.right, outer.sill),
    },
  };
  const headStrip = headOf(dress, inner, outer, head.width);

  const why = whyCorners(measures, dress);
  const joined = dress.corners === 'miter' ? 'miter' : 'butt';
  const meets = (side: 'left' | 'right'): string => (dress.corners === 'block' ? `block-${side}` : 'head');
  const standsOn = sill ? ({ joint: 'miter', mate: 'sill' } as const) : ({ joint: 'square' } as const);
  const parts: OpeningPart[] = [];
  const legPart = (side: 'left' | 'right'): void => {
    const corner = { joint: joined, mate: meets(side) } as const;
    const { ripped } = dress;
    parts.push({
      ...stripPart(legStrips[side], {
        key: `leg-${side}`,
        role: `leg-${side}`,
        place: side,
        profile: leg[side],
        sawnAs: 'casing',
        step: 3,
        reason: [why, ...(dress.ripped[side] ? [message('opening.cut-first-then-its-outer-edge')] : [])],
        box: boxed(legStrips[side], leg[side]),
        left: side === 'left' ? standsOn : corner,
        right: side === 'left' ? corner : standsOn,
      }),
      ...(ripped[side] ? { width: leg[side].width } : {}),
    });
  };
  for (const side of ['left', 'right'] as const)
    if (dress.plinth) parts.push(plinthPart(side, dress, dress.plinth, legStrips[side], feet[side]));
  legPart('left');
  legPart('right');
  if (dress.block)
    for (const side of ['left', 'right'] as const)
      parts.push(blockPart(side, dress.block, top[side], inner[side]));
  const end = (side: 'left' | 'right') =>
    dress.corners === 'butt'
      ? ({ joint: 'square' } as const)
      : ({
          joint: joined,
          mate: dress.corners === 'block' ? `block-${side}` : `leg-${side}`,
        } as const);
  parts.push(
    stripPart(headStrip, {
      key: 'head',
      role: 'head',
      place: 'head',
      profile: head,
      sawnAs: 'casing',
      step: 5,
      reason: [message('opening.after-the-legs-check-it-outside')],
      box: boxed(headStrip, head),
      left: end('left'),
      right: end('right'),
    }),
  );
  if (sill) {
    const strip: Strip = {
      innerLeft: crossing(inner.right, inner.sill),
      outerLeft: crossing(outer.right, outer.sill),
      innerRight: crossing(inner.sill, inner.left),
      outerRight: crossing(outer.sill, outer.left),
    };
    parts.push(
      stripPart(strip, {
        key: 'sill',
        role: 'sill',
        place: 'sill',
        profile: sill,
        sawnAs: 'casing',
        step: 6,
        reason: [message('opening.closes-the-picture-frame')],
        box: boxed(strip, sill),
        left: { joint: 'miter', mate: 'leg-right' },
        right: { joint: 'miter', mate: 'leg-left' },
      }),
    );
  }
  const noBand =
    dress.band === undefined
      ? undefined
      : dress.corners === 'block'
        ? 'block'
        : dress.corners === 'butt' && dress.overhang > 0
          ? 'overhang'
          : undefined;
  const band = noBand ? undefined : dress.band;
  const bandBy = band
    ? plus(outerBy, { left: band.width, head: band.width, right: band.width, sill: sill ? band.width : 0 })
    : outerBy;
  const outermost = layerAt(measures, bandBy);
  if (band) parts.push(...bandParts(band, outer, outermost, foot, sill !== undefined));
  if (dress.cap) parts.push(capPart(dress, dress.cap, headStrip, band, outermost));
  return {
    parts,
    outside: {
      left: crossing(outermost.left, level(feet.left)).x,
      right: crossing(outermost.right, level(feet.right)).x,
    },
    diagonals: [
      length(subtract(crossing(outermost.head, outermost.right), crossing(outermost.left, level(feet.left)))),
      length(
        subtract(crossing(outermost.left, outermost.head), crossing(outermost.right, level(feet.right))),
      ),
    ],
    thickest: Math.max(leg.left.thickness, leg.right.thickness, band?.thickness ?? 0),
    noBand,
  };
}

/** The head between, over or against what the legs are. */
function headOf(dress: TrimKit, inner: Layer, outer: Layer, width: number): Strip {
  const { head } = inner;
  if (dress.corners === 'butt') {
    const innerLeft = from(crossing(outer.left, head), head, -dress.overhang);
    const innerRight = from(crossing(head, outer.right), head, dress.overhang);
    return {
      innerLeft,
      innerRight,
      outerLeft: from(innerLeft, head, 0, width),
      outerRight: from(innerRight, head, 0, width),
    };
  }
  // Against blocks both its edges end on the line of the legs' inner edges.
  const side = dress.corners === 'block' ? inner : outer;
  return {
    innerLeft: crossing(inner.left, head),
    innerRight: crossing(head, inner.right),
    outerLeft: crossing(side.left, outer.head),
    outerRight: crossing(outer.head, side.right),
  };
}

function plinthPart(
  side: 'left' | 'right',
  dress: TrimKit,
  plinth: Profile,
  leg: Strip,
  floor: number,
): OpeningPart {
  // Its inner edge is flush with the leg's.
  const inner = side === 'left' ? leg.innerLeft.x : leg.innerRight.x;
  const [left, right] = side === 'left' ? [inner - plinth.width, inner] : [inner, inner + plinth.width];
  return plain({
    key: `plinth-${side}`,
    role: 'plinth',
    place: side,
    profile: plinth,
    near: dress.plinthHeight,
    step: 2,
    reason: [message('opening.stands-under-the-leg-inner-edges')],
    box: { from: left, to: right, low: floor, high: floor + dress.plinthHeight, stands: plinth.thickness },
  });
}

function blockPart(side: 'left' | 'right', block: Profile, corner: Vec2, leg: Line): OpeningPart {
  const size = block.width;
  // On the left one goes up along the leg, on the right down: the block lies beyond its upper end.
  const up = side === 'left' ? size : -size;
  const strip: Strip = {
    innerLeft: corner,
    innerRight: from(corner, leg, up),
    outerLeft: from(corner, leg, 0, size),
    outerRight: from(corner, leg, up, size),
  };
  return plain({
    key: `block-${side}`,
    role: 'block',
    place: side,
    profile: block,
    near: size,
    step: 4,
    reason: [message('opening.stands-on-the-leg-inner-edges')],
    box: boxed(strip, block),
    outline: [strip.innerLeft, strip.innerRight, strip.outerRight, strip.outerLeft],
  });
}

function capPart(
  dress: TrimKit,
  cap: Profile,
  head: Strip,
  band: Profile | undefined,
  outermost: Layer,
): OpeningPart {
  const on: [Vec2, Vec2] = band
    ? [crossing(outermost.left, outermost.head), crossing(outermost.head, outermost.right)]
    : [head.outerLeft, head.outerRight];
  const near = length(subtract(on[1], on[0])) + 2 * dress.capOverhang;
  const line = lineThrough(...on);
  const low = from(on[0], line, -dress.capOverhang);
  const strip: Strip = {
    innerLeft: low,
    innerRight: from(low, line, near),
    outerLeft: from(low, line, 0, cap.thickness),
    outerRight: from(low, line, near, cap.thickness),
  };
  return plain({
    key: 'cap',
    role: 'cap',
    place: 'head',
    profile: cap,
    near: Math.round(near * 1e9) / 1e9,
    step: 7,
    reason: [message('opening.lies-on-the-head-past-its')],
    box: { ...boxOf(strip), stands: cap.width },
    outline: [strip.innerLeft, strip.innerRight, strip.outerRight, strip.outerLeft],
  });
}

function bandParts(
  band: Profile,
  inner: Layer,
  outer: Layer,
  foot: (side: 'left' | 'right', line: Line, bottom: Line) => Vec2,
  framed: boolean,
): OpeningPart[] {
  const footEnd = framed ? ({ joint: 'miter', mate: 'band-sill' } as const) : ({ joint: 'square' } as const);
  const miter = (mate: string) => ({ joint: 'miter', mate }) as const;
  const corner = (a: 'left' | 'head' | 'right' | 'sill', b: 'left' | 'head' | 'right' | 'sill') => ({
    inner: crossing(inner[a], inner[b]),
    outer: crossing(outer[a], outer[b]),
  });
  const at = {
    bottomLeft: { inner: foot('left', inner.left, inner.sill), outer: foot('left', outer.left, outer.sill) },
    topLeft: corner('left', 'head'),
    topRight: corner('head', 'right'),
    bottomRight: {
      inner: foot('right', inner.right, inner.sill),
      outer: foot('right', outer.right, outer.sill),
    },
  };
  const strip = (a: keyof typeof at, b: keyof typeof at): Strip => ({
    innerLeft: at[a].inner,
    outerLeft: at[a].outer,
    innerRight: at[b].inner,
    outerRight: at[b].outer,
  });
  const part = (
    place: 'left' | 'head' | 'right' | 'sill',
    shape: Strip,
    left: { joint: 'miter'; mate: string } | { joint: 'square' },
    right: { joint: 'miter'; mate: string } | { joint: 'square' },
  ): OpeningPart =>
    stripPart(shape, {
      key: `band-${place}`,
      role: 'band',
      place,
      profile: band,
      sawnAs: 'back-band',
      step: place === 'head' ? 8.2 : place === 'sill' ? 8.4 : 8,
      reason: [message('opening.over-the-outer-edge-of-the')],
      box: boxed(shape, band),
      left,
      right,
    });
  return [
    part('left', strip('bottomLeft', 'topLeft'), footEnd, miter('band-head')),
    part('head', strip('topLeft', 'topRight'), miter('band-left'), miter('band-right')),
    part('right', strip('topRight', 'bottomRight'), miter('band-head'), footEnd),
    ...(framed
      ? [part('sill', strip('bottomRight', 'bottomLeft'), miter('band-right'), miter('band-left'))]
      : []),
  ];
}
