export * from './message.ts';
export {
  addTexts,
  formatAll,
  formatMessage,
  inPseudo,
  type InText,
  type MessageLanguage,
  type Reader,
} from './format.ts';
export * from './terms.ts';
export * from './packed.ts';
export * from './word.ts';
export * from './key-word.ts';
export { warningText } from './warnings.ts';
export type { Clearance, Remedy, WarningCode, WarningData } from './warning-data.ts';
export * from './warning-advice.ts';
export * from './lacks.ts';
export * from './part-words.ts';
export * from './cut-faults.ts';
