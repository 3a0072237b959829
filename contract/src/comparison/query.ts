import {
  type GroupBy,
  NOT_UP_RULES,
  type NotUpRule,
  SUMMARIES,
  type Summary,
} from '@bright-sprout/core/comparison';
import { SUM_OF_SQUARES_TYPES, type SumOfSquaresType } from '@bright-sprout/core/statistics';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import { IsOptional, Matches } from 'class-validator';
import { Type } from 'class-transformer';
import { IsCalendarDay, IsId, OneOf, Whole } from '../shared/index.ts';

/** Parts of a comparison that take more work than its answer. */
export const COMPARISON_PARTS = ['treatments', 'growth', 'emergence', 'teams'] as const;
export type ComparisonPart = (typeof COMPARISON_PARTS)[number];

/** Whether readings that were set aside count. */
export const SET_ASIDE_RULES = ['left_out', 'included'] as const;

/** Whether a value is that of the plant as read, or times the plants of its pot. */
export const PER_RULES = ['as_read', 'per_pot'] as const;

/** Which comparison is wanted. */
export class ComparisonQuery {
  /** What is compared; the plan's first variable when left out. */
  @IsOptional() @IsId() variableId?: string;

  /** The day compared; when left out, the last day that any unit was read. */
  @IsOptional() @IsCalendarDay() day?: string;

  /** How a unit with nothing up yet enters; `only_up` when left out. */
  @IsOptional() @OneOf(NOT_UP_RULES) rule?: NotUpRule;

  /** The one value a unit is reduced to; that of the day when left out. */
  @IsOptional() @OneOf(SUMMARIES) summary?: Summary;

  /** How units are sorted: `treatment`, `team`, `block`, `crop`, or `factor-0`, `factor-1`, `factor-2`. */
  @IsOptional()
  @Matches(/^(treatment|team|block|crop|factor-[0-2])$/, {
    message: 'groupBy: treatment, team, block, crop, or factor-0 to factor-2',
  })
  groupBy?: GroupBy;

  @IsOptional() @OneOf(PER_RULES) per?: (typeof PER_RULES)[number];

  /** Type of the sums of squares of crossed factors; II when left out. */
  @IsOptional() @OneOf(SUM_OF_SQUARES_TYPES) squares?: SumOfSquaresType;

  @IsOptional() @OneOf(SET_ASIDE_RULES) setAside?: (typeof SET_ASIDE_RULES)[number];

  /** Reading level of the words; `11-13` when left out. */
  @IsOptional() @OneOf(READING_LEVELS) level?: ReadingLevel;

  /** Parts wanted, joined by commas; all when left out, `answer` for none of them. */
  @IsOptional()
  @Matches(/^(answer|treatments|growth|emergence|teams)(,(answer|treatments|growth|emergence|teams))*$/, {
    message: 'parts: a list of answer, treatments, growth, emergence and teams, joined by commas',
  })
  parts?: string;
}

/** Which classes are pooled, and when. */
export class StudyQuery {
  /** Days since sowing; when left out, the last age that all classes reached. */
  @IsOptional() @Whole(0, 366) @Type(() => Number) age?: number;

  @IsOptional() @OneOf(NOT_UP_RULES) rule?: NotUpRule;

  /** Runs left out, by id, joined by commas. */
  @IsOptional()
  @Matches(/^[0-9a-f-]{36}(,[0-9a-f-]{36})*$/, { message: 'without: ids joined by commas' })
  without?: string;
}
