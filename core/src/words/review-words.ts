import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/plan-statements';
import { type CalendarDay, type LengthScale, lengthText } from '../shared/index.ts';
import type { Caution, FindingFacts, LinedUpWith, Severity } from '../review/index.ts';
import { ASPECT_WORDS, chanceText, CONTAINER_WORDS } from './plan-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** A finding for a reader. */
export interface FindingWords {
  readonly title: string;
  readonly detail: string;
  /** What the one-click mend is called. */
  readonly mend: string;
}

export const SEVERITY_WORDS: Record<Severity, string> = {
  stops: say('cannotAnswerTheQuestion'),
  weakens: say('weakensTheAnswer'),
  look: say('worthALook'),
  care: say('takeCare'),
  fine: say('asItShouldBe'),
};

const CAUTION_WORDS: Record<Caution, readonly [title: string, detail: string]> = {
  soil: [say('soilAndCompost'), say('washHandsAfterTouchingSoilCoverCuts')],
  acid: [say('vinegarOrAnotherAcid'), say('eyeProtectionAndGlovesAnAdultPours')],
  alkali: [say('limeAshOrBakingSoda'), say('eyeProtectionAndGlovesNoDustIn')],
  feed: [say('plantFeed'), say('feedIsMeasuredByAnAdult')],
  soap: [say('soap'), say('soapStingsInEyes')],
  bleach: [say('bleachOrPeroxide'), say('bleachIsNotForTheClass')],
  spirit: [say('alcohol'), say('alcoholBurnsAndIsPoured')],
  treated: [say('treatedSeed'), say('seedOfThisCropIsOftenTreated')],
  salt: [say('salt'), say('notForTastingWipeUpSpillsThey')],
  bags: [say('sealedBags'), say('aBagThatGoesMouldyStaysSealed')],
  glass: [say('glassJars'), say('awayFromTheEdgeAnAdultSweeps')],
  lamp: [say('lamps'), say('lampsGetHotKeepWaterPlugsAnd')],
  cutting: [say('knives'), say('anAdultCutsThePiecesBeforehand')],
  allergy: [say('beforeYouBegin'), say('askAboutAllergiesNobodyTastes')],
};

/** How lengths and days are written for this reader. */
export interface FindingStyle {
  readonly scale: LengthScale;
  readonly day: (day: CalendarDay) => string;
}

/** A finding in words: what it is, what it means, what mending it is called. */
export function findingWords(facts: FindingFacts, style: FindingStyle): FindingWords {
  const words = (title: string, detail: string, mend = ''): FindingWords => ({ title, detail, mend });
  const length = (mm: number): string => lengthText(mm, style.scale);
  switch (facts.code) {
    case 'cannot_lay_out':
      return words(
        say('potsPlaces', { units: facts.units, places: facts.places }),
        say('somePotsHaveNowhereToStandUse'),
        say('useAsManyAsFit'),
      );
    case 'nothing_compared':
      return words(say('nothingIsCompared'), say('thereIsOneTreatmentOnlyAddA'));
    case 'more_than_one_thing':
      return words(
        say('moreThanOneThingDiffers'),
        say('inTheLevelsDifferInWhateverYou', {
          factor: facts.factor,
          listed: allOf(facts.aspects.map((aspect) => ASPECT_WORDS[aspect])),
        }),
        say('keepTheFirstDifferenceOnly'),
      );
    case 'names_two_things':
      return words(say('soundsLikeTwoThings', { level: facts.level }), say('ifItChangesTwoThingsAtOnce'));
    case 'no_control':
      return words(
        say('noControlIn', { factor: facts.factor }),
        say('markTheLevelThatIsAsUsual'),
        say('makeTheFirstLevelTheControl'),
      );
    case 'too_few_units':
      return words(
        facts.replicates === 1
          ? say('onePotOfEachTreatment')
          : say('potsOfEachTreatment', { replicates: facts.replicates }),
        facts.replicates === 1
          ? say('onePotCannotBeToldFromLuck')
          : say('twoPlantsDifferByLuckAloneAnd', { wanted: facts.wanted }),
        say('useOfEach', { wanted: facts.wanted }),
      );
    case 'seeds_as_replicates':
      return words(
        say('seedsInOnePotAreOnePot', { seeds: facts.seeds }),
        say('seedsInAPotShareItsSoil'),
        say('use3PotsOfEach'),
      );
    case 'lined_up':
      return words(
        say('treatmentIsLinedUpWithThe', { with: LINED_UP_WORDS[facts.with] }),
        say('howCloselyOnAScaleFrom0', {
          v: Math.round(facts.v * 100) / 100,
          chanceText: chanceText(facts.p),
          with: LINED_UP_WORDS[facts.with],
        }),
        say('shuffleToAMixedLayout'),
      );
    case 'smallest_difference':
      return words(
        say('likelyToShowPlantsThatAreTaller', {
          percent: percent(facts.more),
          length: length(facts.mm),
          replicates: facts.replicates,
          isChoice: facts.wanted === null ? 'no' : 'yes',
        }),
        say('withAboutPotsToCompareOnEach', {
          units: Math.round(facts.units * 10) / 10,
          more: percent(facts.more),
          isOnlyMore: facts.less === null ? 'yes' : 'no',
          less: facts.less === null ? null : percent(facts.less),
        }),
        say('enoughPotsToSee30', { wanted: facts.wanted }),
      );
    case 'pots_stay_empty':
      return words(
        facts.expected < 0.75
          ? say('aPotMayStayEmpty')
          : say('aboutLikelyToStayEmpty', { countText: countText(facts.expected) }),
        facts.single === null
          ? say('withSeedsAPotTheChanceOf', {
              seeds: facts.seeds,
              chanceText: chanceText(facts.chanceOfAny),
            })
          : say('withOneAPotTheChanceOf', {
              single: facts.single,
              chanceText: chanceText(facts.chanceOfAny),
              spares: facts.spares,
            }),
        say('sowEnoughSeeds'),
      );
    case 'packet_too_poor':
      return words(say('noSeedOfThisPacketIsExpected'), say('testTenSeedsOrUseAnotherPacket'));
    case 'not_ready_by_lesson':
      return words(
        say('enoughToShowByTheLesson', { chanceText: chanceText(facts.chance) }),
        facts.latest === null
          ? say('noSowingDayFromTodayOnGives')
          : say('theLatestDayToSowForThe', { day: style.day(facts.latest) }),
        say('sowEarlier'),
      );
    case 'reads_before_up':
      return words(
        say('everyReadingComesBeforeAnythingIsUp'),
        say('seedlingsAreExpectedFromMoveThe', { day: style.day(facts.up) }),
      );
    case 'no_readings':
      return words(say('noDayToReadOn'), say('betweenTheFirstLookAndTheLesson'));
    case 'tallest_of_many':
      return words(
        say('theTallestOfSeveralIsTallBy'),
        say('withMorePlantsInAPotThe'),
        say('readAMarkedPlant'),
      );
    case 'reaction_wait':
      return words(
        say('letReactFirst', { material: facts.material }),
        say('acidAndLimeNeedTwoToThree'),
        say('addThreeDaysOfWaiting'),
      );
    case 'light_wrong':
      return facts.needs === 'light'
        ? words(
            say('needsLightToComeUp', { crop: facts.crop }),
            say('itIsPlannedInTheDarkOr'),
            say('giveItLight'),
          )
        : words(
            say('needsTheDarkToComeUp', { crop: facts.crop }),
            say('coverTheSeedWithSoil'),
            say('coverIt'),
          );
    case 'temperature_wrong':
      return words(
        say('cIsOutsideWhatComesUpIn', { temperatureC: facts.temperatureC, lower: lower(facts.crop) }),
        say('itComesUpAboveCAndUp', { min: facts.min, max: facts.max }),
        say('useARoomItComesUpIn'),
      );
    case 'depth_wrong':
      return words(
        say('isDeepFor', {
          depthText: depthText(facts.depthMm),
          ifDepthMm: facts.depthMm > facts.usualMm ? 'yes' : 'no',
          lower: lower(facts.crop),
        }),
        say('usualIs', { depthText: depthText(facts.usualMm) }),
        say('useTheUsualDepth'),
      );
    case 'off_class_day':
      return words(
        say('sowingFallsOnADayWithoutClass', { ifWhat: facts.what === 'sowing' ? 'yes' : 'no' }),
        say('isNoMeetingDayOrInA', { day: style.day(facts.day) }),
        say('moveToAClassDay'),
      );
    case 'sowing_is_past':
      return words(
        say('theSowingDayHasPassed'),
        say('isBeforeToday', { day: style.day(facts.day) }),
        say('moveTheDates'),
      );
    case 'preparation_past':
      return words(
        say('tooLateFor', { task: facts.task }),
        say('wouldHaveToBeginOn', { day: style.day(facts.day) }),
        say('moveTheDates'),
      );
    case 'water_far_off':
      return words(
        say('waterIsFarOff', {
          waterMl: facts.waterMl,
          way: facts.waterMl < facts.usualMl ? 'little' : 'much',
        }),
        say('aTenthOfThePlaceWets', { cellMl: facts.cellMl, usualMl: facts.usualMl }),
        say('giveMl', { usualMl: facts.usualMl }),
      );
    case 'sections_share':
      return words(
        say('sectionsShare', { aspect: ASPECT_WORDS[facts.aspect] }),
        say('sectionsShareDetail', { factor: facts.factor }),
        say('aPanForEach'),
      );
    case 'more_than_sorted':
      return words(
        say('moreThanSorted', { level: facts.level }),
        say('moreThanSortedDetail', { wanted: facts.wanted, sorted: facts.sorted }),
      );
    case 'sorted_too_late':
      return words(say('sortedTooLate'), say('sortBy', { day: style.day(facts.day) }), say('sortInTime'));
    case 'dates_crossed':
      return words(say('theLessonIsNotAfterTheSowing'), say('putTheTwoDatesInOrder'));
    case 'helper_missing':
      return words(
        say('daysWithoutAnybodyToWater', { daysCount: facts.days.length }),
        say('firstOnNameAHelperInDays', { day: style.day(facts.days[0] as CalendarDay) }),
      );
    case 'missing_combinations':
      return words(
        say('combinationsAreNotGrown', { count: facts.count }),
        say('withoutEveryCombinationYouCannotSee'),
        say('growThemAll'),
      );
    case 'aligned_changes':
      return words(
        say('alignedChanges', { first: facts.first, second: facts.second }),
        say('alignedChangesMeaning', { first: facts.first, second: facts.second }),
        say('growThemAll'),
      );
    case 'too_few_of_combination':
      return words(
        say('fewOfCombination', { replicates: facts.replicates }),
        say('fewOfCombinationMeaning', { each: facts.each }),
        say('use3PotsOfEach'),
      );
    case 'stands_share_container':
      return words(say('standsShareContainer'), say('standsShareMeaning'), say('givePlacesContainers'));
    case 'stand_is_treatment':
      return words(say('standIsTreatment'), say('standIsTreatmentMeaning', { stands: facts.stands }));
    case 'stand_has_own_container':
      return words(
        say('ownKindOfContainer'),
        say('ownKindOfContainerMeaning', {
          kinds: allOf(facts.kinds.map((kind) => CONTAINER_WORDS[kind].toLowerCase())),
        }),
        say('sameContainersEverywhere'),
      );
    case 'layout_uneven':
      return words(
        say('layoutUneven', {
          treatment: facts.treatment,
          count: facts.count,
          units: facts.units,
          with: LINED_UP_WORDS[facts.with],
          isSide: facts.with === 'bright side' ? 'yes' : 'no',
        }),
        say('layoutUnevenMeaning'),
        say('shuffleToAMixedLayout'),
      );
    case 'unknown_figures':
      return words(
        say('noForecastFor', { lower: lower(facts.crop) }),
        say('thereIsNoneBecauseGiveThePackets', { undefinedWords: undefinedWords(facts.reason) }),
      );
    case 'crop_caution':
      return words(facts.crop, cautionText(facts.text));
    case 'unknown_material':
      return words(
        say('isThisSafe', { material: facts.material }),
        say('nothingIsKnownOfThisMaterial', { material: facts.material }),
      );
    case 'caution':
      return words(...CAUTION_WORDS[facts.caution]);
    case 'layout_mixed':
      return words(say('treatmentsAreWellMixed'), say('noTreatmentOwnsTheBrightSideA'));
  }
}

/** A caution as whole sentences, also where somebody typed only a few words. */
export function cautionText(text: string): string {
  const said = text.trim();
  if (said === '') return '';
  return /[.!?]$/.test(said) ? capital(said) : `${capital(said)}.`;
}

/** How deep seeds lie, to end a phrase with; empty without a figure. */
export function deepText(mm: number | null): string {
  if (mm === null) return '';
  return mm === 0 ? say('onTheSurface2') : say('deep', { depthText: depthText(mm) });
}

/** A sowing depth in mm. */
export function depthText(mm: number): string {
  return mm === 0 ? say('onTheSurface3') : say('mm', { mm: Math.round(mm * 10) / 10 });
}

const LINED_UP_WORDS: Record<LinedUpWith, string> = {
  'bright side': say('brightSide'),
  row: say('row'),
  column: say('column'),
  half: say('halfOfTheLine'),
  container: say('container'),
  team: say('team'),
  'sowing day': say('sowingDay'),
};

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}

function countText(expected: number): string {
  const rounded = Math.round(expected * 10) / 10;
  return say('potsAre', { rounded });
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
