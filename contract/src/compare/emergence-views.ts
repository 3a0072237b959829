import type { EmergencePart } from '@bright-sprout/core/comparison';
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsId, Nested, NestedList } from '../shared/index.ts';
import { IntervalOutcome, NumberOutcome } from './outcome-views.ts';
import { TestOutcomeView } from './test-views.ts';
import { ShareOutcome } from './treatments-views.ts';

/** One check. */
export class CheckView {
  @IsNumber()
  day: number;

  @IsNumber()
  newlyUp: number;
}

/** The germination indices of a group; their definitions are in the words of the application. */
export class IndicesView {
  @IsOptional()
  @IsNumber()
  sown: number | null;

  @IsNumber()
  up: number;

  @Nested(() => ShareOutcome)
  final: ShareOutcome;

  @Nested(() => NumberOutcome)
  first: NumberOutcome;

  @Nested(() => NumberOutcome)
  last: NumberOutcome;

  @Nested(() => NumberOutcome)
  peak: NumberOutcome;

  @Nested(() => NumberOutcome)
  spread: NumberOutcome;

  @Nested(() => NumberOutcome)
  meanTime: NumberOutcome;

  @Nested(() => NumberOutcome)
  variance: NumberOutcome;

  @Nested(() => NumberOutcome)
  cv: NumberOutcome;

  @Nested(() => NumberOutcome)
  meanRate: NumberOutcome;

  @Nested(() => NumberOutcome)
  velocity: NumberOutcome;

  @Nested(() => NumberOutcome)
  t50: NumberOutcome;

  @Nested(() => NumberOutcome)
  t50Coolbear: NumberOutcome;

  @Nested(() => NumberOutcome)
  speed: NumberOutcome;

  @Nested(() => NumberOutcome)
  timson: NumberOutcome;

  @Nested(() => NumberOutcome)
  index: NumberOutcome;

  @Nested(() => NumberOutcome)
  synchrony: NumberOutcome;

  @Nested(() => NumberOutcome)
  uncertainty: NumberOutcome;

  @Nested(() => NumberOutcome)
  vigour: NumberOutcome;
}

/** The share still waiting after a day. */
export class WaitingStepView {
  @IsNumber()
  time: number;

  @IsInt()
  atRisk: number;

  @IsInt()
  events: number;

  @IsNumber()
  waiting: number;

  @Nested(() => IntervalOutcome)
  interval: IntervalOutcome;
}

/** The Kaplan–Meier curve of a group. */
export class WaitingView {
  @IsInt()
  n: number;

  @IsInt()
  events: number;

  @NestedList(() => WaitingStepView)
  steps: WaitingStepView[];

  @Nested(() => NumberOutcome)
  median: NumberOutcome;

  @Nested(() => NumberOutcome)
  medianLow: NumberOutcome;

  @Nested(() => NumberOutcome)
  medianHigh: NumberOutcome;
}

/** How a group came up. */
export class GroupEmergenceView {
  @IsString()
  groupId: string;

  @IsIn(['seeds', 'pots'])
  counted: 'seeds' | 'pots';

  @NestedList(() => CheckView)
  checks: CheckView[];

  @Nested(() => IndicesView)
  indices: IndicesView;

  @Nested(() => WaitingView)
  waiting: WaitingView;

  @Nested(() => TestOutcomeView)
  againstPacket: TestOutcomeView;
}

/** When one unit came up: after one check, by the next. */
export class UnitEmergenceView {
  @IsId()
  unitId: string;

  @IsString()
  groupId: string;

  @IsOptional()
  @IsNumber()
  upAt: number | null;

  @IsNumber()
  after: number;

  /** Dead or removed before it was found up. */
  @IsBoolean()
  isLost: boolean;
}

/** How the seeds came up, until the day compared. */
export class EmergenceView {
  @NestedList(() => GroupEmergenceView)
  groups: EmergencePart['groups'];

  @NestedList(() => UnitEmergenceView)
  units: EmergencePart['units'];

  @Nested(() => TestOutcomeView)
  logRank: EmergencePart['logRank'];

  @Nested(() => TestOutcomeView)
  share: EmergencePart['share'];

  @Nested(() => TestOutcomeView)
  speed: EmergencePart['speed'];

  @IsOptional()
  @IsNumber()
  packetRate: number | null;

  @IsBoolean()
  seedsSharePots: boolean;
}
