import type { RackEntry } from './jobs.ts';
import type { Offcut } from './stock.ts';
import { formatWithUnit } from '../measure/index.ts';
import type { PlannedStick } from '../plan/index.ts';

/**
 * What to fetch from the rack for a stick: its label, which stretch of it, and where it lies now. Someone with a pencil finds
 * the piece and the part of it by this alone.
 * @param rack    what the job has taken
 * @param offcuts the rack as it is; a piece that is not on it any more goes by its label
 */
export function rackWords(
  stick: Pick<PlannedStick, 'item' | 'label'>,
  rack: readonly RackEntry[],
  offcuts: readonly Pick<Offcut, 'id' | 'length' | 'place' | 'trim' | 'damages'>[],
): string {
  const entry = rack.find((one) => one.id === stick.item);
  const offcut = offcuts.find((one) => one.id === entry?.offcut);
  const name = stick.label ?? entry?.label ?? 'a piece of the rack';
  if (!offcut || entry?.from === undefined || entry.to === undefined) return name;
  const { unit } = offcut.trim;
  const part = entry.from > 0 || entry.to < offcut.length;
  return [
    name,
    part
      ? `the stretch from ${formatWithUnit(entry.from, unit)} to ${formatWithUnit(entry.to, unit)} of it`
      : undefined,
    offcut.place === '' ? undefined : `lies: ${offcut.place}`,
  ]
    .filter((one) => one !== undefined)
    .join(', ');
}
