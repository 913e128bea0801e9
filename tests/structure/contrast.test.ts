import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const css = readFileSync('src/app/globals.css', 'utf8');

/** The value of a colour of the day theme, which stands first. */
function colour(name: string): string {
  const value = new RegExp(`${name}: (#[0-9a-f]{6});`).exec(css)?.[1];
  if (!value) throw new Error(`${name} is a colour of the theme`);
  return value;
}

/** Relative luminance, as WCAG 2.2 defines it. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

const contrast = (a: string, b: string): number => {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].toSorted((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
};

describe('small gray text by day', () => {
  it.each(['--color-base-100', '--color-base-200', '--sheet'])('has a contrast of 7 to 1 on %s', (ground) => {
    expect(contrast(colour('--muted'), colour(ground))).toBeGreaterThanOrEqual(7);
  });

  it('is measured as WCAG does: black on white is 21 to 1', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  });
});
