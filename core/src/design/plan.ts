import type { CalendarDay, LengthUnit } from '../shared/index.ts';
import type { AlsoRead } from './also-read.ts';
import type { PlanContainer } from './container.ts';

/** The kinds of investigation that a plan can start as. */
export const INVESTIGATION_KINDS = [
  'watch',
  'one_factor',
  'crossed',
  'density',
  'crops',
  'ages',
  'packet_test',
  'sorting',
  'soil_free',
  'sections',
  'pieces',
  'challenge',
] as const;
export type InvestigationKind = (typeof INVESTIGATION_KINDS)[number];

/** What a level can set, and a factor can be about. */
export const ASPECTS = [
  'water',
  'light',
  'temperature',
  'additive',
  'medium',
  'cover',
  'depth',
  'density',
  'crop',
  'age',
  'sorting',
  'other',
] as const;
export type Aspect = (typeof ASPECTS)[number];

export const LIGHT_PLACES = ['bright', 'shade', 'dark', 'lamp'] as const;
export type LightPlace = (typeof LIGHT_PLACES)[number];

export const DOSE_UNITS = ['g', 'mL', 'drop', 'pinch', 'tablet', 'g/L', 'mL/L'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

/** So much of a material in each unit, or in each litre of its water at every watering; 0 for none. */
export interface Dose {
  readonly material: string;
  readonly amount: number;
  readonly unit: DoseUnit;
}

/** One setting of a factor. `null` means: as everywhere else in the plan. */
export interface PlanLevel {
  readonly name: string;
  readonly isControl: boolean;
  readonly cropId: string | null;
  /** The packet that its seeds are from; of its crop. */
  readonly lotId?: string | null;
  readonly plants: number | null;
  /** Seeds in each unit, where they are not as many for each plant as elsewhere. */
  readonly seeds?: number | null;
  /** Seeds that sorting left for it, where they are counted. */
  readonly sorted?: number | null;
  /** Days old on the lesson day; the sowing date follows from it. */
  readonly ageDays: number | null;
  readonly depthMm: number | null;
  readonly waterMl: number | null;
  readonly temperatureC: number | null;
  readonly light: LightPlace | null;
  readonly isCovered: boolean | null;
  readonly medium: string | null;
  readonly dose: Dose | null;
}

/** Something changed on purpose. */
export interface PlanFactor {
  readonly name: string;
  readonly aspect: Aspect;
  readonly levels: readonly PlanLevel[];
}

/** What is put into a place: seed, or plants that began to grow earlier or elsewhere. */
export const START_FORMS = ['seed', 'seedlings', 'paper_pots', 'bought', 'divided', 'cuttings'] as const;
export type StartForm = (typeof START_FORMS)[number];

/** How deep a young plant is set in: as it stood, up to its first leaves, or with two thirds of its stem in the soil. */
export const SET_INS = ['as_it_stood', 'to_first_leaves', 'two_thirds'] as const;
export type SetIn = (typeof SET_INS)[number];

/** Which way a seed lies in the soil. */
export const SEED_POSITIONS = ['any', 'flat', 'on_side', 'point_up', 'point_down'] as const;
export type SeedPosition = (typeof SEED_POSITIONS)[number];

export const COVER_RULES = ['none', 'until_up'] as const;
export const FILL_RULES = ['fill_then_poke', 'half_fill_then_cover'] as const;
export const DEPTH_RULES = [
  'packet',
  'as_thick',
  'two_and_half',
  'half_inch',
  'quarter_inch',
  'surface',
] as const;
export type DepthRule = (typeof DEPTH_RULES)[number];

/** What is the same for every unit unless a level says otherwise. */
export interface Conditions {
  /** Of the room where the seeds stand, by day. */
  readonly temperatureC: number;
  readonly light: LightPlace;
  readonly lightHours: number;
  readonly depthRule: DepthRule;
  readonly medium: string;
  /** False when nothing is filled with mix: bags, towels, sponges. */
  readonly hasSoil: boolean;
  /** Left out for seed. */
  readonly startsAs?: StartForm;
  /** Of a cutting that is in the soil, in mm; left out or `null` where none is given. */
  readonly stemMm?: number | null;
  /** How deep a young plant is set in; left out for as deep as it stood. */
  readonly setIn?: SetIn;
  /** Left out for any. */
  readonly position?: SeedPosition;
  /** Parts of water to one part of dry mix, by volume, for wetting it through; left out for a quarter. */
  readonly wetting?: number | null;
  /** Against animals and weather outdoors, in words; left out or empty for none. */
  readonly protection?: string;
  /** Water for each unit at each watering. */
  readonly waterMl: number;
  readonly cover: (typeof COVER_RULES)[number];
  readonly fill: (typeof FILL_RULES)[number];
  readonly isFirmed: boolean;
  /** Days of soaking or waiting between treating the mix and sowing. */
  readonly reactionDays: number;
  readonly soakHours: number;
  /** Days in the cold before sowing. */
  readonly coldDays: number;
}

export const STEP_TIMES = ['before', 'sowing', 'after'] as const;

/** One step of the protocol. */
export interface ProtocolStep {
  readonly id: string;
  readonly text: string;
  readonly when: (typeof STEP_TIMES)[number];
  /** Length of a timed step; `null` when it is not timed. */
  readonly minutes: number | null;
}

/** A run of days without class. */
export interface Holiday {
  readonly name: string;
  readonly from: CalendarDay;
  readonly to: CalendarDay;
}

export const RHYTHMS = ['class_days', 'every_other', 'weekly'] as const;

/** When the class meets and what it does when. */
export interface CalendarRules {
  /** ISO weekdays, 1 Monday … 7 Sunday. */
  readonly meetingDays: readonly number[];
  readonly holidays: readonly Holiday[];
  readonly rhythm: (typeof RHYTHMS)[number];
  /** The most days between two waterings. */
  readonly waterEveryDays: number;
  /** Who waters over a long break; empty when nobody is named yet. */
  readonly helper: string;
  readonly potsOn: boolean;
  /** Volume of a pot to move on into, in mL; left out for a usual one. */
  readonly potOnMl?: number | null;
  /** Plants go outdoors after this last frost; `null` when they stay in. */
  readonly lastFrostOn: CalendarDay | null;
  readonly isHarvested: boolean;
}

export const MEASURED = ['height', 'seeds up', 'leaves', 'green cover'] as const;
export const PLANT_RULES = ['tallest', 'tagged', 'mean'] as const;
export const LAYOUT_METHODS = ['random', 'blocks', 'by_hand'] as const;

/** What is read on each unit, in which unit and step. */
export interface PlanMeasure {
  readonly variable: (typeof MEASURED)[number];
  readonly unit: LengthUnit | 'seeds' | 'leaves' | '%';
  readonly step: number;
}

/** The guess that the class makes before sowing. */
export interface PredictionSetUp {
  readonly prompt: string;
  readonly choices: readonly string[];
  /** The last day on which tablets take a guess; left out or `null` while the experiment goes on. */
  readonly closesOn?: CalendarDay | null;
}

/** What should stand on the layout on the lesson day. */
export interface LessonGoal {
  /** Share of units that should be up and tall enough, 0–1. */
  readonly share: number;
  readonly heightMm: number;
}

/** A whole plan: everything a teacher decides before sowing. Lengths in mm, volumes in mL, shares 0–1. */
export interface Plan {
  readonly question: string;
  readonly hypothesis: string;
  readonly kind: InvestigationKind;
  readonly cropId: string;
  readonly lotId: string | null;
  /** The day on which seeds are sorted; left out or `null` for the class day before the cold or the soak. */
  readonly sortOn?: CalendarDay | null;
  /** None for a plan that compares nothing, such as a packet test; three at most. */
  readonly factors: readonly PlanFactor[];
  /** Combinations of levels that are not grown, as level numbers from 0 joined by a full stop: `0.2`. */
  readonly leftOut: readonly string[];
  readonly replicates: number;
  readonly seedsPerUnit: number;
  readonly plantsPerUnit: number;
  /** The chance wanted that every unit reaches its number of plants. */
  readonly chance: number;
  readonly seedsPerPacket: number;
  readonly containers: readonly PlanContainer[];
  readonly layoutMethod: (typeof LAYOUT_METHODS)[number];
  readonly layoutSeed: number;
  readonly measure: PlanMeasure;
  /** Read of each unit as well; the comparison is on `measure`. */
  readonly alsoRead: readonly AlsoRead[];
  readonly plantRule: (typeof PLANT_RULES)[number];
  readonly sowOn: CalendarDay;
  readonly lessonOn: CalendarDay;
  readonly goal: LessonGoal;
  /** Height to pass in a growing challenge; `null` elsewhere. */
  readonly referenceMm: number | null;
  readonly conditions: Conditions;
  readonly constants: readonly string[];
  readonly steps: readonly ProtocolStep[];
  readonly calendar: CalendarRules;
  readonly prediction: PredictionSetUp;
}
