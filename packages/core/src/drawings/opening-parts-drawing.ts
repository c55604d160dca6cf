import { message, angleFigure, type Words } from '../messages/index.ts';
import {
  area,
  box,
  label,
  size,
  type Drawing,
  type Label,
  type Shape,
  vec,
  type Vec2,
} from '../geometry/index.ts';
import type { Opening } from '../job/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import { stoolShim, type OpeningPart } from '../openings/index.ts';
import { partWords } from '../messages/index.ts';

/** Single parts of an opening: the stool from above, a tapered strip flat on the bench. */

const figure = (value: number, unit: Unit): string => formatLength(value, unit, { inchParts: 32 });

/** How many times deeper than it is a stool is drawn: it is far longer than deep. */
const DEEPER = 2.5;

/** The stool from above, the room below it: its notches round the wall, its horns, its nose. */
export function stoolView(stool: OpeningPart, unit: Unit, opening: Opening): Drawing | undefined {
  const { near, notches, width } = stool;
  if (!notches || width === undefined) return undefined;
  const { left, right } = notches;
  const [a, b] = [left.length, near - right.length];
  const deep = width * DEEPER;
  const cut = { left: deep - left.depth * DEEPER, right: deep - right.depth * DEEPER };
  const beside = near * 0.07;
  const row = deep * 0.22;
  const shim = stoolShim(opening);
  const small = (at: Vec2, text: Words, more: Partial<Omit<Label, 'kind' | 'at' | 'text'>>): Shape =>
    label(at, text, { as: 'small', ...more });
  return {
    title: message('draw.the-stool-from-above-the-room', { times: DEEPER }),
    shapes: [
      box('wall', -beside, cut.left, a, deep),
      box('wall', b, cut.right, near + beside, deep),
      area(
        'wood',
        vec(0, 0),
        vec(near, 0),
        vec(near, cut.right),
        vec(b, cut.right),
        vec(b, deep),
        vec(a, deep),
        vec(a, cut.left),
        vec(0, cut.left),
      ),
      size(vec(0, -row), vec(near, -row), figure(near, unit)),
      size(vec(0, deep + row), vec(a, deep + row), figure(left.length, unit)),
      size(vec(a, deep + row), vec(b, deep + row), figure(b - a, unit)),
      size(vec(b, deep + row), vec(near, deep + row), figure(right.length, unit)),
      size(vec(near / 2, 0), vec(near / 2, deep), figure(width, unit)),
      small(vec(a, (deep + cut.left) / 2), message('draw.deep', { depth: figure(left.depth, unit) }), {
        anchor: 'start',
        aside: vec(6, 0),
      }),
      small(vec(b, (deep + cut.right) / 2), message('draw.deep', { depth: figure(right.depth, unit) }), {
        anchor: 'end',
        aside: vec(-6, 0),
      }),
      ...(shim
        ? [
            small(
              vec(shim.under === 'left' ? a : b, 0),
              message('draw.packed-up-on-this-side', { by: figure(shim.by, unit) }),
              {
                anchor: shim.under === 'left' ? 'start' : 'end',
                aside: vec(0, 10),
              },
            ),
          ]
        : []),
    ],
  };
}

/** A tapered strip as it lies on the bench: both widths at their named ends, its length, and what the sled is set over. */
export function taperView(part: OpeningPart, unit: Unit): Drawing | undefined {
  const { taper, near, place } = part;
  if (!taper) return undefined;
  const ends = {
    left: ['bottom', 'top'],
    right: ['top', 'bottom'],
    head: ['left', 'right'],
    sill: ['right', 'left'],
  }[place ?? 'head'];
  const most = Math.max(taper.left, taper.right);
  // A strip is far longer than wide: it is drawn short, as broken, with its widths to scale of each other.
  const long = most * 7;
  const over = Math.abs(taper.left - taper.right);
  return {
    title: message('draw.the-sled-is-set-over-by', {
      part: partWords(part.role, place),
      over: figure(over, unit),
      near: figure(near, unit),
      angle: angleFigure(Math.atan(over / near) * (180 / Math.PI)),
    }),
    shapes: [
      area('waste', vec(0, most), vec(long, most), vec(long, taper.right), vec(0, taper.left)),
      area('wood', vec(0, 0), vec(long, 0), vec(long, taper.right), vec(0, taper.left)),
      size(vec(0, -most * 0.35), vec(long, -most * 0.35), figure(near, unit)),
      label(
        vec(0, taper.left / 2),
        message('draw.joined-5', { end: ends[0] ?? '', width: figure(taper.left, unit) }),
        {
          as: 'name',
          anchor: 'start',
          aside: vec(8, 0),
        },
      ),
      label(
        vec(long, taper.right / 2),
        message('draw.joined-6', { end: ends[1] ?? '', width: figure(taper.right, unit) }),
        {
          as: 'name',
          anchor: 'end',
          aside: vec(-8, 0),
        },
      ),
    ],
  };
}
