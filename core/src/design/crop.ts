/** How a plant carries itself; decides how it is drawn. */
export const CROP_HABITS = ['bush', 'climber', 'grass', 'rosette', 'upright', 'tree'] as const;
export type CropHabit = (typeof CROP_HABITS)[number];

/** What a seed looks like; decides how it is drawn. */
export const SEED_SHAPES = ['oval', 'round', 'bean', 'flat', 'grain', 'splinter', 'winged', 'tuber'] as const;
export type SeedShape = (typeof SEED_SHAPES)[number];

/** From when days to harvest or flower are counted. */
export const HARVEST_STARTS = ['sowing', 'transplanting'] as const;
export type HarvestStart = (typeof HARVEST_STARTS)[number];

/** A range of whole days after sowing, both ends included. */
export interface DayRange {
  readonly min: number;
  readonly max: number;
}

/** How much pots of a crop that were treated alike differed in the class's own finished experiments. */
export interface MeasuredSpread {
  /** Coefficient of variation of height, 0–1. */
  readonly cv: number;
  readonly pots: number;
}

/** A kind of seed or other propagule with typical figures; `null` where there is none to give. */
export interface Crop {
  readonly id: string;
  readonly commonName: string;
  readonly scientificName: string;
  readonly propagule: string;
  readonly emergence: 'epigeal' | 'hypogeal' | null;
  /** Left out for an oval. */
  readonly seedShape?: SeedShape;
  readonly seedLengthMm: number | null;
  readonly seedThicknessMm: number | null;
  readonly sowingDepthMm: number | null;
  readonly lightToGerminate: 'either' | 'needs_light' | 'needs_dark';
  readonly daysToEmergence: DayRange | null;
  readonly daysToRadicle: DayRange | null;
  readonly daysToHarvestOrFlower: DayRange | null;
  /** Left out where they are counted from sowing. */
  readonly harvestFrom?: HarvestStart;
  /**
   * In °C: the least, best and most at which it comes up; `base` is where development stops by extrapolation, below
   * which no warmth adds up (Bierhuizen and Wagenvoort 1974), and lies lower than the least that is advised.
   */
  readonly temperatureC: {
    readonly base?: number | null;
    readonly min: number;
    readonly best: number;
    readonly max: number;
  };
  readonly germinationPercent: number | null;
  readonly spacingMm: number | null;
  readonly matureHeightMm: number | null;
  readonly heightAtDay21Mm: number | null;
  /** True of seed that is often sold with a coat against mould and insects. */
  readonly isOftenTreated?: boolean;
  readonly habit: CropHabit;
  /** Left out or `null` where the class has not grown it to an end. */
  readonly measuredSpread?: MeasuredSpread | null;
  /** A caution or a hint in words; empty when there is none. */
  readonly caution: string;
}
