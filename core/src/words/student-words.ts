import { say } from '@bright-sprout/words/student';
import { levelKey } from './level-key.ts';
import type { ReadingLevel } from './reading-level.ts';

/** What a student is asked, one question at a time, in words of an age. */
export interface StudentWords {
  readonly canYouSee: string;
  readonly yes: string;
  readonly notYet: string;
  readonly dead: string;
  readonly cannotFind: string;
  /** Asked once more before a death, or nothing where a plant stood, is stored. */
  readonly isItDead: string;
  readonly isItGone: string;
  /** Said to whom a plant has died. */
  readonly deadThanks: string;
  readonly howTall: Readonly<Record<'tallest' | 'tagged' | 'mean', string>>;
  /** How to hold the ruler, in order. */
  readonly howTo: readonly string[];
  readonly howMany: string;
  readonly howManyLeaves: string;
  /** Asks for a score, by variable. */
  readonly score: Readonly<Record<'stage' | 'colour' | 'vigour' | 'soil', string>>;
  /** Opens the page for a photo, a drawing or a sentence. */
  readonly showIt: string;
}

const WORDS: Record<ReadingLevel, StudentWords> = {
  '5-7': {
    canYouSee: say('canYouSeeSomethingGreen'),
    yes: say('yes'),
    notYet: say('notYet'),
    dead: say('itLooksDead'),
    cannotFind: say('iCannotFindIt'),
    isItDead: say('isItReallyDeadYoung'),
    isItGone: say('isItReallyGoneYoung'),
    deadThanks: say('deadThanksYoung'),
    howTall: {
      tallest: say('howTallIsTheTallestOne'),
      tagged: say('howTallIsTheOneWithThe'),
      mean: say('howTallAreTheyAbout'),
    },
    howTo: [say('put0OnTheSoil'), say('holdTheRulerUpStraight'), say('lookWithYourEyesNextToThe')],
    howMany: say('howManyCanYouCount'),
    howManyLeaves: say('howManyLeavesWithoutTheFirstTwo'),
    score: {
      stage: say('whatIsTheNewestThingOnIt'),
      colour: say('whatColourAreTheLeaves'),
      vigour: say('howDoesItStand'),
      soil: say('touchTheSoilHowDoesItFeel'),
    },
    showIt: say('makeAPictureOfIt'),
  },
  '8-10': {
    canYouSee: say('canYouSeeASprout'),
    yes: say('yes2'),
    notYet: say('notUpYet'),
    dead: say('itLooksDead'),
    cannotFind: say('iCannotReadItToday'),
    isItDead: say('isItReallyDead'),
    isItGone: say('isItReallyGone'),
    deadThanks: say('deadThanks'),
    howTall: {
      tallest: say('howTallIsTheTallestPlant'),
      tagged: say('howTallIsTheMarkedPlant'),
      mean: say('whatIsTheFairShareHeightOf'),
    },
    howTo: [say('theRulers0GoesOnTheSoil'), say('holdItUprightCloseToTheStem'), say('readAtTheTopOfTheStem')],
    howMany: say('howManyHaveComeUp'),
    howManyLeaves: say('howManyLeavesWithoutTheSeedLeaves'),
    score: {
      stage: say('whatIsTheNewestPartYouCan'),
      colour: say('whatColourAreTheLeaves'),
      vigour: say('howStrongDoesItLook'),
      soil: say('touchTheSoilHowDoesItFeel'),
    },
    showIt: say('photoDrawingOrSentence'),
  },
  '11-13': {
    canYouSee: say('hasASeedlingEmerged'),
    yes: say('yes2'),
    notYet: say('notUpYet'),
    dead: say('itIsDead'),
    cannotFind: say('notReadToday'),
    isItDead: say('isItReallyDead'),
    isItGone: say('isItReallyGone'),
    deadThanks: say('deadThanks'),
    howTall: {
      tallest: say('heightOfTheTallestPlantFromThe'),
      tagged: say('heightOfTheMarkedPlantFromThe'),
      mean: say('meanHeightOfAllPlantsInThe'),
    },
    howTo: [
      say('zeroAtTheSoilLineNotAt'),
      say('rulerUprightBesideTheStemStraighten'),
      say('readTheGrowingTipAtEyeLevel'),
    ],
    howMany: say('howManySeedlingsHaveEmerged'),
    howManyLeaves: say('howManyTrueLeaves'),
    score: {
      stage: say('whichStageHasItReached'),
      colour: say('colourOfTheLeaves'),
      vigour: say('vigourOfThePlant'),
      soil: say('soilByTouchAtAFingersDepth'),
    },
    showIt: say('photoDrawingOrNote'),
  },
  '14+': {
    canYouSee: say('hasASeedlingEmerged'),
    yes: say('yes2'),
    notYet: say('notEmerged'),
    dead: say('dead'),
    cannotFind: say('noReading'),
    isItDead: say('isItReallyDead'),
    isItGone: say('isItReallyGone'),
    deadThanks: say('deadThanks'),
    howTall: {
      tallest: say('heightOfTheTallestPlantSoilLine'),
      tagged: say('heightOfTheTaggedPlantSoilLine'),
      mean: say('meanHeightOfAllPlantsSoilLine'),
    },
    howTo: [
      say('zeroAtTheSoilLine'),
      say('rulerUprightStraightenOrFollowABent'),
      say('readTheApexAtEyeLevelWithout'),
    ],
    howMany: say('numberOfSeedlingsEmerged'),
    howManyLeaves: say('numberOfTrueLeaves'),
    score: {
      stage: say('developmentalStageReached'),
      colour: say('leafColour'),
      vigour: say('vigour'),
      soil: say('soilByTouchAtAFingersDepth'),
    },
    showIt: say('photoDrawingOrNote'),
  },
};

/** The words of an age where seeds lie without soil and their roots are looked for. */
function rootWords(level: ReadingLevel): Pick<StudentWords, 'canYouSee' | 'notYet' | 'howMany'> {
  const said = { level: levelKey(level) };
  return {
    canYouSee: say('canYouSeeARoot', said),
    notYet: say('noRootYet', said),
    howMany: say('howManyHaveARoot', said),
  };
}

/** Says that a student has read every own pot, with thanks by name. */
export function allReadText(level: ReadingLevel, pots: number, displayName: string): string {
  return say('allReadThankYou', { level: levelKey(level), count: pots, displayName });
}

/**
 * What a student of a level is asked.
 * @param isSoilFree where seeds lie on paper or cotton: a seed is then seen from its root on
 */
export function studentWords(level: ReadingLevel, isSoilFree = false): StudentWords {
  return isSoilFree ? { ...WORDS[level], ...rootWords(level) } : WORDS[level];
}
