import type {
  ComparedGroup,
  Comparison,
  Design,
  EmergencePart,
  GrowthPart,
  StudyPart,
  TeamsPart,
  TreatmentsPart,
} from '@bright-sprout/core/comparison';
import type { ComparisonWords } from '@bright-sprout/core/words';
import type { Day, Id } from '../shared/index.ts';

/** A comparison in words. */
export interface WordsView extends ComparisonWords {
  /** Why a pot counts once, and what else the sorting takes together. */
  readonly counting: string;
}

/** A comparison of treatments on one day, over units; values in the variable's base unit. */
export interface ComparisonView extends Comparison {
  readonly variableId: Id;
  /** Days on which any unit was read, in order. */
  readonly readDays: readonly Day[];
  /** How many readings are set aside, up to the day; they are left out unless they were asked for. */
  readonly setAside: number;
  /** Values are shares of the seeds sown, in %: units were sown with unlike numbers of seeds. */
  readonly isShareOfSown: boolean;
  /** The groups by name, the order of their colours. */
  readonly names: readonly ComparedGroup[];
  /** At the level asked for. */
  readonly words: WordsView;
  /** Given with any part. */
  readonly design: Pick<Design, 'factors' | 'treatments'> | null;
  readonly treatments: TreatmentsPart | null;
  readonly growth: GrowthPart | null;
  readonly emergence: EmergencePart | null;
  readonly teams: TeamsPart | null;
}

/** Several classes together, each a block. */
export type StudyView = StudyPart;
