import { adviceTexts } from './en-us/advice.ts';
import { cutTexts } from './en-us/cut.ts';
import { lacksTexts } from './en-us/lacks.ts';
import { listTexts } from './en-us/list.ts';
import { partTexts } from './en-us/part.ts';
import { purchaseTexts } from './en-us/purchase.ts';
import { refusalTexts } from './en-us/refusal.ts';
import { warningTexts } from './en-us/warning.ts';
import { wordTexts } from './en-us/word.ts';

/** Every text of the core: its code, and how it reads in American English. The other languages are layers on it. */
export const CATALOGUE = {
  ...adviceTexts,
  ...cutTexts,
  ...lacksTexts,
  ...listTexts,
  ...partTexts,
  ...purchaseTexts,
  ...refusalTexts,
  ...warningTexts,
  ...wordTexts,
} as const;
