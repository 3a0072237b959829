import type { CropView } from '@bright-sprout/contract/plan';

/** What to know of a crop before sowing: usual days, depth, and cautions. */
export function CropFacts({ crop }: { crop: CropView }) {
  const facts = [
    crop.daysToEmergence && `comes up in ${crop.daysToEmergence.min}–${crop.daysToEmergence.max} days`,
    crop.germinationPercent && `about ${crop.germinationPercent} of 100 seeds come up`,
    crop.sowingDepthMm !== null &&
      (crop.sowingDepthMm === 0 ? 'sown on the surface' : `sown ${crop.sowingDepthMm} mm deep`),
  ].filter(Boolean);
  return (
    <p className="crop-facts">
      <i>{crop.scientificName}</i> {facts.join(' · ')}
      {crop.caution && <b className="caution">{crop.caution}</b>}
    </p>
  );
}
