import { readFileSync } from 'node:fs';
import { readCutProblem, readJson } from '@long-miter/core';
import { firstFitCost } from '@long-miter/optimiser';

/** Prints what first-fit-decreasing alone comes to for a cutting problem: the yardstick of `npm run bench`. */
const json = readJson(readFileSync(process.argv[2]!, 'utf8'));
const read = json.ok ? readCutProblem(json.value) : json;
process.stdout.write(read.ok ? String(firstFitCost(read.value.problem) ?? '') : '');
