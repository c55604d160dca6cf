import { describe, expect, test } from '@jest/globals';
import { plainText, readerOf } from '../measure/index.ts';
import type { Catalogue } from './catalogue.ts';
import TEXTS from './texts/all.ts';
import {
  adviceFor,
  angleFigure,
  bareFigure,
  eachWordsOnce,
  formatAll,
  formatMessage,
  lengthFigure,
  listOf,
  message,
  partWords,
  warningText,
} from './index.ts';

const american = readerOf('us');
const british = readerOf('uk', 'en-GB');
const pseudo = readerOf('us', 'pseudo');

describe('messages', () => {
  test('figures are written as a tape and a protractor show them', () => {
    expect(plainText(lengthFigure(142.375, 'in'))).toBe('142 3/8 in');
    expect(plainText(bareFigure(3617.5, 'mm'))).toBe('3617.5');
    expect(plainText(angleFigure(22.5))).toBe('22.5°');
    expect(plainText(lengthFigure(0.03125, 'in', 32))).toBe('1/32 in');
  });
  test('lists are said with their word in between; what is said twice is said once', () => {
    expect(plainText(listOf(['A1', 'A2'], ' and '))).toBe('A1 and A2');
    expect(formatMessage(listOf(['A1', 'A2'], ' and '), pseudo)).toBe('A1 a\u0301nd A2');
    expect(eachWordsOnce([message('word.left'), 'x', message('word.left')])).toEqual([
      message('word.left'),
      'x',
    ]);
  });
  test('names of people stay as they are in British words; what is ours is said in them', () => {
    const narrow = warningText('wet-room', { room: 'Base room', profile: 'Cope 3' }, 'in');
    expect(formatMessage(narrow, british)).toBe(
      'Base room is wet and Cope 3 is MDF: wood or PVC lasts there; else seal every cut end',
    );
    const gap = warningText('floor-gap', { room: 'Miter Street', covers: 0.5, gap: 0.75 }, 'in');
    expect(formatMessage(gap, british)).toBe(
      'Miter Street: skirting and quadrant cover 1/2 in of floor, its gap at the wall is 3/4 in',
    );
    expect(formatMessage(gap, american)).toBe(
      'Miter Street: base and shoe cover 1/2 in of floor, its gap at the wall is 3/4 in',
    );
  });
  test('remedies follow their warning, the last one after "or"', () => {
    const text = warningText(
      'clearance',
      {
        name: 'D1',
        names: ['D1'],
        against: 'rail',
        overlap: 0.5,
        part: 'stool',
        by: 'Chair rail',
        remedies: ['rip'],
        rip: 2,
      },
      'in',
    );
    expect(plainText(text)).toBe(
      'D1: Chair rail runs into the horns of the stool, 1/2 in of it; it ends there; rip it to 2 in, or move the rail clear of the stool',
    );
  });
  test('a part is named with its place', () => {
    expect(plainText(partWords('band', 'left'))).toBe('left back band');
    expect(plainText(partWords('head'))).toBe('head');
  });
  test('every text of the catalogue can be read, and none is left as it was in the pseudo-language', () => {
    for (const [code, text] of Object.entries(TEXTS.american)) {
      // Counts choose a form: two is of many.
      const counts = [...text.matchAll(/\{(\w+), plural,/g)].map(([, name]) => name!);
      const names = [...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
      const said = {
        code: code as keyof Catalogue,
        data: Object.fromEntries([
          ...names.map((one) => [one, '§'] as const),
          ...counts.map((one) => [one, 2] as const),
        ]),
      };
      const of = text
        // Braces in quotes are braces.
        .replace(/'(\{.*\})'/g, '$1')
        .replace(/\{\w+, plural, one \{[^}]*\} other \{([^}]*)\}\}/g, (_all, many: string) =>
          many.replace('#', '2'),
        )
        .replace(/\{\w+\}/g, '§');
      expect([code, formatMessage(said, american)]).toEqual([code, of]);
      if (/[aeiou]/.test(of)) expect(formatMessage(said, pseudo)).toContain('\u0301');
    }
  });
  test('a message that was kept before its text asked for more still says the rest', () => {
    expect(formatMessage({ code: 'paper.was', data: { from: '48 in' } }, american)).toBe('…, was 48 in');
    const counted = Object.entries(TEXTS.american).find(([, text]) => text.includes(', plural,'))![0];
    expect(formatMessage({ code: counted as keyof Catalogue, data: {} }, american).length).toBeGreaterThan(0);
  });
  test('messages within a value become text, and nothing else changes', () => {
    const value = {
      code: 'glue',
      data: { length: 3 },
      at: [1, null],
      why: adviceFor('glue').why,
      kind: 'length',
    };
    expect(formatAll(value, american)).toEqual({
      code: 'glue',
      data: { length: 3 },
      at: [1, null],
      why: 'The usual glue lets go of this material.',
      kind: 'length',
    });
  });
});
