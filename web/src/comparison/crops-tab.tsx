import { say } from '@bright-sprout/words/comparison';
import { computedText, readText, undefinedWords } from '@bright-sprout/core/words';
import { useExperiment, useInventory } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { Answer } from './answer-tab.tsx';
import { useComparison } from './compare-context.tsx';
import { PlainTable } from './parts.tsx';

/** Crops: each crop of the layout against what is usual for it, and against the others. */
export function CropsTab() {
  const { experiment } = useExperiment();
  const { shown, error } = useComparison(['emergence', 'growth'], { groupBy: 'crop' });
  const crops = useInventory().crops ?? [];
  if (error) return <FailureNote error={error} />;
  if (!shown) return <p className="quiet">{say('comparing')}</p>;
  const { comparison, groups, readStyle } = shown;
  const isHeight = readStyle.kind === 'length';
  const rows = groups.map((group) => {
    const crop = crops.find((candidate) => candidate.commonName === group.name);
    const emergence = comparison.emergence?.groups.find((one) => one.groupId === group.id);
    const median = emergence?.waiting.median;
    const usual = crop?.daysToEmergence;
    const day21 = valueAtAge(comparison, group.id, 21);
    return [
      group.name || experiment.cropName,
      usual ? say('toDays', { min: usual.min, max: usual.max }) : '–',
      median?.defined
        ? say('halfOfThePotsByDay', { median: Number(median.value.toFixed(1)) })
        : median
          ? undefinedWords(median.reason)
          : '–',
      ...(isHeight
        ? [
            crop?.heightAtDay21Mm ? readText(crop.heightAtDay21Mm, readStyle) : '–',
            day21 === undefined ? say('notReadRoundDay21') : computedText(day21, readStyle),
          ]
        : []),
    ];
  });
  return (
    <>
      {groups.length > 1 ? (
        <Answer shown={shown} />
      ) : (
        <p>{say('allPotsHoldHereItStandsBeside', { cropName: experiment.cropName || say('oneCrop') })}</p>
      )}
      <section className="panel" aria-label={say('againstWhatIsUsual')}>
        <h3>{say('againstWhatIsUsual')}</h3>
        <PlainTable
          columns={[
            say('crop'),
            say('usuallyUpAfter'),
            say('here'),
            ...(isHeight ? [say('usualOnDay21'), say('hereMeanOfThePots')] : []),
          ]}
          rows={rows}
        />
        <p className="quiet">{say('usualFiguresAreRoundedForGoodLight')}</p>
      </section>
    </>
  );
}

/** The mean of a group at the read age nearest to one wanted, two days away at most. */
function valueAtAge(
  comparison: {
    treatmentCurves: readonly { groupId: string; points: readonly { age: number; mean: number }[] }[];
  },
  groupId: string,
  wanted: number,
): number | undefined {
  const points = comparison.treatmentCurves.find((curve) => curve.groupId === groupId)?.points ?? [];
  const near = points.filter((point) => Math.abs(point.age - wanted) <= 2);
  return near.sort((a, b) => Math.abs(a.age - wanted) - Math.abs(b.age - wanted))[0]?.mean;
}
