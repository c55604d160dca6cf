import type { FIRST_AMERICAN } from './texts/first-american.ts';
import type { REST_AMERICAN } from './texts/rest-american.ts';

/** Every text of the core: its code, and how it reads in American English. The other languages are layers on it. */
export type Catalogue = typeof FIRST_AMERICAN & typeof REST_AMERICAN;
