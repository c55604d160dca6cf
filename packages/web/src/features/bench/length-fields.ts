import type { Sheet } from '@long-miter/core';
import type { LengthFields } from '../../session/slices/bench-slice.ts';

/** Which fields of each sheet take a length, or a place along one. */
export const lengthFieldsOf = (sheets: readonly Sheet[]): LengthFields =>
  Object.fromEntries(
    sheets.map(({ key, fields }) => [
      key,
      fields.filter(({ kind }) => kind === 'length' || kind === 'position').map((field) => field.key),
    ]),
  );
