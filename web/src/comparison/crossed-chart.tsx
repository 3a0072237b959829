import { say } from '@bright-sprout/words/comparison';
import { cellMeans } from '@bright-sprout/core/comparison';
import { computedText } from '@bright-sprout/core/words';
import { useMemo } from 'react';
import { ChartCard, type ChartTable, interactionFigure } from '../shared/charts/index.ts';
import type { ShownComparison } from './compare-context.tsx';

/** The mean of every combination of a crossed design: a line for each level of the second factor. */
export function CrossedChart({ shown: { comparison, style } }: { shown: ShownComparison }) {
  const { design, groups } = comparison;
  const cells = useMemo(() => (design ? cellMeans(groups, design) : []), [design, groups]);
  const figure = useMemo(
    () => (design ? interactionFigure(cells, design, style) : { data: [], layout: {} }),
    [design, cells, style],
  );
  if (!design || design.factors.length < 2 || cells.length === 0) return null;
  const table: ChartTable = {
    columns: [...design.factors.map((factor) => factor.name), say('nPots'), say('mean')],
    rows: cells.map((cell) => [
      ...design.factors.map((factor, at) => factor.levels[cell.levels[at] ?? 0]?.name ?? ''),
      cell.n,
      computedText(cell.mean, style),
    ]),
  };
  return (
    <ChartCard
      title={say('theCombinations')}
      label={say('meanOfEveryCombinationALineFor')}
      figure={figure}
      table={table}
      note={say('linesAlongsideEachOtherEachFactor')}
    />
  );
}
