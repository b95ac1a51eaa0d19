/** The drawing on screen: every ink has a color in the theme, every mark an element, the picture a name. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { Palette } from '@mui/material/styles';
import { describe, expect, it } from 'vitest';
import { drawSnap, drawTerm, isDrawn } from '@/core/book';
import { DEFAULT_BOOK } from '@/core/book/default-book';
import { COLLEGE } from '@/core/field';
import { PRINT_INK, type Ink } from '@/core/look';
import { theme } from '../theme/theme';
import { Picture } from './Chalk';
import { Marks } from './Marks';

const css = readFileSync(path.resolve(import.meta.dirname, '../theme/base.css'), 'utf8');
const inks = Object.keys(PRINT_INK) as Ink[];

it('every ink is a variable of the theme', () => {
  for (const ink of inks) expect(css, ink).toMatch(new RegExp(`--${ink}: var\\(--mui-palette-`));
});

/** WCAG 2.2 relative luminance and contrast ratio (W3C, definitions of "relative luminance" and "contrast ratio"). */
const luminance = (hex: string): number => {
  const [r, g, b] = [1, 3, 5]
    .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
  return (x! + 0.05) / (y! + 0.05);
};

describe('color', () => {
  it('the formula gives 21 for black on white and 1 for a color on itself (WCAG 2.2)', () => {
    expect([contrast('#000000', '#ffffff'), contrast('#8f5512', '#8f5512')]).toEqual([21, 1]);
  });
  it('run, pass, us, them and finding stand out from the card by 4.5 to 1 in light and in dark', () => {
    for (const scheme of ['light', 'dark'] as const) {
      const { palette } = (
        theme as unknown as { colorSchemes: Record<'light' | 'dark', { palette: Palette }> }
      ).colorSchemes[scheme];
      for (const meaning of ['run', 'pass', 'us', 'them', 'finding'] as const)
        expect(
          contrast(palette[meaning], palette.background.paper),
          `${scheme} ${meaning}`,
        ).toBeGreaterThanOrEqual(4.5);
      for (const text of [palette.text.primary, palette.text.secondary])
        for (const ground of [palette.background.paper, palette.background.default, palette.highlight])
          expect(contrast(text, ground), `${scheme} ${text} on ${ground}`).toBeGreaterThanOrEqual(4.5);
    }
  });
});

describe('marks', () => {
  it('are one element each, for every drawn term of the book', () => {
    for (const t of DEFAULT_BOOK.terms.filter(isDrawn)) {
      const { drawing } = drawTerm(DEFAULT_BOOK, t, 'R', COLLEGE);
      const svg = renderToStaticMarkup(createElement('svg', null, createElement(Marks, { drawing })));
      expect((svg.match(/<(path|circle|ellipse|rect|text)\b/g) ?? []).length, t.word).toBe(
        drawing.marks.length,
      );
      expect(svg).not.toMatch(/undefined|NaN/);
    }
  });
  it('stand in a picture that has a name for those who do not see it', () => {
    const drawn = drawSnap(
      DEFAULT_BOOK,
      { formation: 'trips', formationSide: 'L', backfield: 'gun' },
      'L',
      COLLEGE,
    );
    const html = renderToStaticMarkup(
      createElement(Picture, { drawn, profile: COLLEGE, hash: 'L', height: 100, caption: true }),
    );
    expect(html).toContain('role="img" aria-label="trips left, gun: 3x1"');
    expect(html).toContain('field right, 33.3 yd');
  });
});
