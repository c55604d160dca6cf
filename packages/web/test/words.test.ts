import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import {
  adviceFor,
  angleFigure,
  coinOf,
  message,
  planQuickly,
  wordsKey,
  type JobFile,
} from '@long-miter/core';
import { nearest } from '../src/messages/language.ts';
import { t, translate } from '../src/messages/t.ts';
import { setVocabulary } from '../src/messages/vocabulary.ts';

afterEach(() => setVocabulary(undefined));

describe('what the core says', () => {
  // Names that are made of the trade's words.
  const job: JobFile = {
    format: 'longmiter-job',
    version: 2,
    name: 'Crown Court',
    unit: 'in',
    vocabulary: 'uk',
    profiles: [
      {
        id: 'p',
        name: 'Cope 3',
        use: 'base',
        width: 5.25,
        thickness: 0.625,
        material: 'mdf',
        finish: 'paint',
      },
    ],
    stock: [{ id: 's', profile: 'p', length: 192, price: 20 }],
    rooms: [
      {
        id: 'r',
        name: 'Base room',
        closed: true,
        wet: true,
        walls: [100, 90, 100, 90].map((length, index) => ({
          id: `w${index}`,
          length,
          corner: { reading: { as: 'assumed' as const } },
        })),
        trims: [{ id: 't', profile: 'p', on: 'walls' }],
      },
    ],
  };

  test('keeps the names that people gave, in British words', () => {
    setVocabulary('uk');
    const said = planQuickly(job).watchOuts.map((one) => translate(one.text));
    expect(said).toContain(
      'Base room is wet and Cope 3 is MDF: wood or PVC lasts there; else seal every cut end',
    );
    for (const text of said) expect(text).not.toMatch(/skirting room|scribe 3/i);
    expect(translate(adviceFor('floor-gap').what)).toBe('Add quadrant, or take a thicker skirting.');
    expect(new Set(planQuickly(job).watchOuts.map((one) => wordsKey(one.text))).size).toBeGreaterThan(3);
  });
});

describe('a text', () => {
  test('is filled in with names as they were given, in the words of the job', () => {
    setVocabulary('uk');
    expect(t('Watch-outs of {name}', { name: 'Base camp, {count} sticks' })).toBe(
      'Watch-outs of Base camp, {count} sticks',
    );
    expect(t('{name}: cut sheet by stick', { name: 'The base' })).toBe('The base: cut sheet by length');
    setVocabulary('us');
    expect(t('{name}: cut sheet by stick', { name: 'The base' })).toBe('The base: cut sheet by stick');
  });
  test('is filled in by its own names, be they words of the trade', () => {
    setVocabulary('uk');
    expect(
      t('{name}: {sticks} sticks, {cost} {change}', { name: 'A', sticks: 2, cost: 'c', change: 'd' }),
    ).toBe('A: 2 lengths, c d');
  });
  test('is one thing about one, another about many', () => {
    expect(t('{count} sticks', { count: 1 })).toBe('1 stick');
    expect(t('{count} sticks', { count: 0 })).toBe('0 sticks');
    expect(t('{count} sticks', { count: 1200 })).toBe('1,200 sticks');
    expect(t('{count} corners are still assumed 90.', { count: 1 })).toBe('1 corner is still assumed 90.');
  });
  test('is filled in with nothing where there is nothing to say', () => {
    expect(t('Splice{pinned}', { pinned: undefined })).toBe('Splice');
    expect(t('Splice{pinned}', { pinned: false })).toBe('Splice');
  });
  test('that no catalogue has stands as it is', () => {
    expect(t('a text that is nowhere else: {it}', { it: 'shown' })).toBe(
      'a text that is nowhere else: shown',
    );
  });
});

test('a browser is given the nearest language', () => {
  expect(nearest(['en-GB', 'en-US'])).toBe('en-GB');
  expect(nearest(['de-AT', 'en-AU'])).toBe('en-GB');
  expect(nearest(['en'])).toBe('en-US');
  expect(nearest(['en-us'])).toBe('en-US');
  expect(nearest(['fr-FR'])).toBe('en-US');
  expect(nearest([])).toBe('en-US');
});

describe('a browser where British English is chosen', () => {
  const kept = new Map([['long-miter-language', 'en-GB']]);
  const was = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
  beforeEach(() => {
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: { getItem: (key: string) => kept.get(key) ?? null },
    });
    jest.resetModules();
  });
  afterEach(() => {
    if (was) Object.defineProperty(globalThis, 'localStorage', was);
    else delete (globalThis as { localStorage?: unknown }).localStorage;
  });
  test('spells and names things its way, but for the words of a job that has American ones', async () => {
    const words = await import('../src/messages/t.ts');
    const vocabulary = await import('../src/messages/vocabulary.ts');
    expect(words.t('Garage colors')).toBe('Garage colours');
    expect(words.t('{count} sticks', { count: 2 })).toBe('2 lengths');
    vocabulary.setVocabulary('us');
    expect(words.t('Garage colors')).toBe('Garage colours');
    expect(words.t('{count} sticks', { count: 1 })).toBe('1 stick');
  });
  test('says what the core says in its spelling and the words of the job, and leaves names as they are', async () => {
    const words = await import('../src/messages/t.ts');
    const vocabulary = await import('../src/messages/vocabulary.ts');
    const met = message('joint.square-against', { name: 'Neighbor street base' });
    vocabulary.setVocabulary('us');
    expect(words.translate(message('advice.leave-it-bare-or-return-both'))).toBe(
      'Leave it bare, or return both neighbours.',
    );
    expect(words.translate(met)).toBe('square against Neighbor street base');
    vocabulary.setVocabulary('uk');
    expect(words.translate(message('joint.outside-corner-always-mitered', { angle: angleFigure(270) }))).toBe(
      'outside corner 270°: always mitred',
    );
    expect(words.translate('no sticks of Base camp')).toBe('no sticks of Base camp');
  });
  test('writes amounts in a sentence its way', async () => {
    const { amountsIn } = await import('../src/messages/money.ts');
    expect(amountsIn('$1,234.50 is less than $7.50', coinOf('USD'))).toBe('US$1,234.50 is less than US$7.50');
    expect(amountsIn('£7.50, of 3 sticks', coinOf('GBP'))).toBe('£7.50, of 3 sticks');
    expect(amountsIn('12.00', coinOf(undefined))).toBe('12.00');
  });
});
