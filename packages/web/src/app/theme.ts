import { createTheme, type CSSVariablesResolver, type MantineColorsTuple } from '@mantine/core';
import { t } from '../messages/t.ts';

/** Chalk line blue: what is selected or primary. */
const chalk: MantineColorsTuple = [
  '#eef2fa',
  '#dbe3f3',
  '#b6c6e6',
  '#8ea7d8',
  '#6b8bcc',
  '#4f72b8',
  '#3d5ea3',
  '#2f4f8f',
  '#26427a',
  '#1c3260',
];
/** Planed wood: sticks and pieces. */
const wood: MantineColorsTuple = [
  '#faf3e6',
  '#f2e4c9',
  '#e8d0a4',
  '#dcb97c',
  '#cfa35c',
  '#b98a42',
  '#9a7033',
  '#7a5828',
  '#5c421e',
  '#3f2d14',
];

/** What takes something away: white letters on it are legible, 4.5:1 and more. */
const red: MantineColorsTuple = [
  '#fdf0ef',
  '#f9dcda',
  '#f2b5b1',
  '#ea8c86',
  '#e2665e',
  '#c4372f',
  '#bb2f27',
  '#b3261e',
  '#971f18',
  '#7c1812',
];

export const theme = createTheme({
  fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif",
  headings: { fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif", fontWeight: '650' },
  primaryColor: 'chalk',
  // White letters lie on both: 4.5:1 and more.
  primaryShade: { light: 7, dark: 5 },
  autoContrast: true,
  respectReducedMotion: true,
  colors: { chalk, wood, red },
  defaultRadius: 'sm',
  fontSizes: { xs: '0.82rem', sm: '0.94rem', md: '1.06rem', lg: '1.2rem', xl: '1.45rem' },
  cursorType: 'pointer',
  components: {
    Notification: {
      defaultProps: { closeButtonProps: { 'aria-label': t('Close this notice') } },
      styles: { description: { color: 'var(--mantine-color-text)' } },
    },
  },
});

/** Paper by day, garage by night; every pair of text and ground keeps AA contrast. */
export const variables: CSSVariablesResolver = () => ({
  variables: {},
  light: {
    '--mantine-color-body': '#f8f2e7',
    '--mantine-color-text': '#2b2a28',
    '--mantine-color-dimmed': '#625d54',
    '--lm-panel': '#fffdf8',
    '--lm-line': '#d9cfbd',
    '--lm-wall': '#4a463f',
    '--lm-room': '#fffdf8',
    '--lm-wood': '#e3c48d',
    '--lm-wood-edge': '#7a5828',
    '--lm-edge-wall': '#1f6f5c',
    '--lm-edge-ceiling': '#7b3fa0',
    '--lm-wood-other': '#efdfc0',
    '--lm-picked': '#2f4f8f',
    '--lm-picked-fill': '#c3d1ec',
    '--lm-assumed': '#8a5a00',
    '--lm-assumed-fill': '#fbe8bf',
    '--lm-bad': '#a3211b',
    '--lm-void': '#ece3d2',
  },
  dark: {
    '--mantine-color-body': '#1d1c1a',
    '--mantine-color-text': '#f1ebdf',
    '--mantine-color-dimmed': '#b5ad9f',
    '--lm-panel': '#272522',
    '--lm-line': '#4a463f',
    '--lm-wall': '#d8cfbf',
    '--lm-room': '#272522',
    '--lm-wood': '#8f6b37',
    '--lm-wood-edge': '#e8d0a4',
    '--lm-edge-wall': '#5fc9a8',
    '--lm-edge-ceiling': '#cf9df0',
    '--lm-wood-other': '#54442b',
    '--lm-picked': '#8ea7d8',
    '--lm-picked-fill': '#33466f',
    '--lm-assumed': '#f0c261',
    '--lm-assumed-fill': '#4d3d16',
    '--lm-bad': '#ff9a92',
    '--lm-void': '#33302b',
  },
});
