import type { JobFile } from '../../job/index.ts';
import { warningText, type WarningCode, type WarningData } from '../../messages/index.ts';
import type { Warning } from '../result/plan-file.ts';

/** Where a watch-out belongs. */
type WarningPlaces = Pick<Warning, 'room' | 'wall' | 'corner' | 'opening' | 'openings' | 'piece' | 'pieces'>;

export type MakeWarning = <Code extends WarningCode>(
  code: Code,
  data: WarningData[Code],
  places?: WarningPlaces,
) => Warning;

/** Makes the watch-outs of a job: code, figures and places, with the sentence in its unit and words. */
export const warningFactory =
  ({ unit }: Pick<JobFile, 'unit'>): MakeWarning =>
  (code, data, places = {}) => ({
    code,
    data: data,
    ...places,
    text: warningText(code, data, unit),
  });
