import { t } from '../../messages/t.ts';
/** The job's home, beside its stages. */
export const HOME = 'rooms';

/** Doors and windows of the whole job: a part of the walk. */
export const OPENINGS = 'openings';

/** Sheets and labels of what was given to the saw. */
export const PAPER = 'paper';

/** What is taken along: lists, pictures, paper. */
export const FILES = 'files';

/** The stages of a job, in the order the work is done. */
export const STAGES = [
  { key: 'walk', label: t('Walk') },
  { key: 'joints', label: t('Joints') },
  { key: 'stock', label: t('Stock') },
  { key: 'saw', label: t('Saw') },
  { key: 'hang', label: t('Hang') },
] as const;

export type Stage =
  (typeof STAGES)[number]['key'] | typeof HOME | typeof OPENINGS | typeof PAPER | typeof FILES;
