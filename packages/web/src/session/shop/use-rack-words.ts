import { translate } from '../../messages/t.ts';
import { useCallback } from 'react';
import { rackWords, type JobRecord, type PlanFile, type PlannedStick } from '@long-miter/core';
import { useRackQuery } from '../../api/api.ts';

const NONE: never[] = [];

/** What to fetch from the rack for a stick: label, stretch and the place where it lies today. */
export function useRackWords(job: JobRecord, plan: PlanFile | undefined): (stick: PlannedStick) => string {
  const wanted = plan?.sticks.some((stick) => stick.source === 'rack') ?? false;
  const { data: offcuts = NONE } = useRackQuery(undefined, { skip: !wanted });
  const { rack } = job.settings;
  return useCallback((stick) => translate(rackWords(stick, rack, offcuts)), [rack, offcuts]);
}
