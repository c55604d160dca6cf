import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, it } from '@jest/globals';
import { fileOf, simpleJob } from '../../test/helpers/jobs.ts';
import { adviceFor } from '../messages/index.ts';
import { compareRules, underRules, planQuickly, splicePlaces, type Piece } from './index.ts';
import { checkJob, RULE_NOTES, RULE_SCHOOLS, houseRulesSchema, type JobFile } from '../job/index.ts';
import {
  emptySurvey,
  roomOf,
  starterSettings,
  checkSurvey,
  type JobSettings,
  type Survey,
} from '../api-schemas/index.ts';
import {
  addTrim,
  addWall,
  newProfile,
  changeTrim,
  moveSplice,
  removeTrim,
  setReading,
  type TrimUse,
} from '../survey-edits/index.ts';
import { jointCloseUp } from '../calculators/index.ts';

const room = (settings: JobSettings): Survey =>
  [120, 96, 120, 96].reduce(
    (survey, length, i) => setReading(addWall(survey, length).survey, i, { as: 'wall-angle', degrees: 90 }),
    emptySurvey(settings),
  );

/** A job of one rectangular room, with trims added as a lead adds them. */
function jobWith(uses: readonly TrimUse[], unit: 'in' | 'mm' = 'in') {
  let settings = starterSettings(unit);
  let survey = room(settings);
  for (const use of uses) {
    if (!settings.profiles.some((one) => one.use === use)) {
      const { profile, stock } = newProfile(settings, use, unit);
      settings = {
        ...settings,
        profiles: [...settings.profiles, profile],
        stock: [...settings.stock, ...stock],
      };
    }
    survey = addTrim(
      survey,
      settings.profiles.find((one) => one.use === use)!,
      settings.profiles,
      unit,
    );
  }
  const file: JobFile = {
    ...fileOf(settings, unit),
    rooms: [roomOf({ id: 'r', name: 'Den', survey })!],
  };
  return { settings, survey, file };
}
const wallPieces = (pieces: readonly Piece[], trim: string) =>
  pieces.filter((one) => one.trim === trim && one.role === 'wall');

describe('trims of a room', () => {
  it('shoe lies on base, a rail on its backer: near lines are shorter by the standoff at every inside corner', () => {
    const { survey, settings, file } = jobWith(['shoe', 'backer', 'chair-rail']);
    expect(checkSurvey(survey, 'in', settings).ok).toBe(true);
    expect(survey.trims.map(({ id, standsOn, height }) => [id, standsOn, height])).toEqual([
      ['base', undefined, undefined],
      ['shoe1', 'base', undefined],
      ['backer1', undefined, 31],
      ['chair-rail1', 'backer1', 31],
    ]);
    const { pieces } = planQuickly(file);
    // Base 5/8 thick: mitered shoe on a wall of 120 between two square corners is 120 − 2 · 5/8.
    expect(wallPieces(pieces, 'shoe1').map((one) => one.near)).toEqual([118.75, 94.75, 118.75, 94.75]);
    // Backer 1/2: rail from corner to corner is 120 − 2 · 1/2.
    expect(wallPieces(pieces, 'chair-rail1').map((one) => one.to! - one.from!)).toEqual([119, 95, 119, 95]);
  }); // prettier-ignore
  it('a trim taken out leaves what lay on it on the wall, and no pin behind', () => {
    const { survey } = jobWith(['shoe']);
    const pinned: Survey = {
      ...survey,
      walls: survey.walls.map((wall, i) => (i === 0 ? { ...wall, corner: { ...wall.corner!, joint: { base: 'miter' } } } : wall)),
    };
    const left = removeTrim(pinned, 'base');
    expect(left.trims).toEqual([{ id: 'shoe1', profile: 'shoe1', on: 'walls' }]);
    expect(left.walls[0]!.corner).toEqual({ reading: { as: 'wall-angle', degrees: 90 } });
    expect(changeTrim(survey, 'shoe1', { standsOn: undefined }).trims[1]).not.toHaveProperty('standsOn');
  }); // prettier-ignore
  it('pins, moves and releases a splice', () => {
    const { survey } = jobWith([]);
    const pinned = moveSplice(survey, 'base', 'w1', undefined, 56);
    expect(pinned.trims[0]!.splices).toEqual([{ wall: 'w1', at: 56 }]);
    const moved = moveSplice(pinned, 'base', 'w1', 56, 72);
    expect(moved.trims[0]!.splices).toEqual([{ wall: 'w1', at: 72 }]);
    expect(moveSplice(moved, 'base', 'w1', 72, undefined)).toEqual(survey);
  });
  it('a profile made for a use can be planned at once in either system', () => {
    for (const unit of ['in', 'mm'] as const)
      for (const use of ['shoe', 'crown', 'picture-rail'] as const) {
        const { settings, survey } = jobWith([use], unit);
        expect(settings.stock.filter((item) => item.profile === `${use}1`).length).toBeGreaterThan(1);
        const ready = use === 'crown' ? { ...survey, ceilingHeight: unit === 'in' ? 96 : 2440 } : survey;
        expect(checkSurvey(ready, unit, settings).ok).toBe(true);
      }
  });
});

describe('the splice of a piece', () => {
  it('has its places with scores, and its pin once it is pinned; a piece without one has none', () => {
    const { settings } = jobWith([]);
    const long = room(settings);
    const walls = long.walls.map((wall, i) =>
      i === 0
        ? { ...wall, length: 300, studs: { first: 8, spacing: 16 } }
        : i === 2
          ? { ...wall, length: 300 }
          : wall,
    );
    const plan = (survey: Survey) => {
      const den = roomOf({ id: 'r', name: 'Den', survey })!;
      const quick = planQuickly({
        ...fileOf(settings),
        rooms: [den],
      });
      const spliced = quick.pieces.find((one) => one.wall === 'w1' && one.right.joint === 'scarf')!;
      return { den, quick, found: splicePlaces(spliced, den, quick)! };
    };
    const free = plan({ ...long, walls });
    expect(free.found.pinned).toBeUndefined();
    // Studs at 8 + 16 k; none within 24 of an end.
    expect(
      free.found.places.every(({ centre }) => (centre - 8) % 16 === 0 && centre >= 24 && centre <= 276),
    ).toBe(true);
    const whole = free.quick.pieces.find((one) => one.wall === 'w2')!;
    expect(splicePlaces(whole, free.den, free.quick)).toBeUndefined();
    const pinned = plan(moveSplice({ ...long, walls }, 'base', 'w1', undefined, 152));
    expect(pinned.found.pinned!.centre).toBe(152);
  });
});

describe('other house rules, before they are applied', () => {
  it('says which pieces change and how', () => {
    const { file } = jobWith([]);
    const last = [...compareRules(file, underRules(file, { insideCorner: 'miter' }))].at(-1)!;
    // Every piece of a coped rectangle has an end that becomes a miter.
    expect([last.pieces, last.changed, last.done, last.rooms]).toEqual([4, 4, 1, 1]);
    expect(last.changes[0]).toMatchObject({ room: 'Den', label: '1-01' });
    expect(last.changes[0]!.after).toContain('miter 45° → miter 45°');
    expect([...compareRules(file, underRules(file, file.houseRules ?? {}))].at(-1)!.changed).toBe(0);
  });
  it('every rule has a line on what it does and why; every school is a good set of rules', () => {
    for (const note of RULE_NOTES) expect([note.key in houseRulesSchema.shape, note.what !== '', note.why !== '']).toEqual([true, true, true]);
    for (const { rules } of RULE_SCHOOLS) expect(houseRulesSchema.safeParse(rules).success).toBe(true);
  }); // prettier-ignore
});

describe('watch-outs', () => {
  it('names hollows, lean, services and short walls at outside corners, each with what to do', () => {
    const { file } = jobWith([]);
    const walls = file.rooms[0]!.walls.map((wall, i) =>
      i === 0
        ? {
            ...wall,
            length: 20,
            corner: { reading: { as: 'wall-angle' as const, degrees: 270 }, lean: 1 },
            hollow: [{ depth: -0.125, over: 12, near: 'right' as const }],
            points: [{ kind: 'socket' as const, at: 5 }],
          }
        : wall,
    );
    const { watchOuts } = planQuickly({ ...file, rooms: [{ ...file.rooms[0]!, walls }] });
    const codes = watchOuts.filter((one) => one.wall === 'w1').map((one) => one.code);
    expect(codes).toEqual(expect.arrayContaining(['hollow', 'lean', 'services', 'short-wall']));
    expect(plainText(watchOuts.find((one) => one.code === 'hollow')!.text)).toContain(
      'bulges by 1/8 in over 12 in',
    );
    for (const { code } of watchOuts) expect(plainText(adviceFor(code).what)).toMatch(/\.$/);
  });
});

describe('watch-outs of material, floor and rules', () => {
  const codesOf = (file: JobFile): string[] => planQuickly(file).watchOuts.map((one) => one.code);
  const { file } = jobWith(['shoe']);
  const den = file.rooms[0]!;
  it('says when a floor gap is not covered by base and shoe, and only then', () => {
    // Base 5/8 and shoe 1/2 in the starter set cover 1 1/8.
    const covers = file.profiles
      .filter((one) => one.use === 'base' || one.use === 'shoe')
      .reduce((sum, one) => sum + one.thickness, 0);
    const withGap = (floatingFloorGap: number): JobFile => ({
      ...file,
      rooms: [{ ...den, floatingFloorGap }],
    });
    expect(codesOf(withGap(covers))).not.toContain('floor-gap');
    expect(codesOf(withGap(covers + 0.25))).toContain('floor-gap');
  });
  it('says when MDF goes into a wet room, when a bias corrects twice, when shoe has unequal legs', () => {
    const wet = { ...file, profiles: file.profiles.map((one) => ({ ...one, material: 'mdf' as const })) };
    expect(codesOf({ ...wet, rooms: [{ ...den, wet: true }] })).toContain('wet-room');
    expect(codesOf(wet)).not.toContain('wet-room');
    const bias = (on: 'all' | 'assumed') => ({ ...file, houseRules: { miterBias: { degrees: 1, on } } });
    expect(codesOf(bias('all'))).toContain('bias-twice');
    expect(codesOf(bias('assumed'))).not.toContain('bias-twice');
    expect(codesOf(file)).toContain('same-way-up');
  });
  it('adds up what is spliced on the bench, and names glue that does not hold', () => {
    const long = { ...den, walls: den.walls.map((one, i) => (i % 2 === 0 ? { ...one, length: 300 } : one)) };
    const foam = file.profiles.map((one) => ({ ...one, material: 'polyurethane' as const }));
    const { watchOuts } = planQuickly({ ...file, profiles: foam, rooms: [long] });
    // Foam is butted on the wall; what is scarfed is glued on the bench and carried in one length.
    const spliced = planQuickly({ ...file, rooms: [long] }).watchOuts.filter(
      (one) => one.code === 'spliced-length' && plainText(one.text).includes('300 in'),
    );
    expect(new Set(spliced.map((one) => one.wall))).toEqual(new Set(['w1', 'w3']));
    expect(watchOuts.filter((one) => one.code === 'glue')).toHaveLength(2);
    for (const { code } of watchOuts) expect(plainText(adviceFor(code).what)).toMatch(/\.$/);
  });
});

describe('a joint from above', () => {
  it('shows both pieces at a corner and nothing at casing', () => {
    const { file } = jobWith([]);
    const { pieces } = planQuickly(file);
    const [first] = pieces;
    const drawing = jointCloseUp(file.rooms[0]!, pieces, first!, 'right', 0.625)!;
    expect(
      drawing.shapes.filter((shape) => shape.kind === 'area' && shape.role.startsWith('wood')),
    ).toHaveLength(2);
    const points = drawing.shapes.flatMap((shape) => (shape.kind === 'area' ? shape.points : []));
    expect(points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
    expect(jointCloseUp(file.rooms[0]!, [first!], first!, 'right', 0.625)).toBeUndefined();
  });
});

describe('corners far from square, foam, and crown that contradicts itself', () => {
  const bay = (houseRules: object = {}, material = 'mdf'): ReturnType<typeof simpleJob> => {
    const job = simpleJob([{ length: 60, angle: 135 }, { length: 60, angle: 119 }, { length: 60 }], {
      closed: false,
      job: { houseRules },
    });
    return {
      ...job,
      profiles: job.profiles.map((profile) => ({ ...profile, material: material as 'mdf' })),
    };
  };
  it('a cope at 135 is advised against, with what it would need; at 119 it is not', () => {
    const said = planQuickly(bay()).watchOuts.filter((one) => one.code === 'obtuse-cope');
    expect(said).toHaveLength(1);
    expect(said[0]).toMatchObject({ corner: 'w1', data: { angle: 135, relief: 45 } });
    expect(plainText(said[0]!.text)).toContain('better mitered there than coped');
  });
  it('the rule says from where, and a mitered corner is left in peace', () => {
    const codes = (rules: object): string[] => planQuickly(bay(rules)).watchOuts.map((one) => one.code);
    expect(codes({ obtuseMiterFrom: 110 }).filter((code) => code === 'obtuse-cope')).toHaveLength(2);
    expect(codes({ obtuseMiterFrom: 140 })).not.toContain('obtuse-cope');
    expect(codes({ insideCorner: 'miter' })).not.toContain('obtuse-cope');
  });
  it('foam is neither coped nor scarfed: its splices are butts whatever the rule', () => {
    const foam = simpleJob([{ length: 300 }], { closed: false, job: { houseRules: { scarfAngle: 45 } } });
    const job = {
      ...foam,
      profiles: foam.profiles.map((profile) => ({ ...profile, material: 'polyurethane' as const })),
      stock: [{ profile: 'base', length: 192, price: 20 }],
    };
    const spliced = planQuickly(job).pieces.filter((piece) => piece.role === 'wall');
    expect(spliced).toHaveLength(2);
    expect(spliced[0]!.right).toMatchObject({ joint: 'butt', angle: 0 });
    expect(spliced[0]!.right).not.toHaveProperty('over', true);
    const coped = planQuickly({ ...bay({ insideCorner: 'cope' }, 'polyurethane') }).pieces;
    expect(coped.flatMap((piece) => [piece.left.joint, piece.right.joint])).not.toContain('cope');
  });
  const crown = (figures: object) =>
    checkJob({
      ...simpleJob([{ length: 60 }], { closed: false }),
      profiles: [
        {
          id: 'c',
          name: 'Crown',
          use: 'crown' as const,
          width: 3.625,
          thickness: 0.625,
          material: 'softwood' as const,
          finish: 'paint' as const,
          ...figures,
        },
      ],
      rooms: [],
      stock: [],
    });
  it('figures of a crown that do not agree are refused with all of them, as input', () => {
    // 3 5/8 at 38°: 2.232 out, 2.857 down.
    expect(crown({ springAngle: 38, projection: 2.25, drop: 2.875 })).toEqual([]);
    expect(crown({ projection: 2.25, drop: 2.875 })).toEqual([]);
    const [issue] = crown({ springAngle: 45, projection: 2.25, drop: 2.875 });
    expect(issue!.at).toBe('/profiles/0/springAngle');
    expect(plainText(issue!.text)).toContain(
      'width 3 5/8 in, spring 45°, projection 2 1/4 in, drop 2 7/8 in',
    );
    expect(crown({ projection: 2.25, drop: 2.25 })).toHaveLength(1);
    expect(inWords(crown({})[0]!.text)).toContain('is missing');
  });
});
