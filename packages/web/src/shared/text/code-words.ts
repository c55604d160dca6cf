import {
  keyWord,
  profileSchema,
  wordOf,
  type CrewRole,
  type Opening,
  type Profile,
  type Wall,
} from '@long-miter/core';
import { defineMessage } from '../../messages/define-message.ts';
import { translate, t } from '../../messages/t.ts';

/** What is kept as a code and shown as a word: roles, materials, what trim is for, what is on a wall. */

type Point = NonNullable<Wall['points']>[number];

const DOES: Readonly<Record<CrewRole, string>> = {
  lead: defineMessage('does everything: jobs, rules, stock, orders, giving to the saw, the crew itself'),
  measurer: defineMessage('reads all jobs and records rooms'),
  cutter: defineMessage('reads all jobs, notes what happens at the saw and on the rack'),
  hanger: defineMessage('reads all jobs, notes what happens at the saw and on the wall'),
  guest: defineMessage('reads one job until a day that is named'),
};
const FINISHES: Readonly<Record<Profile['finish'], string>> = {
  paint: defineMessage('to be painted'),
  stain: defineMessage('to be stained'),
  prefinished: defineMessage('finished already'),
};
const OPENINGS: Readonly<Record<Opening['kind'], string>> = {
  door: defineMessage('door'),
  cased: defineMessage('cased opening'),
  pocket: defineMessage('pocket door'),
  window: defineMessage('window'),
  drywall: defineMessage('plain opening'),
};
/** The same in a row of a list. */
const OPENINGS_SHORT: Readonly<Record<Opening['kind'], string>> = {
  ...OPENINGS,
  cased: defineMessage('cased'),
  pocket: defineMessage('pocket'),
  drywall: defineMessage('plain'),
};

export const roleWord = (role: CrewRole): string => translate(keyWord(role));
/** What a role may do, as the rest of a sentence about one who has it. */
export const roleDoes = (role: CrewRole): string => t(DOES[role]);
export const materialWord = (material: Profile['material']): string => translate(keyWord(material));
export const finishWord = (finish: Profile['finish']): string => t(FINISHES[finish]);
export const trimWord = (use: Profile['use']): string => translate(keyWord(use));
/** A side, an edge or the way of a corner, as it is said. */
export const sideWord = (side: 'left' | 'right' | 'inside' | 'outside'): string => translate(wordOf(side));

export const openingWord = (kind: Opening['kind']): string => t(OPENINGS[kind]);
export const openingShort = (kind: Opening['kind']): string => t(OPENINGS_SHORT[kind]);
export const pointWord = (kind: Point['kind']): string => translate(keyWord(kind));

/** The choices of a field, each under its word. */
export const choices = <Code extends string>(
  codes: readonly Code[],
  word: (code: Code) => string,
): { value: Code; label: string }[] => codes.map((value) => ({ value, label: word(value) }));

export const OPENING_CODES = Object.keys(OPENINGS) as readonly Opening['kind'][];
export const MATERIAL_CODES = profileSchema.shape.material.options;
