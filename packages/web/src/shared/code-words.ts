import type { CrewRole, Opening, Profile, Wall } from '@long-miter/core';
import { later } from '../words/later.ts';
import { t } from '../words/t.ts';

/** What is kept as a code and shown as a word: roles, materials, what trim is for, what is on a wall. */

type Point = NonNullable<Wall['points']>[number];

const ROLES: Readonly<Record<CrewRole, string>> = {
  lead: later('lead'),
  measurer: later('measurer'),
  cutter: later('cutter'),
  hanger: later('hanger'),
  guest: later('guest'),
};
const DOES: Readonly<Record<CrewRole, string>> = {
  lead: later('does everything: jobs, rules, stock, orders, giving to the saw, the crew itself'),
  measurer: later('reads all jobs and records rooms'),
  cutter: later('reads all jobs, notes what happens at the saw and on the rack'),
  hanger: later('reads all jobs, notes what happens at the saw and on the wall'),
  guest: later('reads one job until a day that is named'),
};
const MATERIALS: Readonly<Record<Profile['material'], string>> = {
  mdf: later('MDF'),
  softwood: later('softwood'),
  hardwood: later('hardwood'),
  polyurethane: later('polyurethane'),
  pvc: later('PVC'),
  other: later('other'),
};
const FINISHES: Readonly<Record<Profile['finish'], string>> = {
  paint: later('to be painted'),
  stain: later('to be stained'),
  prefinished: later('finished already'),
};
const USES: Readonly<Record<Profile['use'], string>> = {
  base: later('base'),
  shoe: later('shoe'),
  casing: later('casing'),
  crown: later('crown'),
  'chair-rail': later('chair rail'),
  backer: later('backer'),
  'back-band': later('back band'),
  stool: later('stool'),
  apron: later('apron'),
  'picture-rail': later('picture rail'),
  other: later('other'),
};
const OPENINGS: Readonly<Record<Opening['kind'], string>> = {
  door: later('door'),
  cased: later('cased opening'),
  pocket: later('pocket door'),
  window: later('window'),
  drywall: later('plain opening'),
};
/** The same in a row of a list. */
const OPENINGS_SHORT: Readonly<Record<Opening['kind'], string>> = {
  ...OPENINGS,
  cased: later('cased'),
  pocket: later('pocket'),
  drywall: later('plain'),
};
const POINTS: Readonly<Record<Point['kind'], string>> = {
  socket: later('socket'),
  switch: later('switch'),
  pipe: later('pipe'),
  register: later('register'),
};

export const roleWord = (role: CrewRole): string => t(ROLES[role]);
/** What a role may do, as the rest of a sentence about one who has it. */
export const roleDoes = (role: CrewRole): string => t(DOES[role]);
export const materialWord = (material: Profile['material']): string => t(MATERIALS[material]);
export const finishWord = (finish: Profile['finish']): string => t(FINISHES[finish]);
export const trimWord = (use: Profile['use']): string => t(USES[use]);
export const openingWord = (kind: Opening['kind']): string => t(OPENINGS[kind]);
export const openingShort = (kind: Opening['kind']): string => t(OPENINGS_SHORT[kind]);
export const pointWord = (kind: Point['kind']): string => t(POINTS[kind]);

/** The choices of a field, each under its word. */
export const choices = <Code extends string>(
  codes: readonly Code[],
  word: (code: Code) => string,
): { value: Code; label: string }[] => codes.map((value) => ({ value, label: word(value) }));

export const OPENING_CODES = Object.keys(OPENINGS) as readonly Opening['kind'][];
export const MATERIAL_CODES = Object.keys(MATERIALS) as readonly Profile['material'][];
