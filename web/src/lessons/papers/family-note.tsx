import { cautionText } from '@bright-sprout/core/words';
import { say } from '@bright-sprout/words/lessons';
import { useExperiment } from '../../shared/experiment/index.ts';
import { longDay } from '../../shared/ui/index.ts';
import type { PaperProps } from './papers-page.tsx';

const SMALL_MM = 300;
const POT_ON_MM = 80;

/** Half a page for families: what grows, what was found, and how to look after a plant that comes home. */
export function FamilyNote({ now }: PaperProps) {
  const { experiment } = useExperiment();
  const { crop } = experiment;
  const words =
    now.shown?.comparison.readDays.includes(now.day) === true ? now.shown.comparison.words : undefined;
  const care = [
    say('careLight'),
    say('careWater', { ml: experiment.plan?.conditions.waterMl ?? 10 }),
    ...(crop ? [say('careWarmth', { min: crop.temperatureC.min, best: crop.temperatureC.best })] : []),
    say('carePotOn', { height: POT_ON_MM / 10 }),
    ...(crop?.matureHeightMm
      ? [
          crop.matureHeightMm > SMALL_MM
            ? say('carePlantOut', {
                height: Math.round(crop.matureHeightMm / 10),
                apart: Math.round((crop.spacingMm ?? crop.matureHeightMm / 3) / 10),
              })
            : say('careStaysSmall', { height: Math.round(crop.matureHeightMm / 10) }),
        ]
      : []),
    ...(crop?.daysToHarvestOrFlower ? [say('careHarvest', { ...crop.daysToHarvestOrFlower })] : []),
  ];
  return (
    <section className="family-note">
      <p className="sheet-kicker">{say('noteToFamilies')}</p>
      <h1>{say('wePlantedToFindOut', { question: experiment.question })}</h1>
      <p>
        {say('whatWeGrow', {
          crop: experiment.cropName,
          pots: experiment.units.length,
          sown: longDay(experiment.sowOn),
        })}{' '}
        {words ? words.headline : say('weAreStillWatching')}
      </p>
      <h2>{say('ifAPlantComesHome', { crop: experiment.cropName })}</h2>
      <ul>
        {care.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p>
        <b>{say('please')}</b> {crop?.caution ? `${cautionText(crop.caution)} ` : ''}
        {say('familyCaution')}
      </p>
    </section>
  );
}
