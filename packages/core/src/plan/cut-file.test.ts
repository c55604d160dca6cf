import { plainText } from '../measure/index.ts';
import { expect, test } from '@jest/globals';
import { optimise } from '@long-miter/optimiser';
import { cutFileIssues, readCutProblem } from './cut-file.ts';

const base = {
  format: 'longmiter-cut-problem',
  version: 1,
  name: 'x',
  unit: 'mm',
  profile: { thickness: 10 },
  kerf: 3,
  endTrim: 2,
  stock: [{ id: 's', length: 1000, price: 10, count: 1 }],
};
const options = { seconds: 1, clock: () => performance.now() / 1000 };

/** What is said of a problem that has no plan. */
function textsOf(change: object): string[] {
  const read = readCutProblem({ ...base, ...change });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const { problem } = read.value;
  const solved = optimise(problem, undefined, options);
  return solved.ok
    ? []
    : cutFileIssues(problem, solved.issues, undefined, options).map((one) => plainText(one.text));
}

test('faults of the file are named by their place', () => {
  const read = readCutProblem({ ...base, kerf: 1.5, pieces: [{ id: 'a', length: 0, left: 95, right: 0 }] });
  expect(!read.ok && read.issues.map((issue) => issue.at)).toEqual([
    '/kerf',
    '/pieces/0/length',
    '/pieces/0/left',
  ]);
});

test('what has no plan says what would make one', () => {
  expect(textsOf({ pieces: [{ id: 'a', length: 997, left: 0, right: 0 }] })).toEqual([
    '"a" needs a stick of 1001 and the longest is 1000: add a longer stick or allow a splice',
  ]);
  expect(textsOf({ pieces: [{ id: 'a', length: 600, left: 0, right: 0, qty: 2 }] })).toEqual([
    'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices; 1 more of "s" would do, for "a"',
  ]);
  const splice = { angle: 45, positions: [300], max: 1 };
  expect(textsOf({ pieces: [], walls: [{ id: 'w', length: 1800, left: 0, right: 0, splice }] })).toEqual([
    '"w" cannot be divided so that every piece fits a stick (longest 1000): add a longer stick or more splice positions',
  ]);
});

test('names that are taken, unknown or named twice are faults with their place', () => {
  const square = (id: string, length: number) => ({ id, length, left: 0, right: 0 });
  const placesOf = (change: object): unknown => {
    const read = readCutProblem({ ...base, ...change });
    return !read.ok && read.issues.map((one) => one.at);
  };
  const opened = [{ stick: 's', from: 0, remains: 10, endAngle: 0 }];
  expect(placesOf({ pieces: [square('a', 10)], opened })).toEqual(['/opened/0/stick']);
  expect(placesOf({ pieces: [square('a', 600)], trips: { order: [['a', 'x'], ['a']] } })).toEqual([
    '/trips/order/0/1',
    '/trips/order/1/0',
  ]);
});
