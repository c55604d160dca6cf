import { faultTexts } from '../en-us/answers/fault.ts';
import { figureTexts } from '../en-us/survey/figure.ts';
import { keyTexts } from '../en-us/words/key.ts';
import { listTexts } from '../en-us/words/list.ts';
import { rightsTexts } from '../en-us/answers/rights.ts';
import { serverTexts } from '../en-us/answers/server.ts';
import { statusTexts } from '../en-us/survey/status.ts';
import { wordTexts } from '../en-us/words/word.ts';

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
