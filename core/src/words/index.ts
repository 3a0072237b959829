export { comparisonWords, type ComparisonSpeech, type ComparisonWords, isClear } from './comparison-words.ts';
export { luckWords, outOfHundred, pText } from './luck-words.ts';
export { READING_LEVELS, type ReadingLevel } from './reading-level.ts';
export { undefinedWords } from './undefined-words.ts';
export { computedText, contrastWord, readText, type ValueStyle } from './value-style.ts';
