import { message, type Words } from './message.ts';

/** Words that are data too: sides, edges. */
const WORDS: Readonly<Record<string, Words>> = {
  left: message('word.left'),
  right: message('word.right'),
  inner: message('word.inner'),
  outer: message('word.outer'),
  low: message('word.low'),
  high: message('word.high'),
  top: message('word.top'),
  bottom: message('word.bottom'),
  above: message('word.above'),
  below: message('word.below'),
  inside: message('word.inside'),
  outside: message('word.outside'),
};

/**
 * A side or an edge as one says it; anything else is somebody's own word and stays.
 * @example wordOf('left') // message('word.left')
 */
export const wordOf = (value: string | undefined): Words =>
  value === undefined ? '' : (WORDS[value] ?? value);
