import { TEXTS as FIRST } from './first.ts';
import { TEXTS as REST } from './rest.ts';
import type { Texts } from './texts.ts';

const layer = (name: string): Readonly<Record<string, string>> => ({
  ...FIRST.layers[name],
  ...REST.layers[name],
});

/** Every text, for the server, the command line and the tests. */
export const TEXTS: Texts = {
  american: { ...FIRST.american, ...REST.american },
  layers: Object.fromEntries(
    [...new Set([...Object.keys(FIRST.layers), ...Object.keys(REST.layers)])].map((name) => [
      name,
      layer(name),
    ]),
  ),
};
