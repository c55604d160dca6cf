import type { Figure } from './message.ts';
import type { WayLacks } from './lacks.ts';

/**
 * What a careful lead would point out, as codes with the figures they rest on. The sentences are made here and nowhere
 * else; whoever decides something decides by the code. Walls are counted from 1; lengths are in the job's unit.
 */
export type Remedy = 'rip' | 'mull' | 'reveal' | 'none';

/** Two things at an opening that want the same place. */
export interface Clearance {
  readonly name: string;
  /** Both, where two openings are in each other's way. */
  readonly names: readonly string[];
  readonly against: 'corner' | 'casing' | 'ceiling' | 'crown' | 'rail' | 'interruption' | 'point';
  readonly overlap: number;
  /** What of the opening it is: a leg, the head, the stool. */
  readonly part: string;
  /** At which edge of the opening, as seen from its room. */
  readonly at?: 'left' | 'right';
  /** What is in the way, by its name. */
  readonly by?: string;
  /** Width that one strip shared by both would have. */
  readonly mull?: number;
  readonly remedies: readonly Remedy[];
  /** What the strip would be ripped to, and what the reveal or the horn would have to be. */
  readonly rip?: number;
  readonly reveal?: number;
  readonly horn?: number;
}

export interface WarningData {
  readonly clearance: Pick<Clearance, keyof Clearance>;
  readonly 'out-of-true': { name: string; figure: number; rises: 'left' | 'right'; opens: number };
  readonly coverage: {
    name: string;
    covers: number;
    needs: number;
    short: number;
    reveal: number;
    rounded: boolean;
  };
  readonly 'shy-jamb': { name: string; shy: number };
  readonly 'proud-jamb': { name: string; proud: number; limit: number };
  readonly 'stool-contour': { name: string; radius: number };
  readonly 'head-gate': { name: string; predicted: number; measured: number };
  readonly removable: { name: string; pocket: boolean; longest: number | undefined };
  readonly 'band-left-out': { name: string; why: 'overhang' | 'block' };
  readonly 'no-block': { name: string };
  readonly 'one-unit': { name: string; diagonals: readonly [number, number]; play: number; stool: boolean };
  readonly 'open-miter': {
    name: string;
    corner: 'left' | 'right';
    open: 'inner' | 'outer';
    by: number;
    from: 'inner' | 'outer';
  };
  readonly 'narrow-stock': { label: string; profile: string; width: number; has: number };
  readonly hollow: { room: string; wall: number; depth: number; over: number; near: string };
  readonly 'short-wall': { room: string; wall: number; length: number };
  readonly 'tight-stick': { labels: readonly string[]; spare: number; margin: number };
  readonly 'ceiling-gap': {
    room: string;
    profile: string;
    line: 'follow' | 'level';
    gap: number;
    /** The most that the ceiling comes down into it. */
    presses: number;
    most: number;
    other: number;
    otherPresses: number;
  };
  readonly 'backer-fit': { room: string; profile: string; strip: string; taken: number };
  readonly 'backer-climbs': { room: string; walls: readonly number[] };
  readonly 'sloped-ceiling': { room: string; walls: readonly number[]; profile: string; why: string };
  readonly 'slope-corner': {
    room: string;
    wall: number;
    profile: string;
    end: 'low' | 'high';
    turn: number;
    misses: number;
    otherSpring: number;
  };
  readonly 'pipes-splice': {
    room: string;
    wall: number;
    at: number;
    /** The pipes of one radiator, from and to. */
    from: number;
    to: number;
    profile: string;
    trim: string;
  };
  readonly lean: { room: string; wall: number; left: number; right: number };
  readonly services: { room: string; wall: number; count: number };
  readonly 'assumed-angle': { room: string; wall: number };
  readonly 'odd-angle': { room: string; wall: number; angle: number };
  readonly 'obtuse-cope': { room: string; wall: number; angle: number; relief: number; profile: string };
  readonly 'rounded-corner': { room: string; wall: number; radius: number; relief: number };
  readonly 'bullnose-gap': { room: string; wall: number; gap: number };
  readonly 'corner-form': { room: string; wall: number; angle: number; form: string };
  readonly 'no-room': { room: string; wall: number; length: number; profile: string };
  readonly 'pin-circle': { room: string; walls: readonly number[] };
  readonly 'pin-outside': { room: string; wall: number };
  readonly 'pin-released': { room: string; wall: number; at: number; profile: string };
  readonly 'splice-distance': { room: string; wall: number };
  readonly 'splice-in-view': { room: string; wall: number };
  readonly 'splice-off-stud': { room: string; wall: number };
  readonly 'short-piece': { label: string; length: number };
  readonly 'long-piece': { label: string; length: number };
  readonly 'double-cope': { label: string };
  readonly 'needs-block': {
    label: string;
    end: 'left' | 'right';
    miter: number;
    block: number;
    thickEnd: 'left' | 'right';
  };
  readonly 'beyond-saw': {
    label: string;
    end: 'left' | 'right';
    angle: number;
    why: readonly WayLacks[];
  };
  readonly 'visible-splice': { label: string };
  readonly closure: { room: string; gap: number; angleGap: number; angles: boolean };
  readonly 'floor-gap': { room: string; covers: number; gap: number };
  readonly 'wet-room': { room: string; profile: string };
  readonly 'bias-twice': { room: string; degrees: number };
  readonly 'spliced-length': { labels: readonly string[]; length: number };
  readonly glue: { profile: string; material: string };
  readonly 'same-way-up': { profile: string; width: number; thickness: number };
}
export type WarningCode = keyof WarningData;

/** How figures and words are written in a job. */
export interface Say {
  /** With its unit. */
  readonly length: (value: number) => Figure;
  /** In fine parts, for what is read off a tape: 1/32 in, half a millimetre. */
  readonly fine: (value: number) => Figure;
  readonly angle: (value: number) => Figure;
}
