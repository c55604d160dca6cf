import { angleFigure, message, type Figure, type Words } from './message.ts';
import { wordOf } from './word.ts';

/** Why a way of cutting is closed on a saw. */
export interface WayLacks {
  readonly way: 'standing' | 'flat' | 'nested' | 'block';
  readonly lacks: 'height' | 'width' | 'drop' | 'miter' | 'bevel';
  /** What the cut needs and what the saw has: a length, or degrees with their side. */
  readonly needs: number;
  readonly has: number;
  readonly side?: 'left' | 'right';
}

const WAYS: Readonly<Record<WayLacks['way'], Words>> = {
  standing: message('lacks.standing'),
  flat: message('lacks.flat'),
  nested: message('lacks.nested'),
  block: message('lacks.against-a-block'),
};

/** Why a way is closed: "standing: it is 8 high, the fence takes 6 1/2". */
export function lackText(
  { way, lacks, needs, has, side }: WayLacks,
  length: (value: number) => Figure,
): Words {
  const to = message('lacks.to-the', { side: side ? wordOf(side) : message('lacks.side') });
  const what: Readonly<Record<WayLacks['lacks'], Words>> = {
    height: message('lacks.it-is-high-the-fence-takes', { needs: length(needs), has: length(has) }),
    width: message('lacks.it-is-wide-the-table-takes', { needs: length(needs), has: length(has) }),
    drop: message('lacks.it-is-up-the-fence-the', { needs: length(needs), has: length(has) }),
    miter: message('lacks.it-needs-the-handle-goes-to', {
      needs: angleFigure(needs),
      to,
      has: angleFigure(has),
    }),
    bevel:
      has === 0
        ? message('lacks.the-blade-does-not-lean', { to })
        : message('lacks.it-needs-a-lean-of-the', { needs: angleFigure(needs), to, has: angleFigure(has) }),
  };
  return message('lacks.joined', { way: WAYS[way], what: what[lacks] });
}
