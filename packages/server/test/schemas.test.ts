import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { publishedSchemas } from '../src/headless/schemas.ts';

test.each(Object.entries(publishedSchemas()))(
  'docs/schema/%s is current (npm run schemas writes it)',
  (file, content) => expect(readFileSync(`docs/schema/${file}`, 'utf8')).toBe(content),
);
