import { say } from '@bright-sprout/words/comparison';
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
  if (!factorial.defined && factorial.reason === 'not_crossed') return null;
  return (
    <section className="panel" aria-label={say('factorsAndBlocks')}>
      <div className="chart-head">
        <h3>{say('factorsAndBlocksTermByTerm')}</h3>
        <div className="chart-tools" role="group" aria-label={say('sumsOfSquares')}>
          {(['II', 'III'] as const).map((type) => (
            <button
              key={type}
              type="button"
              className={type === squares ? 'pill is-on' : 'pill'}
              aria-pressed={type === squares}
              onClick={() => onSquares(type)}
            >
              {say('type', { type })}
            </button>
          ))}
        </div>
      </div>
      {factorial.defined ? (
        <Terms found={factorial.value} />
      ) : (
        <p>{say('noAnalysis', { undefinedWords: undefinedWords(factorial.reason) })}</p>
      )}
    </section>
  );
}

function Terms({ found }: { found: FactorialPart }) {
  return (
    <>
      <PlainTable
        columns={[say('term'), say('sumOfSquares'), 'df', 'test']}
        rows={[
          ...found.terms.map((term) => [
            term.factors.join(' × '),
            term.squares.toPrecision(4),
            term.df,
            term.test.defined ? figuresText(term.test.value) : undefinedWords(term.test.reason),
          ]),
          [say('leftOver'), found.errorSquares.toPrecision(4), found.errorDf, ''],
        ]}
      />
      <p className="quiet">
        {found.type === 'II' ? say('typeIiEachTermAfterAllThat') : say('typeIiiEachTermAfterAllOthers')}
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
    <section className="panel" aria-label={say('everyTestOfAPair')}>
      <div className="chart-head">
        <h3>{say('everyWayToTestAPair')}</h3>
        <select
          className="form-select form-select-sm pair-choice"
          aria-label={say('pair')}
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
        >
          {part.pairs.map((one, index) => (
            <option key={`${one.firstId} ${one.secondId}`} value={index}>
              {say('and', { nameOf: nameOf(one.secondId), nameOf2: nameOf(one.firstId) })}
            </option>
          ))}
        </select>
      </div>
      <PlainTable columns={[say('test'), say('figures'), say('goodWhen')]} rows={pairRows(pair)} />
      <PlainTable
        columns={[say('allGroupsAtOnce'), say('figures')]}
        rows={[
          nameAndFigures(part.anova, 'one_way_anova'),
          nameAndFigures(part.welchAnova, 'welch_anova'),
          nameAndFigures(part.kruskalWallis, 'kruskal_wallis'),
        ]}
      />
      <p className="quiet">{say('oneQuestionOneTestChooseItBefore')}</p>
    </section>
  );
}

/** @param usual named when there is no result to tell which test it was */
function nameAndFigures(test: TestOutcome, usual: TestMethod): [string, string] {
  return test.defined
    ? [TEST_NAMES[test.value.method].name, figuresText(test.value)]
    : [TEST_NAMES[usual].name, say('none', { undefinedWords: undefinedWords(test.reason) })];
}

function pairRows(pair: PairTests): string[][] {
  const { permutation, arrangements } = pair;
  const shuffles = permutation.defined
    ? say('arrangements', { toLocaleString: arrangements.toLocaleString('en') })
    : '';
  return [
    [...nameAndFigures(pair.welch, 'welch_t'), say('spreadsDifferValuesRoughlyABell')],
    [...nameAndFigures(pair.student, 'student_t'), say('spreadsAlikeValuesRoughlyABell')],
    [...nameAndFigures(pair.ranks, 'mann_whitney_exact'), say('anyShapeLooksAtOrderOnly')],
    [...nameAndFigures(pair.permutation, 'permutation_exact'), say('anyShape', { shuffles })],
    [...nameAndFigures(pair.tukey, 'tukey_kramer'), say('allPairsSpreadsAlike')],
    [...nameAndFigures(pair.dunn, 'dunn_holm'), say('allPairsByRanks')],
    ...(pair.againstControl
      ? [[...nameAndFigures(pair.againstControl, 'welch_holm'), say('onlyPairsWithTheControl')]]
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
        title={say('whatTheTestsTakeForGranted')}
        label={say('residualsAgainstABellShape')}
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
            ? say('largestSdIsTimesTheSmallest', { spreadRatio: assumptions.spreadRatio.value.toFixed(1) })
            : '',
          say('withFewPotsSuchChecksSeeLittle'),
        ]
          .filter((line) => line !== '')
          .join('. ')}
      />
    </Suspense>
  );
}
