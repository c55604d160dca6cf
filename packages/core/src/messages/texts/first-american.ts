import { faultTexts } from '../en-us/fault.ts';
import { figureTexts } from '../en-us/figure.ts';
import { keyTexts } from '../en-us/key.ts';
import { listTexts } from '../en-us/list.ts';
import { rightsTexts } from '../en-us/rights.ts';
import { serverTexts } from '../en-us/server.ts';
import { statusTexts } from '../en-us/status.ts';
import { wordTexts } from '../en-us/word.ts';

/** Texts that any screen may have to say, the first one included: faults, answers of the server, figures. */
export const FIRST_AMERICAN = {
  ...faultTexts,
  ...figureTexts,
  ...keyTexts,
  ...listTexts,
  ...rightsTexts,
  ...serverTexts,
  ...statusTexts,
  ...wordTexts,
} as const;
