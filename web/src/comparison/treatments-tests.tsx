import type {
  FactorialPart,
  PairTests,
  TestMethod,
  TestOutcome,
  TreatmentsPart,
} from '@bright-sprout/core/comparison';
import { computedText, figuresText, TEST_NAMES, testText, undefinedWords } from '@bright-sprout/core/words';
import { Suspense, useMemo, useState } from 'react';
import { ChartCard, shapeFigure } from '../shared/charts/index.ts';
import type { ShownComparison } from './compare-context.tsx';
import { PlainTable } from './parts.tsx';

/** The treatments part of a comparison that is shown. */
export interface PartProps {
  readonly shown: ShownComparison;
  readonly part: TreatmentsPart;
}

/** The name of a group by its id. */
export function useNames(shown: ShownComparison): (id: string) => string {
  return (id) => shown.groups.find((group) => group.id === id)?.name ?? '';
}

/** Crossed factors and blocks, term by term. */
export function Factorial({
  part,
  squares,
  onSquares,
}: {
  part: TreatmentsPart;
  squares: 'II' | 'III';
  onSquares: (type: 'II' | 'III') => void;
}) {
  const { factorial } = part;
  if (!factorial.defined && factorial.reason === 'not-crossed') return null;
  return (
    <section className="panel" aria-label="Factors and blocks">
      <div className="chart-head">
        <h3>Factors and blocks, term by term</h3>
        <div className="chart-tools" role="group" aria-label="Sums of squares">
          {(['II', 'III'] as const).map((type) => (
            <button
              key={type}
              type="button"
              className={type === squares ? 'pill is-on' : 'pill'}
              aria-pressed={type === squares}
              onClick={() => onSquares(type)}
            >
              Type {type}
            </button>
          ))}
        </div>
      </div>
      {factorial.defined ? (
        <Terms found={factorial.value} />
      ) : (
        <p>No analysis: {undefinedWords(factorial.reason)}.</p>
      )}
    </section>
  );
}

function Terms({ found }: { found: FactorialPart }) {
  return (
    <>
      <PlainTable
        columns={['Term', 'sum of squares', 'df', 'test']}
        rows={[
          ...found.terms.map((term) => [
            term.factors.join(' × '),
            term.squares.toPrecision(4),
            term.df,
            term.test.defined ? figuresText(term.test.value) : undefinedWords(term.test.reason),
          ]),
          ['Left over', found.errorSquares.toPrecision(4), found.errorDf, ''],
        ]}
      />
      <p className="quiet">
        {found.type === 'II'
          ? 'Type II: each term after all that do not contain it, so that unequal groups are right.'
          : 'Type III: each term after all others, with contrasts that add up to zero.'}
      </p>
    </>
  );
}

/** One pair by every test there is. */
export function Pairs({ shown, part }: PartProps) {
  const nameOf = useNames(shown);
  const [at, setAt] = useState(shown.comparison.mainPair ?? 0);
  const pair = part.pairs[at] ?? part.pairs[0];
  if (!pair) return null;
  return (
    <section className="panel" aria-label="Every test of a pair">
      <div className="chart-head">
        <h3>Every way to test a pair</h3>
        <select
          className="form-select form-select-sm pair-choice"
          aria-label="Pair"
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
        >
          {part.pairs.map((one, index) => (
            <option key={`${one.firstId} ${one.secondId}`} value={index}>
              {nameOf(one.secondId)} and {nameOf(one.firstId)}
            </option>
          ))}
        </select>
      </div>
      <PlainTable columns={['Test', 'figures', 'good when']} rows={pairRows(pair)} />
      <PlainTable
        columns={['All groups at once', 'figures']}
        rows={[
          nameAndFigures(part.anova, 'one_way_anova'),
          nameAndFigures(part.welchAnova, 'welch_anova'),
          nameAndFigures(part.kruskalWallis, 'kruskal_wallis'),
        ]}
      />
      <p className="quiet">
        One question, one test: choose it before looking, and say which. The answer above uses the one the
        plan asks for.
      </p>
    </section>
  );
}

/** @param usual named when there is no result to tell which test it was */
function nameAndFigures(test: TestOutcome, usual: TestMethod): [string, string] {
  return test.defined
    ? [TEST_NAMES[test.value.method].name, figuresText(test.value)]
    : [TEST_NAMES[usual].name, `none: ${undefinedWords(test.reason)}`];
}

function pairRows(pair: PairTests): string[][] {
  const { permutation, arrangements } = pair;
  const shuffles = permutation.defined ? `; ${arrangements.toLocaleString('en')} arrangements` : '';
  return [
    [...nameAndFigures(pair.welch, 'welch_t'), 'spreads differ, values roughly a bell'],
    [...nameAndFigures(pair.student, 'student_t'), 'spreads alike, values roughly a bell'],
    [...nameAndFigures(pair.ranks, 'mann_whitney_exact'), 'any shape; looks at order only'],
    [...nameAndFigures(pair.permutation, 'permutation_exact'), `any shape${shuffles}`],
    [...nameAndFigures(pair.tukey, 'tukey_kramer'), 'all pairs, spreads alike'],
    [...nameAndFigures(pair.dunn, 'dunn_holm'), 'all pairs by ranks'],
    ...(pair.againstControl
      ? [[...nameAndFigures(pair.againstControl, 'welch_holm'), 'only pairs with the control']]
      : []),
  ];
}

/** What the tests take for granted, drawn and tested. */
export function Assumptions({ shown, part }: PartProps) {
  const { assumptions } = part;
  const figure = useMemo(() => shapeFigure(part, shown.style), [part, shown.style]);
  if (assumptions.residuals.length < 3) return null;
  return (
    <Suspense fallback={null}>
      <ChartCard
        title="What the tests take for granted"
        label="Residuals against a bell shape"
        figure={figure}
        table={{
          columns: ['expected', 'residual'],
          rows: assumptions.residuals.map((point) => [
            point.expected.toFixed(3),
            computedText(point.residual, shown.style),
          ]),
        }}
        note={[
          testText(assumptions.normal),
          testText(assumptions.spread),
          assumptions.spreadRatio.defined
            ? `largest SD is ${assumptions.spreadRatio.value.toFixed(1)} times the smallest`
            : '',
          'With few pots such checks see little: a large p does not say that all is well.',
        ]
          .filter((line) => line !== '')
          .join('. ')}
      />
    </Suspense>
  );
}
