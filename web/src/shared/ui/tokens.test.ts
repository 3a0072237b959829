import { expect, test } from '@jest/globals';
import { COLOURS } from './tokens.ts';

/** Relative luminance (WCAG 2.2). */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

test('black on white is 21 to 1', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21);
});

test.each(['paper', 'card', 'linen', 'amberWash', 'leafWash'] as const)(
  'the ring round what has the focus stands out from %s by 3 to 1',
  (ground) => {
    expect(contrast(COLOURS.sky, COLOURS[ground])).toBeGreaterThanOrEqual(3);
  },
);
