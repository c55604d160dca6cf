import { addTexts } from '@long-miter/core';

/**
 * Fetches the core's texts that the first page does without, once. Without them a screen would say codes: where they cannot be
 * had the screen cannot either.
 */
export const loadTexts = async (): Promise<void> =>
  addTexts((await import('@long-miter/core/texts')).REST_TEXTS);
