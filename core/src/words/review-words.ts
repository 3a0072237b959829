import { type CalendarDay, type LengthScale, lengthText } from '../shared/index.ts';
import type { Caution, FindingFacts, MendCost, Severity } from '../review/index.ts';
import { ASPECT_WORDS, chanceText } from './plan-words.ts';
import { undefinedWords } from './undefined-words.ts';

/** A finding for a reader. */
export interface FindingWords {
  readonly title: string;
  readonly detail: string;
  /** What the one-click mend is called. */
  readonly mend: string;
}

export const SEVERITY_WORDS: Record<Severity, string> = {
  stops: 'Cannot answer the question',
  weakens: 'Weakens the answer',
  look: 'Worth a look',
  care: 'Take care',
  fine: 'As it should be',
};

const CAUTION_WORDS: Record<Caution, readonly [title: string, detail: string]> = {
  soil: [
    'Soil and compost',
    'Wash hands after touching soil; cover cuts; do not breathe the dust of dry mix.',
  ],
  acid: ['Vinegar or another acid', 'Eye protection and gloves; an adult pours. Keep it apart from bleach.'],
  alkali: [
    'Lime, ash or baking soda',
    'Eye protection and gloves, no dust in the air; crush tablets in a closed bag.',
  ],
  salt: ['Salt', 'Not for tasting. Wipe up spills; they harm other plants.'],
  bags: ['Sealed bags', 'A bag that goes mouldy stays sealed and is thrown away sealed.'],
  glass: ['Glass jars', 'Away from the edge; an adult sweeps up what breaks.'],
  lamp: ['Lamps', 'Lamps get hot. Keep water, plugs and extension leads apart.'],
  cutting: ['Knives', 'An adult cuts the pieces beforehand.'],
  allergy: [
    'Before you begin',
    'Ask about allergies. Nobody tastes experimental plants. Your school’s own rules come first.',
  ],
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
    case 'cannot-lay-out':
      return words(
        `${facts.units} pots, ${facts.places} places`,
        'Some pots have nowhere to stand. Use fewer pots, or another container.',
        'Use as many as fit',
      );
    case 'nothing-compared':
      return words('Nothing is compared', 'There is one treatment only. Add a level to compare it with.');
    case 'more-than-one-thing':
      return words(
        'More than one thing differs',
        `In “${facts.factor}” the levels differ in ${listed(facts.aspects.map((aspect) => ASPECT_WORDS[aspect]))}. Whatever you find, you will not know which of them did it.`,
        'Keep the first difference only',
      );
    case 'names-two-things':
      return words(
        `“${facts.level}” sounds like two things`,
        'If it changes two things at once, you will not know which did it. Make them two factors, or drop one.',
      );
    case 'no-control':
      return words(
        `No control in “${facts.factor}”`,
        'Mark the level that is as usual: it shows what would have happened anyway.',
        'Make the first level the control',
      );
    case 'too-few-units':
      return words(
        facts.replicates === 1 ? 'One pot of each treatment' : `${facts.replicates} pots of each treatment`,
        facts.replicates === 1
          ? 'One pot cannot be told from luck: any two plants differ.'
          : `Two plants differ by luck alone, and two pots cannot show how much. Use ${facts.wanted} or more.`,
        `Use ${facts.wanted} of each`,
      );
    case 'seeds-as-replicates':
      return words(
        `${facts.seeds} seeds in one pot are one pot`,
        'Seeds in a pot share its soil, water and place, so they count once. Use several pots of each treatment.',
        'Use 3 pots of each',
      );
    case 'lined-up':
      return words(
        `Treatment is lined up with the ${facts.with}`,
        `How closely: ${Math.round(facts.v * 100) / 100} on a scale from 0 (mixed) to 1 (one tells the other); so lopsided by chance in ${chanceText(facts.p)}. A difference could come from the ${facts.with}.`,
        'Shuffle to a mixed layout',
      );
    case 'smallest-difference':
      return words(
        `Likely to show plants that are ${percent(facts.more)} taller, about ${length(facts.mm)}`,
        `With about ${Math.round(facts.units * 10) / 10} pots to compare on each side, plants that vary as they usually do, and luck as it is, 8 of 10 classes would see plants that much taller${facts.less === null ? '' : `, or ${percent(facts.less)} shorter,`} than the others. A smaller difference would more often be missed.`,
        'Enough pots to see 30\u00a0%',
      );
    case 'pots-stay-empty':
      return words(
        facts.expected < 0.75
          ? 'A pot may stay empty'
          : `About ${countText(facts.expected)} likely to stay empty`,
        `With ${facts.seeds === 1 ? 'one seed' : `${facts.seeds} seeds`} a pot, the chance of at least one empty pot is ${chanceText(facts.chanceOfAny)}.`,
        'Sow enough seeds',
      );
    case 'packet-too-poor':
      return words('No seed of this packet is expected to come up', 'Test ten seeds, or use another packet.');
    case 'not-ready-by-lesson':
      return words(
        `Enough to show by the lesson: ${chanceText(facts.chance)}`,
        facts.latest === null
          ? 'No sowing day from today on gives the chance you want. Move the lesson, ask for smaller plants, or choose a faster crop.'
          : `The latest day to sow for the chance you want is ${style.day(facts.latest)}.`,
        'Sow earlier',
      );
    case 'reads-before-up':
      return words(
        'Every reading comes before anything is up',
        `Seedlings are expected from ${style.day(facts.up)}. Move the lesson, or sow earlier.`,
      );
    case 'no-readings':
      return words(
        'No day to read on',
        'Between the first look and the lesson the class never meets. Change the meeting days, the holidays or the dates.',
      );
    case 'tallest-of-many':
      return words(
        'The tallest of several is tall by itself',
        'With more plants in a pot, the tallest of them is taller by luck alone, whatever crowding does. Mark one plant in each pot and read that one.',
        'Read a marked plant',
      );
    case 'reaction-wait':
      return words(
        `Let ${facts.material} react first`,
        'Acid and lime need two to three days in the mix before seeds go in.',
        'Add three days of waiting',
      );
    case 'light-wrong':
      return facts.needs === 'light'
        ? words(
            `${facts.crop} needs light to come up`,
            'It is planned in the dark or under too much soil.',
            'Give it light',
          )
        : words(`${facts.crop} needs the dark to come up`, 'Cover the seed with soil.', 'Cover it');
    case 'temperature-wrong':
      return words(
        `${facts.temperatureC} °C is outside what ${lower(facts.crop)} comes up in`,
        `It comes up above ${facts.min} °C and up to ${facts.max} °C.`,
        'Use a room it comes up in',
      );
    case 'depth-wrong':
      return words(
        `${depthText(facts.depthMm)} is ${facts.depthMm > facts.usualMm ? 'deep' : 'shallow'} for ${lower(facts.crop)}`,
        `Usual is ${depthText(facts.usualMm)}.`,
        'Use the usual depth',
      );
    case 'off-class-day':
      return words(
        `${facts.what === 'sowing' ? 'Sowing' : 'The lesson'} falls on a day without class`,
        `${style.day(facts.day)} is no meeting day, or in a holiday.`,
        'Move to a class day',
      );
    case 'sowing-is-past':
      return words('The sowing day has passed', `${style.day(facts.day)} is before today.`, 'Move the dates');
    case 'dates-crossed':
      return words('The lesson is not after the sowing', 'Put the two dates in order.');
    case 'helper-missing':
      return words(
        `${facts.days.length === 1 ? 'A day' : `${facts.days.length} days`} without anybody to water`,
        `First on ${style.day(facts.days[0] as CalendarDay)}. Name a helper in Days, or check the water less often.`,
      );
    case 'missing-combinations':
      return words(
        `${facts.count} ${facts.count === 1 ? 'combination is' : 'combinations are'} not grown`,
        'Without every combination you cannot see whether the changes act together.',
        'Grow them all',
      );
    case 'unknown-figures':
      return words(
        `No forecast for ${lower(facts.crop)}`,
        `There is none because ${undefinedWords(facts.reason)}. Give the packet’s days and height in the seed drawer, if you know them.`,
      );
    case 'crop-caution':
      return words(facts.crop, `${capital(facts.text)}.`);
    case 'caution':
      return words(...CAUTION_WORDS[facts.caution]);
    case 'layout-mixed':
      return words(
        'Treatments are well mixed',
        'No treatment owns the bright side, a row, a column or a container.',
      );
  }
}

/** What a mend costs: `10 pots and 20 seeds more`. */
export function costWords({ units, seeds, days }: MendCost): string {
  const parts = [
    units !== 0 && `${counted(units, 'pot')} ${units > 0 ? 'more' : 'fewer'}`,
    seeds !== 0 && `${counted(seeds, 'seed')} ${seeds > 0 ? 'more' : 'fewer'}`,
    days !== 0 && `${counted(days, 'day')} ${days > 0 ? 'later' : 'earlier'}`,
  ].filter((part) => part !== false);
  return parts.length === 0 ? 'costs nothing' : listed(parts);
}

/** How deep seeds lie, to end a phrase with; empty without a figure. */
export function deepText(mm: number | null): string {
  if (mm === null) return '';
  return mm === 0 ? ', on the surface' : `, ${depthText(mm)} deep`;
}

/** A sowing depth in mm. */
export function depthText(mm: number): string {
  return mm === 0 ? 'on the surface' : `${Math.round(mm * 10) / 10} mm`;
}

function counted(count: number, what: string): string {
  const size = Math.abs(count);
  return `${size} ${what}${size === 1 ? '' : 's'}`;
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

function countText(expected: number): string {
  const rounded = Math.round(expected * 10) / 10;
  return rounded === 1 ? '1 pot is' : `${rounded} pots are`;
}

function listed(parts: readonly string[]): string {
  return parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
