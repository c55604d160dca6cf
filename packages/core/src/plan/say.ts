import type { JobFile } from '../job/index.ts';
import { watchOutText, type WatchOutCode, type WatchOutData } from '../words/index.ts';
import type { WatchOut } from './plan-file.ts';

/** Where a watch-out belongs. */
export type Places = Pick<WatchOut, 'room' | 'wall' | 'corner' | 'opening' | 'openings' | 'piece' | 'pieces'>;

export type Watch = <Code extends WatchOutCode>(
  code: Code,
  data: WatchOutData[Code],
  places?: Places,
) => WatchOut;

/** Makes the watch-outs of a job: code, figures and places, with the sentence in its unit and words. */
export const watcher =
  ({ unit, vocabulary }: Pick<JobFile, 'unit' | 'vocabulary'>): Watch =>
  (code, data, places = {}) => ({
    code,
    data: data,
    ...places,
    text: watchOutText(code, data, unit, vocabulary),
  });
