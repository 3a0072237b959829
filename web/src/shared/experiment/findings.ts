import type { ExperimentView, UnitView, VariableView } from '@bright-sprout/contract/plans';
import type { ReadingView } from '@bright-sprout/contract/readings';
import { type UnitDay, unitDays } from '@bright-sprout/core/growth';
import { calendarDay, type LengthScale, type LengthUnit } from '@bright-sprout/core/shared';
import { STATE_WORDS, readText, type ValueStyle, variableStyle } from '@bright-sprout/core/words';

/** What is known of each unit: its findings in day order. */
export type Findings = ReadonlyMap<string, readonly UnitDay[]>;

/** Findings of one variable from the readings that still count. */
export function findingsOf(readings: readonly ReadingView[], variableId: string): Findings {
  return unitDays(
    readings
      .filter((reading) => reading.counts && reading.variableId === variableId)
      .map(({ unitId, observedOn, state, value }) => ({
        unitId,
        day: calendarDay(observedOn),
        state,
        value: value ?? null,
      })),
  );
}

/** How a unit stands on a day. `current` is false when the finding is from an earlier day. */
export interface Standing {
  readonly finding: UnitDay | undefined;
  readonly isCurrent: boolean;
  /** Dead or removed before the day: there is nothing to read any more. */
  readonly isGone: boolean;
}

/** How a unit stands on `day`: that day's finding, else the last one before. */
export function standingOn(findings: Findings, unitId: string, day: string): Standing {
  const until = (findings.get(unitId) ?? []).filter((finding) => finding.day <= day);
  const finding = until.at(-1);
  const isCurrent = finding?.day === day && finding.state !== 'not_read';
  const isGone = !isCurrent && (finding?.state === 'dead' || finding?.state === 'removed');
  return { finding, isCurrent, isGone };
}

/** Units still to be read on a day, in walking order; those still to be sown are not. */
export function unreadUnits(experiment: ExperimentView, findings: Findings, day: string): UnitView[] {
  return experiment.units.filter((unit) => {
    const { isCurrent, isGone } = standingOn(findings, unit.id, day);
    const isWaiting = experiment.status !== 'draft' && unit.sownOn === null && unit.sowOn !== null;
    return !isCurrent && !isGone && !isWaiting;
  });
}

/** The ruler of a length variable. */
export function scaleOf(variable: VariableView): LengthScale {
  return { unit: variable.unit as LengthUnit, step: variable.step };
}

/** How values of a variable are written. */
export function styleOf(variable: VariableView): ValueStyle {
  return variableStyle(variable);
}

/** A finding in a few words: `6.2 cm`, `not up yet`, `dead`. */
export function findingText(finding: Pick<UnitDay, 'state' | 'value'>, variable: VariableView): string {
  return finding.value === null ? STATE_WORDS[finding.state] : readText(finding.value, styleOf(variable));
}
