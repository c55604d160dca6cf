import { beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { create as openFont } from 'fontkit';
import { DxfParser } from 'dxf-json';
import ExcelJS from 'exceljs';
import loadHighs from 'highs';
import { checkJobFile, planJob, wallAngle, type JobFile, type PlanFile, plainText } from '@long-miter/core';
import { highsSolver } from '@long-miter/optimiser/highs';
import { fernhollow } from '../src/demo/fernhollow.ts';
import { DOCUMENTS, writeDocument } from '../src/formats/documents.ts';
import { paperText } from '../src/formats/pdf.ts';
import { readXlsx } from '../src/formats/read-xlsx.ts';
import { textOfPdf } from './support/text-of-pdf.ts';

/** Files that the job is written to, read back by readers that have nothing to do with their writers. */

let job: JobFile;
let plan: PlanFile;
beforeAll(async () => {
  const checked = checkJobFile(fernhollow);
  if (!checked.ok) throw new Error(plainText(checked.issues[0].text));
  job = checked.value;
  const planned = planJob(job, {
    solver: highsSolver(await loadHighs()),
    seconds: 1,
    clock: () => performance.now() / 1000,
  });
  if (!planned.ok) throw new Error(plainText(planned.issues[0].text));
  plan = planned.value;
});
const write = async (document: string, more: object = {}): Promise<Buffer> =>
  (await writeDocument(document, { job, plan, ...more })).content;

describe('every document', () => {
  test('is written, twice alike, and is what its ending says', async () => {
    const starts = { pdf: '%PDF-', xlsx: 'PK', svg: '<?xml', csv: '\uFEFF', dxf: '0' } as Record<
      string,
      string
    >;
    for (const document of DOCUMENTS) {
      const [first, again] = [await write(document), await write(document)];
      expect([document, first.toString('utf8').startsWith(starts[document.split('.')[1]!]!)]).toEqual([
        document,
        true,
      ]);
      // A drawing's handles and a workbook's parts are numbered anew; all else is the same to the byte.
      if (!/\.(dxf|xlsx)$/.test(document)) expect([document, first.equals(again)]).toEqual([document, true]);
      expect(first.toString('latin1')).not.toMatch(/\bNaN\b|undefined|\[object /);
    }
  });
  test('what needs a plan says so, a name that is none lists those that are', async () => {
    await expect(writeDocument('cut-list.csv', { job })).rejects.toThrow('needs a plan');
    await expect(writeDocument('cut-list.doc', { job, plan })).rejects.toThrow('cut-list.pdf');
  });
});

describe('a drawing', () => {
  test('has the reading room in inches: each side is as long as its wall was measured, but for what the room misses closing by', async () => {
    const [room] = job.rooms;
    const text = (await write('plan.dxf', { room: room!.id })).toString();
    const drawing = new DxfParser().parseSync(text) as unknown as {
      header: Record<string, unknown>;
      entities: { type: string; layer: string; flag?: number; vertices?: { x: number; y: number }[] }[];
    };
    expect(drawing.header['$INSUNITS']).toBe(1);
    const outline = drawing.entities.find((one) => one.layer === 'ROOM');
    expect(outline).toMatchObject({ type: 'LWPOLYLINE', flag: 1 });
    const points = outline!.vertices!;
    expect(points).toHaveLength(room!.walls.length);
    room!.walls.slice(0, -1).forEach((wall, index) => {
      const [a, b] = [points[index]!, points[index + 1]!];
      expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(wall.length, 6);
      const c = points[(index + 2) % points.length]!;
      if (index > room!.walls.length - 3) return;
      // The angle inside, from the drawing alone.
      const turned = Math.atan2(c.y - b.y, c.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x);
      const inside = (((180 + (turned * 180) / Math.PI) % 360) + 360) % 360;
      expect(inside).toBeCloseTo(wallAngle(wall.corner!.reading), 6);
    });
  });
});

describe('a workbook', () => {
  test('has a row a piece with its length as a number, and reads as the table it was', async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await write('cut-list.xlsx')) as never);
    const sheet = book.getWorksheet('Cut list')!;
    expect(sheet.rowCount).toBe(plan.pieces.length + 1);
    const first = plan.pieces[0]!;
    expect([sheet.getRow(2).getCell(1).value, sheet.getRow(2).getCell(3).value]).toEqual([
      first.label,
      first.near,
    ]);
    const walls = await readXlsx(await write('walls.xlsx'));
    expect(walls).toHaveLength(1 + job.rooms.reduce((sum, room) => sum + room.walls.length, 0));
    expect(walls[0]!.slice(0, 3)).toEqual(['room', 'length', 'corner']);
  });
  test('a name that a spreadsheet would run stays a text, in a workbook and in a comma file', async () => {
    const evil = { ...job, rooms: [{ ...job.rooms[0]!, name: '=HYPERLINK("http://x")' }] };
    const sheet = await readXlsx((await writeDocument('walls.xlsx', { job: evil })).content);
    expect(sheet[1]![0]).toBe('=HYPERLINK("http://x")');
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await writeDocument('walls.xlsx', { job: evil })).content as never);
    expect(book.worksheets[0]!.getRow(2).getCell(1).type).toBe(ExcelJS.ValueType.String);
    const csv = (await writeDocument('walls.csv', { job: evil })).content.toString();
    expect(csv).toContain(`"'=HYPERLINK(""http://x"")"`);
  });
  test('what is no workbook, and what would unpack to a sea, is refused', async () => {
    await expect(readXlsx(Buffer.from('room,length'))).rejects.toThrow('is no workbook');
    const good = await write('walls.xlsx');
    // Its list of contents says that the first part is four gigabytes.
    const lies = Buffer.from(good);
    lies.writeUInt32LE(0xfffffff0, lies.indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02])) + 24);
    await expect(readXlsx(lies)).rejects.toThrow('holds more');
    await expect(readXlsx(good.subarray(0, good.length - 30))).rejects.toThrow();
  });
});

describe('what people named', () => {
  // Names that are made of the trade's words, in a job that has British ones.
  const named = (): { job: JobFile; plan: PlanFile } => {
    const [first, second] = job.rooms;
    const rooms = [
      { ...first!, name: 'Base room' },
      { ...second!, name: 'Miter Street' },
    ];
    const profiles = job.profiles.map((one, index) => (index === 0 ? { ...one, name: 'Cope 3' } : one));
    const own: JobFile = { ...job, name: 'Crown Court', vocabulary: 'uk', rooms, profiles };
    const planned = planJob(own, { solver: undefined, seconds: 0.5, clock: () => performance.now() / 1000 });
    if (!planned.ok) throw new Error(plainText(planned.issues[0].text));
    return { job: own, plan: planned.value };
  };
  const READABLE = DOCUMENTS.filter((one) => /\.(csv|svg|dxf)$/.test(one));
  test('stands in every file as it was given, between British words', async () => {
    const source = named();
    let all = '';
    for (const document of READABLE) all += (await writeDocument(document, source)).content.toString();
    for (const name of ['Base room', 'Miter Street', 'Cope 3']) expect(all).toContain(name);
    expect(all).not.toMatch(/skirting room|mitre street|scribe 3|cornice court/i);
    expect(all).toMatch(/scribe/);
    expect(all).not.toMatch(/\b(?:coped?|mitered|casing) (?:over|against|end)\b/);
  });
  test('is all that has no accent in the pseudo-language, with figures, keys and the columns of tables', async () => {
    const source = { ...named(), language: 'pseudo' as const };
    const own = [...JSON.stringify(source.job).matchAll(/"(?:name|word)":"([^"]+)"/g)].map(
      ([, name]) => name!,
    );
    const notOurs = (texts: readonly string[]): string[] => [
      ...new Set(
        texts
          .map((text) =>
            own.reduce((now, name) => now.replaceAll(name, '').replaceAll(paperText(name), ''), text),
          )
          .filter((text) => /[aeiou](?!\u0301)\p{L}+/u.test(text.replace(/\b(?:in|mm)\b/g, ''))),
      ),
    ];
    const written = async (document: string): Promise<string> =>
      (await writeDocument(document, source)).content.toString();
    for (const document of ['cut-list.csv', 'saw-list.csv', 'buy-list.csv']) {
      const [head, ...rows] = (await written(document)).trim().split('\n');
      expect([document, head]).toEqual([document, expect.stringContaining('\u0301')]);
      const cells = rows.flatMap((row) => row.split(',')).map((cell) => cell.replaceAll('"', ''));
      expect([document, notOurs(cells)]).toEqual([document, []]);
    }
    for (const document of ['saw-list.pdf', 'templates.pdf', 'plan.pdf']) {
      const lines = textOfPdf((await writeDocument(document, source)).content);
      expect(lines.length).toBeGreaterThan(10);
      expect([document, notOurs(lines)]).toEqual([document, []]);
    }
    for (const document of READABLE.filter((one) => one.endsWith('.svg'))) {
      const texts = [...(await written(document)).matchAll(/>([^<>]+)<\/text>/g)].map(([, text]) => text!);
      expect([document, notOurs(texts)]).toEqual([document, []]);
    }
  });
});

test('paper has a letter for every sign that is written on it', async () => {
  const font = openFont(readFileSync('packages/server/assets/fonts/source-sans-3-400.ttf')) as {
    hasGlyphForCodePoint: (code: number) => boolean;
  };
  const texts = new Set<string>();
  for (const document of DOCUMENTS.filter((one) => /\.(csv|svg)$/.test(one)))
    for (const sign of paperText((await write(document)).toString().replace(/^\uFEFF/, ''))) texts.add(sign);
  const missing = [...texts].filter(
    (sign) => sign >= ' ' && !font.hasGlyphForCodePoint(sign.codePointAt(0)!),
  );
  expect(missing).toEqual([]);
});
