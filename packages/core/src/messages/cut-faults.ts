import type { CutFault, Shortage } from '@long-miter/optimiser';
import { listOf, message, type Words } from './message.ts';

/** Why a cutting problem has no plan, for callers that know no rooms; lengths in cutting units. */
export function cutFaultText(fault: CutFault): Words {
  switch (fault.code) {
    case 'cut/too-long': {
      const { id, part, needs, longest } = fault.data;
      return part === 'blank'
        ? message('cut.needs-a-stick-of-and-the', { id, needs, longest })
        : message('cut.cannot-be-divided-so-that-every', { id, longest });
    }
    case 'cut/not-enough':
      return message('cut.the-limited-stock-does-not-suffice');
    case 'cut/not-found-yet':
      return message('cut.no-plan-was-found-in-this');
    case 'cut/fixed':
      return fault.data.why === 'none-left'
        ? message('cut.there-is-no-stick-left-to', { stick: fault.data.stick })
        : message('cut.the-pinned-stick-does-not-hold', { stick: fault.data.stick });
  }
}

/** Further sticks that would make limited stock do. */
export function shortageText(shortages: readonly Shortage[]): Words {
  if (shortages.length === 0) return '';
  const sticks = listOf(
    shortages.map(({ stick, count }) => message('cut.more-of', { count, stick })),
    ' and ',
  );
  const parts = [...new Set(shortages.flatMap((one) => one.parts.map((part) => part.id)))];
  return message('cut.would-do-for', {
    sticks,
    part: listOf(
      parts.map((id) => `"${id}"`),
      ', ',
    ),
  });
}
