import { say } from '@bright-sprout/words/refusals';
import type { ReadingRequest } from '@bright-sprout/contract/readings';
import { type GrowthFacts, mostPossibleMm, NEVER_REFUSED_MM } from '@bright-sprout/core/growth';
import { largestIn, LENGTH_UNITS, LONGEST_MM } from '@bright-sprout/core/shared';
import type { ExperimentStatus } from '@bright-sprout/core/calendar';
import { ApiError, invalidField } from '../shared/index.ts';

const MM_IN_CM = 10;

/** What is stored about the unit and variable of a reading. */
export interface ReadingPlace {
  readonly status: ExperimentStatus;
  readonly sownOn: string | null;
  /** What is read. */
  readonly name: string;
  readonly kind: string;
  /** Unit that the variable is planned in. */
  readonly unit: string;
  /** Unit, variable and day of the reading to be corrected, when one was named and exists. */
  readonly corrected: { unitId: string; variableId: string; observedOn: string } | null;
}

/**
 * Refuses a reading that cannot be: before sowing, in the future, a negative height.
 * @throws ApiError
 */
export function checkReading(request: ReadingRequest, place: ReadingPlace, today: string): void {
  const { value, observedOn } = request;
  if (place.status === 'finished') {
    throw new ApiError('experiment_finished', say('thisExperimentIsFinishedOpenItAgain'));
  }
  if (place.sownOn === null) throw new ApiError('not_planted', say('thisPotHasNoSowingDateYet'));
  if (observedOn < place.sownOn)
    throw invalidField('observedOn', say('thisPotWasSownOnChooseThat', { sownOn: place.sownOn }));
  if (observedOn > today) throw invalidField('observedOn', say('thisDayHasNotComeYet'));
  const units: readonly string[] = place.kind === 'length' ? LENGTH_UNITS : [place.unit];
  if (!units.includes(request.unitOfMeasure)) {
    throw invalidField('unitOfMeasure', say('giveTheUnitOfWhatWasRead', { units: units.join(', ') }));
  }
  if (value != null) checkValue(place.kind, value, place.unit);
  if (request.supersedesId && !isSamePlace(request, place.corrected)) {
    throw invalidField('supersedesId', say('aCorrectionIsOfAReadingOf'));
  }
}

function checkValue(kind: string, value: number, unit: string): void {
  const largest = kind === 'number' ? largestIn(unit) : undefined;
  if (largest !== undefined && (value < 0 || value > largest)) {
    throw invalidField('value', say('giveAValueFrom0To', { largest, unit }));
  }
  if (kind === 'length' && (value < 0 || value > LONGEST_MM)) {
    throw invalidField('value', say('giveALengthFrom0To30'));
  }
  if (kind === 'score' && (value < 1 || value > 20 || !Number.isInteger(value))) {
    throw invalidField('value', say('chooseOneOfTheScores'));
  }
  if (kind === 'count' && (value < 0 || !Number.isInteger(value))) {
    throw invalidField('value', say('giveAWholeNumber0OrMore'));
  }
}

/** True of a height so large that only the crop can say whether it is possible. */
export function isVeryTall({ value }: Pick<ReadingRequest, 'value'>, { name, kind }: ReadingPlace): boolean {
  return kind === 'length' && name === 'height' && value != null && value > NEVER_REFUSED_MM;
}

/**
 * Refuses a height that the crop of its unit never reaches.
 * @throws ApiError
 */
export function checkPossible({ value }: Pick<ReadingRequest, 'value'>, facts: GrowthFacts | null): void {
  const mostMm = mostPossibleMm(facts);
  if (value == null || mostMm === null || value <= mostMm) return;
  throw invalidField('value', say('noPlantOfThisCropIsSoTall', { mostCm: mostMm / MM_IN_CM }));
}

function isSamePlace(request: ReadingRequest, corrected: ReadingPlace['corrected']): boolean {
  return (
    corrected !== null &&
    corrected.unitId === request.unitId &&
    corrected.variableId === request.variableId &&
    corrected.observedOn === request.observedOn
  );
}
