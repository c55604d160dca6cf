import {
  buySheet,
  listOf,
  plainText,
  cutListSheet,
  logSheet,
  openingPictures,
  jointPictures,
  openingsSheet,
  planPictures,
  ribbonPictures,
  sawSheet,
  stickPictures,
  svgOf,
  escapeXml,
  templatePictures,
  wallsSheet,
  formatAll,
  formatMessage,
  message,
  readerOf,
  type InText,
  type MessageLanguage,
  type Reader,
  type Words,
  type JobFile,
  type LogEvent,
  type Picture,
  type PlanFile,
  type TableSheet,
} from '@long-miter/core';
import type { PaperSize, PaperPart } from './pdf.ts';

/** Every document of a job and every format it is written in: the one table of it. Writers are loaded when they are wanted. */

interface Source {
  readonly job: JobFile;
  /** What needs a plan is not written without. */
  readonly plan?: PlanFile | undefined;
  readonly events?: readonly LogEvent[];
  readonly room?: string | undefined;
  readonly paper?: PaperSize;
  /** Language of it; the trade's words are those of the job. */
  readonly language?: MessageLanguage;
}

/** Why a document cannot be written. */
export class NoDocument extends Error {
  readonly why: Words;
  constructor(why: Words) {
    super(plainText(why));
    this.why = why;
  }
}

const needed = ({ plan }: Source): PlanFile => {
  if (!plan) throw new NoDocument(message('server.document-needs-a-plan'));
  return plan;
};

interface Content {
  readonly title: Words;
  readonly sheets?: (source: Source) => readonly TableSheet[];
  readonly pictures?: (source: Source) => readonly Picture[];
  /** Its pictures are in the job's own unit. */
  readonly real?: true;
  /** On paper they are as large as they are: an inch is an inch. */
  readonly trueSize?: true;
}

const CONTENTS = {
  'cut-list': { title: message('sheet.cut-list'), sheets: (one) => [cutListSheet(one.job, needed(one))] },
  'saw-list': {
    title: message('sheet.cuts-in-their-order'),
    sheets: (one) => [sawSheet(one.job, needed(one))],
    pictures: (one) => stickPictures(one.job, needed(one)),
  },
  'buy-list': { title: message('sheet.to-buy'), sheets: (one) => [buySheet(one.job, needed(one))] },
  walls: { title: message('sheet.walls'), sheets: ({ job }) => [wallsSheet(job)] },
  openings: {
    title: message('sheet.openings'),
    sheets: ({ job }) => [openingsSheet(job)],
    pictures: ({ job }) => openingPictures(job),
    real: true,
  },
  log: { title: message('sheet.shop-log'), sheets: ({ job, events = [] }) => [logSheet(job, events)] },
  plan: { title: message('sheet.rooms-from-above'), pictures: ({ job }) => planPictures(job), real: true },
  ribbon: { title: message('sheet.rooms-unrolled'), pictures: ({ job, plan }) => ribbonPictures(job, plan) },
  joints: {
    title: message('sheet.joints'),
    pictures: (one) => jointPictures(one.job, needed(one)),
    real: true,
  },
  templates: {
    title: message('sheet.patterns-in-true-size'),
    pictures: ({ job }) => templatePictures(job),
    real: true,
    trueSize: true,
  },
  sticks: { title: message('sheet.sticks'), pictures: (one) => stickPictures(one.job, needed(one)) },
} as const satisfies Record<string, Content>;

type Name = keyof typeof CONTENTS;
const contentOf = (name: Name): Content => CONTENTS[name];
/** Parts of the document that holds everything. */
const ALL: readonly Name[] = ['cut-list', 'saw-list', 'buy-list', 'plan', 'ribbon', 'openings'];

const TYPES = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  pdf: 'application/pdf',
} as const;
type Format = keyof typeof TYPES;

const can = (name: Name, format: Format): boolean => {
  const { sheets, pictures, real } = contentOf(name);
  if (format === 'csv' || format === 'xlsx') return sheets !== undefined;
  if (format === 'svg') return pictures !== undefined;
  return format === 'dxf' ? real === true : true;
};

/** All names that can be asked for, as `cut-list.pdf`; `sheets.pdf` and `sheets.xlsx` hold everything. */
export const DOCUMENTS: readonly string[] = [
  'sheets.pdf',
  'sheets.xlsx',
  ...(Object.keys(CONTENTS) as Name[]).flatMap((name) =>
    (Object.keys(TYPES) as Format[])
      .filter((format) => can(name, format))
      .map((format) => `${name}.${format}`),
  ),
];

/** A document's sheets and pictures as whoever asked for it reads them. */
const readerFor = ({ job, language }: Source): Reader => readerOf(job.vocabulary, language);
const sheetsOf = (name: Name, source: Source): readonly InText<TableSheet>[] =>
  formatAll(contentOf(name).sheets?.(source) ?? [], readerFor(source));
const picturesOf = (name: Name, source: Source): readonly InText<Picture>[] =>
  ofRoom(formatAll(contentOf(name).pictures?.(source) ?? [], readerFor(source)), source);

const paperOf = (name: Name, source: Source): PaperPart => {
  const { title, trueSize } = contentOf(name);
  const [sheet] = sheetsOf(name, source);
  return {
    title: formatMessage(title, readerFor(source)),
    ...(sheet ? { sheet } : {}),
    pictures: picturesOf(name, source),
    ...(trueSize ? { trueSize: source.job.unit } : {}),
  };
};

const ofRoom = (pictures: readonly InText<Picture>[], { room }: Source): readonly InText<Picture>[] =>
  room === undefined ? pictures : pictures.filter((one) => one.room === undefined || one.room === room);

/** Width of a picture file, in points. */
const WIDTH = 1000;

/** Pictures as one file: beneath each other, each with its name. */
function svgFile(pictures: readonly InText<Picture>[]): string {
  const [first] = pictures;
  if (!first) throw new NoDocument(message('server.nothing-to-draw'));
  if (pictures.length === 1)
    return svgOf(first.drawing, WIDTH, WIDTH * first.ratio, first.ratio < 0.2 ? 4 : 40);
  let top = 0;
  const groups = pictures.map(({ name, drawing, ratio }) => {
    const height = WIDTH * ratio;
    const inner = svgOf(drawing, WIDTH, height, ratio < 0.2 ? 4 : 40).replace(/^<\?xml[^>]*>\s*/, '');
    const group = `<text x="4" y="${top + 16}" font-size="14" font-weight="600">${escapeXml(name)}</text><g transform="translate(0 ${top + 22})">${inner}</g>`;
    top += height + 40;
    return group;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${top}" viewBox="0 0 ${WIDTH} ${top}" font-family="'Source Sans 3', sans-serif">\n<rect width="${WIDTH}" height="${top}" fill="#ffffff"/>\n${groups.join('\n')}\n</svg>\n`;
}

interface Written {
  readonly type: string;
  readonly content: Buffer;
}

/**
 * Writes a document. Throws NoDocument for a name that is none, and where it needs a plan and has none.
 * @param document one of DOCUMENTS
 */
export async function writeDocument(document: string, source: Source): Promise<Written> {
  if (!DOCUMENTS.includes(document))
    throw new NoDocument(
      message('server.no-such-document', { document, documents: listOf(DOCUMENTS, ', ') }),
    );
  const [name, format] = document.split('.') as [Name | 'sheets', Format];
  const names = name === 'sheets' ? ALL : [name];
  const type = TYPES[format];
  const sheets = (): InText<TableSheet>[] => names.flatMap((one) => sheetsOf(one, source));
  const pictures = (): readonly InText<Picture>[] => names.flatMap((one) => picturesOf(one, source));
  switch (format) {
    case 'csv':
      return { type, content: (await import('./csv.ts')).csvOf(sheets()[0]!) };
    case 'xlsx':
      return { type, content: await (await import('./xlsx.ts')).xlsxOf(sheets()) };
    case 'svg':
      return { type, content: Buffer.from(svgFile(pictures())) };
    case 'dxf':
      return { type, content: (await import('./dxf.ts')).dxfOf(pictures(), source.job.unit) };
    case 'pdf': {
      const { job, paper = job.unit === 'in' ? 'letter' : 'a4' } = source;
      const note = message(job.unit === 'in' ? 'sheet.lengths-in-inches' : 'sheet.lengths-in-millimeters');
      const say = (words: Words): string => formatMessage(words, readerFor(source));
      const parts = names
        .map((one) => paperOf(one, source))
        .filter((one) => one.sheet ?? one.pictures?.length);
      if (parts.length === 0) throw new NoDocument(message('server.nothing-to-draw'));
      return { type, content: await (await import('./pdf.ts')).pdfOf(job.name, parts, { paper, note, say }) };
    }
  }
}
