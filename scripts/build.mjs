import { buildWeb } from './lib/build-web.mjs';

/** `npm run build`: builds the page for a server that runs already; `npm start` does it by itself. */
await buildWeb();
