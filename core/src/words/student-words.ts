import type { ReadingLevel } from './reading-level.ts';

/** What a student is asked, one question at a time, in words of an age. */
export interface StudentWords {
  readonly canYouSee: string;
  readonly yes: string;
  readonly notYet: string;
  readonly dead: string;
  readonly cannotFind: string;
  readonly howTall: Readonly<Record<'tallest' | 'tagged' | 'mean', string>>;
  /** How to hold the ruler, in order. */
  readonly howTo: readonly string[];
  readonly howMany: string;
  readonly howManyLeaves: string;
  /** Asks for a score, by variable. */
  readonly score: Readonly<Record<'stage' | 'colour' | 'vigour', string>>;
  readonly allDone: string;
  /** Opens the page for a photo, a drawing or a sentence. */
  readonly showIt: string;
}

const WORDS: Record<ReadingLevel, StudentWords> = {
  '5-7': {
    canYouSee: 'Can you see something green?',
    yes: 'Yes!',
    notYet: 'Not yet',
    dead: 'It looks dead',
    cannotFind: 'I cannot find it',
    howTall: {
      tallest: 'How tall is the tallest one?',
      tagged: 'How tall is the one with the mark?',
      mean: 'How tall are they, about?',
    },
    howTo: ['Put 0 on the soil.', 'Hold the ruler up straight.', 'Look with your eyes next to the top.'],
    howMany: 'How many can you count?',
    howManyLeaves: 'How many leaves, without the first two?',
    score: {
      stage: 'What is the newest thing on it?',
      colour: 'What colour are the leaves?',
      vigour: 'How does it stand?',
    },
    allDone: 'All done. Well looked!',
    showIt: 'Make a picture of it',
  },
  '8-10': {
    canYouSee: 'Can you see a sprout?',
    yes: 'Yes',
    notYet: 'Not up yet',
    dead: 'It looks dead',
    cannotFind: 'I cannot read it today',
    howTall: {
      tallest: 'How tall is the tallest plant?',
      tagged: 'How tall is the marked plant?',
      mean: 'What is the fair share height of all its plants?',
    },
    howTo: [
      'The ruler’s 0 goes on the soil, not on the table.',
      'Hold it upright, close to the stem. Straighten a bent stem gently.',
      'Read at the top of the stem, with your eye at that height.',
    ],
    howMany: 'How many have come up?',
    howManyLeaves: 'How many leaves, without the seed leaves?',
    score: {
      stage: 'What is the newest part you can see?',
      colour: 'What colour are the leaves?',
      vigour: 'How strong does it look?',
    },
    allDone: 'All your pots are read. Thank you!',
    showIt: 'Photo, drawing or sentence',
  },
  '11-13': {
    canYouSee: 'Has a seedling emerged?',
    yes: 'Yes',
    notYet: 'Not up yet',
    dead: 'It is dead',
    cannotFind: 'Not read today',
    howTall: {
      tallest: 'Height of the tallest plant, from the soil line to the growing tip',
      tagged: 'Height of the marked plant, from the soil line to the growing tip',
      mean: 'Mean height of all plants in the pot',
    },
    howTo: [
      'Zero at the soil line, not at the rim or the table.',
      'Ruler upright beside the stem; straighten or follow a bent stem.',
      'Read the growing tip at eye level, to the agreed mark.',
    ],
    howMany: 'How many seedlings have emerged?',
    howManyLeaves: 'How many true leaves?',
    score: {
      stage: 'Which stage has it reached?',
      colour: 'Colour of the leaves',
      vigour: 'Vigour of the plant',
    },
    allDone: 'All your pots are read.',
    showIt: 'Photo, drawing or note',
  },
  '14+': {
    canYouSee: 'Has a seedling emerged?',
    yes: 'Yes',
    notYet: 'Not emerged',
    dead: 'Dead',
    cannotFind: 'No reading',
    howTall: {
      tallest: 'Height of the tallest plant, soil line to apex',
      tagged: 'Height of the tagged plant, soil line to apex',
      mean: 'Mean height of all plants, soil line to apex',
    },
    howTo: [
      'Zero at the soil line.',
      'Ruler upright; straighten or follow a bent stem.',
      'Read the apex at eye level, without parallax.',
    ],
    howMany: 'Number of seedlings emerged',
    howManyLeaves: 'Number of true leaves',
    score: { stage: 'Developmental stage reached', colour: 'Leaf colour', vigour: 'Vigour' },
    allDone: 'All units of your team are read.',
    showIt: 'Photo, drawing or note',
  },
};

/** The words for an age. The level changes vocabulary, never what is asked. */
export function studentWords(level: ReadingLevel): StudentWords {
  return WORDS[level];
}
