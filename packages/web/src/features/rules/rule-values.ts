import type { HouseRulesInput } from '@long-miter/core';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';

/** What may be chosen for a rule, in the order it is offered, and what each choice is called. */
const VALUES = {
  splices: { needed: defineMessage('where needed'), saving: defineMessage('to save stock') },
  spliceLengths: {
    any: defineMessage('best hidden'),
    longest: defineMessage('one long'),
    balanced: defineMessage('alike'),
  },
  bullnose: { transition: defineMessage('small pieces'), 'two-piece': defineMessage('two pieces') },
  shoeReturn: { mitered: defineMessage('mitered return'), snipped: defineMessage('snipped') },
  railReturn: { single: defineMessage('one miter'), 'half-turns': defineMessage('two half turns') },
  numbering: { entry: defineMessage('from the entry'), installation: defineMessage('by installation') },
  crownCut: { nested: defineMessage('nested'), flat: defineMessage('flat') },
  headMode: {
    measured: defineMessage('held until measured'),
    'pre-cut': defineMessage('from the figures'),
    rough: defineMessage('rough, marked in place'),
  },
  crownOrder: {
    round: defineMessage('round the room'),
    opposite: defineMessage('opposite walls first'),
    foam: defineMessage('foam'),
  },
  closingMode: {
    long: defineMessage('cut long, pressed in'),
    measured: defineMessage('held until measured in place'),
  },
  ceilingLine: {
    level: defineMessage('level, under the lowest point'),
    follow: defineMessage('follows the ceiling'),
  },
  insideCorner: {
    cope: defineMessage('cope always'),
    miter: defineMessage('miter always'),
    butt: defineMessage('butt always'),
  },
} as const satisfies Partial<Record<keyof HouseRulesInput, Readonly<Record<string, string>>>>;

/** The choices of a rule, for a list to choose from. */
export const ruleChoices = (rule: keyof typeof VALUES): { value: string; label: string }[] =>
  Object.entries(VALUES[rule]).map(([value, label]) => ({ value, label: t(label) }));

/** What the value of a rule is called; a figure stands for itself. */
export const valueText = (rule: string, value: string | number | boolean): string => {
  const values: Readonly<Record<string, Readonly<Record<string, string>>>> = VALUES;
  const label = values[rule]?.[String(value)];
  return label === undefined ? String(value) : t(label);
};
