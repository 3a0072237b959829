import type { CropView } from '@bright-sprout/contract/inventory';
import type { Crop } from './crop.entity.ts';

/** A crop as the interface sees it. */
export function cropView(crop: Crop, measuredSpread: CropView['measuredSpread'] = null): CropView {
  return { ...crop.figures, id: crop.id, isOwn: crop.teacherId !== null, measuredSpread };
}
