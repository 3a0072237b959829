import { allOf } from '@bright-sprout/words/say';
import { say } from '@bright-sprout/words/lessons';
import type {
  BoardKind,
  Extreme,
  Firsts,
  LineUpOrder,
  NotUpFacts,
  NotUpReason,
  PlantOnDay,
  PlantStory,
} from '../lessons/index.ts';
import { levelKey } from './level-key.ts';
import type { ReadingLevel } from './reading-level.ts';
import { readText, roundedText, type ValueStyle } from './value-style.ts';

const TITLES: Readonly<Record<BoardKind, (level: string) => string>> = {
  question: (level) => say('boardQuestion', { level }),
  line_up: (level) => say('boardLineUp', { level }),
  two_to_watch: (level) => say('boardTwoToWatch', { level }),
  firsts: (level) => say('boardFirsts', { level }),
  guess: (level) => say('boardGuess', { level }),
  answer: (level) => say('boardAnswer', { level }),
  luck: (level) => say('boardLuck', { level }),
  not_known: (level) => say('boardNotKnown', { level }),
  talk: (level) => say('boardTalk', { level }),
  pictures: () => say('boardPictures'),
  own_words: () => say('boardOwnWords'),
};

/** What a board is called. */
export function boardTitle(kind: BoardKind, level: ReadingLevel): string {
  return TITLES[kind](levelKey(level));
}

/** What a row of plants can be put in order by, in a word. */
export const ORDER_WORDS: Readonly<Record<LineUpOrder, string>> = {
  height: say('orderHeight'),
  age: say('orderAge'),
  first_up: say('orderFirstUp'),
  treatment: say('orderTreatment'),
  place: say('orderPlace'),
  team: say('orderTeam'),
};

const LINED_UP: Readonly<Record<LineUpOrder, (when: string) => string>> = {
  height: (when) => say('lineUpByHeight', { when }),
  age: (when) => say('lineUpByAge', { when }),
  first_up: (when) => say('lineUpByFirstUp', { when }),
  treatment: (when) => say('lineUpByTreatment', { when }),
  place: (when) => say('lineUpByPlace', { when }),
  team: (when) => say('lineUpByTeam', { when }),
};

/** What a row shows: `Shortest to tallest, day 25`; the day as a date where plants differ in age. */
export function lineUpTitle(order: LineUpOrder, age: number | null, dayText: string): string {
  return LINED_UP[order](age === null ? dayText : say('onDay', { age }));
}

/** How many were read on the day, and what the others are. */
export function lineUpCounts(plants: readonly PlantOnDay[]): string {
  const count = (is: (plant: PlantOnDay) => boolean): number => plants.filter(is).length;
  return [
    say('readOfPots', {
      read: count(({ isOfDay, plant }) => isOfDay && plant.state !== 'dead' && plant.state !== 'removed'),
      pots: plants.length,
    }),
    say('ofThemCounts', {
      notUp: count(({ plant }) => plant.state === 'not_emerged'),
      dead: count(({ plant }) => plant.state === 'dead'),
      removed: count(({ plant }) => plant.state === 'removed'),
      notRead: count(({ plant, isOfDay }) => !isOfDay && plant.state !== 'not_sown'),
    }),
  ].join('');
}

/** How a plant stands, in a few words: its height, or what it is instead; a reading of another day says so. */
export function plantText(
  { plant, isOfDay }: PlantOnDay,
  style: ValueStyle,
  dayText: (day: string) => string,
): string {
  switch (plant.state) {
    case 'not_sown':
      return say('plantNotSown');
    case 'not_read':
      return say('plantNotRead');
    case 'not_emerged':
      return isOfDay
        ? say('plantNotUp')
        : say('plantReadOn', { value: say('plantNotUp'), on: dayText(plant.readOn) });
    case 'dead':
      return say('plantDead');
    case 'removed':
      return say('plantRemoved');
    case 'emerged': {
      const value = plant.value === null ? say('plantUp') : readText(plant.value, style);
      return isOfDay ? value : say('plantReadOn', { value, on: dayText(plant.readOn) });
    }
  }
}

/** The life of a plant in a line. */
export function storyText(story: PlantStory, style: ValueStyle, sownText: string): string {
  const { firstUp, weeks, end } = story;
  const up = firstUp
    ? say('storyUp', {
        age: firstUp.age,
        ifBefore: firstUp.notUpAt === null ? 'no' : 'yes',
        before: firstUp.notUpAt,
      })
    : say('storyNotUp');
  const parts = [
    say('storySown', { on: sownText }),
    up,
    ...weeks.map(({ age, value }) => say('storyWeek', { value: readText(value, style), age })),
    ...(end
      ? [end.state === 'dead' ? say('storyDead', { age: end.age }) : say('storyRemoved', { age: end.age })]
      : []),
  ];
  return say('storyOf', { number: story.unit.number, parts: parts.join('; ') });
}

function numbers({ units }: Extreme): { n: number; pots: string } {
  return { n: units.length, pots: allOf(units.map(({ number }) => number).sort((a, b) => a - b)) };
}

/** First and last, tallest and shortest, each in a sentence; a single plant is said to be a single one. */
export function firstsText(firsts: Firsts, style: ValueStyle, mark: number | null): string[] {
  const { firstUp, tallest, shortest, grownMost, nearestMark } = firsts;
  const lines: string[] = [];
  if (firstUp.defined) {
    const { value: age, among } = firstUp.value;
    lines.push(say('firstUpIs', { ...numbers(firstUp.value), age, among }));
  }
  if (tallest.defined) {
    const { among, value } = tallest.value;
    const said = { ...numbers(tallest.value), value: readText(value, style) };
    lines.push(among === 1 ? say('onlyOneRead', said) : say('tallestIs', { ...said, among }));
  }
  if (shortest.defined && tallest.defined && shortest.value.value < tallest.value.value) {
    lines.push(
      say('shortestIs', { ...numbers(shortest.value), value: readText(shortest.value.value, style) }),
    );
  }
  if (grownMost.defined && grownMost.value.among > 1 && grownMost.value.value > 0) {
    lines.push(
      say('grownMostIs', { ...numbers(grownMost.value), value: readText(grownMost.value.value, style) }),
    );
  }
  if (nearestMark.defined && nearestMark.value.among > 1 && mark !== null) {
    const value = roundedText(nearestMark.value.value, style);
    lines.push(say('nearestMarkIs', { ...numbers(nearestMark.value), value, mark: readText(mark, style) }));
  }
  return lines.length > 0 ? lines : [say('nothingReadYet')];
}

/** Pots that are not up, as the beginning of a list of reasons. */
export function notUpText({ notUp }: Firsts): string {
  return say('notUpAre', numbers({ units: notUp, value: 0, among: notUp.length }));
}

/** A reason to talk about why a pot is not up. */
export function notUpReasonText(
  reason: NotUpReason,
  { usual, rate, temperatureC, wantsC }: NotUpFacts,
): string {
  switch (reason) {
    case 'time_to_go':
      return say('reasonTimeToGo', { days: usual?.max });
    case 'some_never_do':
      return say('reasonSomeNeverDo', { rate: Math.round(100 * (rate ?? 0)) });
    case 'no_warmth':
      return say('reasonNoWarmth', { now: temperatureC, wants: wantsC?.min });
    case 'too_deep':
      return say('reasonTooDeep');
    case 'watering':
      return say('reasonWatering');
    case 'covered_by_mix':
      return say('reasonCoveredByMix');
  }
}
