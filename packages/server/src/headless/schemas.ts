import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { cutProblemSchema, jobFileSchema, logFileSchema } from '@long-miter/core';
import { openApi } from '../openapi.ts';

/** The published JSON Schemas of the open formats, by file name in docs/schema. */
export const publishedSchemas = (): Record<string, string> => ({
  'job-file.schema.json': text(jobFileSchema, 'Long Miter job file, version 2'),
  'shop-log.schema.json': text(logFileSchema, 'Long Miter shop log, version 1'),
  'cut-problem.schema.json': text(cutProblemSchema, 'Long Miter cutting problem, version 1'),
  'openapi.json': `${JSON.stringify(openApi(), null, 1)}\n`,
});

const text = (schema: z.ZodType, title: string): string =>
  `${JSON.stringify({ title, ...z.toJSONSchema(schema, { target: 'draft-2020-12' }) }, null, 2)}\n`;

/** Writes them anew; a test fails when the ones in docs are not current. */
export function writeSchemas(): void {
  for (const [file, content] of Object.entries(publishedSchemas()))
    writeFileSync(`docs/schema/${file}`, content);
}
