import { inflateSync } from 'node:zlib';

/** The objects of a file as Latin-1 text, by number, with what their streams unpack to. Source: ISO 32000-1, 7.3.8 and 7.3.10. */
function objectsOf(file: Buffer): ReadonlyMap<number, { readonly head: string; readonly stream: string }> {
  const text = file.toString('latin1');
  return new Map(
    [...text.matchAll(/(\d+) 0 obj\n([\s\S]*?)\nendobj/g)].map(([, number, body]) => {
      const at = body!.indexOf('stream\n');
      if (at < 0) return [Number(number), { head: body!, stream: '' }];
      const head = body!.slice(0, at);
      const packed = Buffer.from(body!.slice(at + 7, body!.lastIndexOf('\nendstream')), 'latin1');
      const stream = head.includes('/FlateDecode') ? inflateSync(packed) : packed;
      return [Number(number), { head, stream: stream.toString('latin1') }];
    }),
  );
}

/** What the glyphs of a font stand for, in the order of their numbers. Source: ISO 32000-1, 9.10.3. */
const lettersOf = (map: string): readonly string[] =>
  [...map.matchAll(/\[([^\]]*)\]/g)].flatMap(([, list]) =>
    [...list!.matchAll(/<([0-9a-f ]+)>/gi)].map(([, codes]) =>
      String.fromCharCode(...(codes!.match(/[0-9a-f]{4}/gi) ?? []).map((code) => parseInt(code, 16))),
    ),
  );

/**
 * The lines that are written in a PDF of ours, as its letters are declared to be read: independent of what wrote it.
 * @param file whole, its fonts with a map to Unicode each
 */
export function textOfPdf(file: Buffer): string[] {
  const objects = objectsOf(file);
  const letters = new Map<string, readonly string[]>();
  for (const { head } of objects.values())
    for (const [, name, number] of head.matchAll(/\/(F\d+) (\d+) 0 R/g)) {
      const map = /\/ToUnicode (\d+) 0 R/.exec(objects.get(Number(number))?.head ?? '')?.[1];
      if (map !== undefined) letters.set(name!, lettersOf(objects.get(Number(map))!.stream));
    }
  const lines: string[] = [];
  for (const { stream } of objects.values()) {
    let font: readonly string[] = [];
    for (const [, name, shown] of stream.matchAll(/\/(F\d+) [\d.]+ Tf|\[([^\]]*)\] TJ/g)) {
      if (name !== undefined) font = letters.get(name) ?? [];
      else
        lines.push(
          [...shown!.matchAll(/<([0-9a-f]+)>/gi)]
            .flatMap(([, glyphs]) => glyphs!.match(/.{4}/g) ?? [])
            .map((glyph) => font[parseInt(glyph, 16)] ?? '')
            .join(''),
        );
    }
  }
  return lines;
}
