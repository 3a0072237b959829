import { useNames } from './use-names.ts';
import { say } from '@bright-sprout/words/comparison';
import type { GroupEmergence } from '@bright-sprout/core/comparison';
import type { GerminationIndices } from '@bright-sprout/core/germination';
import type { Outcome } from '@bright-sprout/core/shared';
import { computedText, undefinedWords } from '@bright-sprout/core/words';
import { type ShownComparison, useChoices } from './compare-context.tsx';
import { PlainTable } from './parts.tsx';

/** A line of the table: what it is called, how it is defined, and what it says of a group. */
interface IndexLine {
  readonly name: string;
  readonly definition: string;
  readonly isOlder: boolean;
  readonly textOf: (indices: GerminationIndices) => string;
}

function line<T>(
  name: string,
  definition: string,
  of: (indices: GerminationIndices) => Outcome<T>,
  text: (value: T) => string,
  isOlder = false,
): IndexLine {
  const textOf = (indices: GerminationIndices): string => {
    const outcome = of(indices);
    return outcome.defined ? text(outcome.value) : `– ${undefinedWords(outcome.reason)}`;
  };
  return { name, definition, isOlder, textOf };
}

const days = (value: number): string => `${Number(value.toFixed(2))} d`;
const plain = (value: number): string => String(Number(value.toFixed(3)));

const INDICES: readonly IndexLine[] = [
  line(
    say('final'),
    say('nSWithItsWilson95Interval'),
    ({ final }) => final,
    ({ share, low, high }) =>
      say('to3', {
        value: Math.round(100 * share),
        value2: Math.round(100 * low),
        value3: Math.round(100 * high),
      }),
  ),
  line(say('first'), say('firstCheckWithAnyNewlyUp'), ({ first }) => first, days),
  line(say('last'), say('lastCheckWithAnyNewlyUp'), ({ last }) => last, days),
  line(say('peak'), say('checkWithTheMostNewlyUp'), ({ peak }) => peak, days, true),
  line(say('spread'), say('lastFirst'), ({ spread }) => spread, days),
  line(say('meanTime'), 'Σ n·t ÷ N', ({ meanTime }) => meanTime, days),
  line(say('varianceOfTime'), 'Σ n(t − mean)² ÷ (N − 1)', ({ variance }) => variance, plain, true),
  line(say('cvOfTime'), '√variance ÷ mean', ({ cv }) => cv, plain, true),
  line(say('meanRate'), say('n1MeanTime'), ({ meanRate }) => meanRate, plain, true),
  line(say('coefficientOfVelocity'), say('n100NNTKotowski'), ({ velocity }) => velocity, plain, true),
  line(say('t50Farooq'), say('daysToN2AlongStraightLines'), ({ t50 }) => t50, days),
  line(say('t50Coolbear'), say('daysToN12'), ({ t50Coolbear }) => t50Coolbear, days, true),
  line(say('speedMaguire'), 'Σ n ÷ t', ({ speed }) => speed, plain, true),
  line(say('timson'), say('sumOfTheCumulativePercentages'), ({ timson }) => timson, plain, true),
  line(say('germinationIndex'), say('t1TNDailyChecks'), ({ index }) => index, plain, true),
  line(say('synchronyZ'), 'Σ C(n, 2) ÷ C(N, 2)', ({ synchrony }) => synchrony, plain, true),
  line(say('uncertaintyU'), say('fLogFInBits'), ({ uncertainty }) => uncertainty, plain, true),
];

/** Indices of germination with their definitions; the youngest are spared them. */
export function GerminationTable({ shown }: { shown: ShownComparison }) {
  const { level } = useChoices();
  const { emergence } = shown.comparison;
  const nameOf = useNames(shown);
  if (!emergence || level === '5-7') return null;
  const isOld = level === '14+';
  const vigour = (group: GroupEmergence): string => {
    const { vigour: outcome } = group.indices;
    return outcome.defined
      ? `${computedText(outcome.value, shown.readStyle)} · %`
      : `– ${undefinedWords(outcome.reason)}`;
  };
  return (
    <section className="panel" aria-label={say('germinationIndices')}>
      <h3>{say('inFigures')}</h3>
      <PlainTable
        columns={['', ...emergence.groups.map((group) => nameOf(group.groupId)), say('whatItIs')]}
        rows={[
          ...INDICES.filter((line) => isOld || !line.isOlder).map((line) => [
            line.name,
            ...emergence.groups.map((group) => line.textOf(group.indices)),
            line.definition,
          ]),
          ...(isOld
            ? [[say('vigour'), ...emergence.groups.map(vigour), say('finalMeanLengthAbdulBakiAndAnderson')]]
            : []),
        ]}
      />
      <p className="quiet">
        {say('nNewlyUpAtACheckOn', { ifCounted: emergence.groups[0]?.counted === 'pots' ? 'yes' : 'no' })}
      </p>
    </section>
  );
}
