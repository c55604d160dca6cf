import { isCode, message, type Message, type MessageCode, type Words } from './message.ts';

/**
 * A message within a text. A schema carries a text with each of its faults and nothing else: the message goes with it as
 * one, and is a message again where the faults are read (`job/faults.ts`).
 * @example faultText('word.left') // '{"code":"word.left","data":{}}'
 */
export const packed = (message: Message): string => JSON.stringify(message);

/** A message for a schema's fault, by its code and what is filled in. @example faultText('word.left') // '{"code":"word.left","data":{}}' */
export const faultText = <Code extends MessageCode>(...said: Parameters<typeof message<Code>>): string =>
  packed(message(...said));

/**
 * What such a text holds; any other text as it is.
 * @example unpacked('must be a day') // 'must be a day'
 */
export function unpacked(text: string): Words {
  if (!text.startsWith('{"code":')) return text;
  const { code, data } = JSON.parse(text) as Message;
  return isCode(code) ? { code, data } : text;
}
