import { useCallback } from 'react';
import type { JobRecord, StickPin, StockChoices } from '@long-miter/core';
import { useSettings } from '../setup/use-settings.ts';

/** What the lead decides about stock beside the job file: read from the job, saved with its settings. */
export function useChoices(job: JobRecord): {
  readonly choices: StockChoices;
  readonly pins: readonly StickPin[];
  readonly change: (part: StockChoices) => Promise<boolean>;
  readonly fault: string | undefined;
} {
  const { save, fault } = useSettings(job);
  const choices = job.settings.choices ?? {};
  const change = useCallback(
    (part: StockChoices) => save({ ...job.settings, choices: { ...job.settings.choices, ...part } }),
    [save, job.settings],
  );
  return { choices, pins: (choices.pins ?? []) as readonly StickPin[], change, fault };
}
