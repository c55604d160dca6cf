import {
  formatMessage,
  type Figure,
  type MessageLanguage,
  type Reader,
  type Vocabulary,
  type Words,
} from '../messages/index.ts';
import { formatAngle, formatLength } from './format-length.ts';

/** A figure of a message as a crew reads it: `142 3/8 in`, `22.5°`. */
function writeFigure(figure: Figure): string {
  if (figure.kind === 'angle') return formatAngle(figure.value);
  const { value, unit, parts, bare } = figure;
  const written = formatLength(value, unit, { inchParts: parts });
  return bare ? written : `${written} ${unit}`;
}

/** Whoever reads messages: in a language, with the trade words of a job. */
export const readerOf = (
  vocabulary: Vocabulary | undefined,
  language: MessageLanguage = 'en-US',
): Reader => ({ language, vocabulary: vocabulary ?? 'us', figure: writeFigure });

/** What is said as a line of text, in American English: for files, logs and command lines. */
export const plainText = (words: Words, vocabulary?: Vocabulary): string =>
  formatMessage(words, readerOf(vocabulary));
