import { FIRST_LAYERS } from '../layers/first.ts';
import { FIRST_AMERICAN } from './first-american.ts';
import type { Texts } from './texts.ts';

/** What a page has before it has asked for the rest. */
export const FIRST_TEXTS: Texts = { american: FIRST_AMERICAN, layers: FIRST_LAYERS };

export default FIRST_TEXTS;
