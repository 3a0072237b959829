import type { ExperimentView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { describe, expect, test } from '@jest/globals';
import { findingsOf, findingText, standingOn, unreadUnits } from './findings.ts';

function reading(
  unitId: string,
  observedOn: string,
  state: ReadingView['state'],
  value: number | null,
  changes: object = {},
): ReadingView {
  return { unitId, observedOn, state, value, variableId: 'h', counts: true, ...changes } as ReadingView;
}

const HEIGHT: VariableView = { id: 'h', name: 'height', kind: 'length', unit: 'cm', step: 0.5 };

const findings = findingsOf(
  [
    reading('a', '2026-05-04', 'emerged', 50),
    reading('a', '2026-05-05', 'emerged', 99, { counts: false }),
    reading('a', '2026-05-05', 'emerged', 55),
    reading('a', '2026-05-05', 'emerged', 7, { variableId: 'leaves' }),
    reading('b', '2026-05-04', 'dead', null),
    reading('c', '2026-05-05', 'not_read', null),
  ],
  'h',
);

describe('how pots stand', () => {
  test('corrected readings and other variables do not count', () => {
    expect(standingOn(findings, 'a', '2026-05-05')).toMatchObject({
      finding: { value: 55 },
      isCurrent: true,
      isGone: false,
    });
  });

  test('an earlier day is shown as the last known, but still to read', () => {
    expect(standingOn(findings, 'a', '2026-05-06')).toMatchObject({
      finding: { value: 55 },
      isCurrent: false,
      isGone: false,
    });
    expect(standingOn(findings, 'a', '2026-05-03').finding).toBeUndefined();
  });

  test('a dead pot is gone from the next day on', () => {
    expect(standingOn(findings, 'b', '2026-05-04')).toMatchObject({ isCurrent: true, isGone: false });
    expect(standingOn(findings, 'b', '2026-05-05')).toMatchObject({ isCurrent: false, isGone: true });
  });

  test('what is left to read: neither read, nor gone; "not read" is still to read', () => {
    const experiment = { units: ['a', 'b', 'c', 'd'].map((id) => ({ id })) } as unknown as ExperimentView;
    expect(unreadUnits(experiment, findings, '2026-05-05').map(({ id }) => id)).toEqual(['c', 'd']);
  });

  test('findings in words', () => {
    const text = (unitId: string, day: string) =>
      findingText(standingOn(findings, unitId, day).finding!, HEIGHT);
    expect([text('a', '2026-05-05'), text('b', '2026-05-05')]).toEqual(['5.5 cm', 'dead']);
  });
});
