import {
  type AnalysedTreatment,
  type AnalysedUnit,
  blocksOf,
  type Design,
} from '@bright-sprout/core/comparison';
import { levelAmount, type Plan, treatmentsOf } from '@bright-sprout/core/design';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, In } from 'typeorm';
import { Crop, SeedLot } from '../inventory/index.ts';
import { Experiment, ExperimentStore, type StoredPlan } from '../plans/index.ts';

/** The design of an experiment, and what its packet promises. */
export interface KnownDesign {
  readonly design: Design;
  /** What the packet states, 0–1; `null` when there is no packet. */
  readonly packetRate: number | null;
  readonly plantRule: Plan['plantRule'] | null;
}

/** Makes the design that comparisons sort and analyse by. */
@Injectable()
export class DesignService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly store: ExperimentStore,
  ) {}

  /** The design of an experiment: from its plan, or from the columns of the file it came from. */
  async of(experimentId: string): Promise<KnownDesign> {
    const stored = await this.store.load(experimentId);
    const { experiment } = stored;
    const plan = experiment.planDocument;
    const blocks = blocksOf(
      stored.units.map(({ treatmentId, block, containerId }) => ({
        treatmentId,
        block,
        container: stored.containers.findIndex(({ id }) => id === containerId),
      })),
    );
    return {
      design: {
        factors: stored.factors.map((factor, at) => ({
          name: factor.name,
          levels: levelsOf(stored, factor.id).map((level, index) => ({
            name: level.name,
            isControl: isControlLevel(stored, level.id),
            amount: amountOf(plan, at, index, level.name),
          })),
        })),
        treatments: await this.#treatments(stored, plan, experiment),
        units: stored.units.map((unit, index): AnalysedUnit => ({
          id: unit.id,
          number: unit.number,
          treatmentId: unit.treatmentId,
          sownOn: unit.sownOn as AnalysedUnit['sownOn'],
          block: blocks[index] ?? '',
          team: unit.team,
          seedsSown: unit.seedsSown,
        })),
      },
      packetRate: await this.#packetRate(plan),
      plantRule: plan?.plantRule ?? null,
    };
  }

  async #treatments(
    stored: StoredPlan,
    plan: Plan | null,
    experiment: Experiment,
  ): Promise<AnalysedTreatment[]> {
    const planned = plan ? treatmentsOf(plan) : [];
    const crops = await this.source
      .getRepository(Crop)
      .findBy({ id: In(planned.map((treatment) => treatment.settings.cropId)) });
    return stored.treatments.map((treatment, at) => {
      const settings = planned.length === stored.treatments.length ? planned[at]?.settings : undefined;
      return {
        id: treatment.id,
        name: treatment.name,
        isControl: treatment.isControl,
        levels: stored.factors.map((factor) =>
          levelsOf(stored, factor.id).findIndex((level) =>
            stored.treatmentLevels.some(
              (link) => link.treatmentId === treatment.id && link.levelId === level.id,
            ),
          ),
        ),
        crop: crops.find((crop) => crop.id === settings?.cropId)?.commonName ?? experiment.cropName,
        plants: settings?.plants ?? 1,
      };
    });
  }

  async #packetRate(plan: Plan | null): Promise<number | null> {
    if (!plan?.lotId) return null;
    const lot = await this.source.getRepository(SeedLot).findOneBy({ id: plan.lotId });
    const percent = lot?.figures.germinationPercent ?? null;
    return percent === null ? null : percent / 100;
  }
}

function levelsOf(stored: StoredPlan, factorId: string) {
  return stored.levels.filter((level) => level.factorId === factorId).sort((a, b) => a.position - b.position);
}

/** A level of the control treatment. */
function isControlLevel(stored: StoredPlan, levelId: string): boolean {
  const control = stored.treatments.find((treatment) => treatment.isControl);
  return stored.treatmentLevels.some((link) => link.treatmentId === control?.id && link.levelId === levelId);
}

/** From the plan; for a design from a file, a number that the name of the level begins with. */
function amountOf(plan: Plan | null, factor: number, level: number, name: string): number | null {
  const planned = plan?.factors[factor];
  const own = planned?.levels[level];
  if (planned && own) return levelAmount(planned.aspect, own);
  const [text] = /^\d+(\.\d+)?/.exec(name) ?? [];
  return text === undefined ? null : Number(text);
}
