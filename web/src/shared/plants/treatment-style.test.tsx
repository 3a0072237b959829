import { MOST_TREATMENTS } from '@bright-sprout/core/design';
import { describe, expect, test } from '@jest/globals';
import { render } from '@testing-library/react';
import { TreatmentMark, treatmentStyle } from './index.ts';

const ALL = Array.from({ length: MOST_TREATMENTS }, (_, index) => index);
const withoutColour = (text: string): string => text.replaceAll(/#[0-9a-f]{6}/g, 'ink');

describe('marks of treatments', () => {
  test('no two treatments of a plan share one, on page and chart, in grey too', () => {
    const marks = ALL.map((style) =>
      withoutColour(render(<TreatmentMark style={style} />).container.innerHTML),
    );
    expect(new Set(marks).size).toBe(MOST_TREATMENTS);
    expect(new Set(ALL.map((style) => treatmentStyle(style).symbol)).size).toBe(MOST_TREATMENTS);
  });

  test('lines of treatments that share a shape are broken differently', () => {
    expect([0, 8, 16].map((style) => treatmentStyle(style).dash)).toEqual(['solid', 'dash', 'dot']);
  });
});
