import { expect, test } from '@jest/globals';
import { fromCsv, toCsv } from './csv.ts';

test('what a spreadsheet would run is written as text, figures stay figures, and all comes back as it was', () => {
  const rows = [
    ['room', '=HYPERLINK("http://evil.example")', '-5 1/2', '+cmd', '@sum', '-x', "'quoted'", '12.5', '-3'],
  ];
  const text = toCsv(rows);
  expect(text).toContain(`"'=HYPERLINK`);
  expect(text).toContain("'+cmd");
  expect(text).toContain("'@sum");
  expect(text).toContain("'-x");
  expect(text).toContain(',-5 1/2,');
  expect(text).toContain(',-3');
  expect(text).not.toContain("'-5");
  expect(fromCsv(text)).toEqual(rows);
});
