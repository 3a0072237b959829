export { comparisonWords, type ComparisonSpeech, type ComparisonWords, isClear } from './comparison-words.ts';
export { luckWords, outOfHundred, pText } from './luck-words.ts';
export { READING_LEVELS, type ReadingLevel } from './reading-level.ts';
export { undefinedWords } from './undefined-words.ts';
export { computedText, contrastWord, readText, type ValueStyle } from './value-style.ts';
export {
  ASPECT_WORDS,
  chanceText,
  CONTAINER_WORDS,
  DEPTH_REASON_WORDS,
  DEPTH_WORDS,
  householdText,
  KIND_WORDS,
  LIGHT_WORDS,
  RATE_WORDS,
  TASK_WORDS,
  volumeText,
} from './plan-words.ts';
export {
  costWords,
  depthText,
  findingWords,
  type FindingStyle,
  type FindingWords,
  SEVERITY_WORDS,
} from './review-words.ts';
export { rehearsalWords } from './rehearsal-words.ts';
export { type StudentWords, studentWords } from './student-words.ts';
