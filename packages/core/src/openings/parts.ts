import { message, lengthFigure } from '../messages/index.ts';
import type { HouseRules, JobFile, Opening } from '../job/index.ts';
import type { Unit } from '../measure/index.ts';
import { casingOn, type Casing } from './casing.ts';
import { resolveTrimKit, type TrimKit, type SideName } from './trim-kit.ts';
import { jambStrips } from './jambs.ts';
import { measuresOf, type Measures } from './measures.ts';
import { reaches, type OpeningPart } from './part.ts';
import { feetOf, stoolAndApron } from './stool.ts';

/** One side of an opening: what it measures, what it is dressed with, and every part of that. */
export interface TrimmedSide {
  readonly side: SideName;
  readonly measures: Measures;
  readonly dress: TrimKit;
  readonly casing: Casing | undefined;
  readonly parts: readonly OpeningPart[];
  /** The head measured outside to outside against what the figures said; undefined where it was not measured. */
  readonly gate: { readonly predicted: number; readonly measured: number } | undefined;
}

const measuredOf = (opening: Opening, side: SideName): number | undefined =>
  side === 'this' ? opening.measuredHead : opening.other?.measuredHead;

/** Legs are nailed low only, so that their miter can still be closed. */
const nailed = (part: OpeningPart, { oneUnit, corners }: TrimKit, unit: Unit): OpeningPart =>
  oneUnit || corners !== 'miter' || !part.role.startsWith('leg')
    ? part
    : {
        ...part,
        reason: [
          ...part.reason,
          message('opening.nail-it-up-to-below-the', {
            height: lengthFigure(unit === 'in' ? 18 : 450, unit),
          }),
        ],
      };

/** A head waits for its measure, is cut rough, or comes from the figures. Source: openings, "Two gates". */
function gated(head: OpeningPart, opening: Opening, side: SideName, rules: HouseRules): OpeningPart {
  const measured = measuredOf(opening, side);
  if (measured !== undefined)
    return {
      ...head,
      near: measured - reaches(head),
      reason: [message('opening.as-measured-outside-to-outside-over')],
    };
  if (rules.headMode === 'measured')
    return {
      ...head,
      near: head.near + rules.heldAllowance,
      allowance: rules.heldAllowance,
      held: { until: 'measured', predicted: head.near, allowance: rules.heldAllowance },
      reason: [message('opening.held-until-the-legs-are-up'), ...head.reason.slice(1)],
    };
  if (rules.headMode === 'rough')
    return {
      ...head,
      near: head.near + rules.roughAllowance,
      allowance: rules.roughAllowance,
      reason: [message('opening.cut-rough-turn-it-over-on')],
    };
  return head;
}

/**
 * Everything that stands around one side of an opening.
 * @param rules of its room
 */
export function trimSide(job: JobFile, rules: HouseRules, opening: Opening, side: SideName): TrimmedSide {
  const dress = resolveTrimKit(job, rules, opening, side);
  const measures = measuresOf(opening, side);
  const casing = casingOn(measures, dress, feetOf(opening, dress, measures));
  const head = casing?.parts.find((part) => part.role === 'head');
  const parts = [
    ...jambStrips(opening, dress, measures),
    ...stoolAndApron(opening, dress, casing, rules),
    ...(casing?.parts ?? []).map((part) =>
      part === head
        ? dress.oneUnit
          ? { ...part, reason: [message('opening.joined-to-the-legs-on-the')] }
          : gated(part, opening, side, rules)
        : nailed(part, dress, job.unit),
    ),
  ];
  const measured = measuredOf(opening, side);
  const predicted = head && head.near + reaches(head);
  return {
    side,
    measures,
    dress,
    casing,
    parts,
    gate: predicted !== undefined && measured !== undefined ? { predicted, measured } : undefined,
  };
}
