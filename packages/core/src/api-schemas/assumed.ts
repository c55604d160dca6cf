import type { Unit } from '../measure/index.ts';
import type { JobSettings } from './jobs.ts';
import { starterSettings } from './starter.ts';

/** What a new job was given so that it can be planned at once, and nobody has changed or confirmed since. */
interface Assumed {
  /** Names of the trims, as they are called in the job. */
  readonly trims: readonly string[];
  /** Lines for sale whose length and price are ours. */
  readonly stock: number;
  /** All lines for sale of the job. */
  readonly lines: number;
}

/**
 * What of a job is still the starting set: shown where it first counts, until it is changed or said to be right.
 * @returns nothing where all of it has been changed or confirmed
 */
export function assumedOf(job: { readonly unit: Unit; readonly settings: JobSettings }): Assumed | undefined {
  const { profiles, stock, choices } = job.settings;
  if (choices.stockSeen) return undefined;
  const starter = starterSettings(job.unit);
  const ours = stock.filter((line) =>
    starter.stock.some(
      (one) =>
        one.id === line.id &&
        one.profile === line.profile &&
        one.length === line.length &&
        one.price === line.price,
    ),
  );
  if (ours.length === 0) return undefined;
  const trims = profiles.filter((profile) =>
    starter.profiles.some(
      (one) =>
        one.id === profile.id &&
        one.name === profile.name &&
        one.width === profile.width &&
        one.thickness === profile.thickness,
    ),
  );
  return { trims: trims.map((one) => one.name), stock: ours.length, lines: stock.length };
}
