import type { keyTexts } from './en-us/words/key.ts';
import { message, type Message } from './message.ts';

type KeyOf<Code> = Code extends `key.${infer Key}` ? Key : never;
/** A key of the job file that is said: a joint, what a trim is for, a material, a finish, a point of a wall, who somebody is. */
type SaidKey = KeyOf<keyof typeof keyTexts>;

/**
 * What a key of the job file is called.
 * @example keyWord('chair-rail') // read as "chair rail"
 */
export const keyWord = (key: SaidKey): Message => message(`key.${key}`);
