import type { Vocabulary } from '@long-miter/core';
import { language } from './language.ts';

/** The trade's words of now: those of the job that is open, else those that go with the language. */

/** The words that go with the language; a new job starts with them. */
export const OWN: Vocabulary = language === 'en-GB' ? 'uk' : 'us';
let now: Vocabulary = OWN;

export const vocabularyNow = (): Vocabulary => now;

/** Texts said from now on take these words; undefined for those that go with the language. */
export function setVocabulary(vocabulary: Vocabulary | undefined): void {
  now = vocabulary ?? OWN;
}
