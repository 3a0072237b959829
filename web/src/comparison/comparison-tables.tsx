import { say } from '@bright-sprout/words/comparison';
import type { ComparisonView } from '@bright-sprout/contract/comparison';
import { isClearPair } from '@bright-sprout/core/comparison';
import type { Outcome } from '@bright-sprout/core/shared';
import type { Interval } from '@bright-sprout/core/statistics';
import { computedText, modelWords, pText, undefinedWords, type ValueStyle } from '@bright-sprout/core/words';
import { useContext } from 'react';
import { ScrollTable } from '../shared/ui/index.ts';
import { OnPaper } from './compare-context.tsx';

/** The figures behind the charts: each treatment described, each pair compared, and the test over all. */
export function ComparisonTables({
  comparison,
  groups,
  style,
}: {
  comparison: ComparisonView;
  groups: readonly { readonly id: string; readonly name: string }[];
  style: ValueStyle;
}) {
  const nameOf = (id: string): string => groups.find((group) => group.id === id)?.name ?? '';
  const figure = (outcome: Outcome<number>): string =>
    outcome.defined ? computedText(outcome.value, style) : `– (${undefinedWords(outcome.reason)})`;
  const interval = (outcome: Outcome<Interval>): string =>
    outcome.defined
      ? say('to', {
          computedText: computedText(outcome.value.low, style),
          computedText2: computedText(outcome.value.high, style),
        })
      : '–';
  return (
    <details className="figures-table" open={useContext(OnPaper)}>
      <summary>{say('theFiguresAsATable')}</summary>
      <ScrollTable label={say('theFiguresAsATable')}>
        <thead>
          <tr>
            <th scope="col">{say('treatment')}</th>
            <th scope="col">{say('nPots')}</th>
            <th scope="col">{say('mean')}</th>
            <th scope="col">{say('n95Interval')}</th>
            <th scope="col">{say('sd')}</th>
            <th scope="col">{say('median')}</th>
            <th scope="col">{say('smallest')}</th>
            <th scope="col">{say('largest')}</th>
          </tr>
        </thead>
        <tbody>
          {comparison.groups.map(({ groupId, description, counts }) => (
            <tr key={groupId}>
              <th scope="row">{nameOf(groupId)}</th>
              <td>{say('of', { n: description.n, units: counts.units })}</td>
              <td>{figure(description.mean)}</td>
              <td>{interval(description.interval)}</td>
              <td>{figure(description.sd)}</td>
              <td>{figure(description.median)}</td>
              <td>{figure(description.min)}</td>
              <td>{figure(description.max)}</td>
            </tr>
          ))}
        </tbody>
      </ScrollTable>
      <ScrollTable label={say('pairsAsATable')}>
        <thead>
          <tr>
            <th scope="col">{say('pair')}</th>
            <th scope="col">{say('differenceOfMeans')}</th>
            <th scope="col">{say('n95Interval')}</th>
            <th scope="col">p</th>
            <th scope="col">{say('inWords')}</th>
          </tr>
        </thead>
        <tbody>
          {comparison.pairs.map((pair) => (
            <tr key={`${pair.firstId} ${pair.secondId}`}>
              <th scope="row">
                {say('minus', { nameOf: nameOf(pair.secondId), nameOf2: nameOf(pair.firstId) })}
              </th>
              <td>{figure(pair.difference)}</td>
              <td>
                {pair.test.defined && pair.test.value.interval
                  ? interval({ defined: true, value: pair.test.value.interval })
                  : '–'}
              </td>
              <td>{pair.test.defined ? pText(pair.test.value.p) : '–'}</td>
              <td>
                {pair.test.defined
                  ? isClearPair(pair)
                    ? say('moreThanLuckUsuallyMakes')
                    : say('cannotBeToldApartHere')
                  : undefinedWords(pair.test.reason)}
              </td>
            </tr>
          ))}
        </tbody>
      </ScrollTable>
      <p className="quiet">{modelWords(comparison, groups)}</p>
    </details>
  );
}
