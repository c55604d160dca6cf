import { formatAngle } from '../measure/index.ts';

/** Why a way of cutting is closed on a saw. */
export interface WayLacks {
  readonly way: 'standing' | 'flat' | 'nested' | 'block';
  readonly lacks: 'height' | 'width' | 'drop' | 'miter' | 'bevel';
  /** What the cut needs and what the saw has: a length, or degrees with their side. */
  readonly needs: number;
  readonly has: number;
  readonly side?: 'left' | 'right';
}

const WAYS: Readonly<Record<WayLacks['way'], string>> = {
  standing: 'standing',
  flat: 'flat',
  nested: 'nested',
  block: 'against a block',
};

/** Why a way is closed: "standing: it is 8 high, the fence takes 6 1/2". */
export function lackText(
  { way, lacks, needs, has, side }: WayLacks,
  length: (value: number) => string,
): string {
  const to = `to the ${side ?? 'side'}`;
  const what: Readonly<Record<WayLacks['lacks'], string>> = {
    height: `it is ${length(needs)} high, the fence takes ${length(has)}`,
    width: `it is ${length(needs)} wide, the table takes ${length(has)}`,
    drop: `it is ${length(needs)} up the fence, the saw nests ${length(has)}`,
    miter: `it needs ${formatAngle(needs)} ${to}, the handle goes to ${formatAngle(has)}`,
    bevel:
      has === 0
        ? `the blade does not lean ${to}`
        : `it needs a lean of ${formatAngle(needs)} ${to}, the blade goes to ${formatAngle(has)}`,
  };
  return `${WAYS[way]}: ${what[lacks]}`;
}
