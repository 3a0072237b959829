import type { Rehearsal } from '@bright-sprout/core/rehearsal';
import { wilson } from '@bright-sprout/core/statistics';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render } from '@testing-library/react';
import { ResultDots } from './result-dots.tsx';

afterEach(cleanup);

test.each([
  [300, { seen: 85, wrong_way: 0, missed: 215, cannot_tell: 0 }],
  [7, { seen: 2, wrong_way: 1, missed: 3, cannot_tell: 1 }],
  [500, { seen: 1, wrong_way: 1, missed: 1, cannot_tell: 497 }],
  [100, { seen: 100, wrong_way: 0, missed: 0, cannot_tell: 0 }],
])('%p classes are drawn as a hundred dots in their proportions', (classes, counts) => {
  const rehearsal: Rehearsal = { classes, counts, seen: wilson(counts.seen, classes), typical: null };
  const { container } = render(<ResultDots rehearsal={rehearsal} isNothing={false} />);
  const dots = container.querySelectorAll('figure > div i');
  expect(dots).toHaveLength(100);
  for (const [result, count] of Object.entries(counts)) {
    const drawn = container.querySelectorAll(`figure > div .dot-${result}`).length;
    expect(Math.abs(drawn - (100 * count) / classes)).toBeLessThanOrEqual(1);
  }
  const said = Object.values(counts).filter((count) => count > 0).length;
  expect(container.querySelectorAll('figcaption span')).toHaveLength(said);
});
