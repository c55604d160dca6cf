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
  save: (settings: JobSettings) => void;
  fault: string | undefined;
} {
  const [patch] = usePatchJobMutation();
  const [fault, setFault] = useState<string>();
  const save = useCallback(
    (settings: JobSettings) => {
      if (JSON.stringify(settings) === JSON.stringify(job.settings)) return;
      const shaped = checkShape(settingsSchema, settings);
      const issue = shaped.ok ? checkJob(jobFileOf({ ...job, settings }))[0] : shaped.issues[0];
      if (issue) return setFault(`${issue.at}: ${issue.text}`);
      setFault(undefined);
      void patch({ id: job.id, version: job.version, settings }).then((answer) => {
        if ('error' in answer) {
          const error = errorOf(answer.error);
          setFault(error.issues[0]?.text ?? error.detail);
        }
      });
    },
    [job, patch],
  );
  return { save, fault };
}
