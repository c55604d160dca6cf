#!/usr/bin/env node
import { pathToFileURL } from 'node:url';
import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/install.mjs';

/** Runs a headless command (`plan`, `cut`) from the sources, installing and bundling what is missing first. */
ensurePackages();
await import(pathToFileURL(await bundle('packages/server/src/headless/main.ts', 'headless')).href);
