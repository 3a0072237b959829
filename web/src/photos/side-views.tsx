import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { UnitView } from '@bright-sprout/contract/plans';
import { PhotoStrip } from './photo-strip.tsx';
import { StemPanel } from './stem-panel.tsx';

/** Photos from the side as a row of days, and what is measured along stems and roots in one of them. */
export function SideViews({
  series,
  pots,
  chosenId,
  choose,
}: {
  series: readonly PhotoSummary[];
  /** Pots that may be seen in them. */
  pots: readonly UnitView[];
  chosenId: string | null;
  choose: (id: string) => void;
}) {
  const photo = series.find(({ id }) => id === chosenId) ?? series.at(-1);
  if (!photo) return null;
  return (
    <>
      <PhotoStrip series={series} chosen={photo} choose={choose} />
      <StemPanel key={photo.id} photo={photo} pots={pots} />
    </>
  );
}
