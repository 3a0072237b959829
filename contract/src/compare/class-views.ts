import type { StudyPart, TeamsPart } from '@bright-sprout/core/comparison';
import { IsArray, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsId, Nested, NestedList, OutcomeBase } from '../shared/index.ts';
import { DescriptionView, IntervalOutcome, IntervalView, NumberOutcome } from './outcome-views.ts';
import { TestOutcomeView } from './test-views.ts';

/** How two readers agree. */
export class AgreementView {
  @IsInt()
  n: number;

  @Nested(() => NumberOutcome)
  bias: NumberOutcome;

  @Nested(() => IntervalOutcome)
  limits: IntervalOutcome;

  @Nested(() => NumberOutcome)
  technicalError: NumberOutcome;
}

/** A group within a team. */
export class TeamGroupView {
  @IsString()
  groupId: string;

  @Nested(() => DescriptionView)
  description: DescriptionView;
}

/** What a team read. */
export class TeamFiguresView {
  @IsString()
  team: string;

  @Nested(() => DescriptionView)
  offset: DescriptionView;

  @NestedList(() => TeamGroupView)
  groups: TeamGroupView[];

  @Nested(() => AgreementView)
  agreement: AgreementView;
}

/** Is it the plants or the measuring? */
export class TeamsView {
  @NestedList(() => TeamFiguresView)
  teams: TeamsPart['teams'];

  @Nested(() => TestOutcomeView)
  test: TeamsPart['test'];

  @Nested(() => AgreementView)
  agreement: TeamsPart['agreement'];

  @Nested(() => NumberOutcome)
  plantSd: TeamsPart['plantSd'];

  @Nested(() => NumberOutcome)
  readingShare: TeamsPart['readingShare'];
}

/** One class of a study. */
export class StudyRunView {
  @IsId()
  id: string;

  @IsString()
  name: string;

  @IsInt()
  units: number;

  @IsInt()
  measured: number;
}

/** One treatment in one class. */
export class StudyCellView {
  @IsId()
  runId: string;

  @IsString()
  group: string;

  @Nested(() => DescriptionView)
  description: DescriptionView;
}

/** A pooled difference in figures. */
export class PooledResultView extends IntervalView {
  @IsNumber()
  difference: number;

  @IsNumber()
  df: number;

  @IsNumber()
  p: number;
}

/** A pooled difference, or the reason why there is none. */
export class PooledOutcome extends OutcomeBase {
  @IsOptional()
  @Nested(() => PooledResultView)
  value?: PooledResultView;
}

/** A difference with each class compared within itself. */
export class PooledDifferenceView {
  @IsString()
  first: string;

  @IsString()
  second: string;

  @Nested(() => PooledOutcome)
  result: PooledOutcome;
}

/** Several classes together, each a block. */
export class StudyView {
  @IsInt()
  age: number;

  @NestedList(() => StudyRunView)
  runs: StudyPart['runs'];

  @IsArray()
  @IsString({ each: true })
  groups: StudyPart['groups'];

  @NestedList(() => StudyCellView)
  cells: StudyPart['cells'];

  @Nested(() => TestOutcomeView)
  treatment: StudyPart['treatment'];

  @Nested(() => TestOutcomeView)
  run: StudyPart['run'];

  @Nested(() => TestOutcomeView)
  interaction: StudyPart['interaction'];

  @NestedList(() => PooledDifferenceView)
  differences: StudyPart['differences'];
}
