import { say } from '@bright-sprout/words/interface';
import type { UnitView } from '@bright-sprout/contract/plans';
import { findingText, standingOn, treatmentOf, useExperiment } from '../experiment/index.ts';
import { PotFromAbove, TreatmentMark, treatmentStyle } from '../plants/index.ts';

/** A pot on the layout as it stands on the chosen day: mark, number, plant, and the reading in words. */
export function Pot({ unit, unreadText }: { unit: UnitView; unreadText: string }) {
  const { experiment, findings, variable, day } = useExperiment();
  const treatment = treatmentOf(experiment, unit);
  const { finding, isCurrent, isGone } = standingOn(findings, unit.id, day);
  const isToRead = !isCurrent && !isGone;
  const text = finding && !isToRead ? findingText(finding, variable) : unreadText;
  const kind = isToRead
    ? 'is-unread'
    : finding?.state === 'dead' || finding?.state === 'removed'
      ? 'is-gone'
      : 'is-read';
  const state = finding?.state === 'not_read' ? 'unknown' : (finding?.state ?? 'unknown');
  const heightMm = variable.kind === 'length' ? (finding?.value ?? null) : null;
  return (
    <>
      <PotFromAbove state={state} heightMm={heightMm} turn={unit.number} />
      <span className="pot-tag" style={{ borderColor: treatmentStyle(treatment.style).color }}>
        <TreatmentMark style={treatment.style} />
        {unit.number}
      </span>
      {text !== '' && <span className={`pot-value ${kind}`}>{text}</span>}
    </>
  );
}

/** A pot in words, for a screen reader. */
export function usePotLabel(): (unit: UnitView) => string {
  const { experiment, findings, variable, day } = useExperiment();
  return (unit) => {
    const { finding, isCurrent, isGone } = standingOn(findings, unit.id, day);
    const state = finding && (isCurrent || isGone) ? findingText(finding, variable) : say('toRead');
    return say('pot', { number: unit.number, treatmentOf: treatmentOf(experiment, unit).name, state });
  };
}
