import { useEffect, useState } from 'react';
import { jobFileOf, planQuickly, roomOf, type JobRecord } from '@long-miter/core';

/** Rooms planned between two frames, so that a list of many rooms stays quick to use. */
const AT_ONCE = 4;

/** How many pieces each room comes to, by room; filled in while the page is idle. */
export function usePieceCounts(job: JobRecord): ReadonlyMap<string, number> {
  const [counts, setCounts] = useState<ReadonlyMap<string, number>>(new Map());
  const { rooms, settings, unit, name, coin, vocabulary } = job;
  useEffect(() => {
    const found = new Map<string, number>();
    const left = [...rooms];
    let timer: ReturnType<typeof setTimeout>;
    const go = (): void => {
      for (const record of left.splice(0, AT_ONCE)) {
        const room = roomOf(record);
        if (room)
          found.set(
            record.id,
            planQuickly(
              { ...jobFileOf({ name, unit, coin, vocabulary, settings, rooms: [] }), rooms: [room] },
              1,
            ).pieces.length,
          );
      }
      setCounts(new Map(found));
      if (left.length > 0) timer = setTimeout(go, 20);
    };
    timer = setTimeout(go, 60);
    return () => clearTimeout(timer);
  }, [rooms, settings, unit, name, coin, vocabulary]);
  return counts;
}
