import { type InText } from '../messages/index.ts';
import type { Drawing } from '../geometry/index.ts';
import { onPage, type Ink, type Look } from './on-page.ts';

/** A drawing as a picture file of its own. */

/** A text as it stands in a picture file. */
export const escapeXml = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`).replace(/\p{Cc}/gu, ' ');
const n = (value: number): string => String(Number(value.toFixed(2)));

const lookOf = ({ fill = 'none', stroke = 'none', width = 1, dash }: Look): string =>
  `fill="${fill}" stroke="${stroke}" stroke-width="${width}"${dash ? ` stroke-dasharray="${dash.join(' ')}"` : ''}`;

function written(ink: Ink): string {
  switch (ink.kind) {
    case 'path': {
      const points = ink.points.map(({ x, y }) => `${n(x)},${n(y)}`).join(' ');
      return `<${ink.closed ? 'polygon' : 'polyline'} points="${points}" ${lookOf(ink.look)}/>`;
    }
    case 'dot':
      return `<circle cx="${n(ink.at.x)}" cy="${n(ink.at.y)}" r="${ink.radius}" ${lookOf(ink.look)}/>`;
    case 'text':
      return `<text x="${n(ink.at.x)}" y="${n(ink.at.y + ink.size * 0.34)}" font-size="${ink.size}" font-weight="${ink.bold ? 600 : 400}" text-anchor="${ink.anchor}" fill="${ink.colour}"${ink.onLine ? ' stroke="#ffffff" stroke-width="4" paint-order="stroke"' : ''}>${escapeXml(ink.text)}</text>`;
  }
}

/** @param width of the picture in points; its height follows from the drawing unless it is given */
export function svgOf(drawing: InText<Drawing>, width: number, height: number, margin = 36): string {
  const ink = onPage(drawing, { x: 0, y: 0, width, height, margin });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="'Source Sans 3', sans-serif" role="img" aria-label="${escapeXml(drawing.title)}">
<title>${escapeXml(drawing.title)}</title>
<rect width="${width}" height="${height}" fill="#ffffff"/>
${ink.map(written).join('\n')}
</svg>
`;
}
