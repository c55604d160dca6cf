import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { root } from './paths.mjs';

/** What builds are told apart by: the content they are made of. File times say nothing after a checkout, a copy, a clock set back. */

const LEFT_OUT = new Set(['node_modules', 'dist', 'test']);

function* filesOf(path) {
  if (!statSync(path).isDirectory()) return yield path;
  for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1)))
    if (!LEFT_OUT.has(entry.name) && !entry.name.endsWith('.tsbuildinfo'))
      yield* filesOf(join(path, entry.name));
}

/** A name for the content of files and folders, given from the project's folder. */
export function contentOf(...paths) {
  const hash = createHash('sha256');
  for (const path of paths)
    for (const file of filesOf(join(root, path)))
      hash
        .update(`${relative(root, file)}\0`)
        .update(readFileSync(file))
        .update('\0');
  return hash.digest('hex').slice(0, 16);
}

/** Removes what earlier content was built to, but for the newest few: another command may be running from one. */
export function keepNewest(folder, matches, keep = 3) {
  const made = readdirSync(folder)
    .filter(matches)
    .map((name) => ({ path: join(folder, name), at: statSync(join(folder, name)).mtimeMs }))
    .sort((a, b) => b.at - a.at);
  for (const { path } of made.slice(keep)) rmSync(path, { recursive: true, force: true });
}
