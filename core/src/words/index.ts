export { comparisonWords, type ComparisonWords } from './comparison-words.ts';
export { CLAIM_DOUBTS, type ClaimDoubt, claimDoubts, claimDoubtWords } from './claim-words.ts';
export {
  ALSO_READ_WORDS,
  CARE_WORDS,
  NO_SHOW_WORDS,
  type CareDone,
  careText,
  SOWING_ITEM_WORDS,
  STATE_WORDS,
} from './code-words.ts';
export { doubtWords } from './doubt-words.ts';
export { wordChips } from './journal-words.ts';
export {
  doseText,
  POSITION_WORDS,
  SET_IN_WORDS,
  potSowing,
  propaguleWord,
  type PotSowing,
  sowingWithoutPlan,
  START_FORM_WORDS,
} from './pot-words.ts';
export { modelWords } from './model-words.ts';
export { luckWords, outOfHundred, pText, shuffleWords } from './luck-words.ts';
export {
  countingWords,
  emergenceWords,
  growthWords,
  type PartSpeech,
  studyWords,
  teamsWords,
  treatmentsWords,
} from './part-words.ts';
export { READING_LEVELS, type ReadingLevel } from './reading-level.ts';
export { type ComparisonSpeech } from './speech.ts';
export { undefinedWords } from './undefined-words.ts';
export {
  changeText,
  computedText,
  contrastWord,
  readText,
  roundedText,
  summaryStyle,
  type ValueStyle,
  comparedStyle,
  variableStyle,
} from './value-style.ts';
export {
  ASPECT_WORDS,
  chanceText,
  CONTAINER_WORDS,
  DEPTH_REASON_WORDS,
  DEPTH_WORDS,
  householdText,
  kitchenText,
  KIND_WORDS,
  LIGHT_WORDS,
  RATE_WORDS,
  TASK_WORDS,
  volumeText,
  PLAN_PART_WORDS,
} from './plan-words.ts';
export {
  cautionText,
  deepText,
  depthText,
  findingWords,
  type FindingStyle,
  type FindingWords,
  SEVERITY_WORDS,
} from './review-words.ts';
export { costWords, mendText } from './mend-words.ts';
export { type UnitNoun, unitNoun, unitsText } from './unit-noun.ts';
export { rehearsalWords } from './rehearsal-words.ts';
export { figuresText, TEST_NAMES, testText } from './test-words.ts';
export { allReadText, type StudentWords, studentWords } from './student-words.ts';
export { LEFT_OUT_WORDS } from './not-known-words.ts';
export {
  boardTitle,
  firstsText,
  lineUpCounts,
  lineUpTitle,
  notUpReasonText,
  notUpText,
  ORDER_WORDS,
  plantText,
  storyText,
} from './board-words.ts';
export { type TalkSpeech, type TalkWords } from './talk/talk-speech.ts';
export { talkWords } from './talk/talk-words.ts';
