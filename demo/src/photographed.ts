import type { PlaceGrid } from '@bright-sprout/core/imaging';
import type { ExchangedReading } from '@bright-sprout/core/imports';
import { addDays, type CalendarDay, daysBetween, randomGenerator } from '@bright-sprout/core/shared';
import { cameraOfADay, coverAtAge, drawScene, NO_EFFECT, type Scene } from '@bright-sprout/core/simulate';
import {
  classDayAfter,
  classDays,
  classDaysBefore,
  type DemoExperiment,
  type DemoPlan,
  plannedExperiment,
  wholePlan,
} from './experiments.ts';
import { DEMO_TEAMS } from './school.ts';

const PHOTO_DAYS = 13;
const SEED = 41;
/** Photos from so many days on are not yet read by eye. */
const READ_DAYS = 10;
const HALF_GROWN = { open: 10.5, lid: 8 };
const EYE_STEP = 5;
const SIZE = { width: 480, height: 360 };

/** A photo of the made-up school: a container from above. */
export interface DemoPhoto extends Scene {
  readonly takenOn: CalendarDay;
  /** Its corners as shares of width and height, where they were marked: on the first day. */
  readonly corners: readonly number[] | null;
}

/** A pan of mustard in sections that is photographed each class day, and estimated by eye. */
export function photographed(today: CalendarDay): DemoExperiment {
  const last = classDaysBefore(addDays(today, 1), 1);
  const sowOn = classDaysBefore(last, PHOTO_DAYS + 1);
  const plan: DemoPlan = {
    question: 'Does a clear lid help mustard cover its pan sooner?',
    crop: 'White mustard',
    hypothesis: 'It stays damp and warm under the lid, so we think those sections turn green first.',
    factor: 'Lid',
    aspect: 'other',
    levels: [
      { name: 'Open', isControl: true, effect: NO_EFFECT },
      { name: 'Clear lid', isControl: false, effect: NO_EFFECT },
    ],
    replicates: 3,
    container: 'pan_sections',
    scale: { unit: 'cm', step: 0.1 },
    seedsPerUnit: 20,
    sowOn,
    lessonOn: classDayAfter(last, 6),
    seed: SEED,
    changes: {
      measure: { variable: 'green cover', unit: '%', step: EYE_STEP },
      prediction: {
        prompt: 'Which sections will be green first?',
        choices: ['Open', 'Clear lid', 'No difference that we can see'],
      },
    },
  };
  const planned = plannedExperiment(plan, sowOn);
  const days = classDays(sowOn, last).slice(1);
  const places = planned.units
    .map((unit, index) => ({ unit, index }))
    .sort((a, b) => a.unit.row - b.unit.row || a.unit.column - b.unit.column);
  const wantedOn = (day: CalendarDay): number[] =>
    places.map(({ unit }) => coverOf(unit, daysBetween(sowOn, day)));
  const readings = days.slice(0, READ_DAYS).flatMap((day) => {
    const covers = wantedOn(day);
    return places.map(({ unit, index }, place) => byEye(index, unit.number, day, covers[place] as number));
  });
  const grid = planned.containers[0] as PlaceGrid;
  return {
    status: 'growing',
    hypothesis: plan.hypothesis,
    plan: wholePlan(plan),
    experiment: {
      ...planned,
      variables: [{ name: 'green cover', kind: 'number', unit: '%', step: EYE_STEP }],
      readings,
    },
    drawPhotos: () => days.map((day, index) => photoOf(grid, wantedOn(day), day, index)),
  };
}

/** About how much of a section is green so many days after sowing. */
function coverOf({ number, treatment }: { number: number; treatment: number }, age: number): number {
  const early = randomGenerator(SEED + number).normal() * 0.7;
  const half = (treatment === 0 ? HALF_GROWN.open : HALF_GROWN.lid) + early;
  return coverAtAge(age, half);
}

function photoOf(grid: PlaceGrid, wanted: readonly number[], takenOn: CalendarDay, index: number): DemoPhoto {
  const camera = cameraOfADay(SIZE, randomGenerator(SEED * 100 + index));
  const shares = camera.corners.flatMap(({ x, y }) => [x / SIZE.width, y / SIZE.height]);
  // The plants are the same each day; only their size is another.
  return { ...drawScene(grid, wanted, camera, SEED), takenOn, corners: index === 0 ? shares : null };
}

/** What a team says by eye: to the nearest five, and a little too much. */
function byEye(unit: number, number: number, day: CalendarDay, cover: number): ExchangedReading {
  const value = Math.round((108 * cover) / EYE_STEP) * EYE_STEP;
  const isUp = value > 0;
  return {
    id: '',
    unit,
    variable: 0,
    observedOn: day,
    state: isUp ? 'emerged' : 'not_emerged',
    value: isUp ? value : null,
    unitOfMeasure: '%',
    precision: EYE_STEP,
    entered: isUp ? String(value) : '',
    observer: DEMO_TEAMS[number % DEMO_TEAMS.length] as string,
    recordedAt: `${day}T09:${String(10 + number).padStart(2, '0')}:00.000Z`,
    supersedes: '',
    setAside: '',
  };
}
