import { message, lengthFigure, type Words } from '../messages/index.ts';
import { listOf } from '../messages/index.ts';
import type { RackEntry } from './jobs.ts';
import type { Offcut } from './stock.ts';

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
): Words {
  const entry = rack.find((one) => one.id === stick.item);
  const offcut = offcuts.find((one) => one.id === entry?.offcut);
  const name = stick.label ?? entry?.label ?? message('rack.a-piece-of-the-rack');
  if (!offcut || entry?.from === undefined || entry.to === undefined) return name;
  const { unit } = offcut.trim;
  const part = entry.from > 0 || entry.to < offcut.length;
  const words = [
    name,
    part
      ? message('rack.the-stretch-from-to-of-it', {
          from: lengthFigure(entry.from, unit),
          to: lengthFigure(entry.to, unit),
        })
      : undefined,
    offcut.place === '' ? undefined : message('rack.lies', { place: offcut.place }),
  ].filter((one) => one !== undefined);
  return listOf(words, ', ');
}
