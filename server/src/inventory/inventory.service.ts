import { say } from '@bright-sprout/words/refusals';
import type {
  ContainerSizeRequest,
  ContainerSizeView,
  CropRequest,
  CropView,
  GerminationTestPart,
  InventoryView,
  SeedLotRequest,
  SeedLotView,
} from '@bright-sprout/contract/inventory';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityTarget, IsNull, type ObjectLiteral } from 'typeorm';
import type { KnownTeacher } from '../accounts/index.ts';
import { ApiError, invalidField, invalidFields, notFound } from '../shared/index.ts';
import { Crop } from './crop.entity.ts';
import { ContainerSize, SeedLot } from './inventory.entities.ts';
import { EXPERIMENT_TESTS, type ExperimentTestRow } from './experiment-tests.ts';
import { TREATMENT_SPREADS, type TreatmentSpreadRow } from './treatment-spreads.ts';
import { cropView } from './crop-view.ts';

/** Whose inventory it is. */
type Owner = Pick<KnownTeacher, 'id'>;

const OWNER_OF = 'SELECT teacher_id AS id FROM experiment WHERE id = ?';

/** The inventory: crops, packets, and container sizes of one's own. */
@Injectable()
export class InventoryService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /**
   * All that the owner of an experiment has to plant with.
   * @throws ApiError `not_found`
   */
  async ofExperiment(experimentId: string): Promise<InventoryView> {
    const [owner] = await this.source.query<Owner[]>(OWNER_OF, [experimentId]);
    if (!owner) throw notFound();
    const [crops, seedLots, containerSizes] = await Promise.all([
      this.crops(owner),
      this.seedLots(owner),
      this.containerSizes(owner),
    ]);
    return { crops, seedLots, containerSizes };
  }

  /** Crops that ship and the teacher's own, by name. */
  async crops(teacher: Owner): Promise<CropView[]> {
    const crops = await this.source
      .getRepository(Crop)
      .find({ where: [{ teacherId: IsNull() }, { teacherId: teacher.id }], order: { commonName: 'ASC' } });
    const spreads = await this.#measuredSpreads(teacher);
    return crops.map((crop) => cropView(crop, spreads.get(crop.id) ?? null));
  }

  /** How much pots of each crop differed that were treated alike, over the teacher's finished experiments. */
  async #measuredSpreads(teacher: Owner): Promise<Map<string, CropView['measuredSpread']>> {
    const rows = await this.source.query<TreatmentSpreadRow[]>(TREATMENT_SPREADS, [teacher.id]);
    return new Map(
      [...new Set(rows.map(({ cropId }) => cropId))].map((cropId) => {
        const own = rows.filter((row) => row.cropId === cropId);
        const free = own.reduce((sum, { pots }) => sum + Number(pots) - 1, 0);
        const squares = own.reduce((sum, row) => sum + (Number(row.pots) - 1) * row.variance, 0);
        const pots = own.reduce((sum, row) => sum + Number(row.pots), 0);
        return [cropId, { cv: Math.sqrt(Math.expm1(squares / free)), pots }];
      }),
    );
  }

  /** @throws ApiError when there is no such crop for this teacher */
  async crop(id: string, teacher: Owner): Promise<CropView> {
    const crop = await this.source.getRepository(Crop).findOneBy([
      { id, teacherId: IsNull() },
      { id, teacherId: teacher.id },
    ]);
    if (!crop) throw invalidField('cropId', say('chooseACropFromTheDrawer'));
    return cropView(crop);
  }

  /** Keeps a crop of one's own. */
  async saveCrop(id: string, request: CropRequest, teacher: KnownTeacher): Promise<CropView> {
    const problems = [
      ...rangeProblem('daysToEmergence', request.daysToEmergence),
      ...rangeProblem('daysToRadicle', request.daysToRadicle),
      ...rangeProblem('daysToHarvestOrFlower', request.daysToHarvestOrFlower),
    ];
    const { min, best, max } = request.temperatureC;
    if (min > best || best > max) {
      problems.push({
        field: 'temperatureC',
        message: say('putTheTemperaturesInOrderLowestBest'),
      });
    }
    if (problems.length > 0) throw invalidFields(problems);
    await this.#claim(Crop, id, teacher);
    const { commonName, scientificName, habit } = request;
    await this.source.getRepository(Crop).save({
      id,
      teacherId: teacher.id,
      commonName,
      scientificName,
      habit,
      figures: { ...request, id },
    });
    return this.crop(id, teacher);
  }

  /** The packets of the inventory with their tests, newest first. */
  async seedLots(teacher: Owner): Promise<SeedLotView[]> {
    const lots = await this.source
      .getRepository(SeedLot)
      .find({ where: { teacherId: teacher.id }, relations: { crop: true }, order: { createdAt: 'DESC' } });
    const tests = await this.source.query<ExperimentTestRow[]>(EXPERIMENT_TESTS, [teacher.id]);
    return lots.map((lot) => ({
      id: lot.id,
      cropId: lot.cropId,
      cropName: lot.crop.commonName,
      name: lot.name,
      ...lot.figures,
      tests: [...lot.figures.tests],
      experimentTests: tests.filter((test) => test.lotId === lot.id).map(experimentTest),
    }));
  }

  /** Keeps a packet. */
  async saveSeedLot(id: string, request: SeedLotRequest, teacher: KnownTeacher): Promise<SeedLotView> {
    const problems = rangeProblem('daysToEmergence', request.daysToEmergence);
    request.tests.forEach((test, index) => {
      if (test.up <= test.sown) return;
      problems.push({ field: `tests.${index}.up`, message: say('noMoreCanBeUpThanWere') });
    });
    if (problems.length > 0) throw invalidFields(problems);
    await this.crop(request.cropId, teacher);
    await this.#claim(SeedLot, id, teacher);
    const { cropId, name, ...figures } = request;
    await this.source.getRepository(SeedLot).save({ id, teacherId: teacher.id, cropId, name, figures });
    const lot = (await this.seedLots(teacher)).find((one) => one.id === id);
    if (!lot) throw new ApiError('not_found', say('thisPacketIsNoLongerThere'));
    return lot;
  }

  /** Takes a packet out. */
  async removeSeedLot(id: string): Promise<void> {
    await this.source.getRepository(SeedLot).delete(id);
  }

  /** Container sizes of one's own, by name. */
  async containerSizes(teacher: Owner): Promise<ContainerSizeView[]> {
    const sizes = await this.source
      .getRepository(ContainerSize)
      .find({ where: { teacherId: teacher.id }, order: { name: 'ASC' } });
    return sizes.map(sizeView);
  }

  /** Keeps a container size. */
  async saveContainerSize(
    id: string,
    { rows, columns, ...rest }: ContainerSizeRequest,
    teacher: KnownTeacher,
  ): Promise<ContainerSizeView> {
    await this.#claim(ContainerSize, id, teacher);
    const size = { id, teacherId: teacher.id, ...rest, gridRows: rows, gridColumns: columns };
    await this.source.getRepository(ContainerSize).save(size);
    return sizeView(size as ContainerSize);
  }

  /** Takes a container size away. */
  async removeContainerSize(id: string): Promise<void> {
    await this.source.getRepository(ContainerSize).delete(id);
  }

  /** @throws ApiError `id_in_use` when the row is another teacher's, or nobody's */
  async #claim(
    entity: EntityTarget<ObjectLiteral & { id: string; teacherId: string | null }>,
    id: string,
    teacher: KnownTeacher,
  ): Promise<void> {
    const row = await this.source.getRepository(entity).findOneBy({ id });
    if (!row || row.teacherId === teacher.id) return;
    throw new ApiError('id_in_use', say('thisCouldNotBeKeptUnderIts'));
  }
}

function rangeProblem(
  field: string,
  range: { min: number; max: number } | null,
): { field: string; message: string }[] {
  if (!range || range.min <= range.max) return [];
  return [{ field, message: say('theFirstDayComesAfterTheLast') }];
}

function sizeView({ id, name, kind, gridRows, gridColumns, cellMl }: ContainerSize): ContainerSizeView {
  return { id, name, kind: kind as ContainerSizeView['kind'], rows: gridRows, columns: gridColumns, cellMl };
}

function experimentTest(row: ExperimentTestRow): GerminationTestPart {
  return { on: row.observedOn as CalendarDay, sown: Number(row.sown), up: Number(row.up) };
}
