import { useMemo, useRef } from 'react';
import { planQuickly, type JobFile, type QuickPlan, type Room } from '@long-miter/core';
import type { Listed } from './openings-of.ts';

interface Held {
  readonly room: Room;
  readonly names: string;
  readonly rest: unknown;
  readonly plan: QuickPlan;
}

/** Pieces and watch-outs of every room; a room that did not change is not planned again while one types in another. */
export function useRoomPlans(file: JobFile, listed: readonly Listed[]): ReadonlyMap<string, QuickPlan> {
  const held = useRef(new Map<string, Held>());
  return useMemo(() => {
    const next = new Map<string, Held>();
    // Names go round the whole job: a room by itself is given those that its openings have there.
    const namesOf = new Map<string, Map<string, string>>();
    for (const { room, wall, opening, name } of listed) {
      const own = namesOf.get(room.id) ?? new Map<string, string>();
      own.set(JSON.stringify([wall.id, opening.id]), name);
      namesOf.set(room.id, own);
    }
    const { profiles, houseRules, saws, saw, unit, vocabulary } = file;
    const rest = JSON.stringify([profiles, houseRules, saws, saw, unit, vocabulary]);
    file.rooms.forEach((room, index) => {
      const own = namesOf.get(room.id) ?? new Map<string, string>();
      const names = [...own.values()].join(' ');
      const before = held.current.get(room.id);
      if (before && before.room === room && before.names === names && before.rest === rest)
        return void next.set(room.id, before);
      const named: Room = {
        ...room,
        walls: room.walls.map((wall) => ({
          ...wall,
          ...(wall.openings
            ? {
                openings: wall.openings.map((one) => ({
                  ...one,
                  name: own.get(JSON.stringify([wall.id, one.id])) ?? one.name ?? one.id,
                })),
              }
            : {}),
        })),
      };
      next.set(room.id, { room, names, rest, plan: planQuickly({ ...file, rooms: [named] }, index + 1) });
    });
    held.current = next;
    return new Map([...next].map(([id, one]) => [id, one.plan]));
  }, [file, listed]);
}
