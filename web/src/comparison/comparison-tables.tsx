import type { ComparisonView } from '@bright-sprout/contract/comparison';
import { isClearPair } from '@bright-sprout/core/comparison';
import type { Outcome } from '@bright-sprout/core/shared';
import type { Interval } from '@bright-sprout/core/statistics';
import { computedText, modelWords, pText, undefinedWords, type ValueStyle } from '@bright-sprout/core/words';
import Table from 'react-bootstrap/Table';

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
      ? `${computedText(outcome.value.low, style)} to ${computedText(outcome.value.high, style)}`
      : '–';
  return (
    <details className="figures-table">
      <summary>The figures as a table</summary>
      <Table size="sm" responsive>
        <thead>
          <tr>
            <th scope="col">Treatment</th>
            <th scope="col">n pots</th>
            <th scope="col">mean</th>
            <th scope="col">95 % interval</th>
            <th scope="col">SD</th>
            <th scope="col">median</th>
            <th scope="col">smallest</th>
            <th scope="col">largest</th>
          </tr>
        </thead>
        <tbody>
          {comparison.groups.map(({ groupId, description, counts }) => (
            <tr key={groupId}>
              <th scope="row">{nameOf(groupId)}</th>
              <td>
                {description.n} of {counts.units}
              </td>
              <td>{figure(description.mean)}</td>
              <td>{interval(description.interval)}</td>
              <td>{figure(description.sd)}</td>
              <td>{figure(description.median)}</td>
              <td>{figure(description.min)}</td>
              <td>{figure(description.max)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Table size="sm" responsive>
        <thead>
          <tr>
            <th scope="col">Pair</th>
            <th scope="col">difference of means</th>
            <th scope="col">95 % interval</th>
            <th scope="col">p</th>
            <th scope="col">in words</th>
          </tr>
        </thead>
        <tbody>
          {comparison.pairs.map((pair) => (
            <tr key={`${pair.firstId} ${pair.secondId}`}>
              <th scope="row">
                {nameOf(pair.secondId)} minus {nameOf(pair.firstId)}
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
                    ? 'more than luck usually makes'
                    : 'cannot be told apart here'
                  : undefinedWords(pair.test.reason)}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p className="quiet">{modelWords(comparison)}</p>
    </details>
  );
}
