import { useLocalStorage } from '@mantine/hooks';
import type { Survey } from '@long-miter/core';

/** What a guided step is about, in the order in which a room is walked. */
export type FirstStep = 'first-wall' | 'corner' | 'round' | 'openings' | 'list';

/** What there is to do next in a room that is walked for the first time; it follows from what is recorded, not from what was clicked. */
export function firstStep(survey: Survey, noOpenings: boolean): FirstStep {
  const { walls, closed } = survey;
  if (walls.length === 0) return 'first-wall';
  const turned = walls.some((wall) => wall.corner && wall.corner.reading.as !== 'assumed');
  if (walls.length === 1 && !turned) return 'corner';
  if (walls.length < (closed ? 3 : 2)) return 'round';
  const opened = walls.some((wall) => (wall.openings?.length ?? 0) > 0);
  return opened || noOpenings ? 'list' : 'openings';
}

const LEFT = 'left';

/**
 * Whether this browser is being led through a room: from the first empty room it opens until that is left or done, and
 * again on demand.
 */
export function useFirstWalk(roomId: string): {
  readonly led: boolean;
  /** Nobody has been led here yet. */
  readonly fresh: boolean;
  readonly begin: () => void;
  readonly leave: () => void;
} {
  const [state, setState] = useLocalStorage<string>({
    key: 'long-miter-first-walk',
    defaultValue: '',
    getInitialValueInEffect: false,
  });
  return {
    led: state === roomId,
    fresh: state === '',
    begin: () => setState(roomId),
    leave: () => setState(LEFT),
  };
}
