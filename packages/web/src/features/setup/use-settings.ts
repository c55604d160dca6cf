import { useCallback, useState } from 'react';
import {
  checkJob,
  checkShape,
  jobFileOf,
  settingsSchema,
  type JobRecord,
  type JobSettings,
} from '@long-miter/core';
import { errorOf, usePatchJobMutation } from '../../api/api.ts';

/** Saving a job's settings: checked here first, with the server's word for the rest. */
export function useSettings(job: JobRecord): {
  /** True when the server has taken it. */
  save: (settings: JobSettings) => Promise<boolean>;
  fault: string | undefined;
} {
  const [patch] = usePatchJobMutation();
  const [fault, setFault] = useState<string>();
  const save = useCallback(
    async (settings: JobSettings) => {
      if (JSON.stringify(settings) === JSON.stringify(job.settings)) return true;
      const shaped = checkShape(settingsSchema, settings);
      const issue = shaped.ok ? checkJob(jobFileOf({ ...job, settings }))[0] : shaped.issues[0];
      if (issue) {
        setFault(`${issue.at}: ${issue.text}`);
        return false;
      }
      setFault(undefined);
      const answer = await patch({ id: job.id, version: job.version, settings });
      if (!('error' in answer)) return true;
      const error = errorOf(answer.error);
      setFault(error.issues[0]?.text ?? error.detail);
      return false;
    },
    [job, patch],
  );
  return { save, fault };
}
