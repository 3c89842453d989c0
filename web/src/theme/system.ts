import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { grey } from './grey.js';
import { NARROW } from './narrow.js';

/**
 * The look of the house, once. No colour but greys: the only colour on the
 * screen is clay. Spacing in steps of 4 px, square corners, no shadows.
 */
const steps = Object.fromEntries(
  [0, 1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 14, 16, 20, 24].map((n) => [n, { value: `${n * 4}px` }]),
);
const size = (px: number): { value: string } => ({ value: `${px}px` });

export const system = createSystem(
  defaultBaseConfig,
  defineConfig({
    conditions: { held: NARROW },
    theme: {
      // on a screen that is held: larger words, and darker ones, since it is looked at in bright light
      semanticTokens: {
        colors: {
          ink2: { value: { base: grey.ink2, _held: grey.dark } },
          hairline: { value: { base: grey.hairline, _held: grey.ghost } },
        },
        fontSizes: {
          caption: { value: { base: '12px', _held: '14.5px' } },
          small: { value: { base: '13.5px', _held: '16px' } },
          text: { value: { base: '15px', _held: '17.5px' } },
        },
      },
      tokens: {
        colors: {
          bench: { value: grey.bench },
          paper: { value: grey.paper },
          tile: { value: grey.tile },
          ink: { value: grey.ink },
        },
        fonts: {
          heading: { value: '"Bricolage Grotesque Variable", sans-serif' },
          body: { value: '"Atkinson Hyperlegible Next", sans-serif' },
        },
        fontSizes: { h3: size(16), h2: size(18), h1: size(25), figure: size(26), large: size(40), huge: size(54) },
        spacing: steps,
        sizes: steps,
        borders: {
          rule: { value: `1px solid ${grey.ink}` },
          dashed: { value: `1px dashed ${grey.ink}` },
          hair: { value: `1px solid ${grey.hairline}` },
          thick: { value: `9px solid ${grey.ink}` },
        },
      },
    },
    globalCss: {
      '*, *::before, *::after': { boxSizing: 'border-box', margin: 0, padding: 0 },
      'html, body, #root': { height: '100%', '@media print': { height: 'auto', background: grey.tile } },
      body: {
        fontFamily: 'body',
        fontSize: 'text',
        lineHeight: 1.45,
        color: 'ink',
        background: 'bench',
        fontVariantNumeric: 'tabular-nums',
      },
      'button, input, select, textarea': { font: 'inherit', color: 'inherit' },
      button: { background: 'none', border: 'none', cursor: 'pointer', textAlign: 'inherit' },
      'button:disabled': { cursor: 'default' },
      'ul, ol': { listStyle: 'none' },
      a: { color: 'inherit' },
      ':focus-visible': { outline: `3px solid ${grey.ink}`, outlineOffset: '2px' },
      'h1, h2, h3': { fontFamily: 'heading', fontWeight: 700, lineHeight: 1.15, textWrap: 'balance' },
      h1: { fontSize: 'h1' },
      h2: { fontSize: 'h2' },
      h3: { fontSize: 'h3' },
    },
  }),
);
