import { pathToFileURL } from 'node:url';
import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/install.mjs';

/** `npm run schemas` writes the published schemas and the description of the API anew. */
ensurePackages();
const { writeSchemas } = await import(
  pathToFileURL(await bundle('packages/server/src/headless/schemas.ts', 'schemas')).href
);
writeSchemas();
