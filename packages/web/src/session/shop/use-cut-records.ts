import { useMemo } from 'react';
import { foldLog, shopRecordsOf, type JobFile, type KeptCut } from '@long-miter/core';
import { useCutSticksQuery, useShopLogQuery } from '../../api/api.ts';

const NONE: readonly KeptCut[] = [];

/** Every stick of a job that has been cut or opened: those noted by hand, and those of the shop log. */
export function useCutRecords(job: string, file: JobFile): readonly KeptCut[] {
  const { data: noted = NONE } = useCutSticksQuery(job);
  const { data: log } = useShopLogQuery(job);
  return useMemo(() => {
    if (!log || log.issues.length === 0) return noted;
    const opened = shopRecordsOf(foldLog({ job: file, ...log })).map((one) => ({ ...one, left: undefined }));
    return opened.length === 0 ? noted : [...noted, ...opened];
  }, [noted, log, file]);
}
