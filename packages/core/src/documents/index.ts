export * from './paper.ts';
export * from './sheets.ts';
export * from './on-page.ts';
export { escapeXml, svgOf } from './svg.ts';
export * from './real.ts';
export * from './pictures.ts';
export * from './kit-picture.ts';
export * from './templates.ts';
