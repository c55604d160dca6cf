import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's own folder, whatever the folder the command was called from. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
/** Everything built or installed on the way; outside git. */
export const cache = join(root, '.cache');
