import { formatAll, type InText } from '../../src/messages/index.ts';
import { readerOf } from '../../src/measure/index.ts';

/** A value with every message in it as an American crew reads it. */
export const inWords = <T>(value: T): InText<T> => formatAll(value, readerOf('us'));
