import { say } from '@bright-sprout/words/comparison';
import type { TreatmentPair, TreatmentsPart } from '@bright-sprout/core/comparison';
import {
  computedText,
  figuresText,
  treatmentsWords,
  undefinedWords,
  type ValueStyle,
} from '@bright-sprout/core/words';
import { Suspense, useMemo, useState } from 'react';
import { ChartCard, type ChartTable, differencesFigure, doseFigure } from '../shared/charts/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { Answer } from './answer-tab.tsx';
import { useChoices, useComparison } from './compare-context.tsx';
import { CrossedChart } from './crossed-chart.tsx';
import { PlainTable, Sentences, testRow } from './parts.tsx';
import { ShuffleWatch } from './shuffle-watch.tsx';
import { Assumptions, Factorial, Pairs, type PartProps, useNames } from './treatments-tests.tsx';

/** Treatments: combinations first where several things were changed, differences, and every test there is. */
export function TreatmentsTab() {
  const [squares, setSquares] = useState<'II' | 'III'>('II');
  const { shown, error } = useComparison(['treatments'], { squares });
  const { level } = useChoices();
  if (error) return <FailureNote error={error} />;
  const part = shown?.comparison.treatments;
  if (!shown || !part) return <p className="quiet">{say('comparing')}</p>;
  const isOlder = level === '11-13' || level === '14+';
  return (
    <>
      <Answer shown={shown} />
      <Sentences
        lines={treatmentsWords(part, { groups: shown.groups, style: shown.style, level }, shown.comparison)}
      />
      <Suspense fallback={<div className="panel chart-panel" aria-busy="true" />}>
        <CrossedChart shown={shown} />
        <Differences shown={shown} part={part} />
        <Dose shown={shown} part={part} />
      </Suspense>
      <ShuffleWatch shown={shown} />
      <UpTable shown={shown} part={part} />
      {isOlder && <Factorial part={part} squares={squares} onSquares={setSquares} />}
      {isOlder && <Pairs shown={shown} part={part} />}
      {isOlder && <Assumptions shown={shown} part={part} />}
    </>
  );
}

function Differences({ shown, part }: PartProps) {
  const { comparison, groups, style } = shown;
  const nameOf = useNames(shown);
  const figure = useMemo(() => differencesFigure(comparison, groups, style), [comparison, groups, style]);
  if (comparison.pairs.length === 0) return null;
  const table: ChartTable = {
    columns: [say('pair'), say('difference'), say('n95Interval'), say('inPercent'), say('hedgesG')],
    rows: comparison.pairs.map((pair, index) => {
      const g = part.pairs[index]?.hedgesG;
      return [
        say('minus', { nameOf: nameOf(pair.secondId), nameOf2: nameOf(pair.firstId) }),
        pair.difference.defined
          ? computedText(pair.difference.value, style)
          : undefinedWords(pair.difference.reason),
        intervalText(pair.test, style),
        pair.relative.defined
          ? `${Math.round(100 * pair.relative.value)}%`
          : undefinedWords(pair.relative.reason),
        g?.defined ? g.value.toFixed(2) : '–',
      ];
    }),
  };
  return (
    <ChartCard
      title={say('differences')}
      label={say('eachPairsDifferenceOfMeansWithIts')}
      figure={figure}
      table={table}
      note={lettersNote(part, nameOf)}
    />
  );
}

function lettersNote(part: TreatmentsPart, nameOf: (id: string) => string): string | undefined {
  if (part.letters.length < 3) return undefined;
  const all = part.letters.map(({ groupId, letters }) => `${nameOf(groupId)} ${letters}`).join(' · ');
  return say('lettersGroupsThatShareALetterWere', { all });
}

function Dose({ shown, part }: PartProps) {
  const { comparison, groups, style } = shown;
  const { design } = comparison;
  const figure = useMemo(
    () => (design ? doseFigure(comparison, part, design, groups, style) : { data: [], layout: {} }),
    [comparison, part, design, groups, style],
  );
  if (!part.dose.defined || !design) return null;
  const line = part.dose.value;
  const table: ChartTable = {
    columns: ['', say('value2')],
    rows: [
      [say('atAmount0'), computedText(line.intercept, style)],
      [
        say('changeForOneMore'),
        `${computedText(line.slope, style)} ± ${computedText(line.slopeError, style)}`,
      ],
      [
        say('n95Interval'),
        say('to', {
          computedText: computedText(line.slopeInterval.low, style),
          computedText2: computedText(line.slopeInterval.high, style),
        }),
      ],
      ['r²', line.rSquared.toFixed(3)],
      [say('byRanks'), line.rank.defined ? figuresText(line.rank.value) : undefinedWords(line.rank.reason)],
    ],
  };
  return (
    <ChartCard
      title={say('moreOfItMoreOfWhat')}
      label={say('eachPotAgainstTheAmountItGot')}
      figure={figure}
      table={table}
      note={say('theStraightLineIsTheSimplestShape')}
    />
  );
}

function UpTable({ shown, part }: PartProps) {
  const nameOf = useNames(shown);
  const { level } = useChoices();
  return (
    <section className="panel" aria-label={say('upOrNot')}>
      <h3>{say('potsWithAnythingUp')}</h3>
      <PlainTable
        columns={[say('group'), say('up'), say('share'), ...(level === '5-7' ? [] : [say('n95Interval')])]}
        rows={part.up.groups.map((group) => [
          nameOf(group.groupId),
          say('of2', { up: group.up, of: group.of }),
          group.share.defined ? `${Math.round(100 * group.share.value.share)}%` : '–',
          ...(level === '5-7'
            ? []
            : [
                group.share.defined
                  ? say('to2', {
                      value: Math.round(100 * group.share.value.low),
                      value2: Math.round(100 * group.share.value.high),
                    })
                  : '–',
              ]),
        ])}
      />
      {level === '14+' && (
        <PlainTable
          columns={[say('question'), say('test2'), say('figures')]}
          rows={[
            testRow(say('sameShareInAllGroups'), part.up.fisher),
            testRow(
              part.up.isRough ? say('roughlyAsCountsAreSmall') : say('withLargeCounts'),
              part.up.chiSquare,
            ),
            ...part.up.differences.map(({ firstId, secondId, difference }) => [
              say('minus', { nameOf: nameOf(secondId), nameOf2: nameOf(firstId) }),
              say('differenceOfSharesNewcombe'),
              difference.defined
                ? say('to3', {
                    value: Math.round(100 * difference.value.difference),
                    value2: Math.round(100 * difference.value.low),
                    value3: Math.round(100 * difference.value.high),
                  })
                : undefinedWords(difference.reason),
            ]),
          ]}
        />
      )}
    </section>
  );
}

function intervalText(test: TreatmentPair['test'], style: ValueStyle): string {
  if (!test.defined) return undefinedWords(test.reason);
  const { interval } = test.value;
  return interval
    ? say('to', {
        computedText: computedText(interval.low, style),
        computedText2: computedText(interval.high, style),
      })
    : '–';
}
