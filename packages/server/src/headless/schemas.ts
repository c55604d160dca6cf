import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { cutProblemSchema, jobFileSchema } from '@long-miter/core';

/** The published JSON Schemas of the open formats, by file name in docs/schema. */
export const publishedSchemas = (): Record<string, string> => ({
  'job-file.schema.json': text(jobFileSchema, 'Long Miter job file, version 2'),
  'cut-problem.schema.json': text(cutProblemSchema, 'Long Miter cutting problem, version 1'),
});

const text = (schema: z.ZodType, title: string): string =>
  `${JSON.stringify({ title, ...z.toJSONSchema(schema, { target: 'draft-2020-12' }) }, null, 2)}\n`;

/** Writes them anew; a test fails when the ones in docs are not current. */
export function writeSchemas(): void {
  for (const [file, content] of Object.entries(publishedSchemas()))
    writeFileSync(`docs/schema/${file}`, content);
}
