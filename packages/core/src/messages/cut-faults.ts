import type { CutFault, Shortage } from '@long-miter/optimiser';

/** Why a cutting problem has no plan, for callers that know no rooms; lengths in cutting units. */
export function cutFaultText(fault: CutFault): string {
  switch (fault.code) {
    case 'cut/too-long': {
      const { id, part, needs, longest } = fault.data;
      return part === 'blank'
        ? `"${id}" needs a stick of ${needs} and the longest is ${longest}: add a longer stick or allow a splice`
        : `"${id}" cannot be divided so that every piece fits a stick (longest ${longest}): add a longer stick or more splice positions`;
    }
    case 'cut/not-enough':
      return 'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices';
    case 'cut/not-found-yet':
      return 'no plan was found in this time; there may be one: give it longer, raise a count or allow splices';
    case 'cut/fixed':
      return fault.data.why === 'none-left'
        ? `there is no stick "${fault.data.stick}" left to pin: release it`
        : `the pinned stick "${fault.data.stick}" does not hold its pieces: release it`;
  }
}

/** Further sticks that would make limited stock do. */
export function shortageText(shortages: readonly Shortage[]): string {
  if (shortages.length === 0) return '';
  const sticks = shortages.map(({ stick, count }) => `${count} more of "${stick}"`).join(' and ');
  const parts = [...new Set(shortages.flatMap((one) => one.parts.map((part) => part.id)))];
  return `; ${sticks} would do, for ${parts.map((id) => `"${id}"`).join(', ')}`;
}
