import { unpacked } from '../messages/index.ts';
import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import { openingJob, WINDOW } from '../../test/helpers/openings.ts';
import { kitPicture } from '../documents/index.ts';
import { completeHouseRules, type Opening, type Profile } from '../job/index.ts';
import { partsOf } from '../geometry/index.ts';
import { libraryKitOf, libraryKitSchema, takeKit } from './kits.ts';

const job = openingJob({ openings: [] });
const [casing] = job.profiles.filter((one) => one.use === 'casing');
const stool: Profile = { ...casing!, id: 'stool1', name: 'Deep stool', use: 'stool', width: 6, thickness: 1 };
const plinth: Profile = { ...casing!, id: 'p1', name: 'Plinth', use: 'other', width: 3, thickness: 1 };
const profiles = [...job.profiles, stool, plinth];
const rules = completeHouseRules({ kit: { window: { corners: 'butt', overhang: 0.5 } } }, 'in');
const window: Opening = {
  ...WINDOW,
  casing: casing!.id,
  stool: 'stool1',
  kit: { ripLeft: 2 },
  apron: undefined,
};

test('a kit holds what the opening chose and what the rule gives it, with the profiles of its parts and nothing of its wall', () => {
  const kit = libraryKitOf({ unit: 'in', settings: { profiles } }, rules, window, 'this', {
    id: 'k1',
    name: 'Deep',
  });
  expect(kit).toEqual({
    id: 'k1',
    name: 'Deep',
    unit: 'in',
    kind: 'window',
    kit: { corners: 'butt', overhang: 0.5 },
    casing: casing!.id,
    stool: 'stool1',
    parts: [casing, stool],
  });
  expect(libraryKitSchema.parse(kit)).toEqual(kit);
  // From the other side there is no stool: it belongs to the room that the opening is recorded in.
  const beyond = libraryKitOf({ unit: 'in', settings: { profiles } }, rules, window, 'other', {
    id: 'k2',
    name: 'x',
  });
  expect([beyond.stool, beyond.casing, beyond.parts]).toEqual([undefined, undefined, []]);
});

test('taken, it uses what the job has of the same name and use, and adds the rest under ids that are free', () => {
  const door: Opening = { id: 'd', kind: 'door', at: 1, width: 32, headHeight: 80, casing: casing!.id };
  const kit = libraryKitOf(
    { unit: 'in', settings: { profiles } },
    rules,
    { ...door, kit: { plinth: 'p1', plinthHeight: 7 } },
    'this',
    { id: 'k', name: 'Door' },
  );
  const theirs: Profile = { ...casing!, id: 'trim9', width: 2 };
  const rival: Profile = { ...plinth, name: 'Another board' };
  const taken = takeKit(kit, [theirs, rival], () => 'fresh');
  expect(taken).toEqual({
    kit: { plinth: 'fresh', plinthHeight: 7 },
    casing: 'trim9',
    stool: undefined,
    apron: undefined,
    picture: undefined,
    added: [{ ...plinth, id: 'fresh' }],
  });
  // Into a job that has nothing, all of it comes with its own ids.
  expect(takeKit(kit, [], () => 'fresh').added.map((one) => one.id)).toEqual([casing!.id, 'p1']);
});

test('a kit that names a profile it does not bring is refused where it does', () => {
  const kit = {
    id: 'k',
    name: 'K',
    unit: 'in',
    kind: 'door',
    kit: { plinth: 'gone' },
    casing: 'lost',
    parts: [],
  };
  const { error } = libraryKitSchema.safeParse(kit);
  expect(error!.issues.map((one) => [one.path.join('/'), inWords(unpacked(one.message))])).toEqual([
    ['kit/plinth', 'is no profile of this kit'],
    ['casing', 'is no profile of this kit'],
  ]);
});

test('it is drawn around an opening of a usual size: two legs, a head, what stands below', () => {
  const kit = libraryKitOf({ unit: 'in', settings: { profiles } }, rules, window, 'this', {
    id: 'k',
    name: 'K',
  });
  const keys = partsOf(kitPicture(kit).shapes).flatMap((one) =>
    one.ref.kind === 'member' ? [one.ref.key] : [],
  );
  expect(keys.filter((key) => /leg/.test(key))).toHaveLength(2);
  expect(keys.some((key) => /head/.test(key))).toBe(true);
  expect(keys.some((key) => /stool/.test(key))).toBe(true);
});
