import { FIRST_TEXTS } from './first.ts';
import { REST_TEXTS } from './rest.ts';
import type { Texts } from './texts.ts';

const layer = (name: string): Readonly<Record<string, string>> => ({
  ...FIRST_TEXTS.layers[name],
  ...REST_TEXTS.layers[name],
});

/** Every text, for the server, the command line and the tests. */
const ALL_TEXTS: Texts = {
  american: { ...FIRST_TEXTS.american, ...REST_TEXTS.american },
  layers: Object.fromEntries(
    [...new Set([...Object.keys(FIRST_TEXTS.layers), ...Object.keys(REST_TEXTS.layers)])].map((name) => [
      name,
      layer(name),
    ]),
  ),
};

export default ALL_TEXTS;
