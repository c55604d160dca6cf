import { REST_LAYERS } from '../layers/rest.ts';
import { REST_AMERICAN } from './rest-american.ts';
import type { Texts } from './texts.ts';

/** What a page takes in with the first screen that is not the list of jobs. */
export const REST_TEXTS: Texts = { american: REST_AMERICAN, layers: REST_LAYERS };
