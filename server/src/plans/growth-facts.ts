import { treatmentsOf } from '@bright-sprout/core/design';
import { type GrowthFacts, growthFacts } from '@bright-sprout/core/growth';
import { type DataSource, In } from 'typeorm';
import { Crop } from '../inventory/index.ts';
import type { Experiment } from './experiment.entity.ts';

/** What heights of an experiment are doubted by: the facts of each treatment's own crop, by its position. */
export async function growthFactsOf(
  source: DataSource,
  { planDocument, crop }: Pick<Experiment, 'planDocument' | 'crop'>,
): Promise<(treatment: number) => GrowthFacts | null> {
  const ids = planDocument ? treatmentsOf(planDocument).map(({ settings }) => settings.cropId) : [];
  const rows = ids.length === 0 ? [] : await source.getRepository(Crop).findBy({ id: In([...new Set(ids)]) });
  const crops = rows.map(({ id, figures }) => ({ ...figures, id }));
  const alike = crop ? { ...crop.figures, id: crop.id } : null;
  return (treatment) => growthFacts(planDocument, treatment, crops, alike);
}
